import { fromDb } from '@/core/maths';
import { windBubbles } from './waves';

/** How clear the water is. Sound cares little, but silt scatters and hard settings then fill the picture. */
export const CLARITIES = ['clear', 'stained', 'silty'] as const;
export type Clarity = (typeof CLARITIES)[number];

/** Sv of small life through all the water by its clarity, dB re 1 m⁻¹ (nominal). */
export const SMALL_LIFE_DB: Readonly<Record<Clarity, number>> = { clear: -92, stained: -88, silty: -80 };
/** Silt over the bed of silty water: Sv at the bed, dB re 1 m⁻¹, and the height in which it falls by a factor e, m (nominal). */
export const SILT = { svDb: -46, heightM: 0.8 } as const;

/** Volume backscatter of a depth, 1/m: small life, bubbles under the wind, silt over the bed. */
export function volumeBackscatter(
  { clarity, windMps, bedM }: { clarity: Clarity; windMps: number; bedM: number },
  depthM: number,
): number {
  const bubbles = windBubbles(windMps);
  const silt = clarity === 'silty' ? fromDb(SILT.svDb) * Math.exp((depthM - bedM) / SILT.heightM) : 0;
  return fromDb(SMALL_LIFE_DB[clarity]) + fromDb(bubbles.svDb) * Math.exp(-depthM / bubbles.depthM) + silt;
}
