import * as v from 'valibot';
import { createStore } from 'zustand/vanilla';
import {
  LIGHTS,
  PALETTE_NAMES,
  palettesFor,
  type Light,
  type PaletteName,
  type PictureKind,
} from '@/core/picture';
import { systemOfLocale, type UnitSystem } from '@/core/units';
import type { KeptDocument } from './keeping/document';

const ChosenSchema = v.object({
  cone: v.optional(v.picklist(PALETTE_NAMES)),
  slice: v.optional(v.picklist(PALETTE_NAMES)),
});

const PreferencesSchema = v.object({
  /** null = as the device's locale has it. */
  units: v.optional(v.nullable(v.picklist(['metric', 'feet'])), null),
  theme: v.optional(v.picklist(['auto', 'day', 'dusk', 'night']), 'auto'),
  /** Whether the boat was set up, or that was skipped. */
  begun: v.optional(v.boolean(), false),
  /** Whether what to expect is folded to one line. */
  expectationFolded: v.optional(v.boolean(), false),
  /** Palettes chosen for a light and a kind of picture; where none is, the light's own. */
  palettes: v.optional(v.object(v.entriesFromList(LIGHTS, v.optional(ChosenSchema, {}))), {}),
});
export type Preferences = v.InferOutput<typeof PreferencesSchema>;

export const preferenceStore = createStore<Preferences>(() => v.parse(PreferencesSchema, {}));

export const unitsOf = (p: Preferences): UnitSystem =>
  p.units ?? systemOfLocale(typeof navigator === 'undefined' ? 'en' : navigator.language);

export const setUnits = (units: UnitSystem): void => preferenceStore.setState({ units });
export const setTheme = (theme: Preferences['theme']): void => preferenceStore.setState({ theme });

/** The palette a kind of picture is drawn in by a light. */
export const paletteOf = ({ palettes }: Preferences, light: Light, kind: PictureKind): PaletteName =>
  palettes[light]?.[kind] ?? palettesFor(light, kind)[0]!;

export const choosePalette = (light: Light, kind: PictureKind, name: PaletteName): void =>
  preferenceStore.setState(({ palettes }) => ({
    palettes: { ...palettes, [light]: { ...palettes[light], [kind]: name } },
  }));

export const foldExpectation = (expectationFolded: boolean): void =>
  preferenceStore.setState({ expectationFolded });

export const setBegun = (): void => preferenceStore.setState({ begun: true });

export const PREFERENCES: KeptDocument<Preferences, Preferences> = {
  store: preferenceStore,
  key: 'preferences',
  title: 'Your preferences',
  format: {
    name: 'nimble-echo-preferences',
    label: 'preferences',
    schema: PreferencesSchema,
    migrations: [],
  },
  pick: (state) => state,
  put: (saved) => saved,
};
