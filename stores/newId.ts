/** An id nothing else has. Random numbers of a secure address where it is one, of the browser's generator elsewhere. */
export function newId(): string {
  if (typeof crypto !== 'undefined' && typeof crypto.randomUUID === 'function') return crypto.randomUUID();
  const words = crypto.getRandomValues(new Uint32Array(4));
  return Array.from(words, (word) => word.toString(16).padStart(8, '0')).join('');
}
