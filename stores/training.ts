import { createStore } from 'zustand/vanilla';
import type { Format } from '@/core/formats';
import { SittingSchema, type Sitting } from '@/core/training/answer';
import { keepCollection } from './keeping/collection';
import { appKeeper } from './keeping/keeper';

interface TrainingState {
  /** Newest first. */
  sittings: readonly Sitting[];
}

export const SITTING_FORMAT: Format<Sitting> = {
  name: 'nimble-echo-sitting',
  label: 'drill',
  schema: SittingSchema as Format<Sitting>['schema'],
  migrations: [],
};

export const trainingStore = createStore<TrainingState>(() => ({ sittings: [] }));

export const SITTINGS = keepCollection<TrainingState, Sitting>(appKeeper, {
  store: trainingStore,
  prefix: 'training/',
  title: 'drills',
  format: SITTING_FORMAT,
  withItems: ({ sittings }, more) => {
    if (more.length === 0) return {};
    const byId = new Map(sittings.map((s) => [s.id, s]));
    for (const sitting of more) byId.set(sitting.id, sitting);
    return { sittings: [...byId.values()].sort((a, b) => (a.startedAt < b.startedAt ? 1 : -1)) };
  },
  withoutItem: ({ sittings }, id) => ({ sittings: sittings.filter((s) => s.id !== id) }),
});

/** Keeps a sitting as far as it has come. */
export const keepSitting = (sitting: Sitting): void => void SITTINGS.put([sitting]);
