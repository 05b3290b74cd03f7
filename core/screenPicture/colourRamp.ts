import { labOf, type Lab, type Rgb } from '@/core/picture';

/** Points of the legend that are looked at. */
const POINTS = 64;
/** Colours nearer than this are one step, ΔE (CIE 1976). */
const SAME_DE = 2.5;
/** A colour farther than this from the ramp and from the ground is a mixture of both, or one laid over the echoes near it. */
const OFF_DE = 22;
/** Farther than this it is laid over the echoes: a menu, a digit, a grid line. */
const LAID_DE = 38;
/** Bits of each channel that a colour is looked up by. */
const BITS = 5;

/** A colour's place on the ramp: 0…1 weak to strong, GROUND where nothing is drawn, MIXED between them, OVERLAY where something else is. */
export const GROUND = -1;
export const OVERLAY = -2;
export const MIXED = -3;

const apart = (a: Lab, b: Lab): number => Math.hypot(a[0] - b[0], a[1] - b[1], a[2] - b[2]);

/** The colours of a legend, weak to strong, without repeats. @param colourAt of a share of the way along it */
export function rampOf(colourAt: (share: number) => Rgb): Lab[] {
  const ramp: Lab[] = [];
  for (let k = 0; k < POINTS; k++) {
    const lab = labOf(colourAt(k / (POINTS - 1)));
    const last = ramp[ramp.length - 1];
    if (!last || apart(last, lab) > SAME_DE) ramp.push(lab);
  }
  return ramp;
}

/**
 * Looks up where a colour lies on a ramp, by the nearest point of its broken line in CIELAB; a 5-bit table keeps what was
 * looked up. The ground is told from the weakest colours by what it is nearer to.
 */
export function rampLookup(ramp: readonly Lab[], ground: Lab): (r: number, g: number, b: number) => number {
  const table = new Float32Array(1 << (3 * BITS)).fill(NaN);
  const shift = 8 - BITS;
  const nearest = (lab: Lab): number => {
    let best = Infinity;
    let at = 0;
    for (let k = 0; k + 1 < ramp.length; k++) {
      const [p, q] = [ramp[k]!, ramp[k + 1]!];
      const d = [q[0] - p[0], q[1] - p[1], q[2] - p[2]] as const;
      const t =
        ((lab[0] - p[0]) * d[0] + (lab[1] - p[1]) * d[1] + (lab[2] - p[2]) * d[2]) /
        (d[0] ** 2 + d[1] ** 2 + d[2] ** 2);
      const u = Math.min(1, Math.max(0, t));
      const off = apart(lab, [p[0] + u * d[0], p[1] + u * d[1], p[2] + u * d[2]]);
      if (off < best) {
        best = off;
        at = (k + u) / (ramp.length - 1);
      }
    }
    const toGround = apart(lab, ground);
    const off = Math.min(toGround, best);
    if (off > OFF_DE) return off > LAID_DE ? OVERLAY : MIXED;
    return toGround <= best ? GROUND : at;
  };
  return (r, g, b) => {
    const key = ((r >> shift) << (2 * BITS)) | ((g >> shift) << BITS) | (b >> shift);
    let found = table[key]!;
    if (Number.isNaN(found)) {
      const half = 1 << (shift - 1);
      const middle = (c: number): number => ((c >> shift) << shift) + half;
      found = nearest(labOf([middle(r), middle(g), middle(b)]));
      table[key] = found;
    }
    return found;
  };
}
