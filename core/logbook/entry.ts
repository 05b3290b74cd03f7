import * as v from 'valibot';
import { PassSourceSchema } from '@/core/bench/passSource';
import { SettingsSchema } from '@/core/picture';
import { RigSchema } from '@/core/rig';
import { CorrectionsSchema } from './correction';

const finite = (low: number, high: number) =>
  v.pipe(v.number(), v.finite(), v.minValue(low), v.maxValue(high));

/** What a finding was called when it was kept, and where it lies. */
export const KeptMarkSchema = v.object({
  kind: v.picklist(['fish', 'cloud', 'cover']),
  shape: v.nullable(
    v.picklist(['arch', 'half', 'clip', 'line', 'thread', 'streak', 'dash', 'dot', 'nothing']),
  ),
  rangeM: finite(0, 2000),
  heightM: finite(0, 2000),
  strengthDb: v.nullable(finite(-200, 200)),
  confidence: finite(0, 1),
  /** Seconds into the pass. */
  timeS: finite(0, 1e6),
  latitudeDeg: finite(-90, 90),
  longitudeDeg: finite(-180, 180),
});
export type KeptMark = v.InferOutput<typeof KeptMarkSchema>;

/** Most marks kept with a pass. */
export const MOST_KEPT_MARKS = 2000;

/** One kept pass: all it was made with, what was seen, what it was taken for. */
export const EntrySchema = v.object({
  id: v.pipe(v.string(), v.minLength(1), v.maxLength(64)),
  /** When it was kept, ISO 8601 in UTC. */
  keptAt: v.pipe(v.string(), v.isoTimestamp()),
  title: v.pipe(v.string(), v.maxLength(120)),
  /** The user's own reading of the pass, in their words. */
  call: v.pipe(v.string(), v.maxLength(200)),
  note: v.pipe(v.string(), v.maxLength(4000)),
  source: PassSourceSchema,
  /** The boat it was made on; null in entries from before boats were kept with them. */
  rig: v.nullable(RigSchema),
  settings: SettingsSchema,
  marks: v.pipe(v.array(KeptMarkSchema), v.maxLength(MOST_KEPT_MARKS)),
  /** What was said for and against the reader; none in entries from before it could be. */
  corrections: v.optional(CorrectionsSchema, []),
});
export type Entry = v.InferOutput<typeof EntrySchema>;

/** Most entries a log holds. */
export const MOST_ENTRIES = 10_000;

/** Newest first; of one moment by id, so that the order is the same everywhere. */
const newestFirst = (a: Entry, b: Entry): number =>
  a.keptAt < b.keptAt ? 1 : a.keptAt > b.keptAt ? -1 : a.id < b.id ? 1 : a.id > b.id ? -1 : 0;

/** A log with entries put in, newest first; those of an id it has take its place. One sort, however many. */
export function withEntries(log: readonly Entry[], more: readonly Entry[]): Entry[] {
  const byId = new Map(log.map((entry) => [entry.id, entry]));
  for (const entry of more) byId.set(entry.id, entry);
  return [...byId.values()].sort(newestFirst);
}

/** Entries that have all of some words, in their call, note, title or boat; all where none are given. */
export function entriesWith(log: readonly Entry[], words: string): Entry[] {
  const wanted = words.toLowerCase().split(/\s+/).filter(Boolean);
  return log.filter(({ call, note, title, rig, keptAt }) => {
    const text = `${call} ${note} ${title} ${rig?.name ?? ''} ${keptAt}`.toLowerCase();
    return wanted.every((word) => text.includes(word));
  });
}

export const withoutEntry = (log: readonly Entry[], id: string): Entry[] => log.filter((e) => e.id !== id);

/** What another log would bring: entries that are new, how many are there already, and those both have with other words. */
export interface LogComparison {
  fresh: Entry[];
  same: number;
  conflicts: { mine: Entry; theirs: Entry }[];
}

/** Holds another log against this one; nothing is changed. */
export function compareLogs(log: readonly Entry[], other: readonly Entry[]): LogComparison {
  const { compare, comparison } = logComparer(log);
  other.forEach(compare);
  return comparison;
}

/** The same, an entry at a time: what has been compared so far stands in `comparison`. */
export function logComparer(log: readonly Entry[]): {
  compare: (theirs: Entry) => void;
  comparison: LogComparison;
} {
  const byId = new Map(log.map((entry) => [entry.id, entry]));
  const comparison: LogComparison = { fresh: [], same: 0, conflicts: [] };
  return {
    comparison,
    compare: (theirs) => {
      const mine = byId.get(theirs.id);
      if (!mine) comparison.fresh.push(theirs);
      else if (JSON.stringify(mine) === JSON.stringify(theirs)) comparison.same++;
      else comparison.conflicts.push({ mine, theirs });
    },
  };
}
