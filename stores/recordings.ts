import type { PassSpec } from '@/core/bench/passSource';
import { benchWorker, TaskFailed } from '@/workers';

/** Files are opened and kept by what is loaded when the first is wanted. */
const recordingFiles = () => import('./recordingFiles');
type RecordingFiles = Awaited<ReturnType<typeof recordingFiles>>;

export const takeRecordingToBench: RecordingFiles['takeRecordingToBench'] = async (file) =>
  (await recordingFiles()).takeRecordingToBench(file);

export const takeKeptToBench: RecordingFiles['takeKeptToBench'] = async (item) =>
  (await recordingFiles()).takeKeptToBench(item);

export const takeScreenPictureToBench: RecordingFiles['takeScreenPictureToBench'] = async (
  picture,
  calibration,
  face,
) => (await recordingFiles()).takeScreenPictureToBench(picture, calibration, face);

/** Asks a worker; where it lacks the pass's recording (it was started anew) the file is read again first. */
export async function withRecording<T>(
  { source }: PassSpec,
  ask: () => Promise<T>,
  worker = benchWorker(),
): Promise<T> {
  try {
    return await ask();
  } catch (error) {
    if (!(error instanceof TaskFailed && error.code === 'missing' && source.kind === 'recording'))
      throw error;
    const { providedOnce } = await recordingFiles();
    await providedOnce(source.fingerprint, worker);
    return ask();
  }
}
