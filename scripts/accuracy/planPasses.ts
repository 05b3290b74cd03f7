import { sliceSetup, startSetup, type Brief } from '@/core/advice';
import { soundingRequest } from '@/core/bench';
import { faceOf, type Rig } from '@/core/rig';
import { simulate } from '@/core/sounder';
import { manyBriefs } from '@/features/words/catalogue';
import type { MadePass } from './passes';

const BRIEFS = 240;
let briefs: { brief: Brief; rig: Rig }[] | undefined;

/** What a user meets: water made from one of many briefs, on its rig and at its start setup; every second on the slice where there is one. */
export function planPass(seed: number): MadePass {
  briefs ??= manyBriefs(BRIEFS);
  const { brief, rig } = briefs[seed % BRIEFS]!;
  const cone = startSetup(brief, rig);
  const slice = seed % (2 * BRIEFS) < BRIEFS ? null : sliceSetup(brief, rig, cone);
  const { settings } = slice ?? cone;
  const request = soundingRequest({ kind: 'brief', brief, seed, water: 2 }, rig, settings);
  const face = faceOf(rig, settings.faceId);
  const stretch = simulate({ ...request, faces: [face] });
  return {
    scene: request.scene,
    track: request.track,
    face,
    recording: stretch,
    farM: request.farM,
    rig: request.rig,
  };
}
