import { createEmptyCard, fsrs, generatorParameters, Rating, type Card } from 'ts-fsrs';
import type { Sitting } from './answer';
import type { Drill, Kind, Level } from './drill';
import type { Random } from '@/core/maths';

/** Right answers in a row that raise a level, and wrong ones that lower it. */
const UP_AFTER = 2;
const DOWN_AFTER = 2;

/** Remembering is reckoned by the FSRS model (Ye et al. 2022), without its random spread of days. */
const MODEL = fsrs(generatorParameters({ enable_fuzz: false }));

const itemKey = (drill: Drill, kind: string, level: Level): string => `${drill}/${kind}/${level}`;

/** What has been learned, a kind at a level each, from the sittings alone. */
function cardsOf(sittings: readonly Sitting[]): Map<string, Card> {
  const cards = new Map<string, Card>();
  const inOrder = [...sittings].sort((a, b) => (a.startedAt < b.startedAt ? -1 : 1));
  for (const { drill, startedAt, answers } of inOrder)
    answers.forEach(({ kind, level, right }) => {
      const key = itemKey(drill, kind, level);
      const card = cards.get(key) ?? createEmptyCard<Card>(startedAt);
      cards.set(key, MODEL.next(card, startedAt, right ? Rating.Good : Rating.Again).card);
    });
  return cards;
}

/** The level a kind is asked at: it rises with right answers in a row and falls with wrong ones. */
export function levelOf(sittings: readonly Sitting[], drill: Drill, kind: string): Level {
  let level = 1;
  let row = 0;
  const inOrder = [...sittings].sort((a, b) => (a.startedAt < b.startedAt ? -1 : 1));
  for (const sitting of inOrder) {
    if (sitting.drill !== drill) continue;
    for (const answer of sitting.answers) {
      if (answer.kind !== kind) continue;
      row = answer.right ? Math.max(0, row) + 1 : Math.min(0, row) - 1;
      if (row >= UP_AFTER && level < 3) {
        level++;
        row = 0;
      } else if (row <= -DOWN_AFTER && level > 1) {
        level--;
        row = 0;
      }
    }
  }
  return level as Level;
}

/** A round to come. */
export interface Planned {
  kind: Kind;
  level: Level;
}

/**
 * What a sitting asks, in its order: what was never asked first, then what is likeliest forgotten; none twice in a row while
 * there are others.
 * @param nowMs when it begins, ms since 1970
 */
export function planSitting(
  sittings: readonly Sitting[],
  drill: Drill,
  kinds: readonly Kind[],
  rounds: number,
  nowMs: number,
  random: Random,
): Planned[] {
  const cards = cardsOf(sittings);
  const ranked = kinds
    .map((kind) => {
      const level = levelOf(sittings, drill, kind);
      const card = cards.get(itemKey(drill, kind, level));
      // Chance to be remembered now: nought for what was never asked.
      const known = card ? MODEL.get_retrievability(card, nowMs, false) : 0;
      return { kind, level, known, tie: random.uniform() };
    })
    .sort((a, b) => a.known - b.known || a.tie - b.tie);
  const out: Planned[] = [];
  // Each once, then the least known again, in an order that gives nothing away.
  while (out.length < rounds && ranked.length > 0) {
    const more = ranked
      .slice(0, Math.max(1, rounds - out.length))
      .map(({ kind, level }) => ({ kind, level }));
    for (let i = more.length - 1; i > 0; i--) {
      const j = random.integer(i + 1);
      [more[i], more[j]] = [more[j]!, more[i]!];
    }
    if (more.length > 1 && out.at(-1)?.kind === more[0]!.kind) more.push(more.shift()!);
    out.push(...more);
  }
  return out.slice(0, rounds);
}
