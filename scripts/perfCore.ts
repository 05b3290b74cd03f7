/** Prints how fast the core simulates and draws on this machine; `npm run perf` runs it before the browser's part. */
import { miniature } from '@/core/bench';
import { expectationOf, FIRST_BRIEF, startSetup } from '@/core/advice';
import { paletteTable, PLAIN_SETTINGS, type Settings } from '@/core/picture';
import { drawPicture, newDesk } from '@/core/picture/drawing';
import { GENERIC_RIG, transducerOf, type Face } from '@/core/rig';
import { layTrack, makeScene, recipeOf, thinned, timeOf, type Track } from '@/core/scene';
import { seededRandom } from '@/core/maths';
import { soundChannel, traceEchoes, type SoundingRequest } from '@/core/sounder';
import { recordingOf, type Stretch } from '@/core/recording';

const PINGS = 800;
const ROUNDS = 9;

/** Times of a piece of work after one run to warm up, ms, shortest first. The best is the machine left alone. */
function rounds(work: () => unknown): number[] {
  work();
  return Array.from({ length: ROUNDS }, () => {
    const begun = performance.now();
    work();
    return performance.now() - begun;
  }).sort((a, b) => a - b);
}

const timed = (work: () => unknown): number => rounds(work)[ROUNDS >> 1]!;

/** Median and best, in words. */
function spelled(work: () => unknown): { ms: number; words: string } {
  const list = rounds(work);
  const ms = list[ROUNDS >> 1]!;
  return { ms, words: `${ms.toFixed(ms < 100 ? 1 : 0)} ms (best ${list[0]!.toFixed(ms < 100 ? 1 : 0)})` };
}

interface Job {
  name: string;
  request: SoundingRequest;
  track: Track;
  face: Face;
}

function job(name: string, sceneId: string, face: Face, farM: number): Job {
  const recipe = recipeOf(sceneId);
  const pingRate = PINGS / timeOf(recipe.sections);
  const track = layTrack(
    { sections: recipe.sections, pingRate: pingRate * 1.0001, windMps: recipe.windMps },
    seededRandom(1),
  );
  const scene = makeScene(sceneId, 1);
  return {
    name,
    face,
    track,
    request: { scene, track, rig: GENERIC_RIG, faces: [face], pingRate, farM, seed: 1 },
  };
}

const [cone50] = transducerOf('offshore-50-200').faces as [Face];
const [cone200] = transducerOf('twin-83-200').faces as [Face];
const [slice] = transducerOf('imaging').faces as [Face];
const JOBS = [
  job('round beam', 'wide-school', cone50, 88.5),
  job('round beam', 'wide-school', cone200, 73.5),
  job('slice', 'weed-edge', slice, 8.82),
  job('slice', 'vendace-hunted', slice, 29.4),
];

for (const { name, request, track, face } of JOBS) {
  const channel = soundChannel(request, face);
  const geometry = traceEchoes(request.scene, track, GENERIC_RIG, face, request.farM);
  const whole = spelled(() => soundChannel(request, face));
  const again = timed(() => soundChannel(request, face, geometry));
  const coarseTrack = thinned(track, 4);
  const coarse = spelled(() => soundChannel({ ...request, track: coarseTrack }, face));
  const perPing = (geometry.points.rangeM.length / PINGS).toFixed(0);
  console.log(
    `${name}, ${request.scene.id}, ${channel.pingCount} pings × ${channel.sampleCount} samples, ${perPing} points a ping: ` +
      `${whole.words}; pulse, power or noise changed ${Math.round((100 * again) / whole.ms)} % of that; ` +
      `a coarse first picture ${coarse.words}`,
  );
}

const { request, face, track } = JOBS[0]!;
const recording: Stretch = {
  title: '',
  pingRate: request.pingRate,
  origin: { latitudeDeg: 0, longitudeDeg: 0 },
  navigation: {
    timeS: track.timeS,
    eastM: track.xM,
    northM: track.yM,
    speedMps: track.speedMps,
    headingRad: track.headingRad,
    pitchRad: track.pitchRad,
    rollRad: track.rollRad,
    heaveM: track.heaveM,
    temperatureC: new Float32Array(PINGS),
    supplyV: new Float32Array(PINGS),
  },
  channels: [soundChannel(request, face)],
};
const screen = { rows: 600, columns: 800 };
const nowS = track.timeS[PINGS - 1]!;
const plain: Settings = {
  ...PLAIN_SETTINGS,
  faceId: face.id,
  rangeM: 88,
  chartSpeed: request.pingRate,
  pingRate: request.pingRate,
};
const full: Settings = {
  ...plain,
  gainMode: 'auto',
  otherSounders: 2,
  noiseRejection: 3,
  topWater: 3,
  averaging: 2,
  bedRamp: true,
  sharpening: 1,
};
const desk = newDesk();
const { steps } = drawPicture(recordingOf([recording]), plain, screen, nowS, desk);
const { rgba } = paletteTable('ink');
const pixels = new Uint32Array(steps.length);
const bare = timed(() => {
  for (let i = 0; i < steps.length; i++) pixels[i] = rgba[steps[i]!]!;
});
let gainDb = 0;
const dial = spelled(() =>
  drawPicture(recordingOf([recording]), { ...plain, gainDb: gainDb++ % 10 }, screen, nowS, desk),
);
const dialFull = spelled(() =>
  drawPicture(recordingOf([recording]), { ...full, gainDb: gainDb++ % 10 }, screen, nowS, desk),
);
const chain = spelled(() => drawPicture(recordingOf([recording]), full, screen, nowS, newDesk()));
const times = ({ ms, words }: { ms: number; words: string }): string =>
  `${words}, ${(ms / bare).toFixed(0)} × a bare table look-up`;
console.log(`display chain, 600 rows × 800 columns: a display dial, plain ${times(dial)}`);
console.log(`  the same with every step switched on ${times(dialFull)}`);
console.log(
  `  every step from nothing, ping filters and all ${times(chain)} (the look-up: ${bare.toFixed(2)} ms)`,
);

// Live: a second of 15 pings on a cone and a slice over a scene of the usual kind, with one new column drawn for each.
const live = [cone200, slice].map((f) => job('live', 'vendace-hunted', f, 24));
const second = live.reduce((sum, j) => sum + (15 / PINGS) * timed(() => soundChannel(j.request, j.face)), 0);
let ping = 100;
const column =
  timed(() => {
    for (let k = 0; k < 100; k++)
      drawPicture(
        recordingOf([recording]),
        plain,
        { rows: 600, columns: 1 },
        track.timeS[100 + (ping++ % 600)]!,
        desk,
      );
  }) / 100;
console.log(
  `live, two beams at 15 pings a second: the pings ${((100 * second) / 1000).toFixed(1)} % of one core, ` +
    `with a new column drawn for each ${((100 * (second + 30 * column)) / 1000).toFixed(1)} %; ` +
    `with both pictures drawn anew instead ${((100 * (second + 30 * dial.ms)) / 1000).toFixed(0)} %`,
);

// What Plan works out as a brief changes, and its miniature.
const advice = timed(() => startSetup(FIRST_BRIEF, GENERIC_RIG));
const { settings: planned, prediction } = startSetup(FIRST_BRIEF, GENERIC_RIG);
const expected = timed(() => expectationOf(FIRST_BRIEF, GENERIC_RIG, prediction, planned));
const little = timed(() => miniature(FIRST_BRIEF, GENERIC_RIG, planned));
console.log(
  `a start setup ${advice.toFixed(1)} ms, what to expect of it ${expected.toFixed(1)} ms, its miniature ${little.toFixed(0)} ms`,
);
