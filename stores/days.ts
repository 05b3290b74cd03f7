import { createStore } from 'zustand/vanilla';
import type { Format } from '@/core/formats';
import {
  DaySchema,
  MOST_BED,
  MOST_MARKS,
  MOST_SAID,
  MOST_TRACK,
  newDay,
  thinned,
  type BedPlace,
  type Bite,
  type Call,
  type Day,
  type DayMark,
  type LostWeight,
  type TrackPoint,
  type UsedLine,
} from '@/core/logbook/day';
import type { FeedSource } from './feed';
import { keepCollection } from './keeping/collection';
import { appKeeper } from './keeping/keeper';
import { newId } from './newId';
import { notify } from './notices';
import { planStore } from './plan';
import type { Presentation } from '@/core/advice';

interface DaysState {
  /** Newest first. */
  days: readonly Day[];
  /** The day that is going on; null before the first thing done on it. */
  openId: string | null;
}

export const DAY_FORMAT: Format<Day> = {
  name: 'nimble-echo-day',
  label: 'day',
  schema: DaySchema as Format<Day>['schema'],
  migrations: [],
};

export const dayStore = createStore<DaysState>(() => ({ days: [], openId: null }));

const newestFirst = (a: Day, b: Day): number => (a.startedAt < b.startedAt ? 1 : -1);

export const DAYS = keepCollection<DaysState, Day>(appKeeper, {
  store: dayStore,
  prefix: 'days/',
  title: 'days',
  format: DAY_FORMAT,
  withItems: ({ days }, more) => {
    if (more.length === 0) return {};
    const byId = new Map(days.map((day) => [day.id, day]));
    for (const day of more) byId.set(day.id, day);
    return { days: [...byId.values()].sort(newestFirst) };
  },
  withoutItem: ({ days, openId }, id) => ({
    days: days.filter((d) => d.id !== id),
    openId: openId === id ? null : openId,
  }),
});

const DAY_MS = 16 * 3600 * 1000;

/** The day that is going on: the one open, or one begun within the last hours. */
export function dayNow({ days, openId }: DaysState, nowMs = Date.now()): Day | null {
  const open = days.find((d) => d.id === openId);
  if (open) return open;
  const [last] = days;
  return last && nowMs - Date.parse(last.startedAt) < DAY_MS ? last : null;
}

/** The plan as it stands, as a day keeps it. */
const planOfDay = (): Day['plan'] => {
  const { brief, holds } = planStore.getState();
  return { brief, holds };
};

/** Changes the day that is going on; the first thing done begins one. */
function changeDay(change: (day: Day) => Day, simulated: boolean): void {
  const now = new Date();
  let day = dayNow(dayStore.getState());
  // Made places do not go among true ones.
  if (day && day.simulated !== simulated && (day.track.length > 0 || day.marks.length > 0)) day = null;
  day ??= newDay({
    id: newId(),
    name: now.toISOString().slice(0, 10),
    startedAt: now.toISOString(),
    simulated,
    waterName: dayStore.getState().days.find((d) => d.simulated === simulated)?.waterName ?? '',
    plan: planOfDay(),
    rig: planStore.getState().rig,
  });
  const changed = change({ ...day, simulated });
  dayStore.setState({ openId: changed.id });
  void DAYS.put([changed]);
}

/** Changes a day that is there; a day taken away meanwhile stays away. */
function changeKept(id: string, change: (day: Day) => Day): void {
  const day = dayStore.getState().days.find((d) => d.id === id);
  if (day) void DAYS.put([change(day)]);
}

const moment = (atS: number): string => new Date(1000 * atS).toISOString();

const last = <T>(list: readonly T[]): T[] => list.slice(-MOST_MARKS + 1);

type Moved<T> = Omit<T, 'id' | 'at'> & { atS: number };

/** Keeps a mark; the notice undoes it. */
export function keepMark(mark: Moved<DayMark>, simulated: boolean, words: string): string {
  const id = newId();
  const { atS, ...rest } = mark;
  changeDay((day) => ({ ...day, marks: [...last(day.marks), { ...rest, id, at: moment(atS) }] }), simulated);
  const { openId } = dayStore.getState();
  notify(words, () =>
    changeKept(openId ?? '', (day) => ({ ...day, marks: day.marks.filter((m) => m.id !== id) })),
  );
  return id;
}

/** Takes marks and a track in from a file; the notice undoes it. */
export function addPlaces(marks: readonly Omit<DayMark, 'id'>[], track: readonly TrackPoint[]): void {
  const named = marks.map((mark) => ({ ...mark, id: newId() }));
  const ids = new Set(named.map((m) => m.id));
  changeDay(
    (day) => ({
      ...day,
      marks: [...day.marks, ...named].slice(-MOST_MARKS),
      track: thinned([...day.track, ...track]).slice(-MOST_TRACK),
    }),
    dayNow(dayStore.getState())?.simulated ?? false,
  );
  const { openId } = dayStore.getState();
  const came = new Set(track);
  notify(`${named.length} ${named.length === 1 ? 'mark' : 'marks'} added to this day.`, () =>
    changeKept(openId ?? '', (day) => ({
      ...day,
      marks: day.marks.filter((m) => !ids.has(m.id)),
      track: day.track.filter((p) => !came.has(p)),
    })),
  );
}

/** Puts the demo's days in and opens the first, where there are no days yet. */
export function takeDemoDays(days: readonly Day[]): void {
  if (dayStore.getState().days.length > 0) return;
  void DAYS.put(days);
  dayStore.setState({ openId: days[0]?.id ?? null });
}

export const openDay = (id: string): void => dayStore.setState({ openId: id });

/** Says that a mark is of a school that was marked before, or no more. */
export function joinSchool(dayId: string, markId: string, schoolId: string | null): void {
  changeKept(dayId, (day) => ({
    ...day,
    marks: day.marks.map((m) => (m.id === markId ? { ...m, schoolId } : m)),
  }));
}

/** Says how high what is marked stands. */
export const setMarkHeight = (dayId: string, markId: string, heightM: number): void =>
  changeKept(dayId, (day) => ({
    ...day,
    marks: day.marks.map((m) => (m.id === markId ? { ...m, heightM } : m)),
  }));

export function deleteMark(dayId: string, markId: string): void {
  const mark = dayStore
    .getState()
    .days.find((d) => d.id === dayId)
    ?.marks.find((m) => m.id === markId);
  if (!mark) return;
  changeKept(dayId, (day) => ({ ...day, marks: day.marks.filter((m) => m.id !== markId) }));
  notify('Mark deleted.', () => changeKept(dayId, (day) => ({ ...day, marks: [...day.marks, mark] })));
}

/** Keeps what a fish did; the notice undoes it. */
export function keepBite(bite: Moved<Bite>, simulated: boolean, words: string): string {
  const id = newId();
  const { atS, ...rest } = bite;
  changeDay((day) => ({ ...day, bites: [...last(day.bites), { ...rest, id, at: moment(atS) }] }), simulated);
  const { openId } = dayStore.getState();
  notify(words, () =>
    changeKept(openId ?? '', (day) => ({ ...day, bites: day.bites.filter((b) => b.id !== id) })),
  );
  return id;
}

/** Keeps a call; with words, the notice undoes it. */
export function keepCall(call: Omit<Call, 'id' | 'at' | 'proof'>, simulated: boolean, words?: string): void {
  const id = newId();
  const at = new Date().toISOString();
  changeDay((day) => ({ ...day, calls: [...last(day.calls), { ...call, proof: null, id, at }] }), simulated);
  const { openId } = dayStore.getState();
  if (words)
    notify(words, () =>
      changeKept(openId ?? '', (day) => ({ ...day, calls: day.calls.filter((c) => c.id !== id) })),
    );
}

/**
 * A mark that was caught enters the day that is going on, as a catch and as a call of the reader's that is proved. A day nothing was
 * done on has none, and made fish do not go among true ones. @returns what takes it back
 */
export function noteDayCaught(
  call: Pick<Call, 'sure' | 'depthM' | 'beam'>,
  caught: Pick<Bite, 'species' | 'lengthM' | 'depthM'>,
  simulated: boolean,
): () => void {
  const day = dayNow(dayStore.getState());
  if (!day || day.simulated !== simulated) return () => undefined;
  const id = newId();
  const at = new Date().toISOString();
  changeKept(day.id, (d) => ({
    ...d,
    bites: [...last(d.bites), { ...caught, id, at, answer: 'catch', side: null, angle: null, lure: '' }],
    calls: [...last(d.calls), { ...call, id, at, what: 'fish', by: 'reader', proof: 'caught' }],
  }));
  return () =>
    changeKept(day.id, (d) => ({
      ...d,
      bites: d.bites.filter((b) => b.id !== id),
      calls: d.calls.filter((c) => c.id !== id),
    }));
}

/** Keeps at which depth the picture lost a bare weight; the notice undoes it. */
export function keepLostWeight(lost: Omit<LostWeight, 'id' | 'at'>, simulated: boolean, words: string): void {
  const id = newId();
  const at = new Date().toISOString();
  changeDay((day) => ({ ...day, lost: [...day.lost.slice(-199), { ...lost, id, at }] }), simulated);
  const { openId } = dayStore.getState();
  notify(words, () =>
    changeKept(openId ?? '', (day) => ({ ...day, lost: day.lost.filter((l) => l.id !== id) })),
  );
}

/** Says how a call came out; the notice undoes it. */
export function proveCall(dayId: string, callId: string, proof: Call['proof'], words: string): void {
  const before = dayStore
    .getState()
    .days.find((d) => d.id === dayId)
    ?.calls.find((c) => c.id === callId);
  if (!before) return;
  const set = (to: Call['proof']): void =>
    changeKept(dayId, (day) => ({
      ...day,
      calls: day.calls.map((c) => (c.id === callId ? { ...c, proof: to } : c)),
    }));
  set(proof);
  notify(words, () => set(before.proof));
}

/** Notes which phase is in use from now on. */
export function noteDayPhase(phase: Presentation, simulated: boolean): void {
  changeDay(
    (day) =>
      day.phases[day.phases.length - 1]?.phase === phase
        ? day
        : {
            ...day,
            phases: [...day.phases.slice(-399), { at: new Date().toISOString(), phase }],
            plan: planOfDay(),
          },
    simulated,
  );
}

/**
 * Notes a pass that was saved, on the day that is going on; a day nothing was done on has none.
 * @param bed what it went over; made ground does not go among true ground
 */
export function noteDayPass(
  entryId: string,
  title: string,
  bed: { places: readonly BedPlace[]; simulated: boolean },
): void {
  const day = dayNow(dayStore.getState());
  if (!day) return;
  const at = new Date().toISOString();
  changeKept(day.id, (d) => ({
    ...d,
    passes: [...d.passes.slice(-MOST_SAID + 1), { at, entryId, title }],
    bed: bed.simulated === d.simulated ? [...d.bed, ...bed.places].slice(-MOST_BED) : d.bed,
  }));
}

/** Notes a recording or picture that was opened, on the day that is going on; one opened before is not noted again. */
export function noteDayFile(fileId: string, title: string): void {
  const day = dayNow(dayStore.getState());
  if (!day || day.files.some((f) => f.fileId === fileId)) return;
  const at = new Date().toISOString();
  changeKept(day.id, (d) => ({
    ...d,
    files: [...d.files.slice(-MOST_SAID + 1), { at, fileId, title: title.slice(0, 120) }],
  }));
}

/**
 * Notes a line as set on the unit, or takes that back. It begins a day only with the boat's data on: at home a card is ticked off for
 * practice. @param source where the boat's data come from
 */
export function noteUsedLine(line: Omit<UsedLine, 'at'>, set: boolean, source: FeedSource): void {
  const day = dayNow(dayStore.getState());
  if (!day && source === 'off') return;
  const at = new Date().toISOString();
  const same = (u: UsedLine): boolean =>
    u.phase === line.phase &&
    u.picture === line.picture &&
    u.control === line.control &&
    u.value === line.value;
  const change = (d: Day): Day => ({
    ...d,
    used: set ? [...d.used.slice(-MOST_SAID + 1), { ...line, at }] : d.used.filter((u) => !same(u)),
  });
  if (source === 'off') changeKept(day!.id, change);
  else changeDay(change, source === 'simulated');
}

/** Lays lanes over a piece of water, or takes them up; the notice undoes it. */
export function layLanes(lanes: Day['lanes'], simulated: boolean): void {
  const before = dayNow(dayStore.getState())?.lanes ?? null;
  changeDay((day) => ({ ...day, lanes }), simulated);
  const { openId } = dayStore.getState();
  notify(lanes ? 'Lanes laid.' : 'Lanes taken up.', () =>
    changeKept(openId ?? '', (day) => ({ ...day, lanes: before })),
  );
}

/** Says what a catch was. */
export function nameCatch(
  dayId: string,
  biteId: string,
  { species, lengthM }: Pick<Bite, 'species' | 'lengthM'>,
): void {
  changeKept(dayId, (day) => ({
    ...day,
    bites: day.bites.map((b) =>
      b.id === biteId ? { ...b, species: species.trim().slice(0, 60), lengthM } : b,
    ),
  }));
}

/** Notes what the coach said on the day that is going on. */
export function noteDayCoach(words: string): void {
  const day = dayNow(dayStore.getState());
  if (!day) return;
  const at = new Date().toISOString();
  changeKept(day.id, (d) => ({
    ...d,
    coached: [...d.coached.slice(-MOST_SAID + 1), { at, words: words.slice(0, 200) }],
  }));
}

/** Puts points on the track of the day that is going on; a day nothing was done on has none. */
export function addTrack(points: readonly TrackPoint[]): void {
  const day = dayNow(dayStore.getState());
  if (day && points.length > 0)
    changeKept(day.id, (d) => ({ ...d, track: thinned([...d.track, ...points]) }));
}

export const renameDay = (id: string, name: string): void =>
  changeKept(id, (day) => ({ ...day, name: name.slice(0, 60) }));

/** Says what the water is called. */
export const nameWater = (id: string, waterName: string): void =>
  changeKept(id, (day) => ({ ...day, waterName: waterName.slice(0, 60) }));

/** Says what the weather was. */
export const noteWeather = (id: string, weather: string): void =>
  changeKept(id, (day) => ({ ...day, weather: weather.slice(0, 120) }));

export const noteDay = (id: string, note: string): void =>
  changeKept(id, (day) => ({ ...day, note: note.slice(0, 4000) }));

/** The words of a day that can be changed: its own, and those of its marks and bites by id. */
export interface DayWords {
  name: string;
  waterName: string;
  weather: string;
  note: string;
  marks: Readonly<Record<string, string>>;
  lures: Readonly<Record<string, string>>;
  species: Readonly<Record<string, string>>;
}

/** Changes the words of a day; the notice undoes it. */
export function rewordDay(id: string, words: DayWords): void {
  const before = dayStore.getState().days.find((d) => d.id === id);
  if (!before) return;
  changeKept(id, (day) => ({
    ...day,
    name: words.name.trim().slice(0, 60) || day.name,
    waterName: words.waterName.trim().slice(0, 60),
    weather: words.weather.trim().slice(0, 120),
    note: words.note.trim().slice(0, 4000),
    marks: day.marks.map((m) => ({ ...m, note: (words.marks[m.id] ?? m.note).trim().slice(0, 400) })),
    bites: day.bites.map((b) => ({
      ...b,
      lure: (words.lures[b.id] ?? b.lure).trim().slice(0, 60),
      species: (words.species[b.id] ?? b.species).trim().slice(0, 60),
    })),
  }));
  notify('Words changed.', () => void DAYS.put([before]));
}

export function deleteDay(id: string): void {
  const day = dayStore.getState().days.find((d) => d.id === id);
  if (!day) return;
  void DAYS.remove(id);
  notify(`Deleted “${day.name}”.`, () => void DAYS.put([day]));
}
