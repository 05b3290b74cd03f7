import { makeRound, NoRound, ownRound, type MadeRound, type RoundSpec, type Trained } from '@/core/training';
import type { DrillRoundTask, DrillTurnTask, OwnRoundTask, Stage } from '../protocol';
import type { Answer } from './answer';
import { pictureBuffers } from './draw';
import { passFor } from './passes';

/** Rounds that can be turned are kept, so that a dial draws over the same pings: the one asked, and the next. */
const MOST_KEPT = 2;
const kept = new Map<string, NonNullable<MadeRound['turn']>>();

const keyOf = (spec: RoundSpec, trained: Trained): string => JSON.stringify([spec, trained]);

function made(spec: RoundSpec, trained: Trained): MadeRound {
  const round = makeRound(spec, trained);
  if (round.turn) kept.set(keyOf(spec, trained), round.turn);
  for (const oldest of kept.keys()) {
    if (kept.size <= MOST_KEPT) break;
    kept.delete(oldest);
  }
  return round;
}

export function drillRound({ spec, trained }: DrillRoundTask): Answer {
  try {
    const { round } = made(spec, trained);
    return {
      result: { kind: 'drill-round', round },
      transfer: [round.picture, ...(round.beside ? [round.beside] : [])].flatMap(pictureBuffers),
    };
  } catch (error) {
    if (error instanceof NoRound) return { result: { kind: 'drill-round', round: null } };
    throw error;
  }
}

export function ownRoundFor({ spec, palettes }: OwnRoundTask, tell: (stage: Stage) => void): Answer {
  const { recording } = passFor(spec.own.pass, spec.own.settings, tell);
  try {
    const round = ownRound(spec, recording, palettes);
    return { result: { kind: 'own-round', round }, transfer: pictureBuffers(round.picture) };
  } catch (error) {
    if (error instanceof NoRound) return { result: { kind: 'own-round', round: null } };
    throw error;
  }
}

export function drillTurn({ spec, trained, settings }: DrillTurnTask): Answer {
  const turn = kept.get(keyOf(spec, trained)) ?? made(spec, trained).turn;
  if (!turn) throw new RangeError(`drill: nothing is turned in ${spec.drill}`);
  const { picture, score } = turn(settings);
  return { result: { kind: 'drill-turn', picture, score }, transfer: pictureBuffers(picture) };
}
