import {
  expectationOf,
  FIRST_BRIEF,
  marginCurve,
  predict,
  startSetup,
  type Brief,
  type Expectation,
} from '@/core/advice';
import { seededRandom } from '@/core/maths';
import { readChannel, type FishFinding, type MarkShape } from '@/core/reading';
import type { Settings } from '@/core/picture';
import { DETECTION_DB, GENERIC_RIG, TRANSDUCERS, type Rig } from '@/core/rig';
import { emptyScene, holding, holdingStill, idlePass, layBed, layTrack } from '@/core/scene';
import { simulate } from '@/core/sounder';

const FACES = TRANSDUCERS.flatMap((t) => t.faces).filter((f) => f.frequencyHz >= 80e3);

/** What is promised of one fish that lies still, and all that is needed to try it. */
interface Case {
  seed: number;
  brief: Brief;
  rig: Rig;
  settings: Settings;
  e: Expectation;
}

function caseOf(seed: number): Case {
  const random = seededRandom(seed).fork('expectation');
  const face = FACES[random.integer(FACES.length)]!;
  // As many in the shallows as deep.
  const depth = 1.2 * Math.pow(25, random.uniform());
  const speedMps = [0, 0.8, 1.5, 3, 3.8][random.integer(5)]!;
  const length = 0.06 * Math.pow(8, random.uniform());
  const brief: Brief = {
    ...FIRST_BRIEF,
    lengthM: [length, length],
    fromM: depth - 0.6,
    toM: depth + 0.6 + 0.2 * depth,
    thermoclineM: null,
    windMps: 0,
    speedMps,
    presentation: speedMps === 0 ? 'vertical' : 'search',
    faceId: face.id,
  };
  // Quiet boats and noisy ones.
  const rig = { ...GENERIC_RIG, faces: [face], excessNoiseDb: random.between(45, 95) };
  const { settings, prediction } = startSetup(brief, rig);
  return { seed, brief, rig, settings, e: expectationOf(brief, rig, prediction, settings) };
}

/** What the reader finds where the simulator has put that fish. */
function readOf({ seed, brief, rig, settings, e }: Case): MarkShape {
  const random = seededRandom(seed);
  const durationS = brief.speedMps === 0 ? 20 : Math.max(12, (3 * e.depthM) / brief.speedMps);
  const way = brief.speedMps * durationS;
  const scene = {
    ...emptyScene({
      id: 'expectation',
      title: '',
      teaches: '',
      water: { temperatureC: brief.temperatureC, salinity: 0, thermoclineM: null, windMps: 0 },
      origin: { latitudeDeg: -47.3, longitudeDeg: -124.9 },
      bed: layBed(
        { originXM: -60, originYM: -60, widthM: way + 120, heightM: 120, cellM: 2 },
        () => brief.toM,
        () => 'silt',
      ),
    }),
    fish: [holding({ lengthM: brief.lengthM[0], bladder: 'closed' }, [way / 2, 0, e.depthM], random)],
  };
  const legs = brief.speedMps === 0 ? holdingStill(durationS) : idlePass(brief.speedMps, durationS);
  const track = layTrack({ legs, pingRate: settings.pingRate, windMps: 0 }, random.fork('waves'));
  const recording = simulate({
    scene,
    track,
    rig,
    faces: [...rig.faces],
    pingRate: settings.pingRate,
    farM: settings.rangeM,
    seed,
  });
  const marks = readChannel(recording, recording.channels[0]!)
    .findings.filter((f): f is FishFinding => f.kind === 'fish')
    .filter((f) => Math.abs(f.rangeM - e.depthM) < 0.5)
    .sort((x, y) => y.toPing - y.fromPing - (x.toPing - x.fromPing));
  return marks[0]?.shape ?? 'nothing';
}

/** A dot and a dash are one promise: too few pings for a shape, or a slice. */
const kindOf = (shape: MarkShape): MarkShape => (shape === 'dot' ? 'dash' : shape);
const NEAR_DB = 3;
const isNear = ({ e }: Case): boolean => Math.abs(e.marginDb - e.needDb) <= NEAR_DB;

/** The first seeds with three near the limit and six clear of it of every shape (a line one and two, an arch one more). */
const SEEDS = [
  1, 2, 3, 4, 5, 6, 7, 8, 9, 10, 11, 12, 13, 14, 15, 16, 17, 18, 19, 21, 23, 24, 26, 27, 28, 31, 34, 39, 44,
  53, 83, 117, 128, 138, 179, 233, 251, 531, 928, 1175,
];

describe('what is promised', () => {
  const cases = SEEDS.map(caseOf).map((c) => ({ ...c, read: readOf(c) }));
  const kept = (list: typeof cases): number =>
    list.filter((c) => kindOf(c.read) === kindOf(c.e.shape)).length;

  it('is tried on forty cases of every shape, a third of them near the limit', () => {
    expect(cases).toHaveLength(40);
    expect(cases.filter(isNear).length).toBeGreaterThanOrEqual(13);
    for (const shape of ['arch', 'clip', 'dash', 'nothing'])
      expect(cases.filter(({ e }) => kindOf(e.shape) === shape).length).toBeGreaterThanOrEqual(6);
  });

  it('is what is then read in 35 of 40: one shape, or the two that are named where neither is sure', () => {
    const promised = ({ e, read }: (typeof cases)[number]): boolean =>
      e.promised.some((s) => kindOf(s) === kindOf(read));
    expect(cases.filter(promised).length).toBeGreaterThanOrEqual(35);
    // Naming two is the exception, and the likeliest alone is right in three of four.
    expect(cases.filter(({ e }) => e.promised.length > 1).length).toBeLessThanOrEqual(14);
    expect(kept(cases)).toBeGreaterThanOrEqual(30);
  });

  it('is kept as often as it says it will be', () => {
    const foretold = cases.reduce((sum, { e }) => sum + e.likely, 0);
    const variance = cases.reduce((sum, { e }) => sum + e.likely * (1 - e.likely), 0);
    expect(Math.abs(kept(cases) - foretold)).toBeLessThan(2.5 * Math.sqrt(variance));
    // Near the limit as well as clear of it.
    const near = cases.filter(isNear);
    const said = near.reduce((sum, { e }) => sum + e.likely, 0);
    const spread = near.reduce((sum, { e }) => sum + e.likely * (1 - e.likely), 0);
    expect(Math.abs(kept(near) - said)).toBeLessThan(2.5 * Math.sqrt(spread));
  });

  it('holds where it is sure', () => {
    const sure = cases.filter((c) => c.e.likely >= 0.9);
    expect(sure.length).toBeGreaterThan(10);
    expect(kept(sure) / sure.length).toBeGreaterThanOrEqual(0.8);
  });

  it('shows where it is said to show, and does not where it is not', () => {
    const clear = cases.filter((c) => !isNear(c));
    const wrong = clear.filter((c) => (c.e.shape === 'nothing') !== (c.read === 'nothing'));
    // A fish whose highlights meet out of step may fade, and a speck of two pings be found: one in ten.
    expect(wrong.length / clear.length).toBeLessThanOrEqual(0.1);
  });

  it('names what comes next, and shares that add up to no more than all', () => {
    for (const { e } of cases) {
      expect(e.likely).toBeGreaterThan(0);
      expect(e.likely + (e.rival?.likely ?? 0)).toBeLessThanOrEqual(1);
      expect(e.rival?.shape).not.toBe(e.shape);
      if (e.rival) expect(e.rival.likely).toBeLessThanOrEqual(e.likely);
    }
  });
});

describe('margin by depth', () => {
  it('falls with depth and crosses nothing at the deepest that shows', () => {
    const p = predict(FIRST_BRIEF, GENERIC_RIG, GENERIC_RIG.faces[0]!);
    const curve = marginCurve(p, p.deepestM, 40);
    for (let k = 1; k < curve.length; k++) expect(curve[k]!.overDb).toBeLessThan(curve[k - 1]!.overDb);
    expect(curve[curve.length - 1]!.overDb).toBeCloseTo(0, 1);
    expect(p.marginDb - DETECTION_DB).toBeGreaterThan(0);
  });
});
