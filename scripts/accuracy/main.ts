/** Prints how well the reader reads, on fresh seeds: `npm run accuracy [-- --passes N --seed S]`. */
import { randomInt } from 'node:crypto';
import { parseArgs } from 'node:util';
import { GENERIC_RIG } from '@/core/rig';
import { readChannel, type MarkShape } from '@/core/reading';
import { bedDepthAt, bedMaterialAt, truthOf } from '@/core/scene';
import { BED_MATERIALS } from '@/core/water';
import { visibleFish, type VisibleFish } from '@/core/sounder';
import { madePass, type Conditions } from './passes';

const { values } = parseArgs({
  options: { passes: { type: 'string' }, seed: { type: 'string' }, verbose: { type: 'boolean' } },
});
const PASSES = Number(values.passes ?? 40);
const SEED = Number(values.seed ?? randomInt(1, 2 ** 31));

/** Share and its 95 % interval (Wilson 1927). */
function share(good: number, all: number): string {
  if (all === 0) return '– (0)';
  const p = good / all;
  const z = 1.96;
  const middle = (p + (z * z) / (2 * all)) / (1 + (z * z) / all);
  const half = (z * Math.sqrt((p * (1 - p)) / all + (z * z) / (4 * all * all))) / (1 + (z * z) / all);
  return `${p.toFixed(3)} (${Math.max(0, middle - half).toFixed(3)}–${Math.min(1, middle + half).toFixed(3)}, n ${all})`;
}

const quantile = (list: number[], q: number): number =>
  [...list].sort((a, b) => a - b)[Math.floor(q * (list.length - 1))] ?? NaN;
const median = (list: number[]): number => quantile(list, 0.5);

/**
 * The shape the noise-free mark has: both legs, one, or none that rises by a pulse; null where it lies within a third of
 * that of either, and the word is a matter of taste.
 */
function trueShape(fish: VisibleFish, pulseM: number): MarkShape | null {
  const at = fish.rangeM.indexOf(Math.min(...fish.rangeM));
  const pulse = Math.max(pulseM, 0.08);
  const before = Math.max(0, ...fish.rangeM.slice(0, at).map((r) => r - fish.nearestRangeM)) / pulse;
  const after = Math.max(0, ...fish.rangeM.slice(at + 1).map((r) => r - fish.nearestRangeM)) / pulse;
  if ([before, after].some((x) => x > 0.55 && x < 1.2)) return null;
  if (before > 1 && after > 1) return 'arch';
  if (before > 1 || after > 1) return 'half';
  return fish.pings.length <= 4 ? 'dash' : 'clip';
}

/** Expected calibration error over ten bins, and the area under the curve of right against wrong. */
function calibration(claims: { confidence: number; right: boolean }[]): string {
  let error = 0;
  for (let bin = 0; bin < 10; bin++) {
    const mine = claims.filter((c) => Math.min(9, Math.floor(c.confidence * 10)) === bin);
    if (mine.length === 0) continue;
    const said = mine.reduce((sum, c) => sum + c.confidence, 0) / mine.length;
    const was = mine.filter((c) => c.right).length / mine.length;
    error += (Math.abs(said - was) * mine.length) / claims.length;
  }
  const right = claims.filter((c) => c.right);
  const wrong = claims.filter((c) => !c.right);
  let above = 0;
  for (const a of right)
    for (const b of wrong) above += a.confidence > b.confidence ? 1 : a.confidence === b.confidence ? 0.5 : 0;
  const auroc =
    right.length * wrong.length > 0 ? (above / (right.length * wrong.length)).toFixed(3) : '– (none wrong)';
  return `calibration error ${error.toFixed(3)}, AUROC ${auroc}`;
}

function run(name: string, conditions: Conditions): void {
  let bedSquares = 0;
  let bedPings = 0;
  let bedOff = 0;
  let known = 0;
  let found = 0;
  let claimed = 0;
  let right = 0;
  let near = 0;
  let inside = 0;
  let stretches = 0;
  let exact = 0;
  let next = 0;
  let hardRight = 0;
  let depths = 0;
  let depthsInside = 0;
  let shapes = 0;
  let shapesRight = 0;
  let sizes = 0;
  let sizesInside = 0;
  const factors: number[] = [];
  const ratios: number[] = [];
  const claims: { confidence: number; right: boolean }[] = [];
  let clouds = 0;
  let cloudsFound = 0;
  let cloudsFalse = 0;
  for (let k = 0; k < PASSES; k++) {
    const { scene, track, face, recording } = madePass(SEED + k, conditions);
    const channel = recording.channels[0]!;
    const reading = readChannel(recording, channel);
    const truth = truthOf(scene, track, face.beam.alongRad / 2);
    for (let p = 0; p < channel.pingCount; p++) {
      const off = reading.bed.rangeM[p]! - truth.firstBedRangeM[p]!;
      bedPings++;
      if (!(Math.abs(off) <= 1)) bedOff++;
      else bedSquares += (off / Math.max(channel.sampleStepM, 0.005 * truth.firstBedRangeM[p]!)) ** 2;
    }
    for (const stretch of reading.hardness) {
      const at = (p: number): number => bedMaterialAt(scene.bed, track.xM[p]!, track.yM[p]!);
      const material = at(stretch.fromPing);
      if (at(stretch.toPing) !== material) continue;
      stretches++;
      const off = Math.abs(BED_MATERIALS.indexOf(stretch.likely) - material);
      if (off === 0) exact++;
      if (off <= 1) next++;
      if (stretch.hard > 0.5 === material < 4) hardRight++;
    }
    for (let p = 0; p < channel.pingCount; p += 20) {
      const below = bedDepthAt(scene.bed, track.xM[p]!, track.yM[p]!) - track.heaveM[p]!;
      const { depthLowM, depthHighM } = reading.bedShape;
      if (!(depthLowM[p]! > 0)) continue;
      depths++;
      // Half a sample and the line's own unsureness of half a hundredth belong to every range.
      const slack = channel.sampleStepM / 2 + 0.005 * below;
      if (below > depthLowM[p]! - slack && below < depthHighM[p]! + slack) depthsInside++;
    }
    const rig = { ...GENERIC_RIG };
    rig.excessNoiseDb = conditions.excessNoiseDb ?? rig.excessNoiseDb;
    const seen = visibleFish(scene, track, rig, face).filter((f) => f.pings.length > 0);
    const marks = reading.findings.filter((f) => f.kind === 'fish');
    const used = new Set<number>();
    const lines: string[] = [];
    for (const fish of seen) {
      const at = Math.round(fish.nearestTimeS * recording.pingRate);
      const clear =
        truth.firstBedRangeM[Math.min(at, channel.pingCount - 1)]! - fish.nearestRangeM >
        1.5 * channel.resolutionM;
      const mine = marks.find(
        (m) =>
          !used.has(m.id) &&
          m.fromPing <= fish.pings[fish.pings.length - 1]! + 3 &&
          m.toPing >= fish.pings[0]! - 3 &&
          Math.abs(m.rangeM - fish.nearestRangeM) < 0.4 + 0.02 * fish.nearestRangeM,
      );
      if (mine) used.add(mine.id);
      // Four pings over the noise make a mark; less is a chance sight.
      if (fish.pings.length < 4 || !clear) continue;
      known++;
      if (!mine)
        lines.push(
          `missed: ${fish.nearestRangeM.toFixed(1)} m at ${fish.nearestTimeS.toFixed(0)} s, peak ${fish.peakDb.toFixed(0)} dB, ${fish.pings.length} pings`,
        );
      if (!mine) continue;
      found++;
      if (Math.abs(mine.rangeM - fish.nearestRangeM) < 0.1) near++;
      else
        lines.push(
          `off by ${(mine.rangeM - fish.nearestRangeM).toFixed(2)}: ${fish.nearestRangeM.toFixed(1)} m peak ${fish.peakDb.toFixed(0)} ${mine.shape}`,
        );
      const shape = trueShape(fish, channel.resolutionM);
      if (shape !== null) {
        shapes++;
        if (shape === mine.shape) shapesRight++;
        else
          lines.push(
            `shape ${mine.shape}, truly ${shape}: ${fish.nearestRangeM.toFixed(1)} m, ${fish.pings.length} pings, peak ${fish.peakDb.toFixed(0)}`,
          );
      }
      if (mine.lengthM) {
        sizes++;
        const [low, , high] = mine.lengthM;
        if (fish.fish.lengthM >= low && fish.fish.lengthM <= high) sizesInside++;
        factors.push(high / mine.lengthM[1]);
        ratios.push(mine.lengthM[1] / fish.fish.lengthM);
      }
      if (fish.depthM > mine.depthM[0] - 0.05 && fish.depthM < mine.depthM[1] + 0.05) inside++;
    }
    for (const m of marks) {
      claimed++;
      claims.push({ confidence: m.confidence, right: used.has(m.id) });
      if (used.has(m.id)) right++;
      else
        lines.push(
          `false: ${m.rangeM.toFixed(1)} m at ${m.timeS.toFixed(0)} s, ${m.toPing - m.fromPing + 1} pings, conf ${m.confidence.toFixed(2)} ${m.shape}, over ${m.overBackgroundDb.toFixed(0)}`,
        );
    }
    const read = reading.findings.filter((f) => f.kind === "cloud");
    clouds += scene.clouds.length;
    const hit = scene.clouds.filter((c, i) =>
      read.some(
        (f) =>
          Math.abs(f.timeS - truth.clouds[i]!.timeS) < 12 &&
          f.rangeM < truth.clouds[i]!.bottomM + 1 &&
          f.rangeM + f.heightM > truth.clouds[i]!.topM - 1,
      ),
    ).length;
    cloudsFound += hit;
    if (read.length > hit)
      for (const f of read)
        lines.push(
          `cloud read: ${f.rangeM.toFixed(1)} m, ${f.heightM.toFixed(1)} m high, pings ${f.fromPing}–${f.toPing}, over ${f.overBackgroundDb.toFixed(0)}, conf ${f.confidence.toFixed(2)}`,
        );
    cloudsFalse += read.length - Math.min(read.length, hit);
    if (values.verbose && lines.length)
      console.log(
        `seed ${SEED + k} ${face.id} bed ${truth.firstBedRangeM[0]!.toFixed(0)} m δ ${channel.resolutionM.toFixed(2)} clouds ${scene.clouds.length}/${read.length}\n  ${lines.join('\n  ')}`,
      );
  }
  console.log(`${name}`);
  console.log(
    `  bed: RMS ${Math.sqrt(bedSquares / bedPings).toFixed(2)} × (a sample or 0.5 %), pings more than 1 m off ${((100 * bedOff) / bedPings).toFixed(2)} %`,
  );
  console.log(`        true depth below in its interval ${share(depthsInside, depths)}`);
  console.log(
    `        made of: exact ${share(exact, stretches)}, or next to it ${share(next, stretches)}, hard against soft ${share(hardRight, stretches)}`,
  );
  console.log(`  fish: recall ${share(found, known)}, precision ${share(right, claimed)}`);
  console.log(
    `        nearest range within 0.1 m ${share(near, found)}, true depth in its interval ${share(inside, found)}`,
  );
  console.log(
    `        shape right ${share(shapesRight, shapes)}, length in its spread ${share(sizesInside, sizes)}, median factor ${median(factors).toFixed(2)}, read over true ${[0.1, 0.5, 0.9].map((q) => quantile(ratios, q).toFixed(2)).join(' ')}`,
  );
  console.log(`        probabilities of ${claims.length} claims: ${calibration(claims)}`);
  console.log(`  clouds: found ${share(cloudsFound, clouds)}, false ${cloudsFalse}`);
}

console.log(`seed ${SEED}, ${PASSES} passes each`);
run('usual', {});
run('another sounder in earshot', { otherSounder: true });
run('rough, wind 8 m/s', { windMps: 8 });
run('fast, 4 m/s', { speedMps: 4 });
