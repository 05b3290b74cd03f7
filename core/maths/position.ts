/** A place on the earth, degrees. */
export interface Position {
  latitudeDeg: number;
  longitudeDeg: number;
}

/** Mean radius of the earth, m (IUGG). */
const EARTH_RADIUS_M = 6371008.8;
const RAD = Math.PI / 180;

/**
 * The place `eastM` and `northM` from another along the great circle of that bearing (spherical destination formula).
 * @throws RangeError for a start beyond the poles
 */
export function placeFrom(start: Position, eastM: number, northM: number): Position {
  if (!(Math.abs(start.latitudeDeg) <= 90))
    throw new RangeError(`position: latitude must be −90 to 90°, got ${start.latitudeDeg}`);
  const bearing = Math.atan2(eastM, northM);
  const delta = Math.hypot(eastM, northM) / EARTH_RADIUS_M;
  const phi = start.latitudeDeg * RAD;
  const sin = Math.sin(phi) * Math.cos(delta) + Math.cos(phi) * Math.sin(delta) * Math.cos(bearing);
  const latitude = Math.asin(sin);
  const longitude =
    start.longitudeDeg * RAD +
    Math.atan2(Math.sin(bearing) * Math.sin(delta) * Math.cos(phi), Math.cos(delta) - Math.sin(phi) * sin);
  return { latitudeDeg: latitude / RAD, longitudeDeg: ((longitude / RAD + 540) % 360) - 180 };
}

/** Great-circle distance, m (haversine). */
export function distanceM(a: Position, b: Position, radiusM = EARTH_RADIUS_M): number {
  const dPhi = (b.latitudeDeg - a.latitudeDeg) * RAD;
  const dLambda = (b.longitudeDeg - a.longitudeDeg) * RAD;
  const h =
    Math.sin(dPhi / 2) ** 2 +
    Math.cos(a.latitudeDeg * RAD) * Math.cos(b.latitudeDeg * RAD) * Math.sin(dLambda / 2) ** 2;
  return 2 * radiusM * Math.asin(Math.sqrt(h));
}

/** How far east and north of `start` a place lies, m: the inverse of placeFrom (great-circle bearing and distance). */
export function offsetFrom(start: Position, place: Position): { eastM: number; northM: number } {
  const [phi1, phi2] = [start.latitudeDeg * RAD, place.latitudeDeg * RAD];
  const lambda = (place.longitudeDeg - start.longitudeDeg) * RAD;
  const bearing = Math.atan2(
    Math.sin(lambda) * Math.cos(phi2),
    Math.cos(phi1) * Math.sin(phi2) - Math.sin(phi1) * Math.cos(phi2) * Math.cos(lambda),
  );
  const distance = distanceM(start, place);
  return { eastM: distance * Math.sin(bearing), northM: distance * Math.cos(bearing) };
}
