import type { Brief, Control, Setup, TriedColours } from '@/core/advice';
import type { ColoursHeld } from '@/core/bench/tryColours';
import { fingerprintOf } from '@/core/maths';
import type { Rig } from '@/core/rig';
import { MOST_TRIED, planStore } from './plan';

/** A start setup whose gain and colours can be tried on made passes. */
export interface ToTry {
  key: string;
  brief: Brief;
  rig: Rig;
  /** As it is worked out. */
  setup: Setup;
  held: ColoursHeld;
}

/** The same keys in the same order, however an object came about. */
const inOrder = (_key: string, value: unknown): unknown =>
  value !== null && typeof value === 'object' && !Array.isArray(value)
    ? Object.fromEntries(Object.entries(value).sort(([a], [b]) => (a < b ? -1 : 1)))
    : value;

/** What can be tried of a setup; null where its gain is not the eye's to find: held, or set by another practice. */
export function toTry(brief: Brief, rig: Rig, setup: Setup): ToTry | null {
  const gain = setup.lines.find((l) => l.control === 'gain');
  if (!gain || gain.pinned || gain.practice !== 'specks') return null;
  const isHeld = (control: Control): boolean => setup.lines.some((l) => l.control === control && l.pinned);
  const held: ColoursHeld = { firstColour: isHeld('firstColour'), colourSpread: isHeld('colourSpread') };
  const tried = [{ ...brief, faceId: null }, rig, setup.settings, held.colourSpread];
  // What was tried before the first colour was is found still.
  const key = fingerprintOf(JSON.stringify(held.firstColour ? [...tried, true] : tried, inOrder));
  return { key, brief, rig, setup, held };
}

/** A setup as it was tried, or as it is worked out until then; and what is still to be tried of it. @param make null where there is none */
export function withTried<S extends Setup | null>(
  brief: Brief,
  rig: Rig,
  tried: Readonly<Record<string, TriedColours | null>>,
  make: (tried: TriedColours | null) => S,
): { setup: S; untried: ToTry | null } {
  const setup = make(null);
  const wanted = setup && toTry(brief, rig, setup);
  const found = wanted && tried[wanted.key];
  if (found === undefined) return { setup, untried: wanted };
  return { setup: found ? make(found) : setup, untried: null };
}

/** Keeps what came out of trying. */
export function keepTried(key: string, result: TriedColours | null): void {
  planStore.setState(({ tried }) => ({
    tried: Object.fromEntries([...Object.entries(tried), [key, result]].slice(-MOST_TRIED)),
  }));
}
