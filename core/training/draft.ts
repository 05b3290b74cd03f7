import type { MarkPlace, Picture, Sight } from '@/core/picture';
import type { VisibleFish } from '@/core/sounder';
import type { Scene } from '@/core/scene';
import type { Random } from '@/core/maths';
import type { KindOf, Drill, Level, Option, Trained } from './drill';
import type { Stretch } from './drillWater';

/** Something asked about: a fish by its number, a place by moment and range, or what a rule finds on the drawn picture. */
export type Asked =
  | { fish: number }
  | { timeS: number; rangeM: number; halfS: number; halfM: number }
  | { find: (picture: Picture) => MarkPlace | null };

/** What a person can go by: the drawn picture, what the eye makes of the asked places, and what each fish would show. */
export interface Evidence {
  picture: Picture;
  sight: Sight;
  visible: readonly VisibleFish[];
}

/** A round before it is drawn. */
export interface Draft {
  stretch: Stretch;
  scene: Scene;
  /** Right edge of the picture, s into the pass. */
  nowS: (visible: readonly VisibleFish[]) => number;
  asked: readonly Asked[];
  /** How many of them are boxed before the answer: a box can give it away. */
  boxed: number;
  /** Whether the answer can be told from the picture. */
  decidable: (evidence: Evidence) => boolean;
  options: readonly Option[];
  /** Index of the right one. */
  answer: number;
  facts: (evidence: Evidence) => Record<string, number>;
  /** Where the water is cut open for the truth. */
  cutAt: (visible: readonly VisibleFish[]) => { timeS: number; rangeM: number | null };
  /** How deep is listened, m: as deep as the setup's range, or farther where it is turned. */
  farM: number;
  /** Another beam the same water is drawn on; null for one picture. */
  besideFaceId: string | null;
}

/** A draft of one kind; null where this boat or this day cannot have it. */
export type Drafting<D extends Drill> = (
  kind: KindOf<D>,
  level: Level,
  random: Random,
  trained: Trained,
) => Draft | null;

/** Answers in words, and which of them is right. */
export const choose = (codes: readonly string[], right: string): Pick<Draft, 'options' | 'answer'> => ({
  options: codes.map((code) => ({ code, value: null })),
  answer: codes.indexOf(right),
});

/** Answers in numbers, the right one given first, in an order of their own. */
export function chooseNumber(
  code: string,
  values: readonly number[],
  random: Random,
): Pick<Draft, 'options' | 'answer'> {
  const order = shuffled(values, random);
  return { options: order.map((value) => ({ code, value })), answer: order.indexOf(values[0]!) };
}

/** Everything of a draft that most share. */
export const draftOf = (
  stretch: Stretch,
  scene: Scene,
  rest: Pick<Draft, 'asked' | 'options' | 'answer'> & Partial<Draft>,
): Draft => ({
  stretch,
  scene,
  nowS: () => stretch.durationS,
  decidable: ({ sight }) => sight.marks.every((m) => m.probability >= 0.6),
  facts: () => ({}),
  cutAt: (visible) => {
    const [first] = rest.asked;
    if (first && 'fish' in first) {
      const shown = visible[first.fish]!;
      return { timeS: shown.nearestTimeS, rangeM: shown.nearestRangeM };
    }
    return first && 'timeS' in first
      ? { timeS: first.timeS, rangeM: first.rangeM }
      : { timeS: stretch.durationS / 2, rangeM: null };
  },
  boxed: rest.asked.length,
  farM: stretch.settings.rangeM,
  besideFaceId: null,
  ...rest,
});

/** A list in an order of its own. */
export function shuffled<T>(list: readonly T[], random: Random): T[] {
  const out = [...list];
  for (let i = out.length - 1; i > 0; i--) {
    const j = random.integer(i + 1);
    [out[i], out[j]] = [out[j]!, out[i]!];
  }
  return out;
}
