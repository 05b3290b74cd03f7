import { useMemo } from 'react';
import { useStore } from 'zustand';
import { format, formatBand, type MeasureName, type UnitSystem } from '@/core/units';
import { preferenceStore, unitsOf } from '@/stores';
import { inLanguage } from '@/ui/decimal';

/** The user's units, and numbers written in them. */
export interface Units {
  system: UnitSystem;
  show: (name: MeasureName, si: number, decimals?: number) => string;
  /** A height or length: in small units below a metre, in depth units above. */
  height: (si: number) => string;
  band: (name: MeasureName, low: number, high: number, decimals?: number) => string;
}

export const unitsIn = (system: UnitSystem): Units => ({
  system,
  show: (name, si, decimals) => inLanguage(format(system, name, si, decimals)),
  height: (si) => inLanguage(si < 1 ? format(system, 'small', si, 0) : format(system, 'depth', si)),
  band: (name, low, high, decimals) => inLanguage(formatBand(system, name, low, high, decimals)),
});

export function useUnits(): Units {
  const system = useStore(preferenceStore, unitsOf);
  return useMemo(() => unitsIn(system), [system]);
}

/** Seconds as `1:07`. */
export const clock = (seconds: number): string =>
  `${Math.floor(seconds / 60)}:${String(Math.floor(seconds % 60)).padStart(2, '0')}`;
