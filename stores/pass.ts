import * as v from 'valibot';
import { createStore } from 'zustand/vanilla';
import {
  FIRST_BRIEF,
  sliceSetup,
  startSetup,
  type Brief,
  type Setup,
  type TriedColours,
} from '@/core/advice';
import { briefPass, passKey, PassSourceSchema, type PassSpec } from '@/core/bench/passSource';
import { DONE, issueSentence, refused, type Migration, type Result } from '@/core/formats';
import type { Earlier } from '@/workers';
import { unsettlingOf, type Unsettling } from '@/core/bench/unsettling';
import type { Trap, TrapLesson } from '@/core/bench/traps';
import type { WaterExtras, Way } from '@/core/scene/choices';
import { ownSettings, SettingsSchema, type Settings } from '@/core/picture';
import { GENERIC_RIG, RigSchema, screenOf, type Face, type Rig } from '@/core/rig';
import type { KeptDocument } from './keeping/document';
import { planStore } from './plan';
import { withTried } from './tried';

/** The pass on the bench and how it is looked at. */
export interface PassState {
  pass: PassSpec;
  settings: Settings;
  /** Gain, colours and filters of the beams not shown, by face. */
  looks: Readonly<Record<string, Partial<Settings>>>;
  /** Right edge of the picture, s into the pass; null = its end. */
  nowS: number | null;
  playing: boolean;
  /** Settings before each turn of a dial, newest last, for undo. */
  past: readonly Settings[];
  /** The turn that has left gain and colours unsettled; null where the last turn has not. */
  unsettledBy: Unsettling | null;
  /** How many pictures are shown; null = as many as the screen has room for. */
  pictures: Pictures | null;
  /** Beam of the other picture; null = one of the other kind. Whether it stands before the one under the dials. */
  otherFaceId: string | null;
  otherFirst: boolean;
  /** Whether a turn redraws the whole picture, or, as a unit does, what comes from then on; and how it was set before, then. */
  newColumnsOnly: boolean;
  earlier: readonly Earlier[];
  /** Two ways to set the same pings: which is shown, and the other; null when none are held against each other. */
  compared: { shown: Bank; other: Settings; side: CompareSide } | null;
  /** The lesson the bench was set up for, until its two ways are no longer held against each other. */
  trap: Trap | null;
}

export type Bank = 'a' | 'b';

/** How two ways are shown: one in turn, side by side, one over the other up to a divider, or by turns of themselves. */
export const COMPARE_SIDES = ['turn', 'beside', 'wipe', 'blink'] as const;
export type CompareSide = (typeof COMPARE_SIDES)[number];

/** One picture, two, or one with the marks of the other outlined on it. */
export const PICTURES = ['one', 'two', 'outlines'] as const;
export type Pictures = (typeof PICTURES)[number];

/** Most turns that can be taken back. */
const MOST_PAST = 50;
/** Most earlier settings whose columns are kept. */
const MOST_EARLIER = 6;
/** Turns of one dial that follow each other so soon are one turn, ms. */
const ONE_TURN_MS = 1000;

const FIRST_SEED = 1;
const MOST_SEED = 9999;

export const passStore = createStore<PassState>(() => ({
  pass: briefPass(FIRST_BRIEF, GENERIC_RIG, FIRST_SEED),
  settings: startSetup(FIRST_BRIEF, GENERIC_RIG).settings,
  looks: {},
  nowS: null,
  playing: false,
  past: [],
  unsettledBy: null,
  newColumnsOnly: false,
  earlier: [],
  compared: null,
  trap: null,
  pictures: null,
  otherFaceId: null,
  otherFirst: false,
}));

let lastTurn = { what: '', atMs: 0 };

/** Turns a dial; a value the setting cannot take is not taken. @param joins whether it is undone together with the last turn */
export function changeSettings(change: Partial<Settings>, joins = false): void {
  const { settings, past } = passStore.getState();
  const result = v.safeParse(SettingsSchema, { ...settings, ...change });
  if (!result.success) return;
  const what = Object.keys(change).sort().join();
  const atMs = Date.now();
  const again = what === lastTurn.what && atMs - lastTurn.atMs < ONE_TURN_MS;
  const goesOn = (again || joins) && past.length > 0;
  // A palette follows the light, and is kept by it.
  const counts = what !== 'palette';
  if (counts) lastTurn = { what, atMs };
  const { newColumnsOnly, earlier, nowS } = passStore.getState();
  // At its end a pass has no columns to come.
  const keeps = newColumnsOnly && counts && nowS !== null;
  passStore.setState({
    settings: result.output,
    ...(counts ? { unsettledBy: unsettlingOf(change) } : {}),
    ...(counts && !goesOn ? { past: [...past, settings].slice(-MOST_PAST) } : {}),
    ...(keeps
      ? {
          earlier: [...earlier.filter((e) => e.untilS < nowS), { settings, untilS: nowS }].slice(
            -MOST_EARLIER,
          ),
        }
      : {}),
  });
}

/** Takes the last turn of a dial back. */
export function undoTurn(): void {
  const { past, settings } = passStore.getState();
  const { palette } = settings;
  // A dial turned to and fro has nothing to take back.
  const now = JSON.stringify(settings);
  const at = past.findLastIndex((before) => JSON.stringify({ ...before, palette }) !== now);
  lastTurn = { what: '', atMs: 0 };
  passStore.setState(
    at < 0
      ? { past: [], unsettledBy: null }
      : { settings: { ...past[at]!, palette }, past: past.slice(0, at), unsettledBy: null },
  );
}

/** Begins to hold two ways against each other: both are what is set now, and the second is turned. */
export function startCompare(): void {
  const { settings } = passStore.getState();
  passStore.setState({ compared: { shown: 'b', other: settings, side: 'turn' } });
}

/** Shows the one way or the other, on the same pings. */
export function showBank(bank: Bank): void {
  const { compared, settings } = passStore.getState();
  if (!compared || compared.shown === bank) return;
  const { palette } = settings;
  passStore.setState({
    settings: { ...compared.other, palette },
    compared: { ...compared, shown: bank, other: settings },
    past: [],
    unsettledBy: null,
  });
}

/** Goes on with the way that is shown. */
export const keepShown = (): void => passStore.setState({ compared: null, trap: null });

/** Chooses how the two ways are shown. */
export function showCompared(side: CompareSide): void {
  const { compared } = passStore.getState();
  if (compared) passStore.setState({ compared: { ...compared, side } });
}

/** The start setup of a beam over a brief's water, with the gain and colours it was tried with on Plan. */
function startFor(brief: Brief, rig: Rig, faceId: string): Settings {
  const on = { ...brief, faceId };
  const cone = startSetup(brief, rig);
  const make = (tried: TriedColours | null): Setup => {
    const slice = sliceSetup(brief, rig, cone, {}, {}, tried);
    return slice?.settings.faceId === faceId ? slice : startSetup(on, rig, {}, {}, tried);
  };
  return withTried(on, rig, planStore.getState().tried, make).setup.settings;
}

/** Whether the water on the bench is a brief's, which has a start setup for the beam that is shown. */
export const hasStart = ({
  pass: { source, rig },
  settings,
}: Pick<PassState, 'pass' | 'settings'>): boolean =>
  source.kind === 'brief' && rig.faces.some((f) => f.id === settings.faceId);

/** The start setup of the beam that is shown; null where the water has none. */
export function startOfBench(): Settings | null {
  const { pass, settings } = passStore.getState();
  if (pass.source.kind !== 'brief' || !hasStart({ pass, settings })) return null;
  const { faceId, palette } = settings;
  return { ...startFor(pass.source.brief, pass.rig, faceId), faceId, palette };
}

/** Goes back to the start setup of the beam that is shown; undo brings back what was set. */
export function backToStart(): void {
  const start = startOfBench();
  if (start) changeSettings(start);
}

/** What is first set for a beam that was not shown yet: worked out for the water of a brief, else as it stands. */
function firstLook({ pass: { source, rig } }: Pick<PassState, 'pass'>, faceId: string): Partial<Settings> {
  return source.kind === 'brief' && rig.faces.some((f) => f.id === faceId)
    ? ownSettings(startFor(source.brief, rig, faceId))
    : {};
}

/**
 * Shows another beam. Each picture has gain and colours of its own: what was set for this one is put by, and the other's comes
 * back, or, the first time, is worked out for the water of a brief.
 */
export function showFace(faceId: string): void {
  const state = passStore.getState();
  const { settings, looks } = state;
  if (faceId === settings.faceId) return;
  // The beam of the other picture comes under the dials where it stands.
  const isOther = faceId === otherFaceOf(state, state.pass.rig.faces);
  passStore.setState({
    looks: { ...looks, [settings.faceId]: ownSettings(settings) },
    ...(isOther ? { otherFaceId: settings.faceId, otherFirst: !state.otherFirst } : {}),
  });
  const look = looks[faceId] ?? firstLook(state, faceId);
  changeSettings({ ...look, faceId });
}

/** The beam of the other picture, out of those there are; null where there is but one. A cone and a slice go together. */
export function otherFaceOf(
  { otherFaceId, settings }: Pick<PassState, 'otherFaceId' | 'settings'>,
  faces: readonly { id: string; beam?: Face['beam'] }[],
): string | null {
  const others = faces.filter((f) => f.id !== settings.faceId);
  const chosen = others.find((f) => f.id === otherFaceId);
  const shape = faces.find((f) => f.id === settings.faceId)?.beam?.shape;
  return (chosen ?? others.find((f) => f.beam?.shape !== shape) ?? others[0])?.id ?? null;
}

/** How the other picture is set: what is shared as here, gain, colours and filters its own. */
export const otherSettings = ({ settings, looks }: PassState, faceId: string): Settings => ({
  ...settings,
  ...looks[faceId],
  faceId,
  blend: null,
});

/** Shows one picture, two, or one with the other's marks on it. */
export function showPictures(pictures: Pictures): void {
  passStore.setState({ pictures });
}

/** Chooses the beam of the other picture. */
export const showOtherFace = (otherFaceId: string): void => passStore.setState({ otherFaceId });

/** Works out how a beam that was not shown yet is first set. */
export function prepareLook(faceId: string): void {
  const state = passStore.getState();
  if (state.looks[faceId]) return;
  passStore.setState({ looks: { ...state.looks, [faceId]: firstLook(state, faceId) } });
}

/** Chooses what a turn of a dial redraws. */
export const redrawNewOnly = (newColumnsOnly: boolean): void =>
  passStore.setState({ newColumnsOnly, earlier: [] });

export const setNow = (nowS: number | null): void => passStore.setState({ nowS });
export const setPlaying = (playing: boolean): void => passStore.setState({ playing });

/** Puts a pass on the bench, from its end. */
export const takeToBench = (pass: PassSpec, settings: Settings): void =>
  passStore.setState({
    pass,
    settings,
    looks: {},
    nowS: null,
    playing: false,
    past: [],
    unsettledBy: null,
    earlier: [],
    compared: null,
    trap: null,
  });

/** Sets the bench up for a lesson: its water, and its two ways held against each other. */
export function takeTrap(trap: Trap, { a, b, pass: of, nowS }: TrapLesson): void {
  const { palette } = passStore.getState().settings;
  takeToBench(of, { ...a, palette });
  passStore.setState({ trap, nowS, compared: { shown: 'a', other: { ...b, palette }, side: 'turn' } });
}

/** Puts a brief's own water on the bench. */
export const takeBriefToBench = (brief: Brief, rig: Rig, settings: Settings): void =>
  takeToBench(briefPass(brief, rig, FIRST_SEED), settings);

/** Other water of the same kind; a recording has none. */
export function otherWater(): void {
  const { pass, settings } = passStore.getState();
  const { source } = pass;
  if (source.kind === 'recording') return;
  takeToBench({ ...pass, source: { ...source, seed: (source.seed % MOST_SEED) + 1 } }, settings);
}

/** Changes the brief's water on the bench; another source makes room for the water of the plan. Says what is wrong otherwise. */
export function changeWater(brief: Partial<Brief>, more: WaterExtras, from: Brief): Result {
  const { pass } = passStore.getState();
  const { source } = pass;
  const now =
    source.kind === 'brief' ? source : { ...briefPass(from, pass.rig, FIRST_SEED).source, more: {} };
  if (now.kind !== 'brief') return DONE;
  const result = v.safeParse(PassSourceSchema, {
    ...now,
    brief: { ...now.brief, ...brief },
    more: { ...now.more, ...more },
    water: 2,
    steering: undefined,
  });
  if (!result.success) return refused(issueSentence(result.issues));
  passStore.setState({ pass: { ...pass, source: result.output }, nowS: null, playing: false, earlier: [] });
  return DONE;
}

/** Steers the boat from a moment on; what was steered after it is undone, and the pass runs on from there. */
export function steer(way: Way, speedMps: number, atS: number): Result {
  const { pass } = passStore.getState();
  const { source } = pass;
  if (source.kind === 'recording') return refused('A recording goes the way it went.');
  const before = (source.steering ?? []).filter((command) => command.atS < atS);
  const result = v.safeParse(PassSourceSchema, {
    ...source,
    steering: [...before, { atS, way, speedMps }],
  });
  if (!result.success)
    return refused('This pass is as long as it can be. Go back in time, or choose other water.');
  passStore.setState({ pass: { ...pass, source: result.output }, nowS: atS, playing: true });
  return DONE;
}

/** Lets the boat go the way it went at first. */
export function unsteer(): void {
  const { pass } = passStore.getState();
  if (pass.source.kind === 'recording') return;
  passStore.setState({ pass: { ...pass, source: { ...pass.source, steering: undefined } }, nowS: null });
}

/** Puts a named scene on the bench, for the boat that is on it. */
export function takeSceneToBench(sceneId: string): void {
  const { pass, settings } = passStore.getState();
  takeToBench({ ...pass, source: { kind: 'scene', sceneId, seed: FIRST_SEED } }, settings);
}

/** Rows and columns a pass is drawn on. */
export const passScreen = ({ pass }: Pick<PassState, 'pass'>): { rows: number; columns: number } =>
  screenOf(pass.rig);

/** One pass and no other. */
export const passKeyOf = ({ pass }: Pick<PassState, 'pass'>): string => passKey(pass);

/** The bench used to hold a brief, a boat and a seed; its water was always the east shelf's. */
const withSource: Migration = (data) => {
  if (typeof data !== 'object' || data === null || 'source' in data) return data;
  const { brief, seed, ...rest } = data as Record<string, unknown>;
  return { ...rest, source: { kind: 'brief', brief, seed, water: 1 } };
};

/** What a picture on the bench is made of. */
export const BENCH_ENTRIES = { source: PassSourceSchema, rig: RigSchema, settings: SettingsSchema };

const KeptPassSchema = v.object({
  ...BENCH_ENTRIES,
  pictures: v.optional(v.nullable(v.picklist(PICTURES)), null),
  otherFaceId: v.optional(v.nullable(v.pipe(v.string(), v.maxLength(40))), null),
});
export type KeptPass = v.InferOutput<typeof KeptPassSchema>;

export const PASS: KeptDocument<PassState, KeptPass> = {
  store: passStore,
  key: 'bench',
  title: 'The bench',
  format: { name: 'nimble-echo-bench', label: 'bench', schema: KeptPassSchema, migrations: [withSource] },
  pick: ({ pass, settings, pictures, otherFaceId }) => ({
    source: pass.source,
    rig: pass.rig,
    settings,
    pictures,
    otherFaceId,
  }),
  put: ({ source, rig, ...shown }) => ({ pass: { source, rig }, ...shown }),
};
