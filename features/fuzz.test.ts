import fc from 'fast-check';
import * as v from 'valibot';
import { expectationOf, heldOn, marginCurve, phasesOf, sliceSetup, startSetup, waterOf } from '@/core/advice';
import { miniature } from '@/core/bench';
import { ENTRY_FORMAT, openText, PLAN_FORMAT, writeText } from '@/core/formats';
import { withEntries } from '@/core/logbook';
import { CONTROL_NAMES, CONTROLS, SettingsSchema, type Picture } from '@/core/picture';
import { seenOnUnit } from '@/core/rig';
import { anyEntry, anyPlan, anySettings } from '@/core/testing/arbitraries';
import { beamAnswers, boatAnswers } from './boat/answers';
import { unitsIn } from './units';
import { briefWords } from './words/brief';
import { cautionsFor } from './words/cautions';
import { controlName, controlValue } from './words/controls';
import { expectationWords, predictionNumbers, predictionWords } from './words/expectation';
import { lineReason } from './words/reasons';
import { lineValue } from './words/setupValues';

/** How many of each are tried, how many are drawn too, and from where: `npm run fuzz` tries and draws thousands. */
const ASKED = process.env.FUZZ_RUNS;
const RUNS = Number(ASKED ?? 120);
const DRAWN = ASKED ? RUNS : 18;
const SEED = Number(process.env.FUZZ_SEED ?? 1);
/** No end for what is asked to try thousands. */
const LONGEST_MS = ASKED ? 24 * 3600_000 : 300_000;

const forAny = <T>(arbitrary: fc.Arbitrary<T>, holds: (value: T) => void, numRuns = RUNS): void =>
  fc.assert(fc.property(arbitrary, holds), { numRuns, seed: SEED, endOnFailure: true });
const SYSTEMS = [unitsIn('metric'), unitsIn('feet')];
const said = (words: readonly (string | null)[]): void => {
  for (const word of words) expect(word ?? '').not.toMatch(/NaN|undefined|Infinity|\[object/);
};

const pick = <T>(list: readonly T[], share: number): T =>
  list[Math.min(list.length - 1, Math.floor(share * list.length))]!;
const share = fc.double({ min: 0, max: 1, noNaN: true });

it(
  'any plan has a setup, an expectation and words, on any of its units and in any phase of its day',
  () =>
    forAny(fc.tuple(anyPlan, share, share), ([{ brief: day, rig: boat, habits, holds }, unit, phase]) => {
      const { id } = pick(boat.units, unit);
      const { brief } = pick(phasesOf(day), phase);
      const rig = seenOnUnit(boat, id);
      const { cone, slice } = heldOn(holds, id);
      const setup = startSetup(brief, rig, habits, cone);
      const below = sliceSetup(brief, rig, setup, habits, slice);
      said(cautionsFor(brief));
      for (const worked of below ? [setup, below] : [setup]) {
        const { settings, lines, prediction, others } = worked;
        expect(v.safeParse(SettingsSchema, settings).issues).toBeUndefined();
        const expected = expectationOf(brief, rig, prediction, settings);
        expect(expected.likely).toBeGreaterThan(0);
        for (const { overDb } of marginCurve(prediction, 1.5 * brief.toM)) expect(overDb).not.toBeNaN();
        for (const units of SYSTEMS) {
          const { lines: told, details } = expectationWords(brief, expected, worked, units);
          said([...told, ...details]);
          said(
            [prediction, ...others].flatMap((p) => [predictionWords(brief, p, units), predictionNumbers(p)]),
          );
          said(Object.values(briefWords(brief, units, prediction.face)));
          for (const line of lines)
            said([lineValue(line, units, prediction.face, rig.units[0]!), lineReason(line, units)]);
        }
      }
    }),
  LONGEST_MS,
);

const asked = fc.record({
  depthM: fc.double({ min: 1, max: 300, noNaN: true }),
  fishM: fc.double({ min: 1, max: 300, noNaN: true }),
  slopeRad: fc.double({ min: 0, max: Math.PI / 4, noNaN: true }),
  pingRate: fc.double({ min: 1, max: 60, noNaN: true }),
});
it(
  'any boat answers what its beams do',
  () =>
    forAny(fc.tuple(anyPlan, asked), ([{ brief, rig }, about]) => {
      for (const units of SYSTEMS) {
        for (const face of rig.faces)
          said(beamAnswers(rig, face, about, waterOf(brief), units).map((a) => a.answer));
        said(boatAnswers(rig, about, waterOf(brief), units).map((a) => a.answer));
      }
    }),
  LONGEST_MS,
);

/** That a picture is one: as many steps and pixels as its screen has, none out of the palette. */
const drawn = ({ rows, columns, pixels, steps, topM, timeS }: Picture): void => {
  expect([pixels.length, steps.length]).toEqual([rows * columns, rows * columns]);
  for (const values of [topM, timeS]) for (const value of values) expect(value).not.toBeNaN();
};
it(
  'any plan and any settings are drawn',
  () =>
    forAny(
      anyPlan.chain((plan) => fc.tuple(fc.constant(plan), anySettings(plan.rig))),
      ([{ brief, rig, habits }, settings]) => {
        drawn(miniature(brief, rig, startSetup(brief, rig, habits).settings));
        drawn(miniature(brief, rig, settings));
        for (const unit of [rig.units[0]!, null])
          for (const name of CONTROL_NAMES) {
            const value = settings[CONTROLS[name].setting as keyof typeof settings] as number | null;
            said([
              controlName(name, unit),
              ...SYSTEMS.map((u) => (value === null ? null : controlValue(name, value, u))),
            ]);
          }
      },
      DRAWN,
    ),
  LONGEST_MS,
);

it(
  'any entry and any plan come back from their texts as they were',
  () =>
    forAny(fc.tuple(anyEntry, anyPlan), ([entry, plan]) => {
      const text = writeText(ENTRY_FORMAT, entry);
      expect(openText(ENTRY_FORMAT, text)).toEqual({ ok: true, value: JSON.parse(JSON.stringify(entry)) });
      const kept = { id: 'p', name: 'p', ...plan };
      const opened = openText(PLAN_FORMAT, writeText(PLAN_FORMAT, kept));
      expect(opened).toEqual({ ok: true, value: JSON.parse(JSON.stringify(kept)) });
      expect(withEntries([entry], [entry])).toEqual([entry]);
    }),
  LONGEST_MS,
);
