/** Prints how fast the reader and the eye work on this machine; `npm run perf` runs it after the simulator's part. */
import { seededRandom } from '@/core/maths';
import { viewing, PLAIN_SETTINGS } from '@/core/picture';
import { drawPicture, see } from '@/core/picture/drawing';
import { readChannel } from '@/core/reading';
import { recordingOf, type Channel, type Stretch } from '@/core/recording';
import { GENERIC_RIG, transducerOf } from '@/core/rig';
import { layTrack, makeScene, recipeOf, timeOf } from '@/core/scene';
import { simulate } from '@/core/sounder';

const ROUNDS = 9;
/** Runs before the clock is looked at: an hour on the water is long, a compiler's warming up is not what is asked. */
const WARM = 20;

function timed(work: () => unknown): { best: number; median: number } {
  for (let k = 0; k < WARM; k++) work();
  const list = Array.from({ length: ROUNDS }, () => {
    const begun = performance.now();
    work();
    return performance.now() - begun;
  }).sort((a, b) => a - b);
  return { best: list[0]!, median: list[ROUNDS >> 1]! };
}

/** A named scene as a cone hears it, its samples thinned or doubled to a number of them. */
function passOver(id: string, samples: number): Stretch {
  const recipe = recipeOf(id);
  const face = transducerOf('twin-83-200').faces[0]!;
  const pingRate = 1600 / timeOf(recipe.sections);
  const track = layTrack({ sections: recipe.sections, pingRate, windMps: recipe.windMps }, seededRandom(1));
  // The step follows the pulse, so the window decides how many samples there are.
  const probe = simulate({
    scene: makeScene(id, 1),
    track,
    rig: GENERIC_RIG,
    faces: [face],
    pingRate,
    farM: recipe.rangeM,
    seed: 1,
  });
  const channel = probe.channels[0]!;
  return { ...probe, channels: [resampled(channel, samples)] };
}

/** The same water at another number of samples: repeated or left out, which costs the reader what real ones would. */
function resampled(channel: Channel, samples: number): Channel {
  const { pingCount, sampleCount: n, levelDb } = channel;
  const out = new Float32Array(pingCount * samples);
  for (let p = 0; p < pingCount; p++)
    for (let j = 0; j < samples; j++) out[p * samples + j] = levelDb[p * n + Math.floor((j * n) / samples)]!;
  const sampleStepM = (channel.sampleStepM * n) / samples;
  return {
    ...channel,
    sampleCount: samples,
    sampleStepM,
    resolutionM: Math.max(channel.resolutionM, 2 * sampleStepM),
    levelDb: out,
  };
}

for (const samples of [600, 2000]) {
  const recording = passOver('sunk-crib', samples);
  const channel = recording.channels[0]!;
  const { best, median } = timed(() => readChannel(recording, channel));
  const rate = (ms: number): string => Math.round((1000 * channel.pingCount) / ms).toLocaleString('en');
  console.log(
    `reader, ${channel.pingCount} pings × ${samples} samples: ${rate(median)} pings a second (best ${rate(best)}), ${((1e6 * best) / channel.levelDb.length).toFixed(0)} ns a sample`,
  );
}

{
  // An hour at eight pings a second: the same pass over and over.
  const pass = passOver('sunk-crib', 600);
  const channel = pass.channels[0]!;
  const pings = 8 * 3600;
  const levelDb = new Float32Array(pings * 600);
  const stretch = (from: Float64Array | Float32Array, by = 0): Float64Array =>
    Float64Array.from(
      { length: pings },
      (_, p) => from[p % channel.pingCount]! + by * Math.floor(p / channel.pingCount),
    );
  for (let p = 0; p < pings; p++)
    levelDb.set(
      channel.levelDb.subarray((p % channel.pingCount) * 600, ((p % channel.pingCount) + 1) * 600),
      p * 600,
    );
  const nav = pass.navigation;
  const passS = channel.pingCount / pass.pingRate;
  const float = (from: Float32Array): Float32Array => Float32Array.from(stretch(from));
  const hour: Stretch = {
    ...pass,
    navigation: {
      timeS: stretch(nav.timeS, passS),
      eastM: stretch(nav.eastM, nav.eastM[channel.pingCount - 1]!),
      northM: stretch(nav.northM),
      speedMps: float(nav.speedMps),
      headingRad: float(nav.headingRad),
      pitchRad: float(nav.pitchRad),
      rollRad: float(nav.rollRad),
      heaveM: float(nav.heaveM),
      temperatureC: float(nav.temperatureC),
      supplyV: float(nav.supplyV),
    },
    channels: [{ ...channel, pingCount: pings, levelDb }],
  };
  const begun = performance.now();
  const reading = readChannel(hour, hour.channels[0]!);
  const rss = process.resourceUsage().maxRSS / 1024;
  console.log(
    `an hour at 8 pings a second (${pings} pings × 600): read in ${((performance.now() - begun) / 1000).toFixed(1)} s, ${reading.findings.length} findings; ` +
      `recording ${(levelDb.byteLength / 1e6).toFixed(0)} MB, most memory of the whole process ${rss.toFixed(0)} MB`,
  );
}

{
  const pass = passOver('half-arches', 1000);
  const nowS = pass.navigation.timeS[pass.channels[0]!.pingCount - 1]!;
  const settings = { ...PLAIN_SETTINGS, faceId: pass.channels[0]!.id, rangeM: 18, chartSpeed: 800 / nowS };
  const picture = drawPicture(recordingOf([pass]), settings, { rows: 600, columns: 800 }, nowS);
  const places = Array.from({ length: 20 }, (_, k) => ({
    column: 20 + 38 * k,
    row: 100 + 17 * k,
    halfColumns: 12,
    halfRows: 6,
  }));
  const { best, median } = timed(() => see(picture, 'ink', false, places, viewing(65, 800, 350)));
  console.log(`the eye, 600 × 800 and 20 marks: ${median.toFixed(1)} ms (best ${best.toFixed(1)})`);
}
