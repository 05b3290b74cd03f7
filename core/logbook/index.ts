export {
  compareLogs,
  logComparer,
  EntrySchema,
  KeptMarkSchema,
  MOST_ENTRIES,
  MOST_KEPT_MARKS,
  withEntries,
  withoutEntry,
  entriesWith,
  type Entry,
  type KeptMark,
  type LogComparison,
} from './entry';
export { bedPlaces, keptMark } from './keep';
export {
  CALLED,
  calledBy,
  correctionOf,
  CorrectionsSchema,
  MOST_CORRECTIONS,
  MOST_PARTS,
  readerRecord,
  withCorrection,
  withoutCorrection,
  type Called,
  type Correction,
  type ReaderRecord,
} from './correction';
