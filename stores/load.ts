import * as v from 'valibot';
import { createStore } from 'zustand/vanilla';
import { PLAN_FORMAT } from '@/core/formats';
import { UnitSchema } from '@/core/rig';
import { BOATS } from './boats';
import { CORRECTIONS } from './corrections';
import { DAYS } from './days';
import { DECK } from './deck';
import { keepDocument } from './keeping/document';
import { appKeeper, type Keeper } from './keeping/keeper';
import { splitOld, type OldList } from './keeping/splitOld';
import { keepingStore } from './keeping/status';
import { StorageSilent } from './keeping/storage';
import { KEPT_SETTINGS } from './keptSettings';
import { LOG, logStore } from './log';
import { notify } from './notices';
import { PASS } from './pass';
import { PLAN, planStore } from './plan';
import { PLANS } from './plans';
import { PREFERENCES } from './preferences';
import { SCREENS } from './screenCalibrations';
import { FILES } from './keptFiles';
import { OWN_FISH } from './ownFish';
import { SITTINGS } from './training';

/** Whether what is needed to begin has been read, or cannot be. */
export const loadedStore = createStore<{ loaded: boolean }>(() => ({ loaded: false }));

const same = (data: unknown): unknown => data;
const named = (name: string) => (data: unknown) =>
  typeof data === 'object' && data !== null ? (data as Record<string, unknown>)[name] : undefined;

export const OLD_LOG: OldList<never> = {
  key: 'log',
  listName: 'data',
  listOf: same,
  prefix: LOG.prefix,
  format: LOG.format as never,
};
export const OLD_PLANS: OldList<never> = {
  key: 'plans',
  listName: 'plans',
  listOf: named('plans'),
  prefix: PLANS.prefix,
  format: PLAN_FORMAT as never,
};
export const OLD_BOATS: OldList<never> = {
  key: 'boats',
  listName: 'others',
  listOf: named('others'),
  // The boat in use is the first.
  withId: (rig, index) => ({ id: `boat-${index + 2}`, rig }),
  prefix: BOATS.prefix,
  format: BOATS.format as never,
};
export const OLD_LISTS = [OLD_LOG, OLD_PLANS, OLD_BOATS];

/** How the one unit there was counted, before each had its own scales. */
const OldUnit = v.object({
  data: v.object({ profile: UnitSchema.entries.scales, chart: UnitSchema.entries.chart }),
});

/** Gives the scales told of the one unit there was to the boat's first; once, since they are then the unit's own. */
async function takeUpOldUnit({ storage }: Keeper): Promise<void> {
  const text = await storage.getItem('unit');
  if (text === null) return;
  let data: unknown;
  try {
    data = JSON.parse(text);
  } catch {
    return;
  }
  const old = v.safeParse(OldUnit, data);
  const { rig } = planStore.getState();
  const [first, ...others] = rig.units;
  if (!old.success || !first || Object.keys(first.scales).length > 0 || first.chart !== null) return;
  const { profile, chart } = old.output.data;
  planStore.setState({ rig: { ...rig, units: [{ ...first, scales: profile, chart }, ...others] } });
  await storage.setMany({ 'unit.taken-up': text });
  await storage.removeMany(['unit']);
}

/** Reads the log, which may be long, while the rest is used already. */
async function loadLog(keeper: Keeper): Promise<void> {
  const damaged = await splitOld(keeper, OLD_LOG);
  if (damaged > 0)
    notify(
      `${damaged} of your log entries could not be opened. They are set aside, not deleted. Find them in the menu under Saved on this device.`,
    );
  await LOG.load();
  logStore.setState({ loaded: true });
}

async function loadAll(keeper: Keeper): Promise<void> {
  await Promise.all([
    keepDocument(keeper, PREFERENCES),
    keepDocument(keeper, PLAN).then(() => takeUpOldUnit(keeper)),
    keepDocument(keeper, PASS),
    keepDocument(keeper, DECK),
  ]);
  for (const [old, collection] of [
    [OLD_PLANS, PLANS],
    [OLD_BOATS, BOATS],
  ] as const) {
    const damaged = await splitOld(keeper, old);
    if (damaged > 0)
      notify(
        `Some of your ${old.key} could not be opened. It is set aside, not deleted. Find it in the menu under Saved on this device.`,
      );
    await collection.load();
  }
  await KEPT_SETTINGS.load();
  await CORRECTIONS.load();
  await SCREENS.load();
  await DAYS.load();
  await SITTINGS.load();
  await FILES.load();
  await OWN_FISH.load();
}

let going: Promise<void> | null = null;

/** Reads everything kept, at the app's start, and again when the storage did not answer then. Never rejects. */
export function loadStores(keeper: Keeper = appKeeper()): Promise<void> {
  going ??= (async () => {
    const failed = (error: unknown): void => {
      going = null;
      keepingStore.setState({ state: error instanceof StorageSilent ? 'silent' : 'none' });
      logStore.setState({ loaded: true });
    };
    try {
      await loadAll(keeper);
      keepingStore.setState({ state: 'ok' });
      loadedStore.setState({ loaded: true });
      await loadLog(keeper);
    } catch (error) {
      failed(error);
    }
    loadedStore.setState({ loaded: true });
  })();
  return going;
}
