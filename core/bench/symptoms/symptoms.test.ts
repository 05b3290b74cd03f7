import { describe, expect, it } from '@jest/globals';
import { GENERIC_RIG, transducerOf, type Rig } from '@/core/rig';
import { seeSymptom } from './seeSymptom';
import { SYMPTOMS } from './symptom';

const withFaces = (id: string): Rig => ({ ...GENERIC_RIG, faces: [...transducerOf(id).faces] });
const RIGS: [string, Rig][] = [
  ['the generic boat', GENERIC_RIG],
  ['an offshore pair', withFaces('offshore-50-200')],
  ['a swept cone', withFaces('swept-mid')],
];

describe.each(RIGS)('on %s', (_, rig) => {
  it.each(SYMPTOMS)('%s is there, and gone where something mends it', (symptom) => {
    const { before, after } = seeSymptom(symptom, rig, 'ink');
    expect(before.there).toBe(true);
    if (after) expect(after.there).toBe(false);
  });
});
