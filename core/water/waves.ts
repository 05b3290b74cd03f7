/** What waves do to a small boat, a metre or radian of amplitude a m/s of wind (nominal, for a boat of 5–6 m). */
const HEAVE_M = 0.01;
const PITCH_RAD = 0.003;
const ROLL_RAD = 0.005;

const BUBBLES_SV_DB = -58;
const BUBBLES_PER_MPS_DB = 2.4;
const BUBBLES_DEPTH_M = 0.15;
const BUBBLES_DEPTH_PER_MPS_M = 0.05;

/** Most a small boat heaves (m), pitches and rolls (rad) from level in a wind of `windMps`. */
export const boatInWaves = (windMps: number): { heaveM: number; pitchRad: number; rollRad: number } => ({
  heaveM: HEAVE_M * windMps,
  pitchRad: PITCH_RAD * windMps,
  rollRad: ROLL_RAD * windMps,
});

/**
 * Bubbles wind leaves under the surface: backscatter there, dB re 1 m⁻¹, and the depth in which it falls by a factor e, m
 * (nominal; Crawford & Farmer 1987 find 0.7–1.5 m in fresh winds).
 */
export const windBubbles = (windMps: number): { svDb: number; depthM: number } => ({
  svDb: BUBBLES_SV_DB + BUBBLES_PER_MPS_DB * windMps,
  depthM: BUBBLES_DEPTH_M + BUBBLES_DEPTH_PER_MPS_M * windMps,
});
