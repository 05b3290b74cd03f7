import { lockedSpan } from '@/core/picture';
import { type Rig, screenOf, waterPerRow } from '@/core/rig';
import { targetOf, type Brief } from './brief';
import type { Habits, Practice } from './practices';
import { debatedLine, plainLine, practiceOf, type Choice, type Pins, type SetupLine } from './setupLine';

/** Ranges a user who keeps to one for all waters would choose from, m. */
const ROUND_RANGES = [5, 10, 20, 30, 40, 60, 80, 120, 180, 300];
/** Water shown above and below the fish by a window about them, m. */
const ABOUT_FISH_M = 2;

/** RangeChoice by each practice: its foot, and with it its top where that is not the surface. */
function rangesOf(brief: Brief, rig: Rig): Record<Practice<'range'>, Choice & { topM: number }> {
  const row = (span: number): number => waterPerRow(span, screenOf(rig).rows);
  const margin = Math.ceil(brief.toM + Math.max(1.5, 0.15 * brief.toM));
  const least = Math.ceil(brief.toM * 1.06 + 0.3);
  const oneForAll = ROUND_RANGES.find((r) => r >= brief.toM * 1.06) ?? Math.ceil(brief.toM * 1.06);
  const topM = Math.max(0, Math.floor(brief.fromM - ABOUT_FISH_M));
  return {
    margin: {
      value: margin,
      topM: 0,
      because: {
        rule: 'range-bed-and-margin',
        bedM: brief.toM,
        marginM: margin - brief.toM,
        rowM: row(margin),
      },
    },
    least: { value: least, topM: 0, because: { rule: 'range-least', bedM: brief.toM, rowM: row(least) } },
    'one-for-all': {
      value: oneForAll,
      topM: 0,
      because: { rule: 'range-one-for-all', rangeM: oneForAll, rowM: row(oneForAll) },
    },
    'around-fish': {
      value: margin,
      topM,
      because: { rule: 'range-around-fish', topM, rowM: row(margin - topM) },
    },
    auto: { value: least, topM: 0, because: { rule: 'range-auto', bedM: brief.toM, rowM: row(least) } },
  };
}

/** A window locked to the bed shows so much over it, m. */
const LOCK_M = 3;
/** Windows not much higher than that are not worth locking. */
const LOCK_FROM = 2.5;

/** What is shown and how finely. */
export interface RangeChoice {
  lines: { range: SetupLine; lookNoDeeper: SetupLine; zoom: SetupLine };
  topM: number;
  rangeM: number;
  lookNoDeeperM: number;
  bedLockM: number | null;
  /** Water a row shows, m. */
  rowM: number;
}

/** Range, look no deeper and zoom for a brief. */
export function windowFor(brief: Brief, rig: Rig, habits: Habits, pins: Pins): RangeChoice {
  const ranges = rangesOf(brief, rig);
  const free = debatedLine('range', habits, pins, ranges);
  const range: SetupLine =
    free.because.rule === 'pinned' && free.value < brief.toM
      ? { ...free, because: { ...free.because, rule: 'pinned-above-bed', bedM: brief.toM } }
      : free;
  // A range that is pinned above the practice's top keeps the whole of the water.
  const { topM: practiceTop } = ranges[practiceOf('range', habits)];
  const topM = range.value > practiceTop + 1 ? practiceTop : 0;
  const fullRowM = waterPerRow(range.value - topM, screenOf(rig).rows);
  const lock = targetOf(brief).keeps === 'bed' && range.value - topM > LOCK_FROM * lockedSpan(LOCK_M);
  const rowM = lock ? waterPerRow(lockedSpan(LOCK_M), screenOf(rig).rows) : fullRowM;
  // Deeper than the bed with its tail, nearer than its second echo.
  const deeper = plainLine('lookNoDeeper', pins, {
    value: Math.min(Math.ceil(1.3 * brief.toM + 1), 1.5 * brief.toM),
    because: { rule: 'look-no-deeper', bedM: brief.toM, secondM: 2 * brief.toM },
  });
  const zoom = plainLine('zoom', pins, {
    value: lock ? (range.value - topM) / lockedSpan(LOCK_M) : 1,
    because: lock
      ? { rule: 'zoom-bed-lock', heightM: LOCK_M, rowM, fullRowM }
      : { rule: 'zoom-none', rowM: fullRowM },
  });
  return {
    lines: { range, lookNoDeeper: deeper, zoom },
    topM,
    rangeM: range.value,
    lookNoDeeperM: deeper.value,
    bedLockM: lock ? LOCK_M : null,
    rowM,
  };
}
