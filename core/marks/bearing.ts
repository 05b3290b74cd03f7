import { offsetFrom, placeFrom, type Position } from '@/core/maths';
import type { BoatPlace } from '@/core/rig';

/** Bearing from one place to another, rad clockwise from north, 0…2π (great circle). */
export function bearingTo(from: Position, to: Position): number {
  const { eastM, northM } = offsetFrom(from, to);
  return turned(Math.atan2(eastM, northM));
}

/** An angle in 0…2π. */
export const turned = (rad: number): number => ((rad % (2 * Math.PI)) + 2 * Math.PI) % (2 * Math.PI);

/** The smaller turn from one bearing to another, rad, to starboard positive, within ±π. */
export function turnTo(fromRad: number, toRad: number): number {
  const turn = turned(toRad - fromRad);
  return turn > Math.PI ? turn - 2 * Math.PI : turn;
}

/** A place on the boat (x forward, y to port of the place known) on the earth. @param headingRad clockwise from north */
export function placeOnBoat(known: Position, headingRad: number, { x, y }: BoatPlace): Position {
  const [sin, cos] = [Math.sin(headingRad), Math.cos(headingRad)];
  return placeFrom(known, x * sin - y * cos, x * cos + y * sin);
}
