import { readChannel } from '@/core/reading';
import { judgeFish } from './judge';
import { planPass } from './planPasses';
import { newTally } from './tally';

/** Kinds of water a plan makes that were once read as many fish: 22, 9, 14, 28 and 86 false ones. */
const ONCE_WRONG: readonly [what: string, seed: number, most: number][] = [
  ['the top of brush under a boat that keeps still', 97_585, 3],
  ['a slice that drifts abeam over slow arches', 95_282, 3],
  ['the skirt of a steep slope', 97_162, 5],
  ['an own lure too faint to be one line', 96_974, 3],
  ['two other sounders on a slice', 96_324, 2],
];

describe('a plan’s own water', () => {
  it.each(ONCE_WRONG)('%s is no shoal of fish', (_, seed, most) => {
    const pass = planPass(seed);
    const tally = newTally();
    judgeFish(pass, readChannel(pass.recording, pass.recording.channels[0]!), tally, seed);
    const [right = 0, all = 0] = tally.counts.precision ?? [];
    expect(all - right).toBeLessThanOrEqual(most);
  });
});
