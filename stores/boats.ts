import * as v from 'valibot';
import { createStore } from 'zustand/vanilla';
import { RigSchema, type Rig } from '@/core/rig';
import { planStore } from './plan';

/** Boats kept beside the one in use, which is the plan's rig. */
interface BoatsState {
  others: readonly Rig[];
}

/** Most boats kept. */
const MOST_BOATS = 20;

export const boatsStore = createStore<BoatsState>(() => ({ others: [] }));

/** Keeps the boat in use as it is, and goes on with a copy under another name. Returns what is wrong, or null. */
export function keepBoat(): string | null {
  const { others } = boatsStore.getState();
  if (others.length + 1 >= MOST_BOATS) return `No more than ${MOST_BOATS} boats are kept. Delete one first.`;
  const { rig } = planStore.getState();
  const names = new Set([rig.name, ...others.map((o) => o.name)]);
  let n = 2;
  while (names.has(`Boat ${n}`)) n++;
  boatsStore.setState({ others: [...others, rig] });
  planStore.setState({ rig: { ...rig, name: `Boat ${n}` } });
  return null;
}

/** Puts another boat to use; the one in use is kept in its place. */
export function switchBoat(index: number): void {
  const { others } = boatsStore.getState();
  const next = others[index];
  if (!next) return;
  const { rig, brief } = planStore.getState();
  boatsStore.setState({ others: others.map((o, i) => (i === index ? rig : o)) });
  // A beam asked for by name may not be on this boat.
  const faceId = next.faces.some((f) => f.id === brief.faceId) ? brief.faceId : null;
  planStore.setState({ rig: next, brief: { ...brief, faceId } });
}

export const deleteBoat = (index: number): void =>
  boatsStore.setState(({ others }) => ({ others: others.filter((_, i) => i !== index) }));

const BoatsSchema = v.object({ others: v.pipe(v.array(RigSchema), v.maxLength(MOST_BOATS)) });

export const BOATS = {
  store: boatsStore,
  key: 'boats',
  label: 'Your boats',
  version: 1,
  schema: BoatsSchema,
  pick: ({ others }: BoatsState): BoatsState => ({ others }),
  put: (saved: BoatsState) => saved,
};
