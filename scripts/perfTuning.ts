/** Prints how near the walk to a tuned picture comes to the best of a grid of pictures, on waters drawn anew, and how long a next move takes. */
import { FIRST_BRIEF, startSetup, sliceSetup, type Setup } from '@/core/advice';
import { GENERIC_RIG } from '@/core/rig';
import { recipeOf, SCENES } from '@/core/scene';
import { manyBriefs } from '@/features/words/catalogue';
import { solvedAgainstGrid, type TunedWater } from './sight/solveSight';

/** Waters, and bars: of the grid's best score, of the fish in its best picture, moves. */
const WATERS = Number(process.env.WATERS ?? 40);
const NEAR = 0.95;
const FOUND = 0.9;
const MOST = 12;
/** Where not even the best of the grid shows a fish there is nothing to come near to. */
const LEAST = 0.1;

const seed = Number(process.env.SEED ?? Math.floor(Math.random() * 1e6));

function* waters(): Generator<TunedWater> {
  const briefs = manyBriefs(2 * WATERS);
  for (let k = 0; ; k++) {
    const { brief, rig } = briefs[k % briefs.length]!;
    const cone = startSetup(brief, rig);
    const slice = sliceSetup(brief, rig, cone);
    const of = (setup: Setup): TunedWater => ({
      source: { kind: 'brief', brief, seed: seed + k, water: 2 },
      rig,
      base: setup.settings,
      purpose: brief.presentation === 'vertical' ? 'vertical' : 'search',
      bandM: [brief.fromM, brief.fishToM ?? brief.toM],
    });
    yield of(cone);
    if (slice) yield of(slice);
    const { id } = SCENES[(7 * k) % SCENES.length]!;
    const { rangeM, pingRate } = recipeOf(id);
    const plain = startSetup({ ...FIRST_BRIEF, fromM: 0.3 * rangeM, toM: 0.8 * rangeM }, GENERIC_RIG);
    yield {
      source: { kind: 'scene', sceneId: id, seed: seed + k },
      rig: GENERIC_RIG,
      base: { ...plain.settings, rangeM, pingRate },
      purpose: 'search',
      bandM: [0, 400],
    };
  }
}

let tried = 0;
let near = 0;
let found = 0;
let showing = 0;
let [walked, inBest] = [0, 0];
let most = 0;
const times: number[] = [];
for (const water of waters()) {
  if (tried >= WATERS) break;
  const { fish, best, solved, bestFound, nextMoveMs } = solvedAgainstGrid(water, undefined, () =>
    performance.now(),
  );
  if (fish === 0 || best < LEAST) continue;
  tried++;
  times.push(nextMoveMs);
  if (solved.every((s) => s.score >= NEAR * best && s.moves <= MOST)) near++;
  walked += solved.reduce((sum, s) => sum + s.found, 0);
  inBest += solved.length * bestFound;
  // Of less than one fish there is no share to speak of.
  if (bestFound >= 1) {
    showing++;
    if (solved.every((s) => s.found >= FOUND * bestFound)) found++;
  }
  most = Math.max(most, ...solved.map((s) => s.moves));
  if (process.env.EACH)
    console.log(
      water.source.kind === 'scene' ? water.source.sceneId : 'brief',
      water.base.faceId,
      `fish ${fish} best ${best.toFixed(2)} true ${bestFound.toFixed(1)}`,
      solved
        .map((s) => `${s.from.toFixed(2)}→${s.score.toFixed(2)} in ${s.moves}, true ${s.found.toFixed(1)}`)
        .join(' | '),
      `next ${nextMoveMs.toFixed(0)} ms`,
    );
}
times.sort((a, b) => a - b);
console.log(
  `tuned from three bad settings, ${tried} waters, seeds from ${seed}: ${near} come to ${NEAR} of the grid's best score from all three, the fish that are truly there to be picked out come to ${(walked / inBest).toFixed(2)} of those in its best pictures, and on ${found} of ${showing} waters with a fish to show to ${FOUND} from each of the three; ${most} moves at most; next move ${times[times.length >> 1]?.toFixed(0)} ms at the median, ${times.at(-1)?.toFixed(0)} ms at most`,
);
