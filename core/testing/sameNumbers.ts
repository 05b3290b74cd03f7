/** Whether two long arrays hold the same numbers, NaN like NaN; Jest's own comparison takes seconds for a picture or a pass. */
export const sameNumbers = (a: ArrayLike<number>, b: ArrayLike<number>): boolean => {
  if (a.length !== b.length) return false;
  for (let i = 0; i < a.length; i++) if (!Object.is(a[i], b[i])) return false;
  return true;
};
