import { cutawayAt, cutawayPass, passKey, soundingRequest, type CutawayPass } from '@/core/bench';
import type { CutawayTask } from '../protocol';
import { Refused, type Answer } from './answer';

/** The pass last cut open: the moments of it cost little. */
let open: { key: string; pass: CutawayPass } | null = null;

/** @throws Refused for a recording, whose truth nobody knows */
export function cutaway({ pass, settings, timeS, rangeM }: CutawayTask): Answer {
  const { source, rig } = pass;
  if (source.kind === 'recording')
    throw new Refused('Nobody knows the true water of a recording. Choose made water to cut it open.');
  const { faceId, pingRate, power } = settings;
  const key = JSON.stringify([passKey(pass), faceId, pingRate, power]);
  if (open?.key !== key) {
    const request = soundingRequest(source, rig, { faceId, pingRate, power, rangeM: settings.rangeM });
    open = { key, pass: cutawayPass(request, faceId) };
  }
  return { result: { kind: 'cutaway', cutaway: cutawayAt(open.pass, timeS, rangeM) } };
}
