import { judgePass } from './judge';
import { planPass } from './planPasses';

/** Kinds of water a plan makes that were once read as dozens of fish. */
const ONCE_WRONG: readonly [what: string, seed: number, most: number][] = [
  ['the top of brush under a boat that keeps still', 97585, 3],
  ['a slice that drifts abeam over slow arches', 95282, 3],
  ['the skirt of a steep slope', 97162, 5],
  ['an own lure too faint to be one line', 96974, 3],
  ['two other sounders on a slice', 96_324, 2],
];

describe('a plan’s own water', () => {
  it.each(ONCE_WRONG)('%s is no shoal of fish', (_, seed, most) => {
    const tally = judgePass(planPass(seed), seed);
    const [right = 0, all = 0] = tally.counts.precision ?? [];
    expect(all - right).toBeLessThanOrEqual(most);
  });
});
