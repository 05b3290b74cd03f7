/** Prints how near start setups come to the best of a grid of pictures of the same pings, the eye as judge, on seeds drawn anew. */
import { isMainThread, parentPort, Worker } from 'node:worker_threads';
import { manyBriefs } from '@/features/words/catalogue';
import { startSight, type StartSight } from './sight/startSight';

const BRIEFS = 40;
const THREADS = 2;
/** Bars of the share of the grid's best. */
const NEAR = 0.9;
const LEAST = 0.75;
/** Where not even the best shows this share of the fish there is nothing to come near to, and of less than one fish in all it is chance. */
const SHOWS_FISH = 0.1;
const FEWEST_SHOWN = 1;

const summary = (shares: readonly number[]): string =>
  `${shares.filter((x) => x >= NEAR).length} of ${shares.length} at ${NEAR} or more, ${shares.filter((x) => x < LEAST).length} under ${LEAST}, least ${Math.min(...shares).toFixed(2)}, mean ${(shares.reduce((a, b) => a + b, 0) / shares.length).toFixed(2)}`;

/** Spreads briefs over threads. @returns of each brief the cone's and the slice's sight, as far as they meet fish */
async function all(first: number): Promise<StartSight[][]> {
  const out: StartSight[][] = [];
  let next = 0;
  const thread = (): Promise<void> =>
    new Promise((resolve, reject) => {
      const worker = new Worker(__filename);
      const give = (): void => {
        if (next < BRIEFS) worker.postMessage([next, first + next++]);
        else void worker.terminate().then(() => resolve());
      };
      worker.on('message', (sights: StartSight[]) => {
        out.push(sights);
        give();
      });
      worker.on('error', reject);
      give();
    });
  await Promise.all(Array.from({ length: THREADS }, thread));
  return out;
}

async function main(): Promise<void> {
  const first = Math.floor(Math.random() * 1e6);
  const sights = await all(first);
  const shown = sights.map((of) =>
    of.filter((s) => s.best.score > SHOWS_FISH && s.best.score * s.fish >= FEWEST_SHOWN),
  );
  console.log(
    `of ${sights.flat().length} pictures ${sights.flat().length - shown.flat().length} are left out: the best shows under ${SHOWS_FISH} of the fish, or less than one fish in all`,
  );
  for (const how of ['start', 'tried'] as const) {
    const named = how === 'start' ? 'worked out' : 'tried';
    const print = (what: string, shares: number[]): void =>
      console.log(
        `start setup against the best of 300 pictures, ${what}, ${named}, seeds from ${first}: ${summary(shares)}`,
      );
    for (const kind of ['cone', 'slice'] as const)
      print(
        kind,
        shown.flatMap((sights) =>
          sights.filter((s) => s.kind === kind).map((s) => s[how].score / s.best.score),
        ),
      );
    // A brief's cone and slice together.
    print(
      'briefs',
      shown
        .filter((sights) => sights.length > 0)
        .map((sights) => sights.reduce((sum, s) => sum + s[how].score / s.best.score, 0) / sights.length),
    );
  }
}

if (isMainThread)
  main().catch((error: unknown) => {
    console.error(error);
    process.exit(1);
  });
else {
  const briefs = manyBriefs(BRIEFS);
  parentPort!.on('message', ([k, seed]: [number, number]) =>
    parentPort!.postMessage(startSight(briefs[k]!.brief, briefs[k]!.rig, seed)),
  );
}
