import { coloursOf, type PaletteColours } from '@/core/picture';

/** The colours the pairs were ranked in, by looking: a rank holds for what was looked at, whatever palettes the app has since. */
export const RANKED: Record<'paper' | 'dark', PaletteColours> = {
  paper: coloursOf({
    ground: '#f6f1e4',
    stops: ['#d9dcc3', '#9fc0ab', '#5a9490', '#2c5f73', '#1d3350', '#120f1c'],
    bedStops: ['#e6d3bd', '#d0a98a', '#a97a5c', '#7a4d3a', '#4a2a22', '#1c0f0d'],
  }),
  dark: coloursOf({
    ground: '#0d1614',
    stops: ['#1d3a34', '#2f5f4b', '#5a8a55', '#9fb06b', '#dccf9b', '#fbf6e6'],
    bedStops: ['#2b2740', '#4a3f63', '#75628a', '#a58cae', '#d4bfd2', '#f7f0f5'],
  }),
};
