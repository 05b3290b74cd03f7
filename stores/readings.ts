import { createStore } from 'zustand/vanilla';
import { passKey } from '@/core/bench/passSource';
import type { KeptMark } from '@/core/logbook';
import type { BedPlace } from '@/core/logbook/day';
import type { Settings } from '@/core/picture';
import { durationOf } from '@/core/recording';
import type { Reading } from '@/core/reading';
import {
  benchWorker,
  secondWorker,
  type Outcome,
  type PassFacts,
  type ReadTask,
  type Stage,
} from '@/workers';
import { follow, RESTING, type Asking } from './asking';
import { passStore, type PassState } from './pass';
import { withRecording } from './recordings';
import { restOf } from './restOfRecording';

/** A reading of a pass and what is needed to draw it over the picture. */
export interface PassReading {
  reading: Reading;
  marks: readonly KeptMark[];
  /** The bed it went over. */
  bed: readonly BedPlace[];
  timeS: Float64Array;
  /** Way of the boat from the first ping to each, m. */
  wayM: Float64Array;
  facts: PassFacts;
}

interface ReadingsState {
  /** Readings by what was read: a pass, pinged one way. */
  readings: ReadonlyMap<string, PassReading>;
  /** How reading the pass on the bench stands, and which reading that is of. */
  asking: Asking;
  askedKey: string | null;
  /** What is known of a long one by now, and of which share of it; null when none is being read. */
  partial: { key: string; share: number; reading: PassReading } | null;
}

export const readingStore = createStore<ReadingsState>(() => ({
  readings: new Map(),
  asking: RESTING,
  askedKey: null,
  partial: null,
}));

/** Readings kept: those of the passes last looked at. */
const MOST_READINGS = 4;
const LANE = 'read';

/** One reading and no other: a pass as it is pinged. How it is drawn changes nothing of it. */
export function readingKey({ pass, settings }: Pick<PassState, 'pass' | 'settings'>): string {
  const { faceId, pingRate, power }: Pick<Settings, 'faceId' | 'pingRate' | 'power'> = settings;
  return JSON.stringify([passKey(pass), faceId, pingRate, power]);
}

/** Reads a recording on another worker than the one that draws it, telling what it finds while it goes on. */
async function readFile(
  { pass, settings }: Pick<PassState, 'pass' | 'settings'>,
  onStage: (stage: Stage) => void,
  onPart: (share: number, reading: PassReading) => void,
): Promise<Outcome<ReadTask>> {
  const { result: given } = await withRecording(
    pass,
    () => benchWorker().run({ kind: 'pings', pass, settings, beams: 'one' }, { lane: LANE }),
    benchWorker(),
    true,
  );
  const { recording, facts } = given;
  /** Share of the pass whose pings are here yet; one ping is all of a pass of no length. */
  const here = facts.durationS > 0 ? durationOf(recording) / facts.durationS : 1;
  const task: ReadTask = { kind: 'read', pass, settings, given: { recording, facts } };
  const outcome = await secondWorker().run(task, {
    lane: LANE,
    onStage,
    onPart: ({ share, result }) => {
      onStage('reading');
      if (result.kind === 'read') onPart(share * here, result);
    },
    transfer: recording.stretches.flatMap(({ channels }) =>
      channels.map((c) => c.levelDb.buffer as ArrayBuffer),
    ),
  });
  // The pings it was given are large.
  if (here === 1) secondWorker().end();
  return outcome;
}

/** Reads the pass on the bench, unless that was done. The answer belongs to the pass that was read, whatever is looked at by then. */
export async function readPass(): Promise<void> {
  const { pass, settings } = passStore.getState();
  const key = readingKey({ pass, settings });
  const { readings, askedKey, asking } = readingStore.getState();
  if (readings.has(key)) return;
  if (askedKey === key && asking.problem === null && asking !== RESTING) return;
  // A long reading of another pass is given up: nobody waits for it.
  secondWorker().cancel(LANE);
  readingStore.setState(({ partial }) => ({
    askedKey: key,
    asking: { ...RESTING, stage: 'reading' },
    // Of one whose beginning was read it stays until there is more.
    partial: partial?.key === key ? partial : null,
  }));
  const wanted = (): boolean => readingStore.getState().askedKey === key;
  const known = ({ reading, marks, bed, timeS, wayM, facts }: PassReading): PassReading => ({
    reading,
    marks,
    bed,
    timeS,
    wayM,
    facts,
  });
  let begun = false;
  await follow(
    (onStage) =>
      pass.source.kind === 'recording'
        ? readFile({ pass, settings }, onStage, (share, reading) => {
            const before = readingStore.getState().partial;
            // What is read again from the start is behind what is shown for a moment.
            if (wanted() && !(before?.key === key && before.share > share))
              readingStore.setState({ partial: { key, share, reading: known(reading) } });
          })
        : benchWorker().run<ReadTask>({ kind: 'read', pass, settings, given: null }, { lane: LANE, onStage }),
    wanted,
    (next) => readingStore.setState({ asking: next }),
    ({ result }) => {
      const share = (result.timeS.at(-1) ?? 0) / result.facts.durationS;
      begun = share < 1;
      if (begun) return readingStore.setState({ partial: { key, share, reading: known(result) } });
      readingStore.setState(({ readings: kept }) => {
        const next = new Map(kept).set(key, known(result));
        for (const oldest of next.keys()) {
          if (next.size <= MOST_READINGS) break;
          next.delete(oldest);
        }
        return { readings: next, partial: null };
      });
    },
  );
  if (!begun || !(await restOf(pass))) return;
  if (wanted() && readingKey(passStore.getState()) === key) await readPass();
}

export function stopReading(): void {
  benchWorker().cancel(LANE);
  secondWorker().cancel(LANE);
}
