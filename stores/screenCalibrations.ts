import * as v from 'valibot';
import { createStore } from 'zustand/vanilla';
import { DONE, issueSentence, refused, type Format, type Result } from '@/core/formats';
import { ScreenCalibrationSchema, type ScreenCalibration } from '@/core/screenPicture';
import { putByName } from './byName';
import { keepCollection } from './keeping/collection';
import { appKeeper } from './keeping/keeper';
import { newId } from './newId';
import { notify } from './notices';

/** Where the panel, scale and legend lie on pictures of one unit's screen, by a name. */
const NamedCalibrationSchema = v.object({
  id: v.pipe(v.string(), v.minLength(1), v.maxLength(64)),
  name: v.pipe(v.string(), v.trim(), v.minLength(1), v.maxLength(60)),
  /** The beam its pictures are of. */
  faceId: v.pipe(v.string(), v.maxLength(40)),
  calibration: ScreenCalibrationSchema,
});
export type NamedCalibration = v.InferOutput<typeof NamedCalibrationSchema>;

const FORMAT: Format<NamedCalibration> = {
  name: 'nimble-echo-screen',
  label: 'screen calibration',
  schema: NamedCalibrationSchema,
  migrations: [],
};

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
  format: FORMAT,
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
