import {
  expectationOf,
  FIRST_BRIEF,
  HOURS,
  phasesOf,
  PRESENTATIONS,
  SEASONS,
  sliceSetup,
  SPECIES,
  startSetup,
  USUAL_SPEED_MPS,
  type Brief,
} from '@/core/advice';
import { seededRandom } from '@/core/maths';
import { GENERIC_RIG, transducerOf, type Rig } from '@/core/rig';
import type { Units } from '../units';
import { cautionsFor } from './cautions';
import { expectationWords, predictionWords } from './expectation';
import { becauseWords, lineReason } from './reasons';

const RIGS: readonly Rig[] = [
  GENERIC_RIG,
  { ...GENERIC_RIG, faces: [...transducerOf('offshore-50-200').faces] },
  { ...GENERIC_RIG, faces: [...transducerOf('deep-narrow-200').faces, ...transducerOf('imaging').faces] },
  { ...GENERIC_RIG, faces: [...transducerOf('swept-mid').faces] },
];

/** Briefs of many kinds, depths, waters and rigs; the same each time. */
export const manyBriefs = (count: number): { brief: Brief; rig: Rig }[] =>
  Array.from({ length: count }, (_, k) => {
    const random = seededRandom(k + 1).fork('words');
    const species = SPECIES[(11 * k) % SPECIES.length]!;
    const presentation = PRESENTATIONS[k % PRESENTATIONS.length]!;
    const toM = random.between(2.5, k % 7 === 0 ? 180 : 40);
    const fromM = Math.max(0.5, Math.min(toM - 1, toM * random.between(0.1, 0.7)));
    return {
      rig: RIGS[k % RIGS.length]!,
      brief: {
        ...FIRST_BRIEF,
        speciesId: species.id,
        lengthM: [...species.lengthM],
        fromM,
        toM,
        fishToM: k % 3 === 0 ? Math.min(toM, fromM + 0.4 * (toM - fromM) + 0.6) : null,
        salinity: k % 4 === 1 ? 35 : 0,
        windMps: random.between(0, 12),
        othersNear: k % 2 === 0,
        clarity: (['clear', 'stained', 'silty'] as const)[k % 3]!,
        hour: HOURS[k % 3]!,
        season: k % 5 === 0 ? null : SEASONS[k % 4]!,
        lure: k % 2 === 0 ? { massKg: k % 4 === 0 ? 0.003 : 0.08, dressed: k % 3 === 0 } : null,
        presentation,
        speedMps: USUAL_SPEED_MPS[presentation],
      },
    };
  });

/** What may come of trying. */
const SOME_TRIED = {
  firstColourDb: 6,
  colourSpreadDb: 50,
  found: 9.4,
  foundBefore: 5.2,
  fish: 12,
  passes: 2,
};

/** What Plan says of a brief, screen by screen: its card with all reasons, what to expect, the beams, the cautions. */
export function planTexts(brief: Brief, rig: Rig, units: Units): Record<string, string[]> {
  const out: Record<string, string[]> = {
    reasons: [],
    expectation: [],
    beams: [],
    cautions: cautionsFor(brief),
  };
  for (const phase of phasesOf(brief)) {
    const cone = startSetup(phase.brief, rig);
    const slice = sliceSetup(phase.brief, rig, cone);
    // A picture of a beam that was tried says other words than one worked out.
    const tried = startSetup(phase.brief, rig, {}, {}, { ...SOME_TRIED, gainDb: cone.settings.gainDb - 6 });
    for (const setup of slice ? [cone, slice, tried] : [cone, tried]) {
      for (const line of setup.lines) {
        out.reasons!.push(lineReason(line, units), ...line.others.map((o) => becauseWords(o.because, units)));
      }
      const expected = expectationOf(phase.brief, rig, setup.prediction, setup.settings);
      const { lines, details } = expectationWords(phase.brief, expected, setup, units);
      out.expectation!.push(...lines, ...details);
      out.beams!.push(
        ...[setup.prediction, ...setup.others].map((p) => predictionWords(phase.brief, p, units)),
      );
    }
  }
  return out;
}
