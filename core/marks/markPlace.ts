import type { Position } from '@/core/maths';
import type { BoatPlace } from '@/core/rig';
import { placeOnBoat } from './bearing';

/** What was known of the boat at a moment. */
export interface Fix {
  atS: number;
  place: Position;
  /** Where the bow points, rad clockwise from north; the course where no compass is. */
  headingRad: number;
}

export interface MarkGeometry {
  /** Where the face stands from the antenna, m forward and to port. */
  face: BoatPlace;
  /** Where the middle of the beam lies from straight below the face at the mark's depth, m forward and to port. */
  pointing: BoatPlace;
  /** Half the beam's width at that depth, m: the mark may lie anywhere in it. */
  halfBeamM: number;
}

export interface MarkDoubt {
  /** Radius the antenna lies in, m, two times of three. */
  accuracyM: number;
  /** How well the moment is known, s, and the speed then. */
  lagS: number;
  speedMps: number;
  /** How well the bow's direction is known, rad. */
  headingRad: number;
}

/** Causes of an error circle. */
export const MARK_CAUSES = ['position', 'moment', 'heading', 'beam'] as const;
export type MarkCause = (typeof MARK_CAUSES)[number];

export interface PlacedMark {
  place: Position;
  /** Radius it lies in, m, two times of three. */
  errorM: number;
  /** The largest part of that. */
  cause: MarkCause;
}

/** Where the antenna was at a moment: between two fixes on the line, beyond them at the speed of the last. @throws RangeError for no fixes */
export function fixAt(fixes: readonly Fix[], atS: number): Fix {
  const last = fixes[fixes.length - 1];
  if (!last) throw new RangeError('mark: no fix of the boat is known');
  let k = fixes.length - 1;
  while (k > 0 && fixes[k - 1]!.atS >= atS) k--;
  if (k === 0) return { ...fixes[0]!, atS };
  const [a, b] = [fixes[k - 1]!, fixes[k]!];
  const span = b.atS - a.atS;
  const share = span > 0 ? (atS - a.atS) / span : 1;
  // A step or two past the last fix; farther the boat may have turned.
  const u = Math.min(share, 3);
  const mid = (x: number, y: number): number => x + u * (y - x);
  const turn = Math.atan2(Math.sin(b.headingRad - a.headingRad), Math.cos(b.headingRad - a.headingRad));
  return {
    atS,
    place: {
      latitudeDeg: mid(a.place.latitudeDeg, b.place.latitudeDeg),
      longitudeDeg: mid(a.place.longitudeDeg, b.place.longitudeDeg),
    },
    headingRad: a.headingRad + Math.min(u, 1) * turn,
  };
}

/**
 * Where an echo lies that was drawn at a moment: under the beam of the face, not under the antenna. The error circle adds its causes as squares.
 * @param at the boat at the moment of the echo, lag taken off
 */
export function placeOfMark(
  at: Fix,
  { face, pointing, halfBeamM }: MarkGeometry,
  doubt: MarkDoubt,
): PlacedMark {
  const aside = { x: face.x + pointing.x, y: face.y + pointing.y };
  const parts: Record<MarkCause, number> = {
    position: doubt.accuracyM,
    moment: doubt.lagS * doubt.speedMps,
    heading: doubt.headingRad * Math.hypot(aside.x, aside.y),
    // Two of three lie within this share of a disc evenly filled.
    beam: Math.sqrt(2 / 3) * halfBeamM,
  };
  const [cause] = (Object.entries(parts) as [MarkCause, number][]).sort((a, b) => b[1] - a[1])[0]!;
  return {
    place: placeOnBoat(at.place, at.headingRad, aside),
    errorM: Math.hypot(...Object.values(parts)),
    cause,
  };
}
