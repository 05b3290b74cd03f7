/**
 * Large working arrays of a block of pings, kept for the next one: touching fresh memory costs more than what is done with it. What is
 * in them is left over from before; nothing that outlives a block may point into them.
 */
const kept = new Map<string, ArrayBuffer>();

/** More than this is given back, bytes. */
const MOST_KEPT = 32e6;

function bufferOf(name: string, bytes: number): ArrayBuffer {
  const there = kept.get(name);
  if (there && there.byteLength >= bytes) return there;
  const fresh = new ArrayBuffer(bytes);
  if (bytes <= MOST_KEPT) kept.set(name, fresh);
  return fresh;
}

/** A working array of a user's own name; its values are whatever was there. */
export const scratchFloats = (name: string, length: number): Float32Array =>
  new Float32Array(bufferOf(name, 4 * length), 0, length);

/** The same, of whole numbers. */
export const scratchShorts = (name: string, length: number): Int16Array =>
  new Int16Array(bufferOf(name, 2 * length), 0, length);

/** The same, of bytes. */
export const scratchBytes = (name: string, length: number): Uint8Array =>
  new Uint8Array(bufferOf(name, length), 0, length);
