import type { PassSpec } from '@/core/bench/passSource';
import type { Settings } from '@/core/picture';
import { benchWorker, recordingWorker } from '@/workers';
import { withRecording } from './recordings';

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
    benchWorker().run({ kind: 'pings', pass, settings, beams: 'all' }, { lane: 'pings' }),
  );
  const { recording } = result;
  const transfer = recording.stretches.flatMap(({ channels }) =>
    channels.map((c) => c.levelDb.buffer as ArrayBuffer),
  );
  const written = await recordingWorker().run(
    { kind: 'write-recording', recording, provenance },
    { lane: 'write', transfer },
  );
  return written.result.bytes;
}
