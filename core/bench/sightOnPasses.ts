import type { Brief } from '@/core/advice';
import type { Settings, Viewing } from '@/core/picture';
import { faceOf, type Rig } from '@/core/rig';
import { sightOnPass, type SeenAt, type SightOnPass } from './sightOnPass';

/** Passes made for one setup, and what a person makes of their pictures together. */
export interface SightOnPasses {
  /** Fish that show in them. */
  fish: number;
  made: number;
  at: SightOnPass['at'];
}

/** How many passes are made and how they are looked at. */
export interface PassesFrom {
  seedOf: (pass: number) => number;
  view: Viewing;
  /** So many passes at least, more until they hold enough fish: of one fish or two it is chance which of two pictures shows more. */
  least: number;
  most: number;
  enough: number;
  mostWindows?: number;
  /** Told after each pass how many are made and how many fish they hold. */
  onPass?: (made: number, fish: number) => void;
}

/**
 * So many times as many fish stand in the water of a slice, twice as many after each pass that met few, up to the most: a slice is so
 * narrow along the way that they do not lie on each other.
 */
const SLICE_CROWD = 8;
const MOST_CROWD = 16;
const FEW_FISH = 16;

/**
 * Passes over a brief's water until they hold enough fish to judge a picture by.
 * @param settings the pings are made for @throws RangeError for a face the rig has not
 */
export function sightOnPasses(
  brief: Brief,
  rig: Rig,
  settings: Settings,
  { seedOf, view, least, most, enough, mostWindows, onPass }: PassesFrom,
): SightOnPasses {
  const slice = faceOf(rig, settings.faceId).beam.shape === 'fan';
  let crowd = slice ? SLICE_CROWD : 1;
  let fish = 0;
  let made = 0;
  const passes: SightOnPass[] = [];
  while (made < least || (made < most && fish < enough)) {
    const pass = sightOnPass(brief, rig, settings, {
      seed: seedOf(made++),
      view,
      crowd,
      ...(mostWindows !== undefined && { mostWindows }),
    });
    if (pass.fish > 0) passes.push(pass);
    fish += pass.fish;
    if (slice && pass.fish < FEW_FISH) crowd = Math.min(2 * crowd, MOST_CROWD);
    onPass?.(made, fish);
  }
  return {
    fish,
    made,
    at: (change): SeenAt => {
      const seen = { found: 0, score: 0 };
      for (const pass of passes) {
        const { found, score } = pass.at(change);
        seen.found += (found * pass.fish) / fish;
        seen.score += (score * pass.fish) / fish;
      }
      return seen;
    },
  };
}
