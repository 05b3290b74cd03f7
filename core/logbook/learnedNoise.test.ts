import { FIRST_BRIEF, waterOf } from '@/core/advice';
import { DETECTION_DB, echoMargin, faceBudget, GENERIC_RIG } from '@/core/rig';
import { weightTargetStrength } from '@/core/water';
import { demoWeek } from './demoWeek';
import { learnedNoise } from './learnedNoise';

const MASS_KG = 0.0035;
const face = GENERIC_RIG.faces[0]!;

/** Depth at which a boat of a noise loses the weight, by walking down the sonar equation. */
function lostAt(excessNoiseDb: number): number {
  const budget = faceBudget({ ...GENERIC_RIG, excessNoiseDb }, face, waterOf(FIRST_BRIEF), {});
  let depthM = 1;
  while (echoMargin(budget, depthM, weightTargetStrength(MASS_KG)) > DETECTION_DB) depthM += 0.02;
  return depthM;
}

it('is the noise the boat has, whatever it is believed to have', () => {
  const [day] = demoWeek();
  const truth = [44, 47, 52];
  const days = truth.map((db, k) => ({
    ...day!,
    plan: { brief: FIRST_BRIEF, holds: {} },
    lost: [{ id: `l${k}`, at: day!.startedAt, massKg: MASS_KG, depthM: lostAt(db), faceId: face.id }],
  }));
  const learned = learnedNoise(days, { ...GENERIC_RIG, excessNoiseDb: 30 })!;
  expect(learned.count).toBe(3);
  expect(learned.medianDb).toBeCloseTo(47, 0);
  expect(learned.lowDb).toBeCloseTo(44, 0);
  expect(learned.highDb).toBeCloseTo(52, 0);
  expect(learnedNoise(days, { ...GENERIC_RIG, faces: GENERIC_RIG.faces.slice(1) })).toBeNull();
  expect(learnedNoise([], GENERIC_RIG)).toBeNull();
});
