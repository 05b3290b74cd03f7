import { spreadEvenly } from '@/core/maths';
import {
  columnAt,
  type Desk,
  type MarkPlace,
  type Picture,
  type Settings,
  type SightFor,
  type Viewing,
} from '@/core/picture';
import { drawPicture, newDesk, see, sightScore } from '@/core/picture/drawing';
import type { Finding, FishFinding, LureTrack } from '@/core/reading';
import { navigationOf, type Recording } from '@/core/recording';

/** What the eye makes of a picture of a pass for who looks for fish. */
export interface Judged {
  /** One number, 0…1. */
  score: number;
  /** How far the fish stand off the water at all, 0…1: what leads on where none can be seen yet. */
  lead: number;
  /** Fish a person would find of those the reader has found, on the screen's stretch of time. */
  found: number;
  fish: number;
  /** Specks taken for marks per hundred by hundred cells; how far the bed is graded, 0…1. */
  specks: number;
  bedRoom: number;
  /** Mean columns and rows a found fish stands out in. */
  columns: number;
  rows: number;
}

/** What a picture is judged over: pings, what the reader found in them, and how it is looked at. */
export interface JudgedPass {
  recording: Recording;
  findings: readonly Finding[];
  /** Own lures the reader has found: no fish, and no specks. */
  lures?: readonly LureTrack[];
  screen: { rows: number; columns: number };
  nowS: number;
  purpose: SightFor;
  view: Viewing;
  /** Depths the target keeps to, m. */
  bandM: readonly [number, number];
  /** What is kept of pictures drawn before of the same recording. */
  desk?: Desk;
}

/** A finding is counted from this confidence on. */
const SURE = 0.5;
/** Water about the target's band that still counts, m. */
const ABOUT_M = 1;
/** Most columns to either side a mark is looked for by. */
const MOST_COLUMNS = 30;
/** Shortest echo a mark is sought in, m. */
const LEAST_ECHO_M = 0.1;
const ECHOES = 1.5;

/** Fish the target may be: those in its band, or all where none is. */
export function targetsOf({ findings, bandM: [from, to] }: JudgedPass): FishFinding[] {
  const fish = findings.filter((f): f is FishFinding => f.kind === 'fish' && f.confidence >= SURE);
  const within = fish.filter((f) => f.rangeM >= from - ABOUT_M && f.rangeM <= to + ABOUT_M);
  return within.length > 0 ? within : fish;
}

/** Most marks a picture is judged by: of more, some spread evenly over the screen speak for all. */
const MOST_JUDGED = 24;

/** Columns of a lure's line that share a place. */
const LURE_COLUMNS = 8;

/** Where own lures lie on a picture, piece by piece. */
function lurePlaces(
  picture: Picture,
  lures: readonly LureTrack[],
  times: Float64Array,
  halfRows: number,
): MarkPlace[] {
  const { columns, rows, columnsFilled, timeS, topM, rowM } = picture;
  const first = timeS[columns - columnsFilled] ?? Infinity;
  const last = timeS[columns - 1]!;
  return lures.flatMap(({ fromPing, path }) => {
    const byPiece = new Map<number, [least: number, most: number]>();
    path.forEach((rangeM, k) => {
      const t = times[fromPing + k]!;
      if (!(rangeM > 0) || t < first || t > last) return;
      const column = columnAt(picture, t);
      const row = Math.floor((rangeM - topM[column]!) / rowM);
      if (row < 0 || row >= rows) return;
      const piece = Math.floor(column / LURE_COLUMNS);
      const [least, most] = byPiece.get(piece) ?? [row, row];
      byPiece.set(piece, [Math.min(least, row), Math.max(most, row)]);
    });
    return [...byPiece].map(([piece, [least, most]]) => ({
      column: (piece + 0.5) * LURE_COLUMNS,
      row: (least + most) / 2,
      halfColumns: LURE_COLUMNS / 2,
      halfRows: (most - least) / 2 + halfRows,
    }));
  });
}

/**
 * Judges pictures of one pass at any settings. Where the fish lie is the reader's word, never the water's truth.
 */
export function pictureJudge(pass: JudgedPass): (settings: Settings) => Judged {
  const { recording, screen, nowS, purpose, view } = pass;
  const desk = pass.desk ?? newDesk();
  const times = navigationOf(recording).timeS;
  const targets = targetsOf(pass);
  const lures = pass.lures ?? [];
  return (settings) => {
    const picture = drawPicture(recording, settings, screen, nowS, desk, false);
    const { columns, rows, columnsFilled, timeS, topM, rowM } = picture;
    const channel = recording.stretches[0]!.channels.find((c) => c.id === settings.faceId);
    const echoM = Math.max(channel?.resolutionM ?? 0, LEAST_ECHO_M);
    const halfRows = Math.max(1, Math.round((ECHOES * echoM) / rowM));
    const first = timeS[columns - columnsFilled] ?? Infinity;
    const last = timeS[columns - 1]!;
    const placeOf = (f: FishFinding): MarkPlace | null => {
      const column = columnAt(picture, f.timeS);
      const row = Math.floor((f.rangeM - topM[column]!) / rowM);
      // Outside the window it is not seen.
      if (row < 0 || row >= rows) return null;
      const width = columnAt(picture, times[f.toPing]!) - columnAt(picture, times[f.fromPing]!);
      return {
        column,
        row,
        halfColumns: Math.min(MOST_COLUMNS, Math.max(1, Math.round(width / 3))),
        halfRows,
      };
    };
    const all = targets.filter((f) => f.timeS >= first && f.timeS <= last).map(placeOf);
    const fish = all.length;
    const judged = spreadEvenly(all, MOST_JUDGED);
    const within = (place: MarkPlace | null): place is MarkPlace => place !== null;
    const places = judged.filter(within);
    // A mark that is not judged is no speck either.
    const known = [
      ...all.filter(within).filter((place) => !judged.includes(place)),
      ...(lures.length > 0 ? lurePlaces(picture, lures, times, halfRows) : []),
    ];
    const sight = see(picture, settings.palette, settings.bedRamp, places, view, known);
    const speaksFor = fish > 0 ? fish / judged.length : 0;
    const found = speaksFor * sight.marks.reduce((sum, m) => sum + m.probability, 0);
    const shown = sight.marks.filter((m) => m.probability > 0.5);
    const mean = (of: 'columns' | 'rows'): number =>
      shown.length > 0 ? shown.reduce((sum, m) => sum + m[of], 0) / shown.length : 0;
    const share = fish > 0 ? places.length / judged.length : 0;
    const contrast = sight.marks.reduce((sum, m) => sum + Math.min(1, m.contrast / PLAIN_CONTRAST), 0);
    return {
      score: sightScore(sight, purpose) * share,
      lead: fish > 0 ? contrast / judged.length : 0,
      found,
      fish,
      specks: sight.specks,
      bedRoom: sight.bedRoom,
      columns: mean('columns'),
      rows: mean('rows'),
    };
  };
}

/** Contrast of a mark nobody could miss, CIELAB ΔE. */
const PLAIN_CONTRAST = 60;
