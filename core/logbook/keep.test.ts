import { offsetFrom, seededRandom } from '@/core/maths';
import { readChannel, type FishFinding } from '@/core/reading';
import { faceOf, GENERIC_RIG } from '@/core/rig';
import { emptyScene, holding, idlePass, layBed, layTrack } from '@/core/scene';
import { simulate } from '@/core/sounder';
import { entriesWith, type Entry } from './entry';
import { keptMark } from './keep';

it('entries are found by all of some words, wherever they stand', () => {
  const entry = (call: string, note: string): Entry =>
    ({
      id: call,
      call,
      note,
      title: 'East shelf',
      rig: GENERIC_RIG,
      keptAt: '2026-09-02T06:00:00.000Z',
    }) as Entry;
  const log = [entry('Perch on the bar', 'two caught'), entry('Bait', 'calm, over the perch')];
  expect(entriesWith(log, '')).toHaveLength(2);
  expect(entriesWith(log, ' PERCH ')).toHaveLength(2);
  expect(entriesWith(log, 'perch caught').map((e) => e.call)).toEqual(['Perch on the bar']);
  expect(entriesWith(log, 'shelf calm').map((e) => e.call)).toEqual(['Bait']);
  expect(entriesWith(log, 'zander')).toEqual([]);
});

const origin = { latitudeDeg: -47.3, longitudeDeg: -124.9 };

it('a kept mark lies where the fish is, wherever the antenna stands and the boat heads', () => {
  const random = seededRandom(3);
  const rig = {
    ...GENERIC_RIG,
    excessNoiseDb: 45,
    positions: { ...GENERIC_RIG.positions, antenna: { x: 4, y: -1.5 } },
  };
  const [durationS, pingRate] = [24, 12];
  const track = layTrack({ sections: idlePass(1.5, durationS), pingRate, windMps: 0 }, random.fork('waves'));
  // The same way, to the north.
  const north = {
    ...track,
    xM: track.yM.map((y) => -y),
    yM: track.xM,
    headingRad: track.headingRad.map((h) => h + Math.PI / 2),
  };
  const scene = {
    ...emptyScene({
      id: 'keep',
      title: '',
      teaches: '',
      water: { temperatureC: 17, salinity: 0, thermoclineM: null, windMps: 0 },
      origin,
      bed: layBed(
        { originXM: -60, originYM: -60, widthM: 160, heightM: 160, cellM: 2 },
        () => 12,
        () => 'silt',
      ),
    }),
    fish: [holding({ lengthM: 0.3, bladder: 'closed' }, [0, 18, 8], random)],
  };
  const face = faceOf(rig, 'cone-200');
  const recording = simulate({ scene, track: north, rig, faces: [face], pingRate, farM: 15, seed: 2 });
  const fish = readChannel(recording, recording.channels[0]!).findings.find(
    (f): f is FishFinding => f.kind === 'fish',
  )!;
  const off = (antenna: { x: number; y: number }): number => {
    const mark = keptMark(fish, recording, antenna);
    const { eastM, northM } = offsetFrom(origin, mark);
    return Math.hypot(eastM, northM - 18);
  };
  // Its nearest point is known to a few pings of 12 cm; left at the antenna it would be 4.3 m off.
  expect(off(rig.positions.antenna)).toBeLessThan(0.8);
  expect(Math.abs(off({ x: 0, y: 0 }) - Math.hypot(4, 1.5))).toBeLessThan(0.8);
});
