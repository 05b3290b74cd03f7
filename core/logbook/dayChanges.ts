import { MOST_BED, MOST_MARKS, MOST_SAID, MOST_TRACK, thinned, type Day } from './day';
import { secondsOf } from './fishedHours';

interface Dated {
  at: string;
}
const inOrder = <T extends Dated>(list: readonly T[]): T[] =>
  [...list].sort((a, b) => (a.at < b.at ? -1 : a.at > b.at ? 1 : 0));

/** Two days as one: the earlier's name, water and plan, and all of both; null where that is more than a day holds. */
export function joinedDays(a: Day, b: Day): Day | null {
  const [first, second] = a.startedAt <= b.startedAt ? [a, b] : [b, a];
  const joined: Day = {
    ...first,
    simulated: first.simulated || second.simulated,
    marks: inOrder([...first.marks, ...second.marks]),
    bites: inOrder([...first.bites, ...second.bites]),
    calls: inOrder([...first.calls, ...second.calls]),
    phases: inOrder([...first.phases, ...second.phases]),
    lost: inOrder([...first.lost, ...second.lost]).slice(-200),
    passes: inOrder([...first.passes, ...second.passes]).slice(-MOST_SAID),
    files: inOrder([...first.files, ...second.files]).slice(-MOST_SAID),
    used: inOrder([...first.used, ...second.used]).slice(-MOST_SAID),
    lanes: second.lanes ?? first.lanes,
    bed: [...first.bed, ...second.bed].slice(-MOST_BED),
    coached: inOrder([...first.coached, ...second.coached]).slice(-MOST_SAID),
    track: thinned(inOrder([...first.track, ...second.track])).slice(-MOST_TRACK),
    note: [first.note, second.note].filter(Boolean).join('\n').slice(0, 4000),
    waterName: first.waterName || second.waterName,
    plan: first.plan ?? second.plan,
  };
  const full = [joined.marks, joined.bites, joined.calls].some((list) => list.length > MOST_MARKS);
  return full || joined.phases.length > 400 ? null : joined;
}

/** A day as two, from a moment on. What was of one school or phase before goes on after; the bed has no time and stays with the first. */
export function splitDay(day: Day, at: string, secondId: string): [Day, Day] {
  const before = <T extends Dated>(list: readonly T[]): T[] => list.filter((x) => x.at < at);
  const after = <T extends Dated>(list: readonly T[]): T[] => list.filter((x) => x.at >= at);
  const going = before(day.phases).at(-1);
  const part = (take: typeof before): Day => ({
    ...day,
    marks: take(day.marks),
    bites: take(day.bites),
    calls: take(day.calls),
    phases: take(day.phases),
    lost: take(day.lost),
    passes: take(day.passes),
    coached: take(day.coached),
    files: take(day.files),
    used: take(day.used),
    track: take(day.track),
  });
  const second = part(after);
  return [
    part(before),
    {
      ...second,
      id: secondId,
      name: `${day.name}, later`.slice(0, 60),
      startedAt: at,
      phases: going ? [{ ...going, at }, ...second.phases] : second.phases,
      note: '',
      bed: [],
    },
  ];
}

/** Shorter pauses split no day, s. */
const LEAST_PAUSE_S = 600;

/** The end of the longest pause in a day: where two trips were taken for one. Null where there was none. */
export function longestPause(day: Day): string | null {
  const moments = [...day.marks, ...day.bites, ...day.calls, ...day.track].map((x) => x.at).sort();
  let best: string | null = null;
  let longest = LEAST_PAUSE_S;
  for (let k = 1; k < moments.length; k++) {
    const pause = secondsOf(moments[k]!) - secondsOf(moments[k - 1]!);
    if (pause > longest) [best, longest] = [moments[k]!, pause];
  }
  return best;
}
