import {
  automaticMarks as marksOf,
  cutawayAt,
  cutawayPass,
  passKey,
  scoredReading,
  soundingRequest,
  type CutawayPass,
} from '@/core/bench';
import { drawPicture } from '@/core/picture/drawing';
import type { AutomaticMarksTask, CutawayTask, ScoreTask } from '../protocol';
import { Refused, type Answer } from './answer';
import { passFor } from './passes';

/** The pass last cut open: the moments of it cost little. */
let open: { key: string; pass: CutawayPass } | null = null;

/** @throws Refused for a recording, whose truth nobody knows */
function opened({ pass, settings }: Pick<CutawayTask, 'pass' | 'settings'>): CutawayPass {
  const { source, rig } = pass;
  if (source.kind === 'recording')
    throw new Refused('Nobody knows the true water of a recording. Choose made water to cut it open.');
  const { faceId, pingRate, power, rangeM } = settings;
  const key = JSON.stringify([passKey(pass), faceId, pingRate, power]);
  if (open?.key !== key)
    open = {
      key,
      pass: cutawayPass(soundingRequest(source, rig, { faceId, pingRate, power, rangeM }), faceId),
    };
  return open.pass;
}

export const cutaway = (task: CutawayTask): Answer => ({
  result: { kind: 'cutaway', cutaway: cutawayAt(opened(task), task.timeS, task.rangeM) },
});

export function automaticMarks(task: AutomaticMarksTask): Answer {
  const { pass, settings, screen, nowS } = task;
  const { recording, facts } = passFor(pass, settings, () => undefined);
  const picture = drawPicture(recording, settings, screen, nowS ?? facts.durationS);
  return { result: { kind: 'automatic-marks', marks: marksOf(picture, opened(task)) } };
}

export const score = (task: ScoreTask): Answer => ({
  result: { kind: 'score', scored: scoredReading(task.findings, opened(task)) },
});
