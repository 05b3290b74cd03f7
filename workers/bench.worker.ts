import { benchPass, faultMiniature, miniature } from '@/core/advice';
import { keptMark } from '@/core/logbook';
import { drawPicture, newDesk, type Settings } from '@/core/picture';
import { readChannel } from '@/core/reading';
import { channelOf, type Recording } from '@/core/recording';
import { placeFromFace } from '@/core/rig';
import { simulate } from '@/core/sounder';
import type { FromWorker, PassFacts, PassSpec, Stage, Task, ToWorker } from './protocol';

/** Passes kept ready: going back to a beam or a ping rate just left costs nothing. */
const PASSES_KEPT = 4;
/** The window listens this much deeper than the bed, so that most range changes need no new pings. */
const LISTEN_BEYOND = 1.4;

interface Held {
  key: string;
  recording: Recording;
  facts: PassFacts;
}

const held: Held[] = [];
const desk = newDesk();

function passFor(
  spec: PassSpec,
  settings: Settings,
  tell: (stage: Stage) => void,
): Held & { sounded: boolean } {
  const rangeM = Math.max(settings.rangeM, Math.ceil(LISTEN_BEYOND * spec.brief.toM));
  const { faceId, pingRate, power } = settings;
  const sounding = { faceId, pingRate, power, rangeM };
  const key = JSON.stringify([spec, sounding]);
  const at = held.findIndex((h) => h.key === key);
  if (at >= 0) {
    const [found] = held.splice(at, 1);
    held.push(found!);
    return { ...found!, sounded: false };
  }
  tell('sounding');
  const request = benchPass(spec.brief, spec.rig, sounding, spec.seed);
  const recording = simulate(request);
  const { timeS } = recording.navigation;
  const made: Held = {
    key,
    recording,
    facts: {
      title: recording.title,
      teaches: request.scene.teaches,
      durationS: timeS[timeS.length - 1] ?? 0,
      pingCount: timeS.length,
    },
  };
  held.push(made);
  if (held.length > PASSES_KEPT) held.shift();
  return { ...made, sounded: true };
}

function run(id: number, task: Task): { message: FromWorker; transfer: Transferable[] } {
  const begun = performance.now();
  const tell = (stage: Stage): void => post({ type: 'stage', id, stage });
  const workMs = (): number => performance.now() - begun;
  if (task.kind === 'miniature') {
    const { brief, rig, settings, fault } = task;
    const picture =
      fault === null ? miniature(brief, rig, settings) : faultMiniature(brief, rig, settings, fault);
    return {
      message: { type: 'done', id, workMs: workMs(), result: { kind: 'miniature', picture } },
      transfer: [picture.pixels.buffer, picture.steps.buffer, picture.liveColumn.buffer],
    };
  }
  const pass = passFor(task.pass, task.settings, tell);
  if (task.kind === 'draw') {
    tell('drawing');
    const picture = drawPicture(
      pass.recording,
      task.settings,
      task.screen,
      task.nowS ?? pass.facts.durationS,
      desk,
    );
    return {
      message: {
        type: 'done',
        id,
        workMs: workMs(),
        result: { kind: 'draw', picture, facts: pass.facts, sounded: pass.sounded },
      },
      transfer: [picture.pixels.buffer, picture.steps.buffer, picture.liveColumn.buffer],
    };
  }
  tell('reading');
  const reading = readChannel(pass.recording, channelOf(pass.recording, task.settings.faceId));
  const { rig } = task.pass;
  const antenna = placeFromFace(rig, task.settings.faceId, rig.positions.antenna);
  const marks = reading.findings.map((finding) => keptMark(finding, pass.recording, antenna));
  const timeS = pass.recording.navigation.timeS.slice();
  return {
    message: {
      type: 'done',
      id,
      workMs: workMs(),
      result: { kind: 'read', reading, marks, facts: pass.facts, timeS },
    },
    transfer: [timeS.buffer],
  };
}

function post(message: FromWorker, transfer: Transferable[] = []): void {
  self.postMessage(message, transfer);
}

self.onmessage = (event: MessageEvent<ToWorker>): void => {
  const { id, task } = event.data;
  try {
    const { message, transfer } = run(id, task);
    post(message, transfer);
  } catch (error) {
    const code = error instanceof RangeError ? 'bad-input' : 'crashed';
    post({ type: 'failed', id, code, message: error instanceof Error ? error.message : String(error) });
  }
};
