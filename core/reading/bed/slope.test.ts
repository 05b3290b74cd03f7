import { BED_MATERIALS, type BedMaterial } from '@/core/water';
import { cone, singlePulse } from '@/core/rig';
import { bedDepthAt, bedMaterialAt } from '@/core/scene';
import { madePass } from '@/scripts/accuracy/passes';
import { bedShape, firstEchoesDb, readChannel, steepSlope } from '..';

const DEG = Math.PI / 180;
const HARD_ONES: ReadonlySet<BedMaterial> = new Set(['rock', 'gravel', 'shell', 'sand']);

describe('a bed that falls away', () => {
  it('is told hard from soft, and its depth straight below held, where the beam does not reach its perpendicular', () => {
    let [right, patches, held, pings] = [0, 0, 0, 0];
    // Beams of 9° to 20° over slopes of 13° to 17°.
    for (const seed of [7_930_004, 7_930_014, 7_930_018]) {
      const { scene, track, recording } = madePass(seed, { steepest: Math.tan(18 * DEG) });
      const channel = recording.channels[0]!;
      const { hardness, bedShape: shape } = readChannel(recording, channel);
      const materialAt = (p: number): number => bedMaterialAt(scene.bed, track.xM[p]!, track.yM[p]!);
      for (const { fromPing, toPing, hard } of hardness) {
        if (materialAt(fromPing) !== materialAt(toPing)) continue;
        patches++;
        if (hard > 0.5 === HARD_ONES.has(BED_MATERIALS[materialAt(fromPing)]!)) right++;
      }
      for (let p = 0; p < channel.pingCount; p += 20) {
        const depth = bedDepthAt(scene.bed, track.xM[p]!, track.yM[p]!) - track.heaveM[p]!;
        pings++;
        if (depth > shape.depthLowM[p]! - 0.005 * depth && depth < shape.depthHighM[p]! + 0.005 * depth)
          held++;
      }
    }
    expect(patches).toBeGreaterThan(15);
    expect(right / patches).toBeGreaterThanOrEqual(0.9);
    expect(held / pings).toBeGreaterThanOrEqual(0.9);
  });

  it('gives its slope and depth back from the range of a narrow beam’s edge', () => {
    const [slope, half, pings] = [20 * DEG, 5 * DEG, 90];
    const depthM = Float64Array.from({ length: pings }, (_, p) => 10 + 0.2 * p * Math.tan(slope));
    const rangeM = Float32Array.from(depthM, (d) => (d * Math.cos(slope)) / Math.cos(slope - half));
    const navigation = {
      eastM: Float64Array.from({ length: pings }, (_, p) => 0.2 * p),
      northM: new Float64Array(pings),
      pitchRad: new Float32Array(pings),
    };
    const shape = bedShape(
      {
        pingCount: pings,
        resolutionM: 0.1,
        beam: { shape: 'cone', alongRad: 2 * half, athwartRad: 2 * half },
      } as never,
      { rangeM, contrastDb: new Float32Array(pings) },
      navigation as never,
    );
    const wayM = navigation.eastM;
    expect(steepSlope(shape, wayM)!.slopeRad / DEG).toBeCloseTo(20, 0);
    for (let p = 15; p < pings - 15; p++) {
      expect(shape.slopeRad[p]! / DEG).toBeCloseTo(20, 0);
      expect(shape.depthLowM[p]!).toBeLessThan(depthM[p]! * 1.005);
      expect(shape.depthHighM[p]!).toBeGreaterThan(depthM[p]! * 0.995);
    }
  });

  it('is no deeper below a step than what is drawn beyond it, and a step is no slope', () => {
    const rangeM = Float32Array.from({ length: 300 }, (_, p) => (p < 150 ? 8 : 15));
    const navigation = {
      eastM: Float64Array.from({ length: 300 }, (_, p) => 0.1 * p),
      northM: new Float64Array(300),
      pitchRad: new Float32Array(300),
    };
    const shape = bedShape(
      { pingCount: 300, resolutionM: 0.1, beam: cone(20 * DEG) } as never,
      { rangeM, contrastDb: new Float32Array(300) },
      navigation as never,
    );
    expect(Math.max(...shape.depthHighM)).toBeLessThan(15 * 1.03);
    expect(Math.max(...shape.depthLowM)).toBeLessThan(15 * 1.03);
    expect(steepSlope(shape, navigation.eastM)).toBeNull();
  });

  it('is not told steep where waves go up and down', () => {
    const slopeRad = Float32Array.from({ length: 400 }, (_, p) => 20 * DEG * Math.sin(p / 6));
    const wayM = slopeRad.map((_, p) => 0.1 * p);
    expect(steepSlope({ slopeRad }, wayM)).toBeNull();
    expect(steepSlope({ slopeRad: slopeRad.map(() => NaN) }, wayM)).toBeNull();
  });

  it('answers more weakly to a beam that does not reach its perpendicular, and a flat one as before from any spoke', () => {
    const narrow = { beam: cone(10 * DEG), pulse: singlePulse(2e-4, 200e3, 20), soundSpeedMps: 1480 };
    const flat = firstEchoesDb(narrow, 10);
    const steep = firstEchoesDb(narrow, 10, 15 * DEG);
    const hardly = firstEchoesDb(narrow, 10, 0.01 * DEG);
    flat.forEach((db, m) => {
      expect(hardly[m]!).toBeCloseTo(db, 1);
      expect(steep[m]!).toBeLessThan(db - 3);
    });
  });
});
