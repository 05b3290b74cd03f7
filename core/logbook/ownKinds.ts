import { wilson } from '@/core/maths';
import { columnAt, legendStep, levelOf, stepOf, type ColourScale, type Picture } from '@/core/picture';
import type { FishFinding, FishGroup } from '@/core/reading';
import type { OwnFish } from './ownFish';

/** The middle half of what a mark is drawn in, as palette steps low and high: of each of its columns the strongest; null where it is not drawn. */
export function drawnSteps(
  { fromPing, toPing, path, heightM }: Pick<FishFinding, 'fromPing' | 'toPing' | 'path' | 'heightM'>,
  timeS: Float64Array,
  picture: Picture,
): readonly [number, number] | null {
  const { rows, rowM, topM, steps, columns, columnsFilled } = picture;
  const strongest = new Map<number, number>();
  const beganS = picture.timeS[columns - columnsFilled] ?? Infinity;
  for (let p = fromPing; p <= toPing; p++) {
    const range = path[p - fromPing]!;
    if (!(range > 0) || timeS[p]! < beganS || timeS[p]! > picture.nowS) continue;
    const column = columnAt(picture, timeS[p]!);
    const top = Math.floor((range - topM[column]!) / rowM);
    const foot = Math.ceil((range + heightM - topM[column]!) / rowM);
    for (let r = Math.max(0, top); r <= Math.min(rows - 1, foot); r++) {
      const step = steps[column * rows + r]!;
      if (step > (strongest.get(column) ?? 0)) strongest.set(column, step);
    }
  }
  const sorted = [...strongest.values()].sort((a, b) => a - b);
  if (sorted.length === 0) return null;
  const at = (share: number): number => sorted[Math.round(share * (sorted.length - 1))]!;
  return [at(0.25), at(0.75)];
}

/** The strengths palette steps stand for on a picture, dB. */
export const levelsOf = (scale: ColourScale, [low, high]: readonly [number, number]): [number, number] => [
  levelOf(scale, low),
  levelOf(scale, high),
];

/** A kind of fish by what its own marks were like, as they would be drawn now. */
export interface OwnKind {
  kind: string;
  count: number;
  /** Steps of the legend most of them were drawn in. */
  steps: readonly [number, number];
  thicknessM: readonly [number, number];
  depthM: readonly [number, number];
}

const median = (list: readonly number[]): number => [...list].sort((a, b) => a - b)[list.length >> 1]!;

/** Beams are one when their frequencies differ by no more than this share: an echo changes with it. */
const SAME_BEAM = 0.15;

/** What one's own fish were like on this beam, the kinds with most of them first. */
export function ownKinds(
  fish: readonly OwnFish[],
  beam: { frequencyHz: number; relative: boolean },
  scale: ColourScale,
): OwnKind[] {
  const groups = new Map<string, OwnFish[]>();
  for (const f of fish) {
    if (f.relative !== beam.relative) continue;
    if (Math.abs(f.frequencyHz / beam.frequencyHz - 1) > SAME_BEAM) continue;
    const key = f.kind.toLowerCase();
    groups.set(key, [...(groups.get(key) ?? []), f]);
  }
  const step = (levelDb: number): number => legendStep(stepOf(scale, levelDb));
  return [...groups.values()]
    .map((list): OwnKind => {
      const thick = list.map((f) => f.thicknessM);
      const depths = list.map((f) => f.depthM);
      return {
        kind: list[0]!.kind,
        count: list.length,
        steps: [step(median(list.map((f) => f.levelDb[0]))), step(median(list.map((f) => f.levelDb[1])))],
        thicknessM: [Math.min(...thick), Math.max(...thick)],
        depthM: [Math.min(...depths), Math.max(...depths)],
      };
    })
    .sort((a, b) => b.count - a.count);
}

/** Fewer of a kind than this are nothing to go by. */
export const FEW_OWN_FISH = 3;

/** How a mark stands to a kind of one's own fish; too few tell nothing. */
export function besideOwn(
  steps: readonly [number, number],
  own: OwnKind,
): 'few' | 'alike' | 'weaker' | 'stronger' {
  if (own.count < FEW_OWN_FISH) return 'few';
  if (steps[1] < own.steps[0]) return 'weaker';
  if (steps[0] > own.steps[1]) return 'stronger';
  return 'alike';
}

/** What was caught from marks that stood together one way: a kind's share of it. */
export interface KindOfGroup {
  kind: string;
  count: number;
  of: number;
  /** Its share likely lies in here (Wilson, 95 %). */
  likely: readonly [number, number];
}

/** The kind caught most from marks that stood together so, on any beam; null where too few were, or they stand in no shape. */
export function kindOfGroup(fish: readonly OwnFish[], group: FishGroup['kind']): KindOfGroup | null {
  if (group === 'loose') return null;
  const those = fish.filter((f) => f.group === group);
  if (those.length < FEW_OWN_FISH) return null;
  const counts = new Map<string, { kind: string; count: number }>();
  for (const { kind } of those) {
    const key = kind.toLowerCase();
    counts.set(key, { kind, count: (counts.get(key)?.count ?? 0) + 1 });
  }
  const [most] = [...counts.values()].sort((a, b) => b.count - a.count);
  return { ...most!, of: those.length, likely: wilson(most!.count, those.length) };
}
