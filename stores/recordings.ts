import type { PassSpec } from '@/core/bench/passSource';
import { accepted, refused, type Result } from '@/core/formats';
import { benchWorker, recordingWorker, TaskFailed, type WorkerClient } from '@/workers';

/** Recording files opened since the app began, by fingerprint. A browser gives them up with the page. */
const files = new Map<string, File>();

/** Tells a file from another of its name. */
const fingerprintOf = ({ size, lastModified }: File): string => `${size}-${lastModified}`;

/** Reads a file and gives its pings to a worker. */
async function provide(fingerprint: string, worker: WorkerClient): Promise<readonly string[]> {
  const file = files.get(fingerprint);
  if (!file) throw new Error('This recording is no longer open. Open its file again.');
  const { result } = await recordingWorker().run({ kind: 'open-recording', file }, { lane: 'open' });
  const { recording } = result;
  const faceIds = recording.stretches.flatMap(({ channels }) => channels.map((c) => c.id));
  const transfer = recording.stretches.flatMap(({ channels }) =>
    channels.map((c) => c.levelDb.buffer as ArrayBuffer),
  );
  await worker.run(
    { kind: 'hold', fingerprint, recording },
    { lane: `hold-${fingerprint}`, transfer: [...new Set(transfer)] },
  );
  return [...new Set(faceIds)];
}

/** A recording that is open: where its pass comes from, and the beams it has. */
export interface OpenedRecording {
  source: Extract<PassSpec['source'], { kind: 'recording' }>;
  faceIds: readonly string[];
}

/** Opens a recording file for the bench; what is wrong with it is said in one sentence, and nothing is changed. */
export async function openRecordingFile(file: File): Promise<Result<OpenedRecording>> {
  const fingerprint = fingerprintOf(file);
  files.set(fingerprint, file);
  try {
    const faceIds = await provide(fingerprint, benchWorker());
    const source = { kind: 'recording', name: file.name.slice(0, 200), fingerprint } as const;
    return accepted({ source, faceIds });
  } catch (error) {
    files.delete(fingerprint);
    return refused(error instanceof Error ? error.message : String(error), 'damaged');
  }
}

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
    await provide(source.fingerprint, worker);
    return ask();
  }
}
