import * as v from 'valibot';
import { createStore } from 'zustand/vanilla';
import {
  UNIT_CONTROLS,
  UnitScaleSchema,
  type UnitControl,
  type UnitProfile,
  type UnitScale,
} from '@/core/picture';

const Timing = v.object({
  shown: v.pipe(v.number(), v.finite()),
  acrossS: v.pipe(v.number(), v.finite(), v.gtValue(0)),
});
const UnitSchema = v.object({
  /** How the user's own unit words and counts its controls, as far as they have told. */
  profile: v.record(v.picklist(UNIT_CONTROLS), UnitScaleSchema),
  /** Two timings of one mark across the screen; null until they are taken. */
  chart: v.nullable(v.tuple([Timing, Timing])),
});
export type UnitState = v.InferOutput<typeof UnitSchema>;

export const unitStore = createStore<UnitState>(() => ({ profile: {}, chart: null }));

/** Keeps how the unit counts a control; returns what is wrong with it, or null. */
export function tellScale(control: UnitControl, scale: UnitScale): string | null {
  const result = v.safeParse(UnitScaleSchema, scale);
  if (!result.success) return result.issues[0].message;
  unitStore.setState(({ profile }) => ({ profile: { ...profile, [control]: result.output } }));
  return null;
}

/** Forgets a control's scale. */
export const forgetScale = (control: UnitControl): void =>
  unitStore.setState(({ profile }) => {
    const rest: UnitProfile = { ...profile };
    delete rest[control];
    return { profile: rest };
  });

export const timeChart = (chart: UnitState['chart']): void => unitStore.setState({ chart });

export const UNIT = {
  store: unitStore,
  key: 'unit',
  label: 'Your unit’s scales',
  version: 1,
  schema: UnitSchema,
  pick: ({ profile, chart }: UnitState): UnitState => ({ profile, chart }),
  put: (saved: UnitState) => saved,
};
