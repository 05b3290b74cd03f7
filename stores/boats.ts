import * as v from 'valibot';
import { createStore } from 'zustand/vanilla';
import { DONE, refused, type Format, type Result } from '@/core/formats';
import { RigSchema, type Rig } from '@/core/rig';
import { keepCollection } from './keeping/collection';
import { appKeeper } from './keeping/keeper';
import { newId } from './newId';
import { notify } from './notices';
import { planStore } from './plan';

/** A boat as it is kept. The one in use lies here as it was when it was last left; the plan has it as it is. */
export interface Boat {
  id: string;
  rig: Rig;
}

interface BoatsState {
  boats: readonly Boat[];
}

/** Most boats kept. */
const MOST_BOATS = 20;

export const boatsStore = createStore<BoatsState>(() => ({ boats: [] }));

const BOAT_FORMAT: Format<Boat> = {
  name: 'nimble-echo-boat',
  label: 'boat',
  schema: v.object({ id: v.pipe(v.string(), v.minLength(1), v.maxLength(64)), rig: RigSchema }),
  migrations: [],
};

const without = (boats: readonly Boat[], ids: ReadonlySet<string>): Boat[] =>
  boats.filter((b) => !ids.has(b.id));

export const BOATS = keepCollection<BoatsState, Boat>(appKeeper, {
  store: boatsStore,
  prefix: 'boats/',
  title: 'boats',
  format: BOAT_FORMAT,
  withItems: ({ boats }, more) => ({
    boats: [...without(boats, new Set(more.map((b) => b.id))), ...more].sort((a, b) =>
      a.id < b.id ? -1 : 1,
    ),
  }),
  withoutItem: ({ boats }, id) => ({ boats: without(boats, new Set([id])) }),
});

/** Boats besides the one in use. */
export const otherBoats = (boats: readonly Boat[], inUse: string): Boat[] => without(boats, new Set([inUse]));

/** Keeps the boat in use as it is, and goes on with a copy under another name. */
export function addBoat(): Result {
  const { rig, boatId } = planStore.getState();
  const others = otherBoats(boatsStore.getState().boats, boatId);
  if (others.length + 1 >= MOST_BOATS)
    return refused(`You have ${MOST_BOATS} boats, the most there can be. Delete one first.`);
  const names = new Set([rig.name, ...others.map((b) => b.rig.name)]);
  let n = 2;
  while (names.has(`Boat ${n}`)) n++;
  void BOATS.put([{ id: boatId, rig }]);
  planStore.setState({ rig: { ...rig, name: `Boat ${n}` }, boatId: newId() });
  return DONE;
}

/** Puts another boat to use; the one in use is kept as it is. */
export function switchBoat(id: string): void {
  const next = boatsStore.getState().boats.find((b) => b.id === id);
  if (!next) return;
  const { rig, boatId, brief } = planStore.getState();
  void BOATS.put([{ id: boatId, rig }]);
  // A beam asked for by name may not be on this boat.
  const faceId = next.rig.faces.some((f) => f.id === brief.faceId) ? brief.faceId : null;
  planStore.setState({ rig: next.rig, boatId: next.id, unitId: null, brief: { ...brief, faceId } });
}

export function deleteBoat(id: string): void {
  const boat = boatsStore.getState().boats.find((b) => b.id === id);
  if (!boat) return;
  void BOATS.remove(id);
  notify(`Deleted “${boat.rig.name}”.`, () => void BOATS.put([boat]));
}
