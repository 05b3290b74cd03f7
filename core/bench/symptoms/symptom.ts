import type { Settings } from '@/core/picture';

/** Complaints about a picture, worst first to be thought of. */
export const SYMPTOMS = [
  'specks',
  'nothing-drawn',
  'dashes',
  'bars',
  'top-mess',
  'bed-one-colour',
  'second-bed',
  'bed-lost',
  'fish-tiny',
  'marks-too-long',
  'brush-needle',
  'only-lines',
  'half-arches',
  'gone-at-speed',
  'size-changes',
  'straight-row',
  'spikes-at-lure',
  'lure-late',
  'old-wood',
  'marks-late',
] as const;
export type Symptom = (typeof SYMPTOMS)[number];

/** What mends a symptom: dials, some set to a value and some to the start setup's; the boat; the mount; or nothing, where it is so. */
export type Remedy =
  | { kind: 'dials'; set: Partial<Settings>; fromStart: readonly (keyof Settings)[] }
  | { kind: 'boat' | 'mount' | 'none' };

const dials = (fromStart: readonly (keyof Settings)[], set: Partial<Settings> = {}): Remedy => ({
  kind: 'dials',
  set,
  fromStart,
});

/** Steps of a filter that do the work and no more. */
const OTHER_SOUNDERS = 3;
const TOP_WATER = 5;

export const REMEDIES: Record<Symptom, Remedy> = {
  specks: dials(['gainDb', 'firstColourDb']),
  'nothing-drawn': dials(['gainDb', 'firstColourDb']),
  dashes: dials([], { otherSounders: OTHER_SOUNDERS }),
  bars: { kind: 'boat' },
  'top-mess': dials(['gainDb'], { topWater: TOP_WATER, tvg: 'target' }),
  'bed-one-colour': dials(['gainDb', 'colourSpreadDb']),
  'second-bed': dials(['pingRate']),
  'bed-lost': dials([], { lookNoDeeperM: null }),
  'fish-tiny': dials(['rangeM', 'topM', 'zoom', 'zoomAtM']),
  'marks-too-long': dials(['chartSpeed']),
  'brush-needle': dials(['chartSpeed']),
  'only-lines': { kind: 'boat' },
  'half-arches': { kind: 'mount' },
  'gone-at-speed': { kind: 'boat' },
  'size-changes': dials(['gainDb'], { gainMode: 'manual' }),
  'straight-row': { kind: 'none' },
  'spikes-at-lure': { kind: 'none' },
  'lure-late': { kind: 'mount' },
  'old-wood': { kind: 'none' },
  'marks-late': { kind: 'mount' },
};

/** What a remedy sets over how a picture stands. @param start the start setup's settings; null where the water has none */
export function remedied(settings: Settings, remedy: Remedy, start: Settings | null): Settings {
  if (remedy.kind !== 'dials') return settings;
  const taken = start ? Object.fromEntries(remedy.fromStart.map((name) => [name, start[name]])) : {};
  return { ...settings, ...taken, ...remedy.set };
}
