import { selectInPlace } from '@/core/maths';
import type { Channel } from '@/core/recording';
import { PALETTE_STEPS } from './palette';
import { PALETTE_BOTTOM_DB, type Settings } from './settings';

/** How a drawn level becomes a palette step: step = 1 + (level − bottomDb)·stepsPerDb, drawn from leastDb on. */
export interface ColourScale {
  bottomDb: number;
  leastDb: number;
  stepsPerDb: number;
}

/** The palette step of a level, 0 where it is not drawn. */
export function stepOf(scale: ColourScale, levelDb: number): number {
  if (!(levelDb >= scale.leastDb)) return 0;
  const step = 1 + (((levelDb - scale.bottomDb) * scale.stepsPerDb) | 0);
  return step < 1 ? 1 : step > PALETTE_STEPS ? PALETTE_STEPS : step;
}

/** The level in the middle of a palette step, dB: the inverse of stepOf. */
export const levelOf = (scale: ColourScale, step: number): number =>
  scale.bottomDb + (step - 0.5) / scale.stepsPerDb;

/** Quantiles of the picture auto contrast stretches over the palette: haze at one end, hard echoes at the other. */
const HAZE = 0.6;
const HARD = 0.995;
/** Haze is left just under the first colour. */
const HAZE_UNDER_DB = 1;
const LOOKS = 4096;

/** Level at two quantiles over a sample of the pings, dB. */
function quantiles(channel: Channel, level: Float32Array, sampleGain: Float32Array): [number, number] {
  const total = channel.pingCount * channel.sampleCount;
  const count = Math.min(LOOKS, total);
  const looks = new Float32Array(count);
  // A stride that shares no factor with the row length walks over all ranges.
  let at = 0;
  const stride = Math.max(1, Math.floor(total / count)) | 1;
  for (let k = 0; k < count; k++) {
    looks[k] = level[at]! + sampleGain[at % channel.sampleCount]!;
    at = (at + stride) % total;
  }
  const hard = selectInPlace(looks, Math.floor(HARD * (count - 1)));
  return [selectInPlace(looks, Math.floor(HAZE * (count - 1))), hard];
}

/**
 * The colour scale of a channel under the settings: gain, first colour and colour spread; for an imaging beam brightness and
 * contrast as well, by hand or from the picture itself with the contrast as an offset.
 */
export function colourScale(
  channel: Channel,
  settings: Settings,
  level: Float32Array,
  sampleGain: Float32Array,
): ColourScale {
  const bottom = PALETTE_BOTTOM_DB - (settings.gainMode === 'manual' ? settings.gainDb : 0);
  const spread = settings.colourSpreadDb;
  let scale: ColourScale = {
    bottomDb: bottom,
    leastDb: bottom + settings.firstColourDb,
    stepsPerDb: (PALETTE_STEPS - 1) / spread,
  };
  if (channel.beam.shape === 'fan') {
    if (settings.contrastMode === 'auto') {
      const [haze, hard] = quantiles(channel, level, sampleGain);
      const low = haze + HAZE_UNDER_DB;
      scale = {
        bottomDb: low,
        leastDb: low + settings.firstColourDb,
        stepsPerDb: (PALETTE_STEPS - 1) / Math.max(10, hard - low),
      };
    }
    // Stretched about the middle of the palette, then shifted.
    const middle = scale.bottomDb + (PALETTE_STEPS - 1) / scale.stepsPerDb / 2;
    const k = settings.contrast;
    scale = {
      bottomDb: middle + (scale.bottomDb - middle) / k - settings.brightnessDb,
      leastDb: middle + (scale.leastDb - middle) / k - settings.brightnessDb,
      stepsPerDb: scale.stepsPerDb * k,
    };
  }
  return scale;
}
