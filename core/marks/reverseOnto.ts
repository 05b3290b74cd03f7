/** What to do to stop over a fish whose arch has just begun. */
export interface Reversing {
  /** Out of gear in so many seconds; 0 for at once. */
  neutralInS: number;
  /** And then back up so far, m; 0 where the run-on is taken up. */
  backUpM: number;
}

/**
 * Stopping with the rod over a fish: at an arch's first leg it lies half a beam ahead of the face.
 * @param halfBeamM half the beam's width at the fish's depth, m
 * @param rodAheadM the rod's place forward of the face, m
 * @param runOnS way still run out of gear for each m/s, s
 * @throws RangeError unless the speed is above 0
 */
export function reverseOnto(
  speedMps: number,
  halfBeamM: number,
  rodAheadM: number,
  runOnS: number,
): Reversing {
  if (!(speedMps > 0)) throw new RangeError(`reversing: the boat must move, got ${speedMps} m/s`);
  const wayM = halfBeamM - rodAheadM;
  const inS = wayM / speedMps - runOnS;
  return { neutralInS: Math.max(0, inS), backUpM: Math.max(0, -inS * speedMps) };
}
