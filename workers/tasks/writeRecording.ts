import { File as H5File, FS, ready } from 'h5wasm';
import { writeRecordingFile } from '@/core/formats/writeRecordingFile';
import type { WriteRecordingTask } from '../protocol';
import type { Answer } from './answer';

const PATH = 'written';

/** A recording as the bytes of its file. @throws RangeError for one of several stretches */
export async function writeRecording({ recording, provenance }: WriteRecordingTask): Promise<Answer> {
  const library = await ready;
  library.activate_throwing_error_handler();
  const file = new H5File(PATH, 'w', { track_order: true });
  try {
    writeRecordingFile(file, recording, provenance);
    file.close();
    const bytes = new Uint8Array(FS!.readFile(PATH) as Uint8Array);
    return { result: { kind: 'write-recording', bytes }, transfer: [bytes.buffer] };
  } finally {
    FS!.unlink(PATH);
  }
}
