import type { Settings } from '@/core/picture';
import { RAMP_DB } from './screenRecording';

/** Settings that draw a picture of a screen as it was: its colours are strengths already. @param footM depth at its foot, m */
export const drawnAsItWas = (settings: Settings, footM: number): Settings => ({
  ...settings,
  blend: null,
  power: 'full',
  rangeM: Math.max(2, footM),
  topM: 0,
  zoom: 1,
  zoomAtM: null,
  bedLockM: null,
  tvg: 'flat',
  gainMode: 'manual',
  gainDb: 0,
  firstColourDb: 0,
  colourSpreadDb: RAMP_DB,
  contrastMode: 'manual',
  noiseRejection: 0,
  otherSounders: 0,
  topWater: 0,
  averaging: 1,
  lookNoDeeperM: null,
  brightnessDb: 0,
  sharpening: 0,
});
