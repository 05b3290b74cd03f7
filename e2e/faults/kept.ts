import { writeFileSync } from 'node:fs';
import path from 'node:path';
import { FIRST_BRIEF, startSetup } from '@/core/advice';
import { ENTRY_FORMAT, writeLogFile, writeText } from '@/core/formats';
import type { Entry } from '@/core/logbook';
import { GENERIC_RIG } from '@/core/rig';

const { settings } = startSetup(FIRST_BRIEF, GENERIC_RIG);

/** An entry made for a test: its id in its call. */
export const entryOf = (id: string, k = 0, change: Partial<Entry> = {}): Entry => ({
  id,
  keptAt: new Date(1.78e12 + 60_000 * k).toISOString(),
  title: 'Your water: a shelf',
  call: `Call ${id}`,
  note: '',
  source: { kind: 'brief', brief: FIRST_BRIEF, seed: 1, water: 2 },
  rig: GENERIC_RIG,
  settings,
  corrections: [],
  marks: Array.from({ length: 8 }, (_, m) => ({
    kind: 'fish',
    shape: 'arch',
    rangeM: 6 + 0.5 * m,
    heightM: 0.4,
    strengthDb: -36,
    confidence: 0.9,
    timeS: 12 * m,
    latitudeDeg: -47.3,
    longitudeDeg: -124.9,
  })),
  ...change,
});

/** Entries of one name: `a-1`, `a-2`… */
export const entriesOf = (name: string, count: number): Entry[] =>
  Array.from({ length: count }, (_, k) => entryOf(`${name}-${k + 1}`, k));

/** A log file of entries. */
export function logFileOf(folder: string, name: string, entries: readonly Entry[]): string {
  const file = path.join(folder, `${name}.json`);
  writeFileSync(file, writeLogFile(entries));
  return file;
}

/** An entry as it lies on the device. */
export const stored = (entry: Entry): [string, string] => [`log/${entry.id}`, writeText(ENTRY_FORMAT, entry)];
