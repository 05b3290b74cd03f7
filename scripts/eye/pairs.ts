/** Pairs of pictures of the same water, ranked by looking at them, that the eye's score is held against. */
import { PLAIN_SETTINGS, type MarkPlace, type Picture, type Settings, type SightFor } from '@/core/picture';
import { drawPicture } from '@/core/picture/drawing';
import { recordingOf, type Stretch } from '@/core/recording';
import { GENERIC_RIG, transducerOf } from '@/core/rig';
import { makeScene, recipeOf, trackOver } from '@/core/scene';
import { simulate } from '@/core/sounder';
import { fishPlaces } from '@/core/bench/fishPlaces';

export const SCREEN = { rows: 300, columns: 420 };
const SEED = 5;

type Change = Partial<Settings>;

export interface PicturePair {
  name: string;
  scene: string;
  /** Transducer and which of its faces. */
  transducer: string;
  purpose: SightFor;
  first: Change;
  second: Change;
  /** Excess noise of the rig, dB, where it is not the usual. */
  excessNoiseDb?: number;
  /** More boats' sounders in earshot. */
  moreSounders?: number;
  /** Which shows its marks better, by looking. */
  better: 'first' | 'second';
}

/** The ranks were written down from the sheet docs/eye-pairs.png before anything was scored; docs/eye-pairs.md says why. */
export const PAIRS: readonly PicturePair[] = [
  {
    name: 'gain low, right',
    scene: 'half-arches',
    transducer: 'twin-83-200',
    purpose: 'search',
    first: { gainDb: -14 },
    second: { gainDb: 4 },
    better: 'second',
  },
  {
    name: 'gain right, high',
    scene: 'half-arches',
    transducer: 'twin-83-200',
    purpose: 'search',
    first: { gainDb: 4 },
    second: { gainDb: 26 },
    better: 'first',
  },
  {
    name: 'gain a touch, too much',
    scene: 'sunk-crib',
    transducer: 'twin-83-200',
    purpose: 'search',
    first: { gainDb: 6 },
    second: { gainDb: 18 },
    better: 'first',
  },
  {
    name: 'first colour low, high',
    scene: 'sunk-crib',
    transducer: 'twin-83-200',
    purpose: 'search',
    first: { firstColourDb: 0 },
    second: { firstColourDb: 28 },
    better: 'first',
  },
  {
    name: 'spread narrow, wide',
    scene: 'half-arches',
    transducer: 'twin-83-200',
    purpose: 'bed',
    first: { colourSpreadDb: 12 },
    second: { colourSpreadDb: 50 },
    better: 'second',
  },
  {
    name: 'spread usual, widest',
    scene: 'soft-basin',
    transducer: 'twin-83-200',
    purpose: 'search',
    first: { colourSpreadDb: 36 },
    second: { colourSpreadDb: 60, gainDb: -8 },
    better: 'second',
  },
  {
    name: 'chart slow, right',
    scene: 'half-arches',
    transducer: 'twin-83-200',
    purpose: 'search',
    first: { chartSpeed: 0.7 },
    second: { chartSpeed: 6 },
    better: 'second',
  },
  {
    name: 'chart right, crawling',
    scene: 'sunk-crib',
    transducer: 'twin-83-200',
    purpose: 'search',
    first: { chartSpeed: 5 },
    second: { chartSpeed: 0.8 },
    better: 'first',
  },
  {
    name: 'range deep, right',
    scene: 'east-shelf',
    transducer: 'twin-83-200',
    purpose: 'search',
    first: { rangeM: 60 },
    second: {},
    better: 'second',
  },
  {
    name: 'window whole, zoomed',
    scene: 'half-arches',
    transducer: 'twin-83-200',
    purpose: 'search',
    first: {},
    second: { rangeM: 48 },
    better: 'first',
  },
  {
    name: 'other sounders off, on',
    scene: 'crowded-ramp',
    transducer: 'twin-83-200',
    purpose: 'search',
    first: { otherSounders: 0 },
    second: { otherSounders: 3 },
    better: 'second',
  },
  {
    name: 'noise rejection off, on',
    scene: 'half-arches',
    transducer: 'twin-83-200',
    purpose: 'search',
    first: { gainDb: 7, noiseRejection: 0 },
    second: { gainDb: 7, noiseRejection: 5 },
    better: 'first',
  },
  {
    name: 'averaging none, most',
    scene: 'east-shelf',
    transducer: 'twin-83-200',
    purpose: 'search',
    first: { averaging: 1, gainDb: 0 },
    second: { averaging: 8, gainDb: 0 },
    better: 'first',
  },
  {
    name: 'top water off, most',
    scene: 'east-shelf',
    transducer: 'twin-83-200',
    purpose: 'search',
    first: { topWater: 0, gainDb: 0 },
    second: { topWater: 10, gainDb: -4 },
    better: 'first',
  },
  {
    name: 'TVG for fish, none',
    scene: 'east-shelf',
    transducer: 'twin-83-200',
    purpose: 'search',
    first: { tvg: 'target' },
    second: { tvg: 'flat', gainDb: 20 },
    better: 'first',
  },
  {
    name: 'still boat, chart fast, slow',
    scene: 'holding-over-perch',
    transducer: 'twin-83-200',
    purpose: 'vertical',
    first: { chartSpeed: 5 },
    second: { chartSpeed: 1 },
    better: 'first',
  },
  {
    name: 'still boat, window deep, right',
    scene: 'holding-over-perch',
    transducer: 'twin-83-200',
    purpose: 'vertical',
    first: { rangeM: 40 },
    second: {},
    better: 'second',
  },
  {
    name: 'quiet rig, noisy rig',
    scene: 'east-shelf',
    transducer: 'twin-83-200',
    purpose: 'search',
    first: { gainDb: 2 },
    second: { gainDb: 22 },
    better: 'first',
  },
  {
    name: 'salt water, gain low, right',
    scene: 'silty-channel',
    transducer: 'twin-83-200',
    purpose: 'search',
    first: { gainDb: -16 },
    second: { gainDb: 4 },
    better: 'second',
  },
  {
    name: 'dark palette, gain right, high',
    scene: 'channel-ledge',
    transducer: 'twin-83-200',
    purpose: 'search',
    first: { palette: 'moss', gainDb: 4 },
    second: { palette: 'moss', gainDb: 24 },
    better: 'first',
  },
];

const made = new Map<string, { recording: Stretch; places: (picture: Picture) => MarkPlace[] }>();

function waterOf({ scene: id, transducer, excessNoiseDb, moreSounders = 0 }: PicturePair): {
  recording: Stretch;
  places: (picture: Picture) => MarkPlace[];
} {
  const key = `${id} ${transducer} ${excessNoiseDb} ${moreSounders}`;
  const held = made.get(key);
  if (held) return held;
  const recipe = recipeOf(id);
  const face = transducerOf(transducer).faces[0]!;
  const named = makeScene(id, SEED);
  const scene = {
    ...named,
    otherSounders: [
      ...named.otherSounders,
      ...Array.from({ length: moreSounders }, (_, k) => ({
        pingRate: 7.3 + 1.7 * k,
        overNoiseDb: 30,
        pulseS: 3e-4,
      })),
    ],
  };
  const track = trackOver(id, SEED);
  const rig = { ...GENERIC_RIG, excessNoiseDb: excessNoiseDb ?? GENERIC_RIG.excessNoiseDb };
  const recording = simulate({
    scene,
    track,
    rig,
    faces: [face],
    pingRate: recipe.pingRate,
    farM: Math.max(60, recipe.rangeM),
    seed: SEED,
  });
  const places = fishPlaces(scene, track, rig, face, recording);
  const water = { recording, places };
  made.set(key, water);
  return water;
}

/** One picture of a pair, and where its marks are. */
export function drawnOf(
  pair: PicturePair,
  change: Change,
): { picture: Picture; settings: Settings; places: MarkPlace[] } {
  const { recording, places } = waterOf(pair);
  const recipe = recipeOf(pair.scene);
  const { timeS } = recording.navigation;
  const nowS = timeS[timeS.length - 1]!;
  const settings: Settings = {
    ...PLAIN_SETTINGS,
    faceId: recording.channels[0]!.id,
    rangeM: recipe.rangeM,
    colourSpreadDb: 44,
    firstColourDb: 2,
    gainDb: 2,
    chartSpeed: SCREEN.columns / nowS,
    pingRate: recipe.pingRate,
    ...change,
  };
  const picture = drawPicture(recordingOf([recording]), settings, SCREEN, nowS);
  return { picture, settings, places: places(picture) };
}
