import { createContext, useContext } from 'react';
import { configureFonts, DefaultTheme } from 'react-native-paper';
import type { Light } from '@/core/picture';

/** Colours of one light: what a notebook page, its ink and two pencils are by day, at dusk, and by red light at night. */
export interface Tones {
  light: Light;
  dark: boolean;
  ground: string;
  /** A second page, for sheets and the rail. */
  page: string;
  ink: string;
  /** Ink for what matters less; still 7:1 on the ground. */
  faint: string;
  rule: string;
  /** Buoy orange: the one accent, for what can be done next. */
  buoy: string;
  onBuoy: string;
  /** Water green: what is chosen, what is clear. */
  water: string;
  onWater: string;
  waterWash: string;
  danger: string;
}

export const TONES: Record<Light, Tones> = {
  day: {
    light: 'day',
    dark: false,
    ground: '#f4eee2',
    page: '#fbf8f0',
    ink: '#1c1a17',
    faint: '#4a443b',
    rule: '#c9bfab',
    buoy: '#882f04',
    onBuoy: '#fffaf2',
    water: '#13504a',
    onWater: '#f7fbf8',
    waterWash: '#d8e5da',
    danger: '#8c1d18',
  },
  dusk: {
    light: 'dusk',
    dark: true,
    ground: '#191c1b',
    page: '#222725',
    ink: '#f0e9db',
    faint: '#c6bfb0',
    rule: '#454a47',
    buoy: '#ff9d61',
    onBuoy: '#2b1204',
    water: '#8fd3bd',
    onWater: '#06231d',
    waterWash: '#2a3d38',
    danger: '#ffb4ab',
  },
  // Red alone leaves eyes that are used to the dark as they are.
  night: {
    light: 'night',
    dark: true,
    ground: '#0d0202',
    page: '#170404',
    ink: '#ff8a78',
    faint: '#ff7d6b',
    rule: '#5a1a14',
    buoy: '#ff9a84',
    onBuoy: '#1a0302',
    water: '#ff8a78',
    onWater: '#1a0302',
    waterWash: '#3a0f0b',
    danger: '#ffa08f',
  },
};

export const FONT = {
  text: 'AtkinsonHyperlegible',
  bold: 'AtkinsonHyperlegibleBold',
  figures: 'AtkinsonHyperlegibleMono',
};

/** The Paper theme of a light: flat, ruled, in the shipped fonts. */
export function paperTheme(tones: Tones): typeof DefaultTheme {
  const base = DefaultTheme;
  return {
    ...base,
    dark: tones.dark,
    roundness: 1,
    fonts: configureFonts({ config: { fontFamily: FONT.text } }),
    colors: {
      ...base.colors,
      primary: tones.water,
      onPrimary: tones.onWater,
      primaryContainer: tones.waterWash,
      onPrimaryContainer: tones.ink,
      secondary: tones.buoy,
      onSecondary: tones.onBuoy,
      secondaryContainer: tones.waterWash,
      onSecondaryContainer: tones.ink,
      background: tones.ground,
      onBackground: tones.ink,
      surface: tones.page,
      onSurface: tones.ink,
      surfaceVariant: tones.ground,
      onSurfaceVariant: tones.faint,
      outline: tones.faint,
      outlineVariant: tones.rule,
      error: tones.danger,
      surfaceDisabled: tones.rule,
      onSurfaceDisabled: tones.faint,
      inverseSurface: tones.ink,
      inverseOnSurface: tones.ground,
      inversePrimary: tones.waterWash,
      elevation: {
        ...base.colors.elevation,
        level0: tones.ground,
        level1: tones.page,
        level2: tones.page,
        level3: tones.page,
        level4: tones.page,
        level5: tones.page,
      },
    },
  };
}

/** What every part of a screen is drawn with. */
export const TonesContext = createContext<Tones>(TONES.day);
export const useTones = (): Tones => useContext(TonesContext);

/** Least size of anything pressed with a wet thumb. */
export const TOUCH_PX = 48;
