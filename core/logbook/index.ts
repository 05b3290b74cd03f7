export {
  EntrySchema,
  KeptMarkSchema,
  LogSchema,
  mergeLogs,
  MOST_ENTRIES,
  withEntry,
  withoutEntry,
  type Entry,
  type KeptMark,
} from './entry';
export { keptMark } from './keep';
