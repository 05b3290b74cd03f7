import { seededRandom } from '@/core/maths';
import { readChannel, type FishFinding, type Reading } from '@/core/reading';
import type { Stretch } from '@/core/recording';
import { GENERIC_RIG, transducerOf, type Face } from '@/core/rig';
import {
  bedDepthAt,
  cruising,
  layBed,
  makeScene,
  recipeOf,
  trackOver,
  truthOf,
  type Scene,
} from '@/core/scene';
import { simulate, visibleFish } from '@/core/sounder';
import { BED_MATERIALS, type BedMaterial } from '@/core/water';

const cone200 = transducerOf('twin-83-200').faces[0]!;

function passOver(
  id: string,
  {
    scene: change = {},
    face = cone200,
    farM = recipeOf(id).rangeM,
    seed = 4,
  }: {
    scene?: Partial<Scene>;
    face?: Face;
    farM?: number;
    seed?: number;
  } = {},
): { recording: Stretch; scene: Scene; reading: Reading; track: ReturnType<typeof trackOver> } {
  const scene = { ...makeScene(id, seed), ...change };
  const track = trackOver(id, seed);
  const { pingRate } = recipeOf(id);
  const recording = simulate({ scene, track, rig: GENERIC_RIG, faces: [face], pingRate, farM, seed });
  return { recording, scene, track, reading: readChannel(recording, recording.channels[0]!) };
}

const fishIn = (reading: Reading) => reading.findings.filter((f) => f.kind === 'fish');

/** A level bed of one material. */
const levelBed = (depthM: number, material: BedMaterial) =>
  layBed(
    { originXM: -60, originYM: -60, widthM: 300, heightM: 120, cellM: 2 },
    () => depthM,
    () => material,
  );

describe('the bed line', () => {
  it('is not drawn to the second echo of shallow hard ground', () => {
    const { reading } = passOver('half-arches', { scene: { bed: levelBed(5, 'rock'), fish: [] }, farM: 13 });
    for (const range of reading.bed.rangeM) expect(Math.abs(range - 5)).toBeLessThan(0.15);
  });
  it('goes on under weed, brush, fish and layers', () => {
    for (const id of ['weed-edge', 'brush-by-age', 'thermocline', 'channel-ledge']) {
      const { reading, scene, track } = passOver(id);
      const truth = truthOf(scene, track, cone200.beam.alongRad / 2).firstBedRangeM;
      const off = Array.from(reading.bed.rangeM, (r, p) => Math.abs(r - truth[p]!));
      // Over the lip of a ledge the line leaps within a few pings, before or after the truth does.
      expect(off.filter((d) => !(d < 0.05 * Math.max(...truth))).length / off.length).toBeLessThan(0.03);
    }
  });
});

describe('the shape of the bed', () => {
  it('holds the true depth in its interval, and hides more on a slope', () => {
    const { reading, scene, track } = passOver('channel-ledge');
    const { depthLowM, depthHighM, slopeRad, deadZoneM } = reading.bedShape;
    let inside = 0;
    let steep = 0;
    let level = 0;
    for (let p = 0; p < depthLowM.length; p++) {
      const below = bedDepthAt(scene.bed, track.xM[p]!, track.yM[p]!) - track.heaveM[p]!;
      if (below > depthLowM[p]! - 0.1 && below < depthHighM[p]! + 0.1) inside++;
      if (Math.abs(slopeRad[p]!) > 0.12) steep = Math.max(steep, deadZoneM[p]!);
      else if (Math.abs(slopeRad[p]!) < 0.02) level = Math.max(level, deadZoneM[p]!);
    }
    // Over the lip itself no one slope holds.
    expect(inside / depthLowM.length).toBeGreaterThan(0.85);
    expect(steep).toBeGreaterThan(level);
  });
});

describe('hardness', () => {
  const likely = (material: BedMaterial, face = cone200) => {
    const { reading } = passOver('half-arches', {
      scene: { bed: levelBed(9, material), fish: [] },
      face,
      farM: 22,
    });
    return reading.hardness;
  };
  it.each(BED_MATERIALS)('takes %s for what it is, or its neighbour, and hard for hard', (material) => {
    const stretches = likely(material);
    expect(stretches.length).toBeGreaterThan(10);
    const place = BED_MATERIALS.indexOf(material);
    const near = stretches.filter((s) => Math.abs(BED_MATERIALS.indexOf(s.likely) - place) <= 1);
    expect(near.length / stretches.length).toBeGreaterThan(0.9);
    if (material !== 'sand' && material !== 'silt')
      for (const s of stretches) expect(s.hard > 0.5).toBe(material !== 'mud');
    for (const s of stretches) expect(s.probability.reduce((a, b) => a + b, 0)).toBeCloseTo(1, 9);
  });
  it('goes by the second echo alone when levels are only relative', () => {
    const { recording } = passOver('half-arches', {
      scene: { bed: levelBed(9, 'rock'), fish: [] },
      farM: 22,
    });
    const channel = { ...recording.channels[0]!, calibration: null };
    const { hardness } = readChannel({ ...recording, channels: [channel] }, channel);
    for (const s of hardness) {
      expect(s.firstOverGravelDb).toBeNull();
      expect(s.hard).toBeGreaterThan(0.5);
    }
  });
});

describe('what is not a fish', () => {
  it('another sounder’s slanting pulses are named', () => {
    const otherSounders = [
      { pingRate: recipeOf('half-arches').pingRate + 0.012, overNoiseDb: 24, pulseS: 3e-4 },
    ];
    const { reading } = passOver('half-arches', { scene: { otherSounders, fish: [] } });
    expect(fishIn(reading)).toEqual([]);
    expect(reading.named.filter((n) => n.kind === 'another-sounder').length).toBeGreaterThan(0);
  });
  it('a towed weight is one’s own gear, not a row of fish and not a layer', () => {
    const { reading, scene, track } = passOver('towed-weight');
    const line = reading.named.filter((n) => n.kind === 'own-gear');
    expect(line.length).toBeGreaterThan(0);
    const swung = scene.gear[0]!.lineOut[0]![1];
    expect(line.some((n) => n.rangeM[0] < swung && n.rangeM[1] > swung - 1.2)).toBe(true);
    expect(reading.layers).toEqual([]);
    const real = visibleFish(scene, track, GENERIC_RIG, cone200).filter((f) => f.pings.length >= 4);
    expect(fishIn(reading).length).toBeLessThanOrEqual(real.length + 2);
  });
  it('a fish that swims along with the boat is passed in the end, and is no gear', () => {
    // Over deep water the echo of a big fish near the face is heard for far longer than a weak one stays in the beam.
    const track = trackOver('half-arches', 4);
    const middle = track.timeS.length >> 1;
    const [x, timeS] = [track.xM[middle]!, track.timeS[middle]!];
    const boat =
      (track.xM[middle + 1]! - track.xM[middle - 1]!) / (track.timeS[middle + 1]! - track.timeS[middle - 1]!);
    const along = cruising(
      { lengthM: 0.7, bladder: 'closed' },
      timeS,
      [x, 0.1, 4.5],
      [0.45 * boat, 0, 0],
      seededRandom(3),
    );
    const { reading } = passOver('half-arches', { scene: { fish: [along] } });
    expect(reading.named.filter((n) => n.kind === 'own-gear')).toEqual([]);
    const near = fishIn(reading).filter((f) => Math.abs(f.timeS - timeS) < 4);
    expect(near).toHaveLength(1);
    expect(Math.abs(near[0]!.rangeM - 4.5)).toBeLessThan(0.4);
  });
  it('a layer is found at its depth, and the fish above it stay fish', () => {
    const { reading } = passOver('thermocline');
    expect(reading.layers).toHaveLength(1);
    expect(Math.abs(reading.layers[0]!.rangeM - 9.5)).toBeLessThan(1);
    expect(fishIn(reading).length).toBeGreaterThanOrEqual(7);
  });
});

describe('a swept pulse', () => {
  it('shows one mark for one fish, though it resolves the parts of its body', () => {
    const swept = transducerOf('swept-high').faces[0]!;
    const { reading, scene, track } = passOver('thermocline', { face: swept });
    const real = visibleFish(scene, track, GENERIC_RIG, swept).filter((f) => f.pings.length >= 4);
    const marks = fishIn(reading);
    expect(real.length).toBeGreaterThan(6);
    for (const fish of real)
      expect(
        marks.filter(
          (m) => Math.abs(m.timeS - fish.nearestTimeS) < 3 && Math.abs(m.rangeM - fish.nearestRangeM) < 0.5,
        ),
      ).toHaveLength(1);
    expect(marks.length - real.length).toBeLessThanOrEqual(1);
  });
});

describe('strength', () => {
  it('of one fish is made up for in part toward the edge of the beam, and its lengths hold both', () => {
    const at = (y: number): FishFinding => {
      const fish = { ...makeScene('half-arches', 4).fish.find((f) => f.doing === 'holding')! };
      const path = fish.path.slice();
      for (const row of [0, 4]) {
        path[row + 2] = y;
        path[row + 3] = 10;
      }
      const { reading } = passOver('half-arches', {
        scene: { fish: [{ ...fish, path, restHeadingRad: Math.PI / 2 }] },
      });
      const marks = fishIn(reading);
      expect(marks).toHaveLength(1);
      return marks[0]!;
    };
    const [middle, edge] = [at(0), at(1.5)];
    // The pattern alone takes 5 dB there and back at 8.5° of a 20° cone; a round beam falls off along the way much alike at any offset.
    expect(Math.abs(middle.strengthDb - edge.strengthDb)).toBeLessThan(5);
    const { lengthM } = makeScene('half-arches', 4).fish.find((f) => f.doing === 'holding')!;
    for (const mark of [middle, edge]) {
      expect(mark.lengthM![0]).toBeLessThan(lengthM);
      expect(mark.lengthM![2]).toBeGreaterThan(lengthM);
    }
  });
});
