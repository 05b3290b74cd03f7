/** Size of the browser's own text the sizes here are meant for, px. */
const USUAL_PX = 16;

/** How much larger than usual the user has set the text of their browser; 1 where it cannot be known. */
const readScale = (): number => {
  if (typeof document === 'undefined' || typeof getComputedStyle === 'undefined') return 1;
  const px = parseFloat(getComputedStyle(document.documentElement).fontSize);
  return px > 0 ? px / USUAL_PX : 1;
};

let scale: number | null = null;

/** The same, looked up once. */
export const textScale = (): number => (scale ??= readScale());
