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

/** Feet in a metre, and how near to it two lengths must stand to look like one in two units. */
const FEET = 3.28084;
const NEAR = 0.02;

/**
 * What a typed length looks like when it is the one before in the other unit: a question, or null when it does not.
 * @param before in the unit shown
 */
export function otherUnit(value: number, before: number, system: 'metric' | 'feet'): string | null {
  if (!(value > 0 && before > 0)) return null;
  const [unit, other] = system === 'metric' ? ['m', 'ft'] : ['ft', 'm'];
  const factor = system === 'metric' ? FEET : 1 / FEET;
  if (Math.abs(value / before / factor - 1) > NEAR) return null;
  return `${value} ${other} would be the ${Number(before.toFixed(1))} ${unit} before. If you mean ${value} ${unit}, enter it again.`;
}
