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
import { DETECTION_DB, GENERIC_RIG, TRANSDUCERS, type Face } from '@/core/rig';
import { emptyScene, holding, holdingStill, idlePass, layBed, layTrack } from '@/core/scene';
import { simulate } from '@/core/sounder';

const FACES = TRANSDUCERS.flatMap((t) => t.faces).filter((f) => f.frequencyHz >= 80e3);

/** A case: a brief on one face. Depth is the middle of the brief's water. */
function caseOf(seed: number): { brief: Brief; face: Face } {
  const random = seededRandom(seed).fork('expectation');
  const face = FACES[random.integer(FACES.length)]!;
  const depth = random.between(3, 30);
  const speedMps = [0, 0.8, 1.5, 3, 5][random.integer(5)]!;
  const length = random.between(0.1, 0.5);
  return {
    face,
    brief: {
      ...FIRST_BRIEF,
      lengthM: [length, length],
      fromM: depth - 0.6,
      toM: depth + 0.6 + 0.2 * depth,
      thermoclineM: null,
      windMps: 0,
      speedMps,
      presentation: speedMps === 0 ? 'vertical' : 'search',
      faceId: face.id,
    },
  };
}

function expectedAndRead(seed: number): { brief: Brief; e: Expectation; read: MarkShape } {
  const { brief, face } = caseOf(seed);
  const rig = { ...GENERIC_RIG, faces: [face] };
  const setup = startSetup(brief, rig);
  const e = expectationOf(brief, rig, setup.prediction, setup.settings);
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
  const track = layTrack({ legs, pingRate: setup.settings.pingRate, windMps: 0 }, random.fork('waves'));
  const recording = simulate({
    scene,
    track,
    rig,
    faces: [face],
    pingRate: setup.settings.pingRate,
    farM: setup.settings.rangeM,
    seed,
  });
  const marks = readChannel(recording, recording.channels[0]!)
    .findings.filter((f): f is FishFinding => f.kind === 'fish')
    .filter((f) => Math.abs(f.rangeM - e.depthM) < 0.5);
  return { brief, e, read: marks[0]?.shape ?? 'nothing' };
}

describe('what is promised', () => {
  // No faster than a boat searches. Clear of every limit: 6 dB either side of showing, a rise of twice what is flat, more pings than a reader asks for.
  const cases = Array.from({ length: 30 }, (_, k) => k + 1).map((seed) => ({
    seed,
    ...expectedAndRead(seed),
  }));
  const said = (c: (typeof cases)[number]): string => `${c.seed}: ${c.e.shape}, read ${c.read}`;

  it('shows where it is said to show, and does not where it is not', () => {
    const sure = cases.filter(
      (c) =>
        c.e.marginDb < DETECTION_DB - 6 ||
        (c.e.marginDb > DETECTION_DB + 6 && c.e.pings >= 8 && c.brief.speedMps <= 3),
    );
    expect(sure.length).toBeGreaterThan(10);
    const wrong = sure.filter((c) => (c.e.shape === 'nothing') !== (c.read === 'nothing'));
    // A fish whose highlights meet out of step may fade: one in ten.
    expect(wrong.map(said).length / sure.length).toBeLessThanOrEqual(0.1);
  });

  it('is an arch where it rises by two pulses and more, and a line under a boat that keeps still', () => {
    const arches = cases.filter(
      (c) => c.e.shape === 'arch' && c.e.riseM > 2 * c.e.gapM && c.e.marginDb > DETECTION_DB + 6,
    );
    expect(arches.length).toBeGreaterThan(5);
    const legs = arches.filter((c) => c.read === 'arch' || c.read === 'half');
    expect(legs.length / arches.length).toBeGreaterThanOrEqual(0.85);
    for (const c of cases)
      if (c.brief.speedMps === 0 && c.e.shape !== 'nothing') expect(c.e.shape).toBe('line');
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
