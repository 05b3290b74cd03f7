import { File as H5File, FS, ready } from 'h5wasm';
import {
  checkRecordingBytes,
  DAMAGED,
  LARGEST_RECORDING_FILE,
  readRecordingFile,
  RecordingProblem,
} from '@/core/formats/readRecordingFile';
import type { OpenRecordingTask } from '../protocol';
import { Refused, type Answer } from './answer';

const PATH = 'recording';

/** Opens a recording file whole or not at all. @throws Refused with one sentence */
export async function openRecording({ file }: OpenRecordingTask): Promise<Answer> {
  if (file.size > LARGEST_RECORDING_FILE)
    throw new Refused(
      `This file is ${Math.ceil(file.size / 1e6)} MB. A recording has at most ${LARGEST_RECORDING_FILE / 1e6} MB. Nothing was changed.`,
    );
  const bytes = new Uint8Array(await file.arrayBuffer());
  try {
    checkRecordingBytes(bytes);
  } catch (error) {
    throw new Refused(error instanceof Error ? error.message : String(error));
  }
  const library = await ready;
  library.activate_throwing_error_handler();
  FS!.writeFile(PATH, bytes);
  let opened: H5File | null = null;
  try {
    opened = new H5File(PATH, 'r');
    const recording = readRecordingFile(opened, file.size);
    const transfer = recording.stretches.flatMap(({ channels }) =>
      channels.map((c) => c.levelDb.buffer as ArrayBuffer),
    );
    return { result: { kind: 'open-recording', recording }, transfer: [...new Set(transfer)] };
  } catch (error) {
    throw new Refused(error instanceof RecordingProblem ? error.message : DAMAGED);
  } finally {
    opened?.close();
    FS!.unlink(PATH);
  }
}
