/** Prints how often the reader is right on passes of fresh seeds: `npm run accuracy [-- --passes N --seed S --only GROUP --verbose]`. */
import { randomInt } from 'node:crypto';
import { parseArgs } from 'node:util';
import { isMainThread, parentPort, Worker } from 'node:worker_threads';
import { madeCoverPass, ON_BED, type OnBed } from './coverPasses';
import { judgeCover, judgePass } from './judge';
import { judgePainted, type PaintedWorld } from './painted';
import { madePass, type Conditions } from './passes';
import { planPass } from './planPasses';
import { addTally, calibration, calibrationByKind, newTally, quantile, share, type Tally } from './tally';

interface Job {
  group: string;
  seed: number;
  conditions?: Conditions;
  cover?: OnBed;
  painted?: PaintedWorld;
  planned?: boolean;
}

const work = ({ seed, conditions, cover, painted, planned }: Job): Tally =>
  cover
    ? judgeCover(madeCoverPass(seed, cover), seed)
    : painted
      ? judgePainted(seed, painted)
      : judgePass(planned ? planPass(seed) : madePass(seed, conditions), seed);

const STEEP = Math.tan(Math.PI / 10);
/** Off in what they reflect by far more than is published of any kind; and off as is: mostly in backscatter, a little in impedance. */
const HARDER = { roughDb: 0, hardDb: 4 };
const ROUGHER = { roughDb: 3, hardDb: 1 };

/** How a pass departs from the usual, and how many passes of every hundred it gets. */
const GROUPS: [group: string, weight: number, conditions: Conditions][] = [
  ['usual', 100, {}],
  ['bait in every pass', 40, { cloudy: true }],
  ['another sounder in earshot', 40, { otherSounder: true }],
  ['rough, wind 8 m/s', 40, { windMps: 8 }],
  ['fast, 4 m/s', 40, { speedMps: 4 }],
  ['noisy: most fish near the limit', 60, { excessNoiseDb: 72 }],
  ['sloping bed, up to 18°', 40, { steepest: STEEP }],
  ['beds harder or softer than their table, up to 4 dB', 40, { bedsOff: HARDER }],
  ['sloping beds harder or softer, up to 4 dB', 40, { bedsOff: HARDER, steepest: STEEP }],
  ['beds rougher or smoother than their table, up to 4 dB', 40, { bedsOff: ROUGHER }],
  ['sloping beds rougher or smoother, up to 4 dB', 40, { bedsOff: ROUGHER, steepest: STEEP }],
];

/** Water the reader was not made on: painted from statistics, plain and with nuisances. */
const ABROAD: [group: string, weight: number, world: PaintedWorld][] = [
  ['painted, plain', 40, { parts: { clouds: 0 } }],
  ['painted, bait', 40, { parts: { clouds: 1 } }],
  ['painted, weed', 30, { parts: { weed: 1, clouds: 0 } }],
  ['painted, rocks', 30, { parts: { boulders: 2, clouds: 0 } }],
  ['painted, waves of 0.3 m and no sensor', 30, { parts: { heaveM: 0.3, clouds: 0 } }],
  ['painted, bursts', 30, { always: ['bursts'], parts: { clouds: 0 } }],
  ['painted, another sounder', 40, { always: ['other-sounder'], parts: { clouds: 0 } }],
  ['painted, three nuisances', 60, { drawn: 3 }],
  ['painted, the second bed echo in range', 30, { parts: { farDepths: 2.4, clouds: 0 } }],
];

function jobs(passes: number, seed: number): Job[] {
  const list: Job[] = [];
  GROUPS.forEach(([group, weight, conditions], g) => {
    for (let k = 0; k < Math.ceil((passes * weight) / 100); k++)
      list.push({ group, conditions, seed: seed + 10_000 * g + k });
  });
  for (let k = 0; k < passes; k++)
    list.push({ group: 'a plan’s own water', planned: true, seed: seed + 90_000 + 47 * k });
  ON_BED.forEach((cover, c) => {
    for (let k = 0; k < Math.ceil(0.3 * passes); k++)
      list.push({ group: 'on the bed', cover, seed: seed + 100_000 + 1000 * c + k });
  });
  ABROAD.forEach(([group, weight, painted], g) => {
    for (let k = 0; k < Math.ceil((passes * weight) / 100); k++)
      list.push({ group, painted, seed: seed + 200_000 + 10_000 * g + k });
  });
  return list;
}

/** What was counted of painted passes: shares with their intervals, and means a pass. */
function printPainted(t: Tally): void {
  for (const name of Object.keys(t.counts)) console.log(`  ${name}: ${share(t, name)}`);
  const [found = 0, weak = 0] = t.counts['recall of weak ones'] ?? [];
  const [right = 0, marks = 0] = t.counts['precision'] ?? [];
  // Whether a false mark was taken for a weak fish nobody can say: all of them count.
  const wrong = marks - right;
  if (weak > 0) console.log(`  F1 of weak ones ${((2 * found) / (weak + found + wrong)).toFixed(2)}`);
  for (const [name, list] of Object.entries(t.lists))
    if (name.endsWith('a pass'))
      console.log(`  ${name}: ${(list.reduce((a, b) => a + b, 0) / list.length).toFixed(2)}`);
  printClaims(t);
}

/** How far what is said of each kind of finding can be believed. */
function printClaims(t: Tally): void {
  for (const line of calibrationByKind(t)) console.log(`  said of ${line}`);
}

/** Spreads jobs over two threads. */
async function all(list: Job[]): Promise<Map<string, Tally>> {
  const tallies = new Map<string, Tally>();
  let next = 0;
  const thread = (): Promise<void> =>
    new Promise((resolve, reject) => {
      const worker = new Worker(__filename);
      let mine: Job | undefined;
      const give = (): void => {
        mine = list[next++];
        if (mine) worker.postMessage(mine);
        else void worker.terminate().then(() => resolve());
      };
      worker.on('message', (tally: Tally) => {
        const { group } = mine!;
        if (!tallies.has(group)) tallies.set(group, newTally());
        addTally(tallies.get(group)!, tally);
        give();
      });
      worker.on('error', reject);
      give();
    });
  await Promise.all([thread(), thread()]);
  return tallies;
}

function print(group: string, t: Tally): void {
  console.log(group);
  if (group.startsWith('painted')) return printPainted(t);
  if (group === 'on the bed') {
    const shares = ON_BED.map(
      (kind) => (t.counts[`told: ${kind}`]?.[0] ?? 0) / (t.counts[`told: ${kind}`]?.[1] ?? 1),
    );
    for (const kind of ON_BED) {
      console.log(`  ${kind}: ${share(t, `told: ${kind}`)}`);
      const named = t.lists[`fish named: ${kind}`];
      if (named)
        console.log(
          `    of its own parts named fish ${(named.reduce((a, b) => a + b, 0) / named.length).toFixed(2)} a piece; fish beside or over it, clear of it, found ${share(t, `fish beside: ${kind}`)}`,
        );
    }
    printClaims(t);
    console.log(`  averaged by class ${(shares.reduce((a, b) => a + b, 0) / shares.length).toFixed(3)}`);
    return;
  }
  const bed = t.lists['bed'] ?? [];
  const rms = Math.sqrt(bed.reduce((sum, x) => sum + x * x, 0) / bed.length);
  const offShare = (name: string): string => {
    const [near = 0, pings = 1] = t.counts[name] ?? [];
    return `${(100 * (1 - near / pings)).toFixed(2)} %`;
  };
  const factors = t.lists['length factor'] ?? [];
  const ratios = t.lists['length ratio'] ?? [];
  console.log(
    `  bed: RMS ${rms.toFixed(2)} × (a sample or 0.5 %), pings more than 1 m off ${offShare('bed within 1 m')}, 3 % off ${offShare('bed within 3 %')} and off what the bed sends back at all ${offShare('bed on its echo')}`,
  );
  console.log(`        true depth below in its interval ${share(t, 'depth below')}`);
  console.log(
    `        made of: exact ${share(t, 'material')}, or next to it ${share(t, 'material or next')}, hard against soft ${share(t, 'hard')}; said ${share(t, 'ground said')}, rightly ${share(t, 'ground said rightly')}`,
  );
  console.log(`  fish: recall ${share(t, 'recall')}, precision ${share(t, 'precision')}`);
  if (t.counts['found at 0 dB'])
    console.log(
      `        found at 6 dB ${share(t, 'found at 6 dB')}, at 3 dB ${share(t, 'found at 3 dB')}, at 0 dB ${share(t, 'found at 0 dB')}`,
    );
  console.log(
    `        nearest range within 0.1 m ${share(t, 'nearest range')}, true depth in its interval ${share(t, 'depth')}`,
  );
  console.log(
    `        shape ${share(t, 'shape')}, length in its spread ${share(t, 'length')}, stated to a factor of ${quantile(factors, 0.5).toFixed(2)}, off by one of ${quantile(
      ratios.map((x) => Math.max(x, 1 / x)),
      0.5,
    ).toFixed(
      2,
    )} (medians), mean ${(ratios.reduce((a, b) => a + b, 0) / ratios.length).toFixed(2)} of true, read over true ${[0.1, 0.5, 0.9].map((q) => quantile(ratios, q).toFixed(2)).join(' ')}`,
  );
  if (t.counts['clouds found'])
    console.log(
      `  clouds: found ${share(t, 'clouds found')}, false ${t.counts['false clouds']?.[0] ?? 0}, outline against the noise-free one ${quantile(t.lists['outline'] ?? [], 0.5).toFixed(2)} (median of both over either), calm or hunted ${share(t, 'mood')}`,
    );
  printClaims(t);
}

async function main(): Promise<void> {
  const { values } = parseArgs({
    options: {
      passes: { type: 'string' },
      seed: { type: 'string' },
      only: { type: 'string' },
      verbose: { type: 'boolean' },
    },
  });
  const passes = Number(values.passes ?? 100);
  const seed = Number(values.seed ?? randomInt(1, 2 ** 30));
  console.log(`seed ${seed}, ${passes} passes of the usual kind; 95 % intervals`);
  const { only = '' } = values;
  const tallies = await all(jobs(passes, seed).filter((job) => job.group.startsWith(only)));
  const together = newTally();
  for (const [group, tally] of tallies) {
    print(group, tally);
    if (values.verbose) for (const line of tally.notes) console.log(`    ${line}`);
    addTally(together, tally);
  }
  console.log(`all findings together: ${calibration(together)}`);
  for (const [where, is] of [
    ['at home', false],
    ['painted', true],
  ] as const) {
    const part = newTally();
    for (const [group, tally] of tallies) if (group.startsWith('painted') === is) addTally(part, tally);
    if (part.claims.length > 0) console.log(`all of them ${where}`);
    printClaims(part);
  }
}

if (isMainThread)
  main().catch((error: unknown) => {
    console.error(error);
    process.exit(1);
  });
else parentPort!.on('message', (job: Job) => parentPort!.postMessage(work(job)));
