export {
  compareLogs,
  logComparer,
  EntrySchema,
  KeptMarkSchema,
  MOST_ENTRIES,
  withEntries,
  withoutEntry,
  type Entry,
  type KeptMark,
  type LogComparison,
} from './entry';
export { keptMark } from './keep';
