export { LARGEST_LOG_FILE, readLogFile, tooLarge, writeLogFile, type LogFileResult } from './logFile';
export { writeGpx } from './gpx';
export {
  checkRecordingBytes,
  LARGEST_RECORDING_FILE,
  readRecording,
  RecordingProblem,
  writeRecording,
} from './recordingFile';
