import fc from 'fast-check';
import * as v from 'valibot';
import {
  BRIEF_BEDS,
  BriefSchema,
  CLARITIES,
  HOURS,
  SEASONS,
  KEEPS,
  PRACTICES,
  PRESENTATIONS,
  SPECIES,
  HabitsSchema,
  HoldsSchema,
  type Brief,
  type Habits,
  type Holds,
} from '@/core/advice';
import { CALLED, EntrySchema, type Correction, type Entry } from '@/core/logbook';
import {
  CONTROL_NAMES,
  CONTROLS,
  HELD_CONTROLS,
  PALETTE_NAMES,
  SettingsSchema,
  TVG_LAWS,
  type ControlName,
  type Settings,
} from '@/core/picture';
import { NARROWEST_BEAM_RAD, RigSchema, STATIONS, transducerOf, WIDEST_BEAM_RAD, type Rig } from '@/core/rig';
import { SCENES } from '@/core/scene';

/** Numbers between two bounds, which are drawn more often than what lies between. */
const number = (min: number, max: number): fc.Arbitrary<number> =>
  fc.oneof(
    { arbitrary: fc.double({ min, max, noNaN: true }), weight: 6 },
    { arbitrary: fc.constantFrom(min, max), weight: 1 },
  );
/** The same, as many small as large: for what spans decades. */
const decades = (min: number, max: number): fc.Arbitrary<number> =>
  number(Math.log(min), Math.log(max)).map((x) => Math.min(max, Math.max(min, Math.exp(x))));
const orNull = <T>(arbitrary: fc.Arbitrary<T>): fc.Arbitrary<T | null> =>
  fc.option(arbitrary, { nil: null, freq: 3 });
const words = (min: number, max: number): fc.Arbitrary<string> =>
  fc
    .string({ minLength: min, maxLength: max, unit: 'grapheme' })
    .map((s) => s.slice(0, max).padEnd(min, 'x'));
const lengths = fc
  .tuple(decades(0.03, 3), decades(0.03, 3))
  .map(([a, b]): [number, number] => (a < b ? [a, b] : [b, a]));

const place = fc.record({ x: number(-30, 30), y: number(-30, 30) });
const faceIds = ['a', 'b', 'c', 'd', 'e', 'f', 'g', 'h'];

const anyFace = (id: string) =>
  fc.record({
    id: fc.constant(id),
    label: words(0, 60),
    frequencyHz: decades(20e3, 1.3e6),
    beam: fc.record({
      shape: fc.constantFrom('cone', 'fan'),
      alongRad: decades(NARROWEST_BEAM_RAD, WIDEST_BEAM_RAD),
      athwartRad: decades(NARROWEST_BEAM_RAD, WIDEST_BEAM_RAD),
    }),
    powerW: decades(1, 5000),
    efficiency: decades(0.01, 1),
    quality: decades(1, 60),
    pulseS: decades(1e-5, 5e-3),
    sweepHz: fc.oneof(fc.constant(0), decades(1, 300e3)),
  });

const someFaces = fc
  .integer({ min: 1, max: faceIds.length })
  .chain((count) => fc.tuple(...faceIds.slice(0, count).map(anyFace)));
const usualFaces = fc.constantFrom(
  [...transducerOf('imaging').faces],
  [...transducerOf('offshore-50-200').faces],
  [...transducerOf('swept-mid').faces],
);

const scale = fc
  .record({
    word: words(1, 30),
    lowest: number(-1000, 1000),
    span: decades(0.5, 1000),
    parts: fc.integer({ min: 1, max: 200 }),
    direction: fc.constantFrom('more', 'less'),
  })
  .map(({ lowest, span, parts, ...rest }) => ({
    ...rest,
    lowest,
    highest: lowest + span,
    step: span / parts / 1.001,
  }));
const timing = fc.record({ shown: number(-100, 1000), acrossS: decades(0.01, 1e5) });

/** Any rig the schema lets through, on the library's faces or on faces nobody makes. */
export const anyRig: fc.Arbitrary<Rig> = fc
  .oneof(someFaces, usualFaces)
  .chain((faces) => {
    const ids = faces.map((f) => f.id);
    return fc.record({
      name: words(0, 80),
      faces: fc.constant(faces),
      units: fc
        .array(
          fc.record({
            name: words(1, 40),
            station: fc.constantFrom(...STATIONS),
            screen: fc.record({
              rows: fc.integer({ min: 100, max: 2000 }),
              columns: fc.integer({ min: 100, max: 2000 }),
            }),
            fastestPingRate: number(1, 60),
            pictureHeightM: number(0.03, 1),
            viewedFromM: number(0.2, 5),
            faceIds: orNull(fc.subarray([...ids.slice(1), 'gone'])),
            scales: fc.dictionary(fc.constantFrom(...CONTROL_NAMES, 'nothing'), scale, { maxKeys: 5 }),
            chart: orNull(fc.tuple(timing, timing)),
          }),
          { minLength: 1, maxLength: 4 },
        )
        .map((units) => units.map((unit, k) => ({ ...unit, id: `unit-${k + 1}` }))),
      excessNoiseDb: number(0, 100),
      mount: fc.record({
        alongRad: number(-0.6, 0.6),
        athwartRad: number(-0.6, 0.6),
        looseRad: number(0, 0.3),
        churn: number(0, 1),
      }),
      positions: fc.record({ antenna: place, rod: place, stern: place }),
      lengthM: number(2, 40),
      unsureCones: fc.subarray(ids),
      hangs: fc.dictionary(fc.constantFrom(...ids), place),
    });
  })
  .map((rig) => v.parse(RigSchema, rig));

/** Any brief the schema lets through; its beam is mostly one of the rig's. */
export const anyBrief = (rig: Rig): fc.Arbitrary<Brief> =>
  fc
    .record({
      species: fc.oneof(
        fc.record({ id: fc.constantFrom(...SPECIES.map((s) => s.id)) }),
        fc.record({
          id: fc.integer({ min: 1, max: 999999 }).map((n) => `own-${n}`),
          label: words(0, 39).map((word) => `x${word}`),
          bladder: fc.constantFrom('closed', 'open', 'small'),
          lengthM: lengths,
          keeps: fc.constantFrom(...KEEPS),
        }),
      ),
      lengthM: lengths,
      toM: decades(2, 300),
      shallow: number(0, 1),
      temperatureC: number(0, 35),
      salinity: number(0, 40),
      thermoclineM: orNull(number(1, 100)),
      saltUnderM: orNull(number(0.5, 100)),
      clarity: fc.constantFrom(...CLARITIES),
      bed: fc.constantFrom(...BRIEF_BEDS),
      othersNear: fc.boolean(),
      windMps: number(0, 20),
      hour: fc.constantFrom(...HOURS),
      season: orNull(fc.constantFrom(...SEASONS)),
      lure: orNull(fc.record({ massKg: decades(0.0005, 5), dressed: fc.boolean() })),
      presentation: fc.constantFrom(...PRESENTATIONS),
      speedMps: fc.oneof(fc.constant(0), decades(1e-3, 15)),
      faceId: orNull(fc.constantFrom(...rig.faces.map((f) => f.id), 'gone')),
    })
    .map(({ species, shallow, ...brief }) =>
      v.parse(BriefSchema, {
        ...brief,
        fromM: 0.5 + shallow * (brief.toM - 1.5),
        speciesId: species.id,
        ownSpecies: 'label' in species ? species : null,
      }),
    );

/** Any practices the schema lets through. */
export const anyHabits: fc.Arbitrary<Habits> = fc
  .record(
    Object.fromEntries(Object.entries(PRACTICES).map(([name, ways]) => [name, fc.constantFrom(...ways)])),
    { requiredKeys: [] },
  )
  .map((habits) => v.parse(HabitsSchema, habits));

/** Any value of a control, other than off. */
const turned = (name: ControlName): fc.Arbitrary<number> => {
  const { lowest, highest, measure } = CONTROLS[name];
  const whole = measure === 'step' || measure === 'pings' || name === 'zoom';
  return whole ? fc.integer({ min: lowest, max: highest }) : number(lowest, highest);
};
const turnedOrOff = (name: ControlName): fc.Arbitrary<number | null> =>
  CONTROLS[name].plain === null ? orNull(turned(name)) : turned(name);

const pins = fc.record(Object.fromEntries(HELD_CONTROLS.map((name) => [name, turned(name)])), {
  requiredKeys: [],
});

/** Any lines held on the units of a rig, and on one it has no more. */
export const anyHolds = (rig: Rig): fc.Arbitrary<Holds> =>
  fc
    .dictionary(
      fc.constantFrom(...rig.units.map((u) => u.id), 'unit-9'),
      fc.record({ cone: pins, slice: pins }, { requiredKeys: [] }),
      { maxKeys: 3 },
    )
    .map((holds) => v.parse(HoldsSchema, holds));

/** Any settings the schema lets through, on one of a rig's faces. */
export const anySettings = (rig: Rig): fc.Arbitrary<Settings> => {
  const face = fc.constantFrom(...rig.faces.map((f) => f.id));
  return fc
    .record({
      faceId: face,
      blend: orNull(fc.record({ faceId: face, share: number(0, 1) })),
      controls: fc.record(
        Object.fromEntries(CONTROL_NAMES.map((name) => [CONTROLS[name].setting, turnedOrOff(name)])),
      ),
      tvg: fc.constantFrom(...TVG_LAWS),
      power: fc.constantFrom('full', 'low'),
      gainMode: fc.constantFrom('manual', 'auto'),
      contrastMode: fc.constantFrom('manual', 'auto'),
      chartSync: fc.boolean(),
      between: fc.constantFrom('repeat', 'blend'),
      palette: fc.constantFrom(...PALETTE_NAMES),
      bedRamp: fc.boolean(),
    })
    .map(({ controls, ...rest }) => {
      const { rangeM, topM } = controls as { rangeM: number; topM: number };
      return v.parse(SettingsSchema, { ...rest, ...controls, topM: Math.min(topM, rangeM - 0.5) });
    });
};

/** Any plan the schema lets through. */
export const anyPlan: fc.Arbitrary<{ brief: Brief; rig: Rig; habits: Habits; holds: Holds }> = anyRig.chain(
  (rig) =>
    fc.record({
      rig: fc.constant(rig),
      brief: anyBrief(rig),
      habits: anyHabits,
      holds: anyHolds(rig),
    }),
);

const seed = fc.integer({ min: 0, max: 4294967295 });
const source = (rig: Rig) =>
  fc.oneof(
    fc.record({
      kind: fc.constant('brief'),
      brief: anyBrief(rig),
      seed,
      water: fc.constantFrom(1, 2),
    }),
    fc.record({ kind: fc.constant('scene'), sceneId: fc.constantFrom(...SCENES.map((s) => s.id)), seed }),
    fc.record({ kind: fc.constant('recording'), name: words(1, 200), fingerprint: words(0, 64) }),
  );
const mark = fc.record({
  kind: fc.constantFrom('fish', 'cloud', 'cover'),
  shape: orNull(
    fc.constantFrom('arch', 'half', 'clip', 'line', 'thread', 'streak', 'dash', 'dot', 'nothing'),
  ),
  rangeM: number(0, 2000),
  heightM: number(0, 2000),
  strengthDb: orNull(number(-200, 200)),
  confidence: number(0, 1),
  timeS: number(0, 1e6),
  latitudeDeg: number(-90, 90),
  longitudeDeg: number(-180, 180),
});

const two = (low: number, high: number) =>
  fc.integer({ min: low, max: high }).map((n) => String(n).padStart(2, '0'));
const moment = fc
  .tuple(fc.integer({ min: 1970, max: 2099 }), two(1, 12), two(1, 28), two(0, 23), two(0, 59), two(0, 59))
  .map(([y, mo, d, h, mi, s]) => `${y}-${mo}-${d}T${h}:${mi}:${s}Z`);

const called = fc.constantFrom(...CALLED);
const correction = fc
  .record({ timeS: number(0, 1e6), rangeM: number(0, 2000), was: called, is: called })
  .chain(({ timeS, rangeM, was, is }) =>
    fc.constantFrom<Correction>(
      { change: 'agreed', timeS, rangeM, was },
      { change: 'renamed', timeS, rangeM, was, is },
      { change: 'split', timeS, rangeM, was, parts: 3 },
      { change: 'merged', timeS, rangeM, was, into: { timeS, rangeM } },
      { change: 'added', timeS, rangeM, is },
    ),
  );

/** Any log entry the schema lets through. */
export const anyEntry: fc.Arbitrary<Entry> = anyRig
  .chain((rig) =>
    fc.record({
      id: words(1, 64),
      keptAt: moment,
      title: words(0, 120),
      call: words(0, 200),
      note: words(0, 400),
      source: source(rig),
      rig: orNull(fc.constant(rig)),
      settings: anySettings(rig),
      marks: fc.array(mark, { maxLength: 5 }),
      corrections: fc.array(correction, { maxLength: 5 }),
    }),
  )
  .map((entry) => v.parse(EntrySchema, entry));
