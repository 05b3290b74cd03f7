import * as v from 'valibot';
import { createStore } from 'zustand/vanilla';
import { systemOfLocale, type UnitSystem } from '@/core/units';

const PreferencesSchema = v.object({
  /** null = as the device's locale has it. */
  units: v.nullable(v.picklist(['metric', 'feet'])),
  theme: v.picklist(['auto', 'day', 'dusk', 'night']),
  /** Whether the boat was set up, or that was skipped. */
  begun: v.optional(v.boolean(), false),
});
export type Preferences = v.InferOutput<typeof PreferencesSchema>;

export const preferenceStore = createStore<Preferences>(() => ({ units: null, theme: 'auto', begun: false }));

export const unitsOf = (p: Preferences): UnitSystem =>
  p.units ?? systemOfLocale(typeof navigator === 'undefined' ? 'en' : navigator.language);

export const setUnits = (units: UnitSystem): void => preferenceStore.setState({ units });
export const setTheme = (theme: Preferences['theme']): void => preferenceStore.setState({ theme });

export const setBegun = (): void => preferenceStore.setState({ begun: true });

export const PREFERENCES = {
  store: preferenceStore,
  key: 'preferences',
  label: 'Your preferences',
  version: 1,
  schema: PreferencesSchema,
  pick: ({ units, theme, begun }: Preferences): Preferences => ({ units, theme, begun }),
  put: (saved: Preferences) => saved,
};
