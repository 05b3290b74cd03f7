import { FIRST_BRIEF } from '@/core/advice';
import { placeFrom, seededRandom } from '@/core/maths';
import { roundS, simulatedBoat } from '@/core/bench/simulatedBoat';
import { VESSMERE_CRIB, VESSMERE_ORIGIN, vessmereDepth } from '@/core/scene/library/vessmereLake';
import { newDay, type Bite, type Call, type Day, type DayMark, type TrackPoint, type UsedLine } from './day';

/** The day's date, and the second of it the round begins at. */
const DATE = '2026-09-02';
const BEGAN_S = 5.5 * 3600;

/** A second of a date's day as a moment, ISO 8601 in UTC. */
export function momentOn(date: string, second: number): string {
  const two = (n: number): string => String(Math.floor(n)).padStart(2, '0');
  return `${date}T${two(second / 3600)}:${two((second / 60) % 60)}:${two(second % 60)}.000Z`;
}

/** A second of the round as a moment of the day. */
const momentOf = (second: number): string => momentOn(DATE, BEGAN_S + second);

/** A point of the track every so many seconds. */
const EVERY_S = 3;

/** A guide's morning on the invented lake with the simulated boat: a round of it, with marks, bites and calls. The same each time. */
export function demoDay(): Day {
  const random = seededRandom(2).fork('demo day');
  const track: TrackPoint[] = [];
  for (let s = 0; s < roundS(); s += EVERY_S) {
    const { place, speedMps, depthM, temperatureC, supplyV } = simulatedBoat(s);
    track.push({ at: momentOf(s), ...place, speedMps, depthM, temperatureC, supplyV });
  }
  const mark = (
    id: string,
    second: number,
    kind: DayMark['kind'],
    [x, y]: readonly [number, number],
    more: Partial<DayMark> = {},
  ): DayMark => ({
    id,
    at: momentOf(second),
    kind,
    ...placeFrom(VESSMERE_ORIGIN, x, y),
    errorM: 4.5,
    cause: 'position',
    depthM: null,
    heightM: null,
    schoolId: null,
    note: '',
    ...more,
  });
  // A school that goes north-east at 0.12 m/s, marked three times a few minutes apart.
  const school = [300, 560, 830].map((second, k) =>
    mark(
      `school-${k + 1}`,
      second,
      'bait',
      [-40 + 0.085 * (second - 300) + random.normal(), -20 + 0.085 * (second - 300) + random.normal()],
      { schoolId: k === 0 ? null : 'school-1' },
    ),
  );
  const [x, y] = VESSMERE_CRIB;
  const crib = mark('crib', 700, 'cover', [x, y], {
    depthM: vessmereDepth(x, y),
    heightM: 2.4,
    note: 'timber crib',
  });
  const bar = mark('bar', 900, 'reference', [70, 50], { note: 'shell bar, hard' });
  const bite = (
    k: number,
    second: number,
    answer: Bite['answer'],
    side: Bite['side'],
    depthM: number,
  ): Bite => ({
    id: `bite-${k}`,
    at: momentOf(second),
    answer,
    side,
    angle: null,
    depthM,
    lure: k % 3 === 0 ? 'silver' : 'white',
    species: answer === 'catch' ? 'perch' : '',
    lengthM: answer === 'catch' ? 0.27 : null,
  });
  const call = (k: number, second: number, what: Call['what'], sure: number, proof: Call['proof']): Call => ({
    id: `call-${k}`,
    at: momentOf(second),
    what,
    sure,
    by: 'user',
    proof,
    depthM: vessmereDepth(x, y),
    beam: '200 kHz narrow',
  });
  const used = (
    second: number,
    phase: UsedLine['phase'],
    control: UsedLine['control'],
    value: number,
    shown: string,
  ): UsedLine => ({ at: momentOf(second), phase, picture: 'cone', control, value, shown });
  return newDay({
    id: 'demo-day',
    name: 'Vessmere, morning',
    startedAt: momentOf(0),
    simulated: true,
    marks: [...school.slice(0, 2), crib, school[2]!, bar].sort((a, b) => (a.at < b.at ? -1 : 1)),
    bites: [
      bite(1, 1010, 'catch', 'right', 8.6),
      bite(2, 1060, 'refusal', 'left', 11),
      bite(3, 1120, 'bite', 'right', 8.4),
      bite(4, 1150, 'catch', 'right', 8.9),
      bite(5, 1210, 'bite', 'right', 8.7),
      bite(6, 1230, 'follow', null, 10),
    ],
    calls: [
      call(1, 320, 'bait', 0.8, 'supported'),
      call(2, 705, 'cover', 0.95, 'camera'),
      call(3, 960, 'fish', 0.8, 'caught'),
      call(4, 1000, 'fish', 0.6, 'refuted'),
      call(5, 1140, 'fish', 0.8, 'caught'),
    ],
    phases: [
      { at: momentOf(0), phase: 'run' },
      { at: momentOf(90), phase: 'search' },
      { at: momentOf(960), phase: 'vertical' },
    ],
    track,
    note: 'West wind, light. Sun on the water from seven.',
    used: [
      used(100, 'search', 'noiseRejection', 0, 'off'),
      used(105, 'search', 'chartSpeed', 7.5, '7.5\u00a0a second'),
      used(965, 'vertical', 'gain', -4, 'to first specks'),
      used(970, 'vertical', 'chartSpeed', 9, '9\u00a0a second'),
    ],
    // Shell bar and the mud before it, as two passes over them would read.
    bed: Array.from({ length: 40 }, (_, k) => ({
      ...placeFrom(VESSMERE_ORIGIN, 30 + 2 * k, 50 + 6 * Math.sin(k / 6)),
      hard: k > 16 && k < 27 ? 0.95 : 0.1,
    })),
    waterName: 'Vessmere',
    plan: { brief: FIRST_BRIEF, holds: {} },
  });
}
