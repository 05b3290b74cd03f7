// Left out, since they bring large libraries: ./exchange, ./readRecordingFile and ./writeRecordingFile, imported where they are needed.
export {
  ENTRY_FORMAT,
  LARGEST_LOG_FILE,
  logFileParts,
  readLogFile,
  tooLarge,
  wholeObjects,
  writeLogFile,
} from './logFile';
export {
  enveloped,
  openData,
  openEnvelope,
  openText,
  parseJson,
  versionOf,
  writeText,
  type Format,
  type Migration,
} from './envelope';
export { accepted, DONE, problemOf, refused, type RefusalCause, type Result } from './result';
export { issueSentence } from './issueWords';
export {
  LARGEST_PLAN_FILE,
  PLAN_FORMAT,
  PlanSchema,
  readPlanFile,
  withHolds,
  writePlanFile,
  type Plan,
} from './planFile';
