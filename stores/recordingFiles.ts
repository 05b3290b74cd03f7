import type { PassSpec } from '@/core/bench/passSource';
import { accepted, DONE, refused, type Result } from '@/core/formats';
import type { Recording } from '@/core/recording';
import type { KeptFile } from '@/core/formats/keptFile';
import { drawnAsItWas, type PixelImage } from '@/core/screenPicture';
import { benchWorker, recordingWorker, secondWorker, sideWorker, type WorkerClient } from '@/workers';
import { keepFile, keptFile } from './keptFiles';
import { newId } from './newId';
import { notify } from './notices';
import { passStore, takeToBench } from './pass';
import { comes } from './restOfRecording';

/** Recording files opened since the app began, by fingerprint; the device may have had no room to keep them. */
const files = new Map<string, Blob>();

/** Recordings made of pictures of a screen since then. */
const made = new Map<string, Recording>();
/** Most of them that are held. */
const MOST_MADE = 4;

/** Tells a file from another of its name. */
const fingerprintOf = ({ size, lastModified }: File): string => `${size}-${lastModified}`;

/** How a picture of a screen is read, and the beams it is of. */
type Screen = NonNullable<KeptFile['screen']>;

/** Makes a recording of a picture of a screen, and holds it. */
async function makeOfPicture(
  fingerprint: string,
  image: PixelImage,
  { calibration, face, more }: Screen,
  title: string,
): Promise<Recording> {
  const { result } = await sideWorker().run(
    { kind: 'screen-picture', image, calibration, face, more, title },
    { lane: 'screen-picture' },
  );
  made.set(fingerprint, result.recording);
  for (const oldest of made.keys()) {
    if (made.size <= MOST_MADE) break;
    made.delete(oldest);
  }
  return result.recording;
}

const sayWrong = (error: unknown): void => notify(error instanceof Error ? error.message : String(error));

/** Gets ready to open and read recordings: what reads them starts while a file is still being chosen. */
export function getReady(): void {
  recordingWorker().begin();
  secondWorker().begin();
}

const NOT_HERE = 'This recording is no longer on this device. Open its file again.';

const levelsOf = ({ stretches }: Recording): ArrayBuffer[] => [
  ...new Set(stretches.flatMap(({ channels }) => channels.map((c) => c.levelDb.buffer as ArrayBuffer))),
];

const facesOf = ({ stretches }: Recording): readonly string[] => [
  ...new Set(stretches.flatMap(({ channels }) => channels.map((c) => c.id))),
];

/**
 * Reads a file and gives its pings to a worker. For the bench it is done as soon as the beginning of a long one is there; the rest
 * comes by itself.
 */
async function provide(
  fingerprint: string,
  worker: WorkerClient,
): Promise<{ faceIds: readonly string[]; whole: Promise<unknown> }> {
  const hold = (recording: Recording, durationS: number | null): Promise<unknown> =>
    worker.run(
      { kind: 'hold', fingerprint, recording, durationS },
      {
        lane: `hold-${fingerprint}`,
        // A picture's recording is kept here too.
        transfer: recording === own ? [] : levelsOf(recording),
      },
    );
  let own = made.get(fingerprint);
  const kept = own || files.has(fingerprint) ? null : await keptFile(fingerprint);
  if (kept?.item.screen) {
    const { openPicture } = await import('./openPicture');
    const image = await openPicture(kept.file);
    if (!image.ok) throw new Error(image.problem);
    own = await makeOfPicture(fingerprint, image.value, kept.item.screen, kept.item.name);
  }
  if (own) {
    await hold(own, null);
    return { faceIds: facesOf(own), whole: Promise.resolve() };
  }
  const file = files.get(fingerprint) ?? kept?.file;
  if (!file) throw new Error(NOT_HERE);
  // What is looked at and read part by part may begin with the beginning; who asks another worker wants all of it.
  const early = worker === benchWorker();
  let tellBegun: (begun: readonly string[]) => void = () => undefined;
  const beginning = new Promise<readonly string[]>((resolve) => (tellBegun = resolve));
  const held: Promise<unknown>[] = [];
  const whole = recordingWorker()
    .run(
      { kind: 'open-recording', file },
      {
        lane: 'open',
        onPart: ({ result }) => {
          if (!early || result.kind !== 'open-recording') return;
          const { recording, durationS } = result;
          const faceIds = facesOf(recording);
          // Where this fails the whole is still to come.
          held.push(
            hold(recording, durationS).then(
              () => tellBegun(faceIds),
              () => undefined,
            ),
          );
        },
      },
    )
    .then(async ({ result: { recording } }) => {
      // What it read through is as large as the file.
      recordingWorker().end();
      await Promise.all(held);
      const faceIds = facesOf(recording);
      await hold(recording, null);
      if (held.length > 0) drawAgain(fingerprint);
      return faceIds;
    });
  if (early) comes(fingerprint, whole);
  return { faceIds: await Promise.race([beginning, whole]), whole };
}

/** The pass on the bench is drawn anew when the rest of it has come. */
function drawAgain(fingerprint: string): void {
  const { pass } = passStore.getState();
  if (pass.source.kind === 'recording' && pass.source.fingerprint === fingerprint)
    passStore.setState({ pass: { ...pass } });
}

/** A recording that is open: where its pass comes from, and the beams it has. */
export interface OpenedRecording {
  source: Extract<PassSpec['source'], { kind: 'recording' }>;
  faceIds: readonly string[];
  /** Done when all of it is on the bench. */
  whole: Promise<unknown>;
}

/** Opens a recording for the bench; what is wrong with it is said in one sentence, and nothing is changed. */
async function openRecording(name: string, fingerprint: string): Promise<Result<OpenedRecording>> {
  try {
    const { faceIds, whole } = await provide(fingerprint, benchWorker());
    const source = { kind: 'recording', name: name.slice(0, 200), fingerprint } as const;
    return accepted({ source, faceIds, whole });
  } catch (error) {
    return refused(error instanceof Error ? error.message : String(error), 'damaged');
  }
}

/** Puts an opened recording on the bench: it has beams of its own. */
function toBench({ source, faceIds }: OpenedRecording): void {
  const { pass, settings } = passStore.getState();
  const faceId = faceIds.includes(settings.faceId) ? settings.faceId : faceIds[0]!;
  takeToBench({ source, rig: pass.rig }, { ...settings, faceId, blend: null, power: 'full' });
}

/**
 * Opens a recording file, puts it on the bench and keeps it on the device. Of a long one the beginning is there first; one that turns
 * out to be damaged further on is taken away again.
 */
export async function takeRecordingToBench(file: File): Promise<Result> {
  const fingerprint = fingerprintOf(file);
  const { pass, settings } = passStore.getState();
  files.set(fingerprint, file);
  const opened = await openRecording(file.name, fingerprint);
  if (!opened.ok) {
    files.delete(fingerprint);
    return opened;
  }
  toBench(opened.value);
  const { source } = opened.value;
  void opened.value.whole.then(
    () => keepFile({ id: fingerprint, name: source.name, screen: null }, file),
    (error: unknown) => {
      files.delete(fingerprint);
      const now = passStore.getState().pass.source;
      if (now.kind === 'recording' && now.fingerprint === fingerprint) takeToBench(pass, settings);
      sayWrong(error);
    },
  );
  return DONE;
}

/** Puts a recording or a picture that is kept on the bench. */
export async function takeKeptToBench({ id, name, screen }: KeptFile): Promise<Result> {
  const opened = await openRecording(name, id);
  if (!opened.ok) return opened;
  const { source, whole } = opened.value;
  whole.catch(sayWrong);
  if (!screen) toBench(opened.value);
  else showPicture({ ...source, placeless: true }, screen);
  return DONE;
}

/** Puts a picture on the bench, at the range it was drawn at. */
function showPicture(source: OpenedRecording['source'], { calibration, face }: Screen): void {
  const { pass, settings } = passStore.getState();
  const feet = [calibration, ...calibration.panels].map(
    ({ depths: [a, b] }) => a.depthM + ((1 - a.down) / (b.down - a.down)) * (b.depthM - a.depthM),
  );
  takeToBench({ source, rig: pass.rig }, { ...drawnAsItWas(settings, Math.max(...feet)), faceId: face.id });
}

/**
 * A pass of a picture of a screen, put on the bench and kept with its file; what is wrong with it is said in one sentence, and
 * nothing is changed.
 */
export async function takeScreenPictureToBench(
  { file, image, name }: { file: Blob; image: PixelImage; name: string },
  screen: Screen,
): Promise<Result> {
  const title = name.slice(0, 100) || 'A picture of a screen';
  const fingerprint = `picture-${newId()}`;
  try {
    await makeOfPicture(fingerprint, image, screen, title);
    await provide(fingerprint, benchWorker());
  } catch (error) {
    const words = (error instanceof Error ? error.message : String(error)).replace(/^screen picture: /, '');
    return refused(`${words.charAt(0).toUpperCase()}${words.slice(1)}. Nothing was changed.`, 'damaged');
  }
  showPicture({ kind: 'recording', name: title, fingerprint, placeless: true }, screen);
  void keepFile({ id: fingerprint, name: title, screen }, file);
  return DONE;
}

/** Recordings on their way to a worker. */
const onTheirWay = new Map<string, { worker: WorkerClient; given: Promise<unknown> }>();

/** Gives a worker a recording it lacks: drawing and reading that both lack one wait for the same. */
export function providedOnce(fingerprint: string, worker: WorkerClient): Promise<unknown> {
  const going = onTheirWay.get(fingerprint);
  if (going?.worker === worker) return going.given;
  const given = provide(fingerprint, worker)
    .then(({ whole }) => void whole.catch(sayWrong))
    .finally(() => onTheirWay.delete(fingerprint));
  onTheirWay.set(fingerprint, { worker, given });
  return given;
}
