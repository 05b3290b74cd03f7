/**
 * Tries thousands of damaged things on every door, in a thread of its own with limits: a crash, a hang of more than two seconds or a
 * sentence that is none is said, and what did it is kept as a fixture. Run with `npm run fuzz`.
 */
import { createHash } from 'node:crypto';
import { mkdirSync, writeFileSync } from 'node:fs';
import { isMainThread, parentPort, Worker, workerData } from 'node:worker_threads';
import { seededRandom } from '@/core/maths';
import { allDoors } from './doors';
import { mutate } from './mutate';

const HANG_MS = 2000;
const MEMORY_MB = 600;
const FOLDER = 'scripts/fixtures/doors';

interface Batch {
  door: string;
  seed: number;
  from: number;
  to: number;
}
type Heard =
  | { type: 'trying'; k: number; bytes: Uint8Array }
  | { type: 'bad'; k: number; bytes: Uint8Array; why: string }
  | { type: 'names'; names: string[] }
  | { type: 'end'; refused: number };

const badSentence = (words: string): boolean => !/^[A-Z“][^\n\t]*[.?!]$/.test(words) || words.length > 200;

async function work({ door: name, seed, from, to }: Batch): Promise<void> {
  const { doors, close } = await allDoors();
  const port = parentPort!;
  if (name === '') {
    port.postMessage({ type: 'names', names: doors.map((d) => d.name) } satisfies Heard);
    return close();
  }
  const { samples, open } = doors.find((d) => d.name === name)!;
  let refused = 0;
  for (const sample of samples) {
    const words = await open(sample);
    if (words !== null)
      port.postMessage({
        type: 'bad',
        k: from,
        bytes: sample,
        why: `whole, and refused: ${words}`,
      } satisfies Heard);
  }
  for (let k = from; k < to; k++) {
    const bytes = mutate(samples[k % samples.length]!, seededRandom(seed).fork(`${name} ${k}`));
    port.postMessage({ type: 'trying', k, bytes } satisfies Heard);
    try {
      const words = await open(bytes);
      if (words !== null) refused++;
      if (words !== null && badSentence(words))
        port.postMessage({ type: 'bad', k, bytes, why: words } satisfies Heard);
    } catch (error) {
      port.postMessage({ type: 'bad', k, bytes, why: String(error) } satisfies Heard);
    }
  }
  port.postMessage({ type: 'end', refused } satisfies Heard);
  close();
}

/** Runs a batch in a thread; resolves with the number it came to, and what was wrong there. */
function inThread(batch: Batch): Promise<{ at: number; names: string[]; bad: string[]; refused: number }> {
  return new Promise((resolve) => {
    const worker = new Worker(__filename, {
      workerData: batch,
      execArgv: process.execArgv,
      resourceLimits: { maxOldGenerationSizeMb: MEMORY_MB },
    });
    let at = batch.from;
    let bytes: Uint8Array = new Uint8Array(0);
    let names: string[] = [];
    let refused = 0;
    const bad: string[] = [];
    let timer: ReturnType<typeof setTimeout> | null = null;
    const keep = (which: Uint8Array, why: string): void => {
      mkdirSync(FOLDER, { recursive: true });
      const hash = createHash('sha1').update(which).digest('hex').slice(0, 12);
      const file = `${FOLDER}/${batch.door.replaceAll(' ', '-')}.${hash}`;
      writeFileSync(file, which);
      bad.push(`${file}: ${why.slice(0, 300)}`);
    };
    const end = (why: string | null): void => {
      if (timer) clearTimeout(timer);
      if (why) keep(bytes, why);
      void worker.terminate();
      resolve({ at: why ? at + 1 : batch.to, names, bad, refused });
    };
    worker.on('message', (heard: Heard) => {
      if (timer) clearTimeout(timer);
      if (heard.type === 'trying') {
        ({ k: at, bytes } = heard);
        timer = setTimeout(() => end(`hung for more than ${HANG_MS / 1000} s`), HANG_MS);
      } else if (heard.type === 'bad') keep(heard.bytes, heard.why);
      else if (heard.type === 'names') {
        names = heard.names;
        end(null);
      } else {
        refused = heard.refused;
        end(null);
      }
    });
    worker.on('error', (error) => end(`crashed: ${String(error)}`));
  });
}

async function main(): Promise<void> {
  const count = Number(process.env.FUZZ_DOORS ?? 10_000);
  const seed = Number(process.env.FUZZ_SEED ?? 1);
  const only = process.env.FUZZ_DOOR;
  const { names } = await inThread({ door: '', seed, from: 0, to: 1 });
  let wrong = 0;
  for (const door of names) {
    if (only && only !== door) continue;
    let refused = 0;
    const bad: string[] = [];
    for (let from = 0; from < count;) {
      const done = await inThread({ door, seed, from, to: count });
      refused += done.refused;
      bad.push(...done.bad);
      from = done.at;
    }
    wrong += bad.length;
    console.log(`${door}: ${count} tried, ${refused} refused, ${bad.length} wrong`);
    for (const line of bad.slice(0, 20)) console.log(`  ${line}`);
  }
  process.exit(wrong === 0 ? 0 : 1);
}

if (isMainThread) void main();
else void work(workerData as Batch);
