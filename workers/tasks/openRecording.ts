import { File as H5File, FS, ready } from 'h5wasm';
import {
  checkRecordingBytes,
  DAMAGED,
  readRecordingFile,
  RecordingProblem,
} from '@/core/formats/readRecordingFile';
import { durationOf } from '@/core/recording';
import type { OpenRecordingTask, Part } from '../protocol';
import { Refused, type Answer } from './answer';
import { readAhead, type BlobFileSystem } from './readAhead';

/** Where the library finds the file: it is read in pieces where it lies, and never held whole. */
const FOLDER = '/opened';
const NAME = 'recording';
/** As much of a file as tells its kind, bytes. */
const HEAD = 4096;

/** Opens a recording file whole or not at all; the beginning of a long one is given before. @throws Refused with one sentence */
export async function openRecording(
  { file }: OpenRecordingTask,
  give: (part: Part) => void,
): Promise<Answer> {
  try {
    checkRecordingBytes(new Uint8Array(await file.slice(0, HEAD).arrayBuffer()), file.size);
  } catch (error) {
    throw new Refused(error instanceof Error ? error.message : String(error));
  }
  const library = await ready;
  library.activate_throwing_error_handler();
  const fs = FS!;
  if (!fs.analyzePath(FOLDER).exists) fs.mkdir(FOLDER);
  const letGo = readAhead(fs.filesystems.WORKERFS as BlobFileSystem);
  fs.mount(fs.filesystems.WORKERFS, { blobs: [{ name: NAME, data: file }] }, FOLDER);
  let opened: H5File | null = null;
  try {
    opened = new H5File(`${FOLDER}/${NAME}`, 'r');
    const recording = readRecordingFile(opened, file.size, (beginning, durationS) =>
      give({
        share: durationOf(beginning) / durationS,
        result: { kind: 'open-recording', recording: beginning, durationS },
      }),
    );
    const transfer = recording.stretches.flatMap(({ channels }) =>
      channels.map((c) => c.levelDb.buffer as ArrayBuffer),
    );
    return {
      result: { kind: 'open-recording', recording, durationS: durationOf(recording) },
      transfer: [...new Set(transfer)],
    };
  } catch (error) {
    throw new Refused(error instanceof RecordingProblem ? error.message : DAMAGED);
  } finally {
    opened?.close();
    fs.unmount(FOLDER);
    letGo();
  }
}
