import * as v from 'valibot';
import { createStore } from 'zustand/vanilla';
import { PRESENTATIONS } from '@/core/advice';
import { DONE, issueSentence, refused, type Format, type Result } from '@/core/formats';
import { putByName } from './byName';
import { freeName } from './freeName';
import { keepCollection } from './keeping/collection';
import { appKeeper } from './keeping/keeper';
import { newId } from './newId';
import { notify } from './notices';
import { BENCH_ENTRIES, changeSettings, passStore, takeToBench } from './pass';

const LONGEST_NAME = 60;

/** Settings kept by name for a phase of the day, with the water and boat they were found on. */
const KeptSettingsSchema = v.object({
  id: v.pipe(v.string(), v.minLength(1), v.maxLength(64)),
  name: v.pipe(v.string(), v.trim(), v.minLength(1), v.maxLength(LONGEST_NAME)),
  /** Null: of no phase. */
  phase: v.nullable(v.picklist(PRESENTATIONS)),
  /** What the water is called. */
  water: v.pipe(v.string(), v.maxLength(120)),
  ...BENCH_ENTRIES,
});
export type KeptSettings = v.InferOutput<typeof KeptSettingsSchema>;
export type SettingsPhase = KeptSettings['phase'];

const FORMAT: Format<KeptSettings> = {
  name: 'nimble-echo-settings',
  label: 'settings',
  schema: KeptSettingsSchema,
  migrations: [],
};

interface KeptSettingsState {
  /** By name in order. */
  kept: readonly KeptSettings[];
}

/** Most settings kept. */
const MOST_KEPT = 200;

export const keptSettingsStore = createStore<KeptSettingsState>(() => ({ kept: [] }));

export const KEPT_SETTINGS = keepCollection<KeptSettingsState, KeptSettings>(appKeeper, {
  store: keptSettingsStore,
  prefix: 'settings/',
  title: 'saved settings',
  format: FORMAT,
  withItems: ({ kept }, more) => ({ kept: putByName(kept, more) }),
  withoutItem: ({ kept }, id) => ({ kept: kept.filter((k) => k.id !== id) }),
});

/** Keeps what is set on the bench under a name; where it is taken it is numbered. */
export function keepSettings(name: string, phase: SettingsPhase, water: string): Result {
  const { kept } = keptSettingsStore.getState();
  if (kept.length >= MOST_KEPT)
    return refused(`You have ${MOST_KEPT} saved settings, the most there can be. Delete one first.`);
  const { pass, settings } = passStore.getState();
  const result = v.safeParse(KeptSettingsSchema, {
    id: newId(),
    name: freeName(name.trim(), kept).slice(0, LONGEST_NAME),
    phase,
    water: water.slice(0, 120),
    ...pass,
    settings,
  });
  if (!result.success) return refused(issueSentence(result.issues));
  void KEPT_SETTINGS.put([result.output]);
  return DONE;
}

/** Opens kept settings over the water and boat they were found on. */
export function openKeptSettings({ name, source, rig, settings }: KeptSettings): void {
  const { pass, settings: before } = passStore.getState();
  takeToBench({ source, rig }, settings);
  notify(`Opened “${name}”.`, () => takeToBench(pass, before));
}

/** Whether the boat on the bench has the beam kept settings are for. */
export const fitsBench = ({ settings }: KeptSettings): boolean =>
  passStore.getState().pass.rig.faces.some((f) => f.id === settings.faceId);

/** Sets the water on the bench as kept settings say; undo brings back what was set. */
export function setAsKept({ settings }: KeptSettings): void {
  const { palette } = passStore.getState().settings;
  changeSettings({ ...settings, palette });
}

export function deleteKeptSettings(id: string): void {
  const item = keptSettingsStore.getState().kept.find((k) => k.id === id);
  if (!item) return;
  void KEPT_SETTINGS.remove(id);
  notify(`Deleted “${item.name}”.`, () => void KEPT_SETTINGS.put([item]));
}
