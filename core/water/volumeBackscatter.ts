import { fromDb } from '@/core/maths';
import { windBubbles } from './waves';

/** How clear the water is. Sound cares little, but silt scatters and hard settings then fill the picture. */
export const CLARITIES = ['clear', 'stained', 'silty'] as const;
export type Clarity = (typeof CLARITIES)[number];

/** When of the day, and of the year. */
export const HOURS = ['day', 'dusk', 'night'] as const;
export type Hour = (typeof HOURS)[number];
export const SEASONS = ['spring', 'summer', 'autumn', 'winter'] as const;
export type Season = (typeof SEASONS)[number];

/** Sv of small life through all the water on a day of spring by its clarity, dB re 1 m⁻¹ (nominal). */
const SMALL_LIFE_DB: Readonly<Record<Clarity, number>> = { clear: -92, stained: -88, silty: -80 };
/** What rises out of the bed and the deep at dusk, dB over the day (nominal; Hays 2003 finds a factor of two to ten). */
const RISEN_DB: Readonly<Record<Hour, number>> = { day: 0, dusk: 4, night: 8 };
/** What there is in a season, dB over spring and autumn (nominal; the yearly course is that of Sommer et al. 1986). */
const GROWN_DB: Readonly<Record<Season, number>> = { spring: 0, summer: 3, autumn: 0, winter: -6 };

/** What small life there is hangs on. */
export interface LifeBrief {
  clarity: Clarity;
  hour: Hour;
  season: Season | null;
}

/** Sv of small life through all the water, dB re 1 m⁻¹. Of a season nobody named there is as much as in spring. */
export const smallLifeDb = ({ clarity, hour, season }: LifeBrief): number =>
  SMALL_LIFE_DB[clarity] + RISEN_DB[hour] + (season ? GROWN_DB[season] : 0);

/** Silt over the bed of silty water: Sv at the bed, dB re 1 m⁻¹, and the height in which it falls by a factor e, m (nominal). */
export const SILT = { svDb: -46, heightM: 0.8 } as const;

/** Volume backscatter of a depth, 1/m: small life, bubbles under the wind, silt over the bed. */
export function volumeBackscatter(
  { windMps, bedM, ...life }: LifeBrief & { windMps: number; bedM: number },
  depthM: number,
): number {
  const bubbles = windBubbles(windMps);
  const silt = life.clarity === 'silty' ? fromDb(SILT.svDb) * Math.exp((depthM - bedM) / SILT.heightM) : 0;
  return fromDb(smallLifeDb(life)) + fromDb(bubbles.svDb) * Math.exp(-depthM / bubbles.depthM) + silt;
}
