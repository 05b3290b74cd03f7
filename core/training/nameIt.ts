import { hastyRate, rockUnder } from '@/core/bench/falseBedWater';
import type { Random } from '@/core/maths';
import { blobs, type MarkPlace, type Picture } from '@/core/picture';
import {
  baitCloud,
  boulder,
  brush,
  cruising,
  holding,
  milling,
  rippedBubbles,
  timber,
  turning,
  weedBed,
  type Scene,
} from '@/core/scene';
import { lureTargetStrength, weightTargetStrength } from '@/core/water';
import { draftOf, choose, shuffled, type Asked, type Draft, type Drafting } from './draft';
import type { KindOf, Level, Trained } from './drill';
import {
  fishDepth,
  fishSize,
  movingBrief,
  emptyWater,
  settingsFor,
  stillBrief,
  stretchOf,
  unevenBed,
  type Stretch,
} from './drillWater';

type Name = KindOf<'name'>;

/** What each is taken for, the likeliest first. */
const LIKE: Record<Name, readonly Name[]> = {
  fish: ['bubbles', 'bait-calm', 'own-jig', 'brush', 'rock'],
  'bait-calm': ['bait-hunted', 'fish', 'layer', 'weed', 'brush'],
  'bait-hunted': ['bait-calm', 'fish', 'bubbles', 'brush', 'layer'],
  weed: ['brush', 'bait-calm', 'timber', 'rock', 'layer'],
  brush: ['rock', 'weed', 'bait-calm', 'timber', 'fish'],
  timber: ['brush', 'fish', 'rock', 'weed', 'bait-hunted'],
  rock: ['brush', 'fish', 'weed', 'timber', 'bait-calm'],
  layer: ['bait-calm', 'false-bed', 'own-weight', 'weed', 'bait-hunted'],
  bubbles: ['fish', 'bait-hunted', 'own-jig', 'brush', 'bait-calm'],
  'other-sounder': ['fish', 'bubbles', 'own-weight', 'false-bed', 'layer'],
  'false-bed': ['layer', 'own-weight', 'bait-calm', 'weed', 'other-sounder'],
  'own-weight': ['false-bed', 'layer', 'fish', 'own-jig', 'other-sounder'],
  'own-jig': ['fish', 'bubbles', 'bait-with-sinker', 'own-weight', 'other-sounder'],
  'bait-with-sinker': ['own-jig', 'fish', 'own-weight', 'false-bed', 'bubbles'],
  nothing: ['fish', 'bubbles', 'bait-calm', 'brush', 'layer'],
};
/** Names to choose from. */
const CHOICES = 5;

function choices(kind: Name, random: Random): Name[] {
  const rivals = LIKE[kind].filter((k) => k !== 'nothing');
  const list: Name[] = kind === 'nothing' ? ['nothing'] : [kind, 'nothing'];
  for (const rival of rivals) if (list.length < CHOICES) list.push(rival);
  return shuffled(list, random);
}

/** Weed grows no deeper than light reaches in such water, m (nominal). */
const WEED_TO_M = 6;
/** Electronics of another boat, dB over our noise by level. */
const OTHER_DB = { 1: 24, 2: 21, 3: 19 } as const;
/** Cells a dash or a blob must have to be asked about. */
const LEAST_CELLS = 6;
/** Contrast to the water about it of what stands on the bed, ΔE. */
const STANDS_DE = 8;
/** Over rock the gain is turned down so far that one false bed is left of several, dB. */
const QUIETER_DB = 12;
/** Share of the cells about a line that must differ. */
const STANDS_OUT = 0.12;
/** Mass of a towed weight and of a sinker, kg, and a lure's length, m. */
const TOWED_KG = 2;
const SINKER_KG = 0.03;
const LURE_M = 0.11;

/** Share of a place's cells that are drawn. */
function drawnShare({ steps, rows, columns }: Picture, place: MarkPlace, byRows: number): number {
  let drawn = 0;
  let all = 0;
  for (let c = place.column - place.halfColumns; c <= place.column + place.halfColumns; c++)
    for (let r = place.row + byRows - place.halfRows; r <= place.row + byRows + place.halfRows; r++) {
      if (c < 0 || c >= columns || r < 0 || r >= rows) continue;
      all++;
      if (steps[c * rows + r]! > 0) drawn++;
    }
  return all > 0 ? drawn / all : 0;
}

/** Whether something long stands out from the water over and under it. */
function linePlain(picture: Picture, place: MarkPlace): boolean {
  const aside = 2 * place.halfRows + 2;
  const here = drawnShare(picture, place, 0);
  return here - Math.min(drawnShare(picture, place, -aside), drawnShare(picture, place, aside)) >= STANDS_OUT;
}

const line: Draft['decidable'] = ({ picture, sight }) => linePlain(picture, sight.marks[0]!.place);
/** What stands on the bed stands off the water about it. */
const stands: Draft['decidable'] = ({ sight }) => sight.marks[0]!.contrast > STANDS_DE;

/** The largest thing drawn in open water. */
function largestBlob(picture: Picture): MarkPlace | null {
  const [largest] = blobs(picture, LEAST_CELLS).sort((a, b) => b.cells - a.cells);
  return (
    (largest && {
      column: Math.round((largest.fromColumn + largest.toColumn) / 2),
      row: Math.round((largest.fromRow + largest.toRow) / 2),
      halfColumns: Math.max(2, Math.ceil((largest.toColumn - largest.fromColumn) / 2)),
      halfRows: Math.max(2, Math.ceil((largest.toRow - largest.fromRow) / 2)),
    }) ??
    null
  );
}

/** What lies in the water of a kind, and where it is asked about. */
interface Laid {
  scene: Partial<Scene>;
  asked: Asked;
  /** Whether the picture shows it, where the eye's rule for single marks does not fit. */
  plain?: Draft['decidable'];
}

function laid(kind: Name, level: Level, stretch: Stretch, bedM: number, random: Random): Laid | null {
  const { brief, wayM, durationS, halfPerM } = stretch;
  const still = brief.speedMps === 0;
  const x = still ? 0 : wayM * random.between(0.4, 0.6);
  const timeS = still ? durationS / 2 : x / brief.speedMps;
  const z = fishDepth(brief, bedM, random);
  const reach = z * halfPerM;
  const aside = reach * [0.1, 0.4, 0.7][level - 1]! * random.between(-1, 1);
  const standing = (heightM: number, reachM: number): Asked => ({
    timeS,
    rangeM: bedM - heightM / 2,
    halfS: reachM / Math.max(0.3, brief.speedMps),
    halfM: heightM / 2,
  });
  switch (kind) {
    case 'fish': {
      const size = fishSize(brief, level === 1 ? 0.9 : random.uniform());
      const place = [x, aside, z] as const;
      const fish =
        level === 3 && random.uniform() < 0.5
          ? turning(size, timeS, place, brief.speedMps, random.uniform() < 0.5 ? 1 : -1, random)
          : random.uniform() < 0.5
            ? holding(size, place, random)
            : cruising(size, timeS, place, [random.between(-0.3, 0.3), random.between(-0.1, 0.1), 0], random);
      return { scene: { fish: [fish] }, asked: { fish: 0 } };
    }
    case 'bait-calm':
    case 'bait-hunted': {
      const mood = kind === 'bait-calm' ? 'calm' : 'hunted';
      const radiusM = Math.min([3, 2.4, 1.8][level - 1]!, 0.22 * bedM);
      const radiusZM = Math.min(1.2, 0.1 * bedM) * random.between(0.8, 1.1);
      const cloud = baitCloud(
        { mood, place: [x, aside, z], radiusM, radiusZM, count: 900, lengthM: 0.08, bladder: 'open' },
        random,
      );
      const hunters =
        mood === 'hunted'
          ? [1, 2, 3].map((k) =>
              milling(
                fishSize(brief, 0.8),
                [x + (k - 2) * 1.6 * radiusM, aside / 2, Math.min(0.92 * bedM, z + radiusZM + 0.4 * k)],
                1,
                durationS,
                random,
              ),
            )
          : [];
      return {
        scene: { clouds: [cloud], fish: hunters },
        asked: {
          timeS,
          rangeM: z,
          halfS: ((mood === 'hunted' ? 2 : 1) * radiusM) / brief.speedMps,
          halfM: radiusZM,
        },
        plain: ({ picture, sight }) => blobs(picture, 40).length > 0 && sight.marks[0]!.contrast > 8,
      };
    }
    case 'weed': {
      const heightM = Math.min(0.3 * bedM, random.between(0.9, 1.8));
      const ground = unevenBed(bedM, random);
      return {
        scene: {
          covers: [weedBed([x, aside], ground, { lengthM: 9, widthM: 8, heightM }, random)],
        },
        asked: standing(heightM, 4),
        plain: stands,
      };
    }
    case 'brush': {
      const heightM = Math.min(0.25 * bedM, random.between(1.4, 2.4));
      const ageYears = [0.5, 2, 5][level - 1]!;
      return {
        scene: { covers: [brush([x, aside], bedM, { radiusM: 1.6, heightM, ageYears }, random)] },
        asked: standing(heightM, 1.6),
        plain: stands,
      };
    }
    case 'timber': {
      const heightM = Math.min(0.35 * bedM, random.between(2.4, 4));
      return {
        scene: { covers: [timber([x, aside], bedM, heightM, [0.5, 2, 4][level - 1]!, random)] },
        asked: standing(heightM, 0.8),
        plain: stands,
      };
    }
    case 'rock': {
      const radiusM = Math.max(0.6, Math.min(1.6, 0.1 * bedM)) * random.between(0.9, 1.2);
      return {
        scene: { covers: [boulder([x, aside], bedM, radiusM, random)] },
        asked: standing(radiusM, radiusM),
        plain: stands,
      };
    }
    case 'layer': {
      const depthM = bedM * random.between(0.4, 0.6);
      return {
        scene: {
          layers: [
            {
              depthM,
              thicknessM: 0.025 * bedM,
              svDb: [-50, -51.5, -53][level - 1]!,
              swellM: 0.01 * bedM,
              swellLengthM: 14,
              patchDb: 2,
            },
          ],
        },
        asked: { timeS, rangeM: 1.06 * depthM, halfS: durationS / 8, halfM: 0.04 * bedM },
        plain: line,
      };
    }
    case 'bubbles': {
      const rises = [0, 0.2, 0.45].map((s) => Math.max(0, timeS - ((1.2 - s) * 0.5 * bedM) / 0.2));
      return {
        scene: { drifters: rises.flatMap((t) => rippedBubbles(t, [x, 0, bedM], 26, random)) },
        asked: { find: largestBlob },
        plain: ({ picture }) => blobs(picture, 20).length >= 1,
      };
    }
    case 'other-sounder':
      return {
        scene: {
          otherSounders: [{ pingRate: random.between(7, 12), overNoiseDb: OTHER_DB[level], pulseS: 4e-4 }],
        },
        asked: { find: largestBlob },
        // A boat near draws dash upon dash.
        plain: ({ picture }) => blobs(picture, LEAST_CELLS).length >= 6,
      };
    case 'own-weight': {
      const out = Math.min(0.5 * bedM, 0.8 * bedM) * random.between(0.7, 1.1);
      return {
        scene: {
          gear: [
            {
              kind: 'towed-weight',
              targetStrengthDb: weightTargetStrength(TOWED_KG),
              from: { x: 0.2, y: 0.1 },
              lineOut: [[0, out]],
              swing: 0.01,
            },
          ],
        },
        asked: { timeS, rangeM: out, halfS: durationS / 8, halfM: 0.012 * bedM },
        plain: line,
      };
    }
    case 'own-jig':
    case 'bait-with-sinker': {
      const deep = Math.min(0.85 * bedM, z);
      const lift = Math.min(0.8, 0.1 * bedM);
      const jigged: [number, number][] = [[0, deep]];
      if (kind === 'own-jig')
        for (let t = 2; t < durationS; t += random.between(3, 4.5))
          jigged.push([t, deep], [t + 0.4, deep - lift], [t + 1.2, deep - 0.9 * lift], [t + 1.8, deep]);
      const from = { x: 0.05, y: -0.05 };
      const lure = {
        kind: 'lure' as const,
        targetStrengthDb: lureTargetStrength(LURE_M, 'hard'),
        from,
        lineOut: jigged,
        swing: 0.1,
      };
      const sinker = {
        kind: 'sinker' as const,
        targetStrengthDb: weightTargetStrength(SINKER_KG),
        from,
        lineOut: [[0, Math.min(0.93 * bedM, deep + Math.max(0.8, 0.07 * bedM))]] as [number, number][],
        swing: 0.05,
      };
      return {
        scene: { gear: kind === 'own-jig' ? [lure] : [lure, sinker] },
        asked: {
          timeS,
          rangeM: kind === 'own-jig' ? deep - lift / 3 : (deep + sinker.lineOut[0]![1]) / 2,
          halfS: durationS / 6,
          halfM: kind === 'own-jig' ? lift : 0.6 * (sinker.lineOut[0]![1] - deep),
        },
        plain: ({ picture, sight }) => {
          const { column, halfColumns, row, halfRows } = sight.marks[0]!.place;
          let drawn = 0;
          for (let c = column - halfColumns; c <= column + halfColumns; c++) {
            let runs = 0;
            let inside = false;
            for (let r = row - halfRows - 2; r <= row + halfRows + 2; r++) {
              const on = (picture.steps[c * picture.rows + r] ?? 0) > 0;
              if (on && !inside) runs++;
              inside = on;
            }
            if (kind === 'own-jig' ? runs >= 1 : runs >= 2) drawn++;
          }
          return drawn >= 0.6 * (2 * halfColumns + 1);
        },
      };
    }
    case 'nothing':
      return {
        scene: {},
        asked: { timeS, rangeM: z, halfS: reach / brief.speedMps, halfM: 0.4 },
        plain: ({ picture, sight }) =>
          sight.marks[0]!.probability < 0.3 && drawnShare(picture, sight.marks[0]!.place, 0) < 0.15,
      };
    case 'false-bed':
      return null;
  }
}

/** Filters that would hide what is asked about. */
const UNFILTERED = { noiseRejection: 0, otherSounders: 0 };

const STILL: readonly Name[] = ['own-jig', 'bait-with-sinker'];

function falseBed(level: Level, random: Random, trained: Trained): Draft {
  const rate = hastyRate(trained.rig);
  const brief = rockUnder(rate * random.between(0.92, 1), movingBrief(trained.brief));
  const stretch = stretchOf(brief, trained, {
    pingRate: rate,
    gainDb: settingsFor(brief, trained).gainDb - QUIETER_DB,
  });
  const scene = emptyWater(stretch, unevenBed(brief.toM, random), () => 'rock');
  // An echo of the ping before: twice the depth less what sound travels between two pings.
  const soundMps = 1480;
  const rangeM = 2 * brief.toM - soundMps / (2 * rate);
  const timeS = stretch.durationS / 2;
  return draftOf(stretch, scene, {
    asked: [{ timeS, rangeM, halfS: stretch.durationS / 8, halfM: 0.03 * brief.toM }],
    options: [],
    answer: 0,
    decidable: line,
    facts: () => ({ depthM: rangeM, bedM: brief.toM, level }),
  });
}

/** One thing in the day's water, to be called by its name. */
export const nameIt: Drafting<'name'> = (kind, level, random, trained) => {
  const asked = choose(choices(kind, random), kind);
  if (kind === 'false-bed') return { ...falseBed(level, random, trained), ...asked };
  const brief = STILL.includes(kind) ? stillBrief(trained.brief) : movingBrief(trained.brief);
  const stretch = stretchOf(brief, trained, kind === 'other-sounder' ? UNFILTERED : {});
  const bedM = kind === 'weed' ? Math.min(brief.toM, Math.max(3, WEED_TO_M)) : brief.toM - 0.3;
  // Deep water has no weed at all.
  if (kind === 'weed' && brief.fromM > WEED_TO_M + 2) return null;
  const things = laid(kind, level, stretch, bedM, random);
  if (!things) return null;
  const scene = {
    ...emptyWater(stretch, kind === 'weed' ? unevenBed(bedM, random) : () => bedM),
    ...things.scene,
  };
  return draftOf(stretch, scene, {
    asked: [things.asked],
    ...asked,
    ...(things.plain ? { decidable: things.plain } : {}),
  });
};
