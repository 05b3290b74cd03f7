import {
  cleanPingRate,
  cone,
  deadZone,
  detectionRange,
  directivityIndex,
  echoEnvelope,
  echoMargin,
  equivalentBeamAngle,
  faceAt,
  faceBudget,
  facePulse,
  faceOf,
  fan,
  firstBedRange,
  foldedRange,
  footprintWidth,
  beamPattern,
  GENERIC_RIG,
  pistonDiameter,
  pistonKa,
  pistonPattern,
  pointEcho,
  rangeResolution,
  RigSchema,
  singlePulse,
  ringDown,
  sourceLevel,
  sweptPulse,
  TRANSDUCERS,
  waterPerColumn,
  waterPerRow,
  firstTransducerAt,
  placeFromFace,
  placeOfFace,
  seenFrom,
  transducersOf,
  type Rig,
} from '@/core/rig';
import { fishTargetStrength } from '@/core/water';
import { degToRad } from '@/core/units';
import * as v from 'valibot';

const db = (power: number): number => 10 * Math.log10(power);
const water = { temperatureC: 17, salinity: 0, thermoclineM: null, windMps: 0 };
const cone200 = faceOf(GENERIC_RIG, 'cone-200');

describe('beam', () => {
  it('is at half power at its half width, for cone and both axes of a fan', () => {
    expect(beamPattern(cone(degToRad(20)), Math.sin(degToRad(10)), 0)).toBeCloseTo(0.5, 4);
    const slice = fan(degToRad(2), degToRad(50));
    expect(beamPattern(slice, Math.sin(degToRad(1)), 0)).toBeCloseTo(0.5, 4);
    expect(beamPattern(slice, 0, Math.sin(degToRad(25)))).toBeCloseTo(0.5, 4);
  });
  it('has the piston’s first null and side lobe', () => {
    expect(pistonPattern(10, 0.38317)).toBeLessThan(1e-6);
    let lobe = 0;
    for (let x = 3.84; x < 7; x += 0.01) lobe = Math.max(lobe, pistonPattern(10, x / 10));
    expect(db(lobe)).toBeCloseTo(-17.57, 1);
  });
  it('has the directivity of Kinsler, near 20 log ka when narrow', () => {
    const narrow = cone(degToRad(8));
    expect(directivityIndex(narrow)).toBeCloseTo(20 * Math.log10(pistonKa(narrow.alongRad)), 1);
  });
  it('has an equivalent angle near Clay & Medwin for a narrow cone and near Simmonds & MacLennan for a fan', () => {
    const ka = pistonKa(degToRad(10));
    expect(db(equivalentBeamAngle(cone(degToRad(10))))).toBeCloseTo(db(5.78 / ka ** 2), 0);
    // 5800 is a rounded constant: half a decibel either way.
    expect(Math.abs(db(equivalentBeamAngle(fan(degToRad(3), degToRad(20)))) - db(60 / 5800))).toBeLessThan(
      0.7,
    );
  });
  it('refuses widths that are no beam', () => {
    expect(() => pistonKa(0)).toThrow(RangeError);
    expect(() => pistonKa(degToRad(200))).toThrow(/0.5° to 120°/);
  });
});

describe('pulse', () => {
  it('resolves half its length and is never shorter than the ring', () => {
    expect(rangeResolution(singlePulse(2e-4, 200e3, 20), 1500)).toBeCloseTo(0.15, 9);
    expect(singlePulse(1e-6, 200e3, 20).durationS).toBeCloseTo(1e-4, 9);
  });
});

describe('geometry', () => {
  it('draws footprints, rows and columns', () => {
    expect(footprintWidth(10, degToRad(90))).toBeCloseTo(20, 9);
    expect(waterPerRow(30.48, 240) / 0.0254).toBeCloseTo(5, 9);
    expect(waterPerColumn(1.5, 5)).toBeCloseTo(0.3, 9);
  });
  it('hides δ on the axis and d(1 − cos φ) + δ cos φ at the edge', () => {
    expect(deadZone(20, 0, 0.1)).toBeCloseTo(0.1, 9);
    expect(deadZone(20, degToRad(30), 0.1)).toBeCloseTo(20 * (1 - Math.cos(degToRad(30))) + 0.0866, 3);
  });
  it('touches a slope at d cos s inside the beam and at its edge beyond', () => {
    expect(firstBedRange(20, degToRad(5), degToRad(10))).toBeCloseTo(20 * Math.cos(degToRad(5)), 9);
    const [s, phi] = [degToRad(20), degToRad(10)];
    expect(firstBedRange(20, s, phi)).toBeCloseTo((20 * Math.cos(s)) / Math.cos(s - phi), 9);
  });
});

describe('sonar equation', () => {
  const budget = faceBudget(GENERIC_RIG, cone200, water);
  it('has Urick’s source level', () => {
    expect(sourceLevel(cone200)).toBeCloseTo(170.8 + db(150) + directivityIndex(cone200.beam), 6);
  });
  it('loses 40 log R, absorption and twice the pattern', () => {
    const alpha = budget.absorptionDbPerM;
    expect(pointEcho(budget, 10, -40) - pointEcho(budget, 20, -40)).toBeCloseTo(
      40 * Math.log10(2) + 20 * alpha,
      6,
    );
    expect(pointEcho(budget, 10, -40, -3)).toBeCloseTo(pointEcho(budget, 10, -40) - 6, 6);
    expect(() => pointEcho(budget, 0, -40)).toThrow(RangeError);
  });
  it('loses a 25 cm perch at 200 kHz between 30 and 45 m under default noise', () => {
    const deepest = detectionRange(budget, fishTargetStrength(0.25, 200e3));
    expect(deepest).toBeGreaterThan(30);
    expect(deepest).toBeLessThan(45);
    expect(echoMargin(budget, deepest, fishTargetStrength(0.25, 200e3))).toBeCloseTo(10, 1);
  });
});

describe('ping rate', () => {
  it('keeps all bed echoes in their own ping below c/2md', () => {
    expect(cleanPingRate(10, 1500, 1)).toBe(75);
    expect(cleanPingRate(10, 1500, 2)).toBe(37.5);
  });
  it('folds the first echo at 1.3 × c/2d to 0.23 d', () => {
    const d = 20;
    expect(foldedRange(d, (1.3 * 1500) / (2 * d), 1500) / d).toBeCloseTo(1 - 1 / 1.3, 6);
  });
  it('folds the second bed echo of 10 m in an 18 m window to 2 m', () => {
    expect(foldedRange(20, 1500 / (2 * 18), 1500)).toBeCloseTo(2, 6);
  });
});

describe('rig schema', () => {
  it('takes the generic rig and refuses impossible cones and powers', () => {
    expect(v.safeParse(RigSchema, GENERIC_RIG).success).toBe(true);
    const bad = (change: object): boolean =>
      v.safeParse(RigSchema, { ...GENERIC_RIG, faces: [{ ...cone200, ...change }] }).success;
    expect(bad({ powerW: -5 })).toBe(false);
    expect(bad({ beam: cone(0) })).toBe(false);
    expect(bad({ beam: cone(degToRad(200)) })).toBe(false);
    expect(bad({ frequencyHz: Infinity })).toBe(false);
  });
});

describe('a swept pulse', () => {
  it('resolves by its width and gathers noise by its length', () => {
    const pulse = sweptPulse(1e-3, 90e3);
    expect(rangeResolution(pulse, 1500)).toBeCloseTo(1500 / 180e3, 9);
    const swept = TRANSDUCERS.find((t) => t.id === 'swept-high')!.faces[0]!;
    const single = { ...swept, sweepHz: 0, pulseS: 1e-4 };
    const gain =
      faceBudget(GENERIC_RIG, single, water).noiseLevelDb -
      faceBudget(GENERIC_RIG, swept, water).noiseLevelDb;
    expect(gain).toBeCloseTo(10, 6);
  });
  it('is 6 dB down half a resolution either side, with its first side lobe 31.5 dB down', () => {
    expect(20 * Math.log10(echoEnvelope('swept', 0.5))).toBeCloseTo(-6.02, 1);
    let lobe = 0;
    for (let x = 1.01; x < 2; x += 0.005) lobe = Math.max(lobe, Math.abs(echoEnvelope('swept', x)));
    expect(20 * Math.log10(lobe)).toBeCloseTo(-31.5, 1);
  });
  it('refuses a sweep that cannot be compressed', () =>
    expect(() => sweptPulse(1e-5, 1e3)).toThrow(/too narrow/));
});

describe('transducers', () => {
  it.each(TRANSDUCERS.flatMap((t) => t.faces.map((f) => [t.id, f] as const)))(
    '%s can be put in a rig and pinged',
    (_id, face) => {
      expect(v.safeParse(RigSchema, { ...GENERIC_RIG, faces: [face] }).success).toBe(true);
      expect(facePulse(face).durationS).toBeGreaterThan(0);
      expect(faceBudget(GENERIC_RIG, face, water).sourceLevelDb).toBeGreaterThan(190);
    },
  );
  it('have cones that follow their frequency: the same face, so the same diameter', () => {
    const low = faceAt(cone200, 120e3);
    expect(low.id).toBe('cone-120');
    expect(low.beam.alongRad).toBeGreaterThan(cone200.beam.alongRad);
    expect(pistonDiameter(low, 1480)).toBeCloseTo(pistonDiameter(cone200, 1480), 9);
    expect(() => faceAt(cone200, 20e3)).toThrow(/wider than 120/);
  });
  it('ring down 6 dB a ring time', () =>
    expect(ringDown(210, 1e-4, 0) - ringDown(210, 1e-4, 3e-4)).toBeCloseTo(18, 9));
});

describe('places on the boat', () => {
  const rig: Rig = {
    ...GENERIC_RIG,
    positions: { antenna: { x: 2, y: 0 }, rod: { x: 1, y: -1 }, stern: { x: 0.2, y: 0 } },
    hangs: { 'slice-455': { x: 3, y: 0.5 } },
  };
  it('are counted from the first transducer, or from the face that looks', () => {
    expect(placeOfFace(rig, 'cone-200')).toEqual({ x: 0, y: 0 });
    expect(placeFromFace(rig, 'cone-200', rig.positions.rod)).toEqual({ x: 1, y: -1 });
    expect(placeFromFace(rig, 'slice-455', rig.positions.rod)).toEqual({ x: -2, y: -1.5 });
  });
  it('all stay where they are on the boat when the first transducer is moved', () => {
    const moved = firstTransducerAt(rig, { x: 0.5, y: -0.5 });
    expect(moved.positions).toEqual({
      antenna: { x: 1.5, y: 0.5 },
      rod: { x: 0.5, y: -0.5 },
      stern: { x: -0.3, y: 0.5 },
    });
    expect(moved.hangs).toEqual({ 'slice-455': { x: 2.5, y: 1 } });
    // Distances between other things are as before.
    expect(placeFromFace(moved, 'slice-455', moved.positions.rod)).toEqual(
      placeFromFace(rig, 'slice-455', rig.positions.rod),
    );
  });
  it('are all counted from a face, for water that lies under it', () => {
    const slice = seenFrom(rig, 'slice-455');
    expect(slice.hangs['slice-455']).toEqual({ x: 0, y: 0 });
    expect(slice.hangs['cone-200']).toEqual({ x: -3, y: -0.5 });
    expect(slice.positions.rod).toEqual({ x: -2, y: -1.5 });
    expect(seenFrom(rig, 'cone-200').positions).toEqual(rig.positions);
  });
  it('are those of the transducers a rig has faces of, each once', () => {
    expect(transducersOf(GENERIC_RIG).map((t) => t.id)).toEqual(['twin-83-200', 'imaging']);
    expect(transducersOf({ faces: GENERIC_RIG.faces.slice(2) }).map((t) => t.id)).toEqual(['imaging']);
  });
  it('are within 30 m in a file, and absent in an old one', () => {
    expect(v.safeParse(RigSchema, { ...rig, hangs: { 'slice-455': { x: 31, y: 0 } } }).success).toBe(false);
    const { hangs: _, ...old } = rig;
    expect(v.parse(RigSchema, old).hangs).toEqual({});
  });
});
