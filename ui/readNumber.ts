interface Allowed {
  low: number;
  high: number;
  unit: string;
}

/** A typed number, with a point or a comma; or one plain sentence that says what is allowed. */
export function readNumber(text: string, { low, high, unit }: Allowed): number | string {
  const plain = text.trim().replace(',', '.').replace('−', '-');
  const allowed = `${low} to ${high} ${unit}`;
  if (!/^[+-]?(\d+\.?\d*|\.\d+)$/.test(plain)) return `Type a number, ${allowed}.`;
  const value = Number(plain);
  return value >= low && value <= high ? value : `It can be ${allowed}.`;
}
