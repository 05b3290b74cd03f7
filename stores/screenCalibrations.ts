import * as v from 'valibot';
import { createStore } from 'zustand/vanilla';
import { DONE, issueSentence, refused, type Result } from '@/core/formats';
import { NamedCalibrationSchema, SCREEN_FORMAT, type NamedCalibration } from '@/core/formats/screenFile';
import type { ScreenCalibration } from '@/core/screenPicture';
import { putByName } from './byName';
import { keepCollection } from './keeping/collection';
import { appKeeper } from './keeping/keeper';
import { newId } from './newId';
import { notify } from './notices';

interface ScreenCalibrationsState {
  /** By name in order. */
  kept: readonly NamedCalibration[];
}

/** Most calibrations kept. */
const MOST_KEPT = 50;

export const screenCalibrationStore = createStore<ScreenCalibrationsState>(() => ({ kept: [] }));

export const SCREENS = keepCollection<ScreenCalibrationsState, NamedCalibration>(appKeeper, {
  store: screenCalibrationStore,
  prefix: 'screens/',
  title: 'screen calibrations',
  format: SCREEN_FORMAT,
  withItems: ({ kept }, more) => ({ kept: putByName(kept, more) }),
  withoutItem: ({ kept }, id) => ({ kept: kept.filter((k) => k.id !== id) }),
});

/** Keeps a calibration; one of the same name gives way. */
export function keepCalibration(name: string, faceId: string, calibration: ScreenCalibration): Result {
  const { kept } = screenCalibrationStore.getState();
  const before = kept.find((k) => k.name === name.trim());
  if (!before && kept.length >= MOST_KEPT)
    return refused(`You have ${MOST_KEPT} screen calibrations, the most there can be. Delete one first.`);
  const parsed = v.safeParse(NamedCalibrationSchema, {
    id: before?.id ?? newId(),
    name,
    faceId,
    calibration,
  });
  if (!parsed.success) return refused(issueSentence(parsed.issues));
  void SCREENS.put([parsed.output]);
  return DONE;
}

export function deleteCalibration(id: string): void {
  const item = screenCalibrationStore.getState().kept.find((k) => k.id === id);
  if (!item) return;
  void SCREENS.remove(id);
  notify(`Deleted “${item.name}”.`, () => void SCREENS.put([item]));
}
