import * as v from 'valibot';
import { createStore } from 'zustand/vanilla';
import { DONE, issueSentence, refused, type Format, type Result } from '@/core/formats';
import { MOST_OWN_FISH, OwnFishSchema, type OwnFish } from '@/core/logbook/ownFish';
import { keepCollection } from './keeping/collection';
import { appKeeper } from './keeping/keeper';
import { newId } from './newId';
import { notify } from './notices';

interface OwnFishState {
  /** Newest first. */
  fish: readonly OwnFish[];
}

export const ownFishStore = createStore<OwnFishState>(() => ({ fish: [] }));

const OWN_FISH_FORMAT: Format<OwnFish> = {
  name: 'nimble-echo-own-fish',
  label: 'caught fish',
  schema: OwnFishSchema,
  migrations: [],
};

export const OWN_FISH = keepCollection<OwnFishState, OwnFish>(appKeeper, {
  store: ownFishStore,
  prefix: 'own-fish/',
  title: 'caught fish',
  format: OWN_FISH_FORMAT,
  withItems: ({ fish }, more) => ({
    fish: [...more, ...fish.filter((f) => more.every((m) => m.id !== f.id))].sort((a, b) =>
      a.at < b.at ? 1 : a.at > b.at ? -1 : a.id < b.id ? -1 : 1,
    ),
  }),
  withoutItem: ({ fish }, id) => ({ fish: fish.filter((f) => f.id !== id) }),
});

/** Keeps the mark of a fish that was caught; it can be taken back as long as that is offered. @param kept what is kept beside it, once it is, and what takes that back */
export function keepOwnFish(
  fish: Omit<OwnFish, 'id' | 'at'>,
  kept: () => () => void = () => () => undefined,
): Result {
  if (ownFishStore.getState().fish.length >= MOST_OWN_FISH)
    return refused(`${MOST_OWN_FISH} caught fish are kept; that is the most.`);
  const parsed = v.safeParse(OwnFishSchema, { ...fish, id: newId(), at: new Date().toISOString() });
  if (!parsed.success) return refused(issueSentence(parsed.issues));
  const item = parsed.output;
  void OWN_FISH.put([item]);
  const takeBack = kept();
  notify(`Kept as your ${item.kind}.`, () => {
    void OWN_FISH.remove(item.id);
    takeBack();
  });
  return DONE;
}
