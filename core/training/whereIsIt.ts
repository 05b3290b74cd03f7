import { holding } from '@/core/scene';
import type { Face } from '@/core/rig';
import { choose, chooseNumber, draftOf, shuffled, type Draft, type Drafting } from './draft';
import { fishDepth, fishSize, movingBrief, emptyWater, stretchOf } from './drillWater';

/** Beams that differ by less tell nothing apart. */
const WIDER = 1.5;
/** A slope steep enough to draw the bed too shallow, and flat ground, m of depth a metre of way. */
const STEEP = { 1: 0.45, 2: 0.35, 3: 0.27 } as const;
/** Least a bed on a slope is drawn too shallow by, as a share of its depth, and most on flat ground. */
const TOO_SHALLOW = 0.03;

const conesOf = (faces: readonly Face[]): Face[] =>
  faces.filter((f) => f.beam.shape !== 'fan').sort((a, b) => a.beam.alongRad - b.beam.alongRad);

/** What is drawn at one place is elsewhere: to a side, ahead, astern, deeper. */
export const whereIsIt: Drafting<'place'> = (kind, level, random, trained) => {
  const brief = movingBrief(trained.brief);
  const bedM = brief.toM - 0.3;
  const z = fishDepth(brief, bedM, random);
  const size = fishSize(brief, level === 3 ? 0.5 : 0.9);
  const either = (a: string, b: string): ReturnType<typeof choose> => choose(shuffled([a, b], random), kind);
  switch (kind) {
    case 'under':
    case 'aside': {
      const cones = conesOf(trained.rig.faces);
      const [narrow] = cones;
      const wide = cones.at(-1);
      if (!narrow || !wide || wide.beam.alongRad < WIDER * narrow.beam.alongRad) return null;
      const stretch = stretchOf({ ...brief, faceId: wide.id }, trained);
      const inner = z * Math.tan(narrow.beam.athwartRad / 2);
      const outer = z * Math.tan(wide.beam.athwartRad / 2);
      const y =
        (random.uniform() < 0.5 ? 1 : -1) *
        (kind === 'under'
          ? 0.4 * inner * random.uniform()
          : inner + (0.6 + 0.25 * random.uniform()) * (outer - inner));
      const fish = [holding(size, [stretch.wayM / 2, y, z], random)];
      return draftOf(
        stretch,
        { ...emptyWater(stretch, () => bedM), fish },
        {
          asked: [{ fish: 0 }],
          ...either('under', 'aside'),
          besideFaceId: narrow.id,
          facts: () => ({ asideM: Math.abs(y), depthM: z }),
        },
      );
    }
    case 'ahead':
    case 'astern': {
      const stretch = stretchOf(brief, trained);
      const fish = [
        holding(size, [stretch.wayM * random.between(0.55, 0.75), 0.1 * z * stretch.halfPerM, z], random),
      ];
      // The picture ends while the fish is still in the beam: on its way in, or out.
      const edge: Draft['nowS'] = ([shown]) => {
        const { pings, nearestTimeS } = shown!;
        if (pings.length < 8) return stretch.durationS;
        const halfS = pings.length / stretch.settings.pingRate / 2;
        return nearestTimeS + (kind === 'ahead' ? -0.2 : level === 1 ? 0.9 : 0.6) * halfS;
      };
      return draftOf(
        stretch,
        { ...emptyWater(stretch, () => bedM), fish },
        {
          asked: [
            {
              find: (picture) => {
                const column = picture.columns - 6;
                const row = Math.round((z - picture.topM[column]!) / picture.rowM);
                return { column, row, halfColumns: 6, halfRows: 4 };
              },
            },
          ],
          nowS: edge,
          ...either('ahead', 'astern'),
          decidable: ({ sight, visible: [shown] }) => {
            const rise = shown!.rangeM.length > 8 ? shown!.rangeM[0]! - shown!.nearestRangeM : 0;
            return sight.marks[0]!.contrast > 10 && rise >= 0.02 * z;
          },
          facts: () => ({ depthM: z }),
          cutAt: (visible) => ({ timeS: edge(visible), rangeM: null }),
        },
      );
    }
    case 'deeper':
    case 'as-drawn': {
      const stretch = stretchOf(brief, trained);
      const { wayM } = stretch;
      const fall = kind === 'deeper' ? STEEP[level] : 0.01;
      const room = Math.min(wayM * fall, 0.7 * bedM);
      const down = random.uniform() < 0.5;
      const depthAt = (x: number): number => {
        const u = Math.min(1.3, Math.max(-0.3, x / wayM));
        return bedM - room * (down ? 1 - u : u);
      };
      return draftOf(stretch, emptyWater(stretch, depthAt), {
        asked: [
          {
            find: (picture) => {
              const column = Math.round(picture.columns * 0.6);
              return {
                column,
                row: Math.round((picture.bedM[column]! - picture.topM[column]!) / picture.rowM),
                halfColumns: 8,
                halfRows: 5,
              };
            },
          },
        ],
        ...either('deeper', 'as-drawn'),
        decidable: ({ picture }) => {
          const at = (share: number): number => picture.bedM[Math.round(picture.columns * share)]!;
          const fallen = Math.abs(at(0.85) - at(0.15)) / bedM;
          return kind === 'deeper' ? fallen >= 6 * TOO_SHALLOW : fallen <= TOO_SHALLOW;
        },
        facts: () => ({ slope: fall }),
        cutAt: () => ({ timeS: 0.6 * stretch.durationS, rangeM: null }),
      });
    }
    case 'how-far': {
      const stretch = stretchOf(brief, trained);
      const share = random.between(0.2, 0.7);
      const fish = [holding(size, [stretch.wayM * share, 0, z], random)];
      const farM = stretch.wayM * (1 - share);
      return draftOf(
        stretch,
        { ...emptyWater(stretch, () => bedM), fish },
        {
          asked: [{ fish: 0 }],
          ...chooseNumber('astern-by', [farM, 0.5 * farM, 1.8 * farM], random),
          facts: () => ({ farM, speedMps: brief.speedMps, agoS: farM / brief.speedMps }),
        },
      );
    }
  }
};
