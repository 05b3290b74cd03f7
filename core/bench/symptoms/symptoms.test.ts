import { describe, expect, it } from '@jest/globals';
import { GENERIC_RIG, transducerOf, type Rig } from '@/core/rig';
import { seeSymptom } from './seeSymptom';
import { SYMPTOMS, type Symptom } from './symptom';

const withFaces = (id: string): Rig => ({ ...GENERIC_RIG, faces: [...transducerOf(id).faces] });
const RIGS: [string, Rig][] = [
  ['the generic boat', GENERIC_RIG],
  ['an offshore pair', withFaces('offshore-50-200')],
  ['a swept cone', withFaces('swept-mid')],
];

/** Every symptom on the first boat; the others have an eighth each, for time. */
const sharedBy = (boat: number): readonly Symptom[] =>
  SYMPTOMS.filter((_, k) => boat === 0 || k % 8 === boat);

describe.each(RIGS.map(([name, rig], k) => [name, rig, k] as const))('on %s', (_, rig, boat) => {
  it.each(sharedBy(boat))('%s is there, and gone where something mends it', (symptom) => {
    const { before, after } = seeSymptom(symptom, rig, 'ink');
    expect(before.there).toBe(true);
    if (after) expect(after.there).toBe(false);
  });
});
