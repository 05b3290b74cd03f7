import type { PassSpec } from '@/core/bench/passSource';
import { accepted, DONE, refused, type Result } from '@/core/formats';
import type { Recording } from '@/core/recording';
import type { Settings } from '@/core/picture';
import type { Face } from '@/core/rig';
import type { PixelImage, ScreenCalibration } from '@/core/screenPicture';
import { benchWorker, recordingWorker, sideWorker, TaskFailed, type WorkerClient } from '@/workers';
import { newId } from './newId';
import { passStore, takeToBench } from './pass';

/** Recording files opened since the app began, by fingerprint. A browser gives them up with the page. */
const files = new Map<string, File>();

/** Recordings made of pictures of a screen since then. */
const made = new Map<string, Recording>();
/** Most of them that are held. */
const MOST_MADE = 4;

/** Tells a file from another of its name. */
const fingerprintOf = ({ size, lastModified }: File): string => `${size}-${lastModified}`;

/** Reads a file and gives its pings to a worker. */
async function provide(fingerprint: string, worker: WorkerClient): Promise<readonly string[]> {
  const own = made.get(fingerprint);
  if (own) {
    await worker.run({ kind: 'hold', fingerprint, recording: own }, { lane: `hold-${fingerprint}` });
    return own.stretches.flatMap(({ channels }) => channels.map((c) => c.id));
  }
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
async function openRecordingFile(file: File): Promise<Result<OpenedRecording>> {
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

/** Opens a recording file and puts it on the bench: a recording has beams of its own. */
export async function takeRecordingToBench(file: File): Promise<Result> {
  const opened = await openRecordingFile(file);
  if (!opened.ok) return opened;
  const { source, faceIds } = opened.value;
  const { pass, settings } = passStore.getState();
  const faceId = faceIds.includes(settings.faceId) ? settings.faceId : faceIds[0]!;
  takeToBench({ source, rig: pass.rig }, { ...settings, faceId, blend: null, power: 'full' });
  return DONE;
}

/** A pass of a picture of a screen; what is wrong with it is said in one sentence, and nothing is changed. */
export async function openScreenPicture(
  image: PixelImage,
  calibration: ScreenCalibration,
  face: Face,
  name: string,
): Promise<Result<OpenedRecording>> {
  const title = name.slice(0, 100) || 'A picture of a screen';
  try {
    const { result } = await sideWorker().run(
      { kind: 'screen-picture', image, calibration, face, title },
      { lane: 'screen-picture' },
    );
    const fingerprint = `picture-${newId()}`;
    made.set(fingerprint, result.recording);
    for (const oldest of made.keys()) {
      if (made.size <= MOST_MADE) break;
      made.delete(oldest);
    }
    await provide(fingerprint, benchWorker());
    const source = { kind: 'recording', name: title, fingerprint, placeless: true } as const;
    return accepted({ source, faceIds: [face.id] });
  } catch (error) {
    const words = (error instanceof Error ? error.message : String(error)).replace(/^screen picture: /, '');
    return refused(`${words.charAt(0).toUpperCase()}${words.slice(1)}. Nothing was changed.`, 'damaged');
  }
}

/** The file of a pass's pings. @throws TaskFailed, or a plain sentence for a recording that is no longer open */
export async function recordingFileOf(pass: PassSpec, settings: Settings): Promise<Uint8Array<ArrayBuffer>> {
  const { source } = pass;
  const provenance =
    source.kind === 'recording'
      ? source.placeless
        ? 'made of a picture of a screen, relative levels'
        : `read from ${source.name}`
      : `simulated, ${source.kind === 'scene' ? `scene ${source.sceneId}` : 'water of a brief'}, seed ${source.seed}`;
  const { result } = await withRecording(pass, () =>
    benchWorker().run({ kind: 'pings', pass, settings }, { lane: 'pings' }),
  );
  const { recording } = result;
  const written = await recordingWorker().run(
    { kind: 'write-recording', recording, provenance },
    { lane: 'write' },
  );
  return written.result.bytes;
}

/** Recordings on their way to a worker: drawing and reading that both lack one wait for the same. */
const onTheirWay = new Map<string, { worker: WorkerClient; given: Promise<unknown> }>();

function providedOnce(fingerprint: string, worker: WorkerClient): Promise<unknown> {
  const going = onTheirWay.get(fingerprint);
  if (going?.worker === worker) return going.given;
  const given = provide(fingerprint, worker).finally(() => onTheirWay.delete(fingerprint));
  onTheirWay.set(fingerprint, { worker, given });
  return given;
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
    await providedOnce(source.fingerprint, worker);
    return ask();
  }
}
