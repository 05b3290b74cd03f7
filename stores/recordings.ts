import type { PassSpec } from '@/core/bench/passSource';
import { benchWorker, TaskFailed } from '@/workers';
import { restOf } from './restOfRecording';

/** Files are opened and kept by what is loaded when the first is wanted. */
const recordingFiles = () => import('./recordingFiles');
type RecordingFiles = Awaited<ReturnType<typeof recordingFiles>>;

export const getReadyForRecordings = async (): Promise<void> => (await recordingFiles()).getReady();

export const takeRecordingToBench: RecordingFiles['takeRecordingToBench'] = async (file) =>
  (await recordingFiles()).takeRecordingToBench(file);

export const takeKeptToBench: RecordingFiles['takeKeptToBench'] = async (item) =>
  (await recordingFiles()).takeKeptToBench(item);

export const takeScreenPictureToBench: RecordingFiles['takeScreenPictureToBench'] = async (picture, screen) =>
  (await recordingFiles()).takeScreenPictureToBench(picture, screen);

/**
 * Asks a worker; where it lacks the pass's recording (it was started anew) the file is read again first.
 * @param beginning whether the beginning of a long one will do while the rest is on its way
 */
export async function withRecording<T>(
  pass: PassSpec,
  ask: () => Promise<T>,
  worker = benchWorker(),
  beginning = false,
): Promise<T> {
  const { source } = pass;
  try {
    if (!beginning) await restOf(pass);
    return await ask();
  } catch (error) {
    if (!(error instanceof TaskFailed && error.code === 'missing' && source.kind === 'recording'))
      throw error;
    const { providedOnce } = await recordingFiles();
    await providedOnce(source.fingerprint, worker);
    if (!beginning) await restOf(pass);
    return ask();
  }
}
