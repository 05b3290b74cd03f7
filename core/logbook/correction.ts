import * as v from 'valibot';
import type { Finding } from '@/core/reading';

/** What a person may say a mark is. */
export const CALLED = [
  'fish',
  'bait',
  'weed',
  'brush',
  'timber',
  'boulder',
  'bed',
  'bubbles',
  'gear',
  'nothing',
] as const;
export type Called = (typeof CALLED)[number];

const seconds = v.pipe(v.number(), v.finite(), v.minValue(0), v.maxValue(1e6));
const metres = v.pipe(v.number(), v.finite(), v.minValue(0), v.maxValue(2000));
const called = v.picklist(CALLED);
/** A mark is known by where it lies: another version of the reader may number it otherwise. */
const place = { timeS: seconds, rangeM: metres };
/** What the reader had called it. */
const was = called;

/** Most parts a mark is split into. */
export const MOST_PARTS = 20;

/** What a person says against the reader, or for it, of one place of a pass. */
export const CorrectionSchema = v.variant('change', [
  v.object({ change: v.literal('agreed'), ...place, was }),
  v.object({ change: v.literal('renamed'), ...place, was, is: called }),
  v.object({
    change: v.literal('split'),
    ...place,
    was,
    parts: v.pipe(v.number(), v.integer(), v.minValue(2), v.maxValue(MOST_PARTS)),
  }),
  v.object({ change: v.literal('merged'), ...place, was, into: v.object(place) }),
  v.object({ change: v.literal('added'), ...place, is: called }),
]);
export type Correction = v.InferOutput<typeof CorrectionSchema>;

/** Most corrections of one pass. */
export const MOST_CORRECTIONS = 500;
export const CorrectionsSchema = v.pipe(v.array(CorrectionSchema), v.maxLength(MOST_CORRECTIONS));

interface Place {
  timeS: number;
  rangeM: number;
}

/** One mark lies within this of where it was, s and m. */
const SAME_S = 1.5;
const SAME_M = 0.5;

const samePlace = (a: Place, b: Place): boolean =>
  Math.abs(a.timeS - b.timeS) < SAME_S && Math.abs(a.rangeM - b.rangeM) < SAME_M;

/** What the reader calls a finding, in the words a person may choose from. */
export const calledBy = (finding: Finding): Called =>
  finding.kind === 'cover' ? finding.cover : finding.kind === 'cloud' ? 'bait' : 'fish';

/** What a person has said of a finding: the nearest there is; null for nothing yet. */
export function correctionOf(finding: Finding, corrections: readonly Correction[]): Correction | null {
  let best: Correction | null = null;
  const offS = (c: Correction): number => Math.abs(c.timeS - finding.timeS);
  for (const c of corrections)
    if (
      c.change !== 'added' &&
      c.was === calledBy(finding) &&
      samePlace(c, finding) &&
      (!best || offS(c) < offS(best))
    )
      best = c;
  return best;
}

/** What else was said of the very mark a correction is of, as by two devices. */
export const otherwiseSaid = (said: Correction, corrections: readonly Correction[]): Correction[] =>
  corrections.filter(
    (c) => c !== said && c.change !== 'added' && c.timeS === said.timeS && c.rangeM === said.rangeM,
  );

/** The corrections of two devices, each once, in an order of their own; null where those are more than a pass holds. */
export function joinedCorrections(a: readonly Correction[], b: readonly Correction[]): Correction[] | null {
  const byText = new Map([...a, ...b].map((c) => [textOf(c), c]));
  if (byText.size > MOST_CORRECTIONS) return null;
  return [...byText].sort(([p, x], [q, y]) => x.timeS - y.timeS || (p < q ? -1 : 1)).map(([, c]) => c);
}

/** A correction as a text that does not hang on the order of its fields. */
const textOf = (c: Correction): string =>
  JSON.stringify(Object.entries(c).sort(([p], [q]) => (p < q ? -1 : 1)));

/** The corrections with one more: what was said before of the same mark goes. */
export const withCorrection = (corrections: readonly Correction[], next: Correction): Correction[] => [
  ...corrections.filter(
    (c) =>
      !(c.timeS === next.timeS && c.rangeM === next.rangeM && c.change !== 'added') ||
      next.change === 'added',
  ),
  next,
];

export const withoutCorrection = (corrections: readonly Correction[], gone: Correction): Correction[] =>
  corrections.filter((c) => c !== gone);

/** What corrections say of the reader: marks judged, how many were right, and how many it had not seen. */
export interface ReaderRecord {
  judged: number;
  right: number;
  missed: number;
}

/** Counts corrections, of one kind of mark where one is given. A mark of several fish is a fish all the same. */
export function readerRecord(corrections: readonly Correction[], kind: Called | null = null): ReaderRecord {
  const record = { judged: 0, right: 0, missed: 0 };
  for (const c of corrections) {
    if (c.change === 'added') {
      if (kind === null || c.is === kind) record.missed++;
    } else if (c.change !== 'merged' && (kind === null || c.was === kind)) {
      record.judged++;
      if (c.change !== 'renamed') record.right++;
    }
  }
  return record;
}
