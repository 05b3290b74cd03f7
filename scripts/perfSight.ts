/** Prints how near start setups come to the best of a grid of pictures of the same pings, the eye as judge, on seeds drawn anew. */
import { manyBriefs } from '@/features/words/catalogue';
import { startSight } from './sight/startSight';

const BRIEFS = 40;
/** Bars of the share of the grid's best. */
const NEAR = 0.9;
const LEAST = 0.75;

const first = Math.floor(Math.random() * 1e6);
const shares: Record<string, number[]> = {};
const add = (name: string, share: number): void => void (shares[name] ??= []).push(share);
manyBriefs(BRIEFS).forEach(({ brief, rig }, k) => {
  for (const { kind, start, tried, best } of startSight(brief, rig, first + k)) {
    // Where not even the best shows a fish there is nothing to come near to.
    if (best.score <= 0.1) continue;
    add(`${kind}, worked out`, start.score / best.score);
    add(`${kind}, tried`, tried.score / best.score);
  }
});
for (const [name, list] of Object.entries(shares))
  console.log(
    `start setup against the best of 300 pictures, ${name}, seeds from ${first}: ${list.filter((x) => x >= NEAR).length} of ${list.length} at ${NEAR} or more, ${list.filter((x) => x < LEAST).length} under ${LEAST}, least ${Math.min(...list).toFixed(2)}, mean ${(list.reduce((a, b) => a + b, 0) / list.length).toFixed(2)}`,
  );
