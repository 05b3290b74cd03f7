import { isGap } from '@/core/maths';
import type { Finding } from '@/core/reading';
import type { PassWindow } from './passWindow';

export interface Scaled {
  x: (timeS: number) => number;
  y: (rangeM: number) => number;
}

/** From the pass to a picture of so many pixels. */
export const scaledTo = (w: PassWindow, { width, height }: { width: number; height: number }): Scaled => ({
  x: (t) => ((t - w.fromS) / (w.toS - w.fromS)) * width,
  y: (r) => ((r - w.topM) / (w.footM - w.topM)) * height,
});

/** Room between a mark and its outline, and least width of one, px. */
const ROOM_PX = 4;
const LEAST_PX = 12;
/** Points an outline is drawn by on one of its sides. */
const MOST_POINTS = 60;

const round = (v: number): string => v.toFixed(1);

/** Upper and lower edge of a finding by ping, m; NaN where it has a gap. */
function edgesOf(
  f: Finding,
  bedM: Float32Array,
): [top: (k: number) => number, bottom: (k: number) => number] {
  if (f.kind === 'fish') return [(k) => f.path[k]!, (k) => f.path[k]! + f.heightM];
  if (f.kind === 'cloud') return [(k) => f.top[k]!, (k) => f.bottom[k]!];
  return [
    (k) => (f.height[k]! > 0 ? bedM[f.fromPing + k]! - f.height[k]! : NaN),
    (k) => (f.height[k]! > 0 ? bedM[f.fromPing + k]! : NaN),
  ];
}

/** A thin line round a finding that leaves its mark to be seen: an SVG path. */
export function markOutline(f: Finding, timeS: Float64Array, bedM: Float32Array, { x, y }: Scaled): string {
  const [top, bottom] = edgesOf(f, bedM);
  const every = Math.max(1, Math.ceil((f.toPing - f.fromPing + 1) / MOST_POINTS));
  const upper: [number, number][] = [];
  const lower: [number, number][] = [];
  for (let k = 0; f.fromPing + k <= f.toPing; k += every) {
    const [a, b] = [top(k), bottom(k)];
    if (isGap(a) || isGap(b)) continue;
    const at = x(timeS[f.fromPing + k]!);
    upper.push([at, y(a) - ROOM_PX]);
    lower.push([at, y(b) + ROOM_PX]);
  }
  const [first, last] = [upper[0], upper[upper.length - 1]];
  if (!first || !last || last[0] - first[0] < LEAST_PX) {
    // Too narrow to follow: a box round it.
    const middle = x(f.timeS);
    const half = Math.max(LEAST_PX, (last?.[0] ?? 0) - (first?.[0] ?? 0) + 2 * ROOM_PX) / 2;
    const [over, under] = [y(f.rangeM) - ROOM_PX, y(f.rangeM + Math.max(f.heightM, 0)) + ROOM_PX];
    return `M${round(middle - half)} ${round(over)}H${round(middle + half)}V${round(under)}H${round(middle - half)}Z`;
  }
  return `M${[...upper, ...lower.reverse()].map(([a, b]) => `${round(a)} ${round(b)}`).join('L')}Z`;
}

/** Length of a corner's arms, and its room from the mark, px. */
const ARM_PX = 5;
const CORNER_ROOM_PX = 5;

/** Width of a finding on the picture, px. */
export const widthOn = (f: Finding, timeS: Float64Array, { x }: Scaled): number =>
  x(timeS[f.toPing]!) - x(timeS[f.fromPing]!);

/** Four corners about a finding: they say where it is and hide none of it. */
export function markCorners(f: Finding, timeS: Float64Array, bedM: Float32Array, { x, y }: Scaled): string {
  const [top, bottom] = edgesOf(f, bedM);
  let [over, under] = [Infinity, -Infinity];
  for (let k = 0; f.fromPing + k <= f.toPing; k++) {
    if (isGap(top(k)) || isGap(bottom(k))) continue;
    over = Math.min(over, y(top(k)));
    under = Math.max(under, y(bottom(k)));
  }
  if (over > under) [over, under] = [y(f.rangeM), y(f.rangeM + f.heightM)];
  const grown = Math.max(0, LEAST_PX - widthOn(f, timeS, { x, y })) / 2 + CORNER_ROOM_PX;
  const [left, right] = [x(timeS[f.fromPing]!) - grown, x(timeS[f.toPing]!) + grown];
  over -= CORNER_ROOM_PX;
  under += CORNER_ROOM_PX;
  const a = ARM_PX;
  return (
    `M${round(left)} ${round(over + a)}v${-a}h${a}M${round(right - a)} ${round(over)}h${a}v${a}` +
    `M${round(right)} ${round(under - a)}v${a}h${-a}M${round(left + a)} ${round(under)}h${-a}v${-a}`
  );
}

/** The finding nearest a place on the picture, within a thumb of it; null for none. @param reachPx a thumb's reach */
export function findingNear(
  findings: readonly Finding[],
  at: { x: number; y: number },
  timeS: Float64Array,
  bedM: Float32Array,
  { x, y }: Scaled,
  reachPx: number,
): Finding | null {
  let best: Finding | null = null;
  let nearest = reachPx;
  for (const f of findings) {
    const [top, bottom] = edgesOf(f, bedM);
    for (let k = 0; f.fromPing + k <= f.toPing; k++) {
      const [a, b] = [top(k), bottom(k)];
      if (isGap(a) || isGap(b)) continue;
      const off = Math.hypot(x(timeS[f.fromPing + k]!) - at.x, Math.max(y(a) - at.y, at.y - y(b), 0));
      if (off < nearest) {
        nearest = off;
        best = f;
      }
    }
  }
  return best;
}
