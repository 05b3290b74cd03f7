import { accepted, refused, type Result } from '@/core/formats';
import { feetToM, mToFeet } from '@/core/units';
import { decimal } from './decimal';

/** Decimals of a number that is repeated in a sentence. */
const MOST_DECIMALS = 2;

interface Allowed {
  low: number;
  high: number;
  unit: string;
}

/** A typed number, with a point or a comma; or one plain sentence that says what is allowed. */
export function readNumber(text: string, { low, high, unit }: Allowed): Result<number> {
  const plain = text.trim().replace(',', '.').replace('−', '-');
  const allowed = `${decimal(low, MOST_DECIMALS)} to ${decimal(high, MOST_DECIMALS)} ${unit}`;
  if (!/^[+-]?(\d+\.?\d*|\.\d+)$/.test(plain)) return refused(`Type a number, ${allowed}.`);
  const value = Number(plain);
  return value >= low && value <= high ? accepted(value) : refused(`It can be ${allowed}.`);
}

/** How near two lengths must stand to look like one in two units. */
const NEAR = 0.02;

/**
 * What a typed length looks like when it is the one before in the other unit: a question, or null when it does not.
 * @param before in the unit shown
 */
export function otherUnit(value: number, before: number, system: 'metric' | 'feet'): string | null {
  if (!(value > 0 && before > 0)) return null;
  const [unit, other] = system === 'metric' ? ['m', 'ft'] : ['ft', 'm'];
  const factor = system === 'metric' ? mToFeet(1) : feetToM(1);
  if (Math.abs(value / before / factor - 1) > NEAR) return null;
  return `${decimal(value, MOST_DECIMALS)} ${other} would be the ${decimal(before, 1)} ${unit} before. If you mean ${decimal(value, MOST_DECIMALS)} ${unit}, enter it again.`;
}
