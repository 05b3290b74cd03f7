import { deepestOf, passKey, soundingRequest, type PassSpec } from '@/core/bench';
import type { Settings } from '@/core/picture';
import { durationOf, pingCountOf, recordingOf, type Recording } from '@/core/recording';
import { simulate } from '@/core/sounder';
import type { HoldTask, PassFacts, PingsTask, Stage } from '../protocol';
import { Refused, type Answer } from './answer';

/** Passes kept ready: going back to a beam or a ping rate just left costs nothing. */
const PASSES_KEPT = 4;
/** Recordings kept: they are large. */
const RECORDINGS_KEPT = 2;
/** The window listens this much deeper than the bed, so that most range changes need no new pings. */
const LISTEN_BEYOND = 1.4;

interface Held {
  key: string;
  recording: Recording;
  facts: PassFacts;
}

const held: Held[] = [];
const files = new Map<string, Pick<HoldTask, 'recording' | 'durationS'>>();

/** Keeps a recording for the passes that are read from it. */
export function holdRecording({ fingerprint, recording, durationS }: HoldTask): Answer {
  files.delete(fingerprint);
  files.set(fingerprint, { recording, durationS });
  for (const oldest of files.keys()) {
    if (files.size <= RECORDINGS_KEPT) break;
    files.delete(oldest);
  }
  return { result: { kind: 'hold' } };
}

/** How deep a recording listened, m. */
const listenedTo = ({ stretches }: Recording): number =>
  Math.max(
    ...stretches.flatMap(({ channels }) =>
      channels.map((c) => c.firstRangeM + c.sampleCount * c.sampleStepM),
    ),
  );

function factsOf(recording: Recording, teaches: string, deepestM: number): PassFacts {
  const faces = new Map<string, { id: string; label: string }>();
  for (const { channels } of recording.stretches)
    for (const { id, label } of channels) faces.set(id, { id, label });
  return {
    title: recording.title,
    teaches,
    durationS: durationOf(recording),
    pingCount: pingCountOf(recording),
    faces: [...faces.values()],
    deepestM,
  };
}

function fileFor(spec: PassSpec & { source: { kind: 'recording' } }): Held {
  const file = files.get(spec.source.fingerprint);
  if (!file) throw new Refused(`The recording ${spec.source.name} is not open. Open it again.`, 'missing');
  const { recording, durationS } = file;
  const facts = factsOf(recording, '', listenedTo(recording));
  return { key: passKey(spec), recording, facts: durationS === null ? facts : { ...facts, durationS } };
}

const isFile = (spec: PassSpec): spec is PassSpec & { source: { kind: 'recording' } } =>
  spec.source.kind === 'recording';

/** The pass of a spec: simulated where it is not held, a recording where it was given. @throws Refused for one that was not */
export function passFor(
  spec: PassSpec,
  settings: Settings,
  tell: (stage: Stage) => void,
): Held & { sounded: boolean } {
  if (isFile(spec)) return { ...fileFor(spec), sounded: false };
  const { source, rig } = spec as { source: Exclude<PassSpec['source'], { kind: 'recording' }> } & PassSpec;
  const deepestM = deepestOf(source);
  const rangeM = Math.max(settings.rangeM, Math.ceil(LISTEN_BEYOND * deepestM));
  const { faceId, blend, pingRate, power } = settings;
  const sounding = { faceId, blend, pingRate, power, rangeM };
  // How much of a second beam is laid in needs no new pings.
  const key = JSON.stringify([passKey(spec), { ...sounding, blend: blend?.faceId ?? null }]);
  const at = held.findIndex((h) => h.key === key);
  if (at >= 0) {
    const [found] = held.splice(at, 1);
    held.push(found!);
    return { ...found!, sounded: false };
  }
  tell('sounding');
  const request = soundingRequest(source, rig, sounding);
  const recording = recordingOf([simulate(request)]);
  const faces = rig.faces.map(({ id, label }) => ({ id, label }));
  const made: Held = {
    key,
    recording,
    facts: { ...factsOf(recording, request.scene.teaches, deepestM), faces },
  };
  held.push(made);
  if (held.length > PASSES_KEPT) held.shift();
  return { ...made, sounded: true };
}

/** Copies of a pass's pings, handed over. */
export function pings({ pass, settings, beams }: PingsTask, tell: (stage: Stage) => void): Answer {
  const { recording, facts } = passFor(pass, settings, tell);
  const stretches = recording.stretches.map((stretch) => ({
    ...stretch,
    channels: stretch.channels
      .filter(({ id }) => beams === 'all' || id === settings.faceId)
      .map((channel) => ({ ...channel, levelDb: channel.levelDb.slice() })),
  }));
  return {
    result: { kind: 'pings', recording: { ...recording, stretches }, facts },
    transfer: stretches.flatMap(({ channels }) => channels.map((c) => c.levelDb.buffer as ArrayBuffer)),
  };
}
