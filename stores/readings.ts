import { createStore } from 'zustand/vanilla';
import { passKey } from '@/core/bench/passSource';
import type { KeptMark } from '@/core/logbook';
import type { Settings } from '@/core/picture';
import type { Reading } from '@/core/reading';
import { benchWorker, type PassFacts } from '@/workers';
import { follow, RESTING, type Asking } from './asking';
import { passStore, type PassState } from './pass';
import { withRecording } from './recordings';

/** A reading of a pass and what is needed to draw it over the picture. */
export interface PassReading {
  reading: Reading;
  marks: readonly KeptMark[];
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
}

export const readingStore = createStore<ReadingsState>(() => ({
  readings: new Map(),
  asking: RESTING,
  askedKey: null,
}));

/** Readings kept: those of the passes last looked at. */
const MOST_READINGS = 4;
const LANE = 'read';

/** One reading and no other: a pass as it is pinged. How it is drawn changes nothing of it. */
export function readingKey({ pass, settings }: Pick<PassState, 'pass' | 'settings'>): string {
  const { faceId, pingRate, power }: Pick<Settings, 'faceId' | 'pingRate' | 'power'> = settings;
  return JSON.stringify([passKey(pass), faceId, pingRate, power]);
}

/** Reads the pass on the bench, unless that was done. The answer belongs to the pass that was read, whatever is looked at by then. */
export async function readPass(): Promise<void> {
  const { pass, settings } = passStore.getState();
  const key = readingKey({ pass, settings });
  const { readings, askedKey, asking } = readingStore.getState();
  if (readings.has(key)) return;
  if (askedKey === key && asking.problem === null && asking !== RESTING) return;
  readingStore.setState({ askedKey: key, asking: { ...RESTING, stage: 'reading' } });
  const wanted = (): boolean => readingStore.getState().askedKey === key;
  await follow(
    (onStage) =>
      withRecording(pass, () => benchWorker().run({ kind: 'read', pass, settings }, { lane: LANE, onStage })),
    wanted,
    (next) => readingStore.setState({ asking: next }),
    ({ result: { reading, marks, timeS, wayM, facts } }) =>
      readingStore.setState(({ readings: kept }) => {
        const next = new Map(kept).set(key, { reading, marks, timeS, wayM, facts });
        for (const oldest of next.keys()) {
          if (next.size <= MOST_READINGS) break;
          next.delete(oldest);
        }
        return { readings: next };
      }),
  );
}

export const stopReading = (): void => benchWorker().cancel(LANE);
