import * as v from 'valibot';
import { BriefSchema } from '@/core/advice';
import { SettingsSchema } from '@/core/picture';

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

/** One kept pass: what was set, what was seen, what it was taken for. */
export const EntrySchema = v.object({
  id: v.pipe(v.string(), v.minLength(1), v.maxLength(64)),
  /** When it was kept, ISO 8601 in UTC. */
  keptAt: v.pipe(v.string(), v.isoTimestamp()),
  title: v.pipe(v.string(), v.maxLength(120)),
  /** The user's own reading of the pass, in their words. */
  call: v.pipe(v.string(), v.maxLength(200)),
  note: v.pipe(v.string(), v.maxLength(4000)),
  seed: v.pipe(finite(0, 4294967295), v.integer()),
  brief: BriefSchema,
  settings: SettingsSchema,
  marks: v.pipe(v.array(KeptMarkSchema), v.maxLength(2000)),
});
export type Entry = v.InferOutput<typeof EntrySchema>;

/** Most entries a log holds. */
export const MOST_ENTRIES = 10_000;

export const LogSchema = v.pipe(v.array(EntrySchema), v.maxLength(MOST_ENTRIES));

/** A log with an entry put in, newest first; one of the same id is replaced. */
export const withEntry = (log: readonly Entry[], entry: Entry): Entry[] =>
  [entry, ...log.filter((e) => e.id !== entry.id)].sort((a, b) => (a.keptAt < b.keptAt ? 1 : -1));

export const withoutEntry = (log: readonly Entry[], id: string): Entry[] => log.filter((e) => e.id !== id);

/** A log with another's entries added; what both have is taken from the other. */
export const mergeLogs = (log: readonly Entry[], other: readonly Entry[]): Entry[] =>
  other.reduce<Entry[]>((all, entry) => withEntry(all, entry), [...log]);
