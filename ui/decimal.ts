const formats = new Map<number, Intl.NumberFormat>();

/** A number with at most so many decimals, as the browser's language writes it. */
export function decimal(x: number, digits: number): string {
  let format = formats.get(digits);
  if (!format)
    formats.set(
      digits,
      (format = new Intl.NumberFormat(undefined, { maximumFractionDigits: digits, useGrouping: false })),
    );
  const text = format.format(x);
  return (/[1-9]/.test(text) ? text : text.replace(/^[-−]/, '')).replace('-', '−');
}

const mark = new Intl.NumberFormat().formatToParts(1.5).find((part) => part.type === 'decimal')?.value ?? '.';

/** A written number or two with the decimal mark of the browser's language. */
export const inLanguage = (text: string): string =>
  mark === '.' ? text : text.replace(/(\d)\.(?=\d)/g, `$1${mark}`);
