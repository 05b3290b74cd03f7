/** Room a list begins with. */
const FIRST_ROOM = 1 << 19;

/** Most points of one pass: two hundred million bytes. */
const MOST_POINTS = 16e6;

/** A list of points that grows without a garbage trail. */
export class PointList {
  count = 0;
  /** Slant range, m. */
  range = new Float32Array(FIRST_ROOM);
  /** Complex pressure ratio to the source at 1 m, there and back. */
  re = new Float32Array(FIRST_ROOM);
  im = new Float32Array(FIRST_ROOM);

  /** Makes room for `more` points. @throws RangeError for more than a pass may have */
  reserve(more: number): void {
    const need = this.count + more;
    if (need <= this.range.length) return;
    if (need > MOST_POINTS) throw new RangeError('sounder: this pass has too many echoes; make it shorter');
    const size = Math.max(2 * this.range.length, need);
    this.range = grown(this.range, size);
    this.re = grown(this.re, size);
    this.im = grown(this.im, size);
  }
}

function grown(old: Float32Array, size: number): Float32Array<ArrayBuffer> {
  const bigger = new Float32Array(size);
  bigger.set(old);
  return bigger;
}
