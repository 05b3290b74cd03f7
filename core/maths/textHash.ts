/** FNV-1a, 32 bits (Fowler, Noll and Vo 1991). */
export function textHash(text: string, seed = 0): number {
  let h = 0x811c9dc5 ^ seed;
  for (let i = 0; i < text.length; i++) h = Math.imul(h ^ text.charCodeAt(i), 0x01000193);
  return h >>> 0;
}

/** A short name for a long text, hex: two texts share one by chance once in 2⁶⁴. */
export const fingerprintOf = (text: string): string =>
  [0, 0x9e3779b9].map((seed) => textHash(text, seed).toString(16).padStart(8, '0')).join('');
