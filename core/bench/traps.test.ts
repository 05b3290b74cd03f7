import { describe, expect, it } from '@jest/globals';
import * as v from 'valibot';
import { SettingsSchema } from '@/core/picture';
import { drawPicture } from '@/core/picture/drawing';
import { recordingOf } from '@/core/recording';
import { GENERIC_RIG, transducerOf } from '@/core/rig';
import { simulate } from '@/core/sounder';
import { soundingRequest } from './benchPass';
import { PassSourceSchema } from './passSource';
import { automaticMarks, type AutomaticMarks } from './automaticMarks';
import { cutawayPass } from './cutaway';
import { TRAPS, trapLesson } from './traps';

describe('a trap', () => {
  it.each(TRAPS)('%s shows two ways that differ, over water and settings that can be kept', (trap) => {
    const { pass, a, b } = trapLesson(trap, GENERIC_RIG);
    if (pass.source.kind === 'recording') throw new Error('made water only');
    expect(v.is(PassSourceSchema, pass.source)).toBe(true);
    for (const way of [a, b]) expect(v.is(SettingsSchema, way)).toBe(true);
    const { source, rig } = pass;
    const [first, second] = [a, b].map((way) => {
      const recording = recordingOf([simulate(soundingRequest(source, rig, { ...way, rangeM: b.rangeM }))]);
      return drawPicture(recording, way, { rows: 120, columns: 160 }, 60).steps;
    });
    expect(first).not.toEqual(second);
  });
  it('of automatic marks rings what is no fish, more of it with more gain, and says so', () => {
    const { pass, a, b } = trapLesson('automatic-marks', GENERIC_RIG);
    if (pass.source.kind === 'recording') throw new Error('made water only');
    const request = soundingRequest(pass.source, pass.rig, a);
    const recording = recordingOf([simulate(request)]);
    const open = cutawayPass(request, a.faceId);
    const [quiet, loud] = [a, b].map((way) =>
      automaticMarks(drawPicture(recording, way, { rows: 480, columns: 640 }, 90), open),
    );
    const wrong = ({ rings }: AutomaticMarks): number => rings.filter((r) => !r.right).length;
    expect(quiet!.rings.some((r) => r.right)).toBe(true);
    expect(wrong(quiet!)).toBeGreaterThan(0);
    expect(wrong(loud!)).toBeGreaterThan(wrong(quiet!));
  });
  it('keeps to the beams a boat has', () => {
    const rig = { ...GENERIC_RIG, faces: [...transducerOf('swept-mid').faces] };
    for (const trap of TRAPS) {
      const { a, b } = trapLesson(trap, rig);
      for (const { faceId } of [a, b]) expect(rig.faces.some((f) => f.id === faceId)).toBe(true);
    }
  });
});
