import {
  FIRST_BRIEF,
  SPECIES,
  USUAL_SPEED_MPS,
  type Brief,
  type Holds,
  type Presentation,
} from '@/core/advice';
import { placeFrom, seededRandom, type Position } from '@/core/maths';
import { WATERS, type WaterName } from '@/core/scene/library/waters';
import { VESSMERE_CRIB } from '@/core/scene/library/vessmereLake';
import { newDay, type Bite, type Call, type Day, type DayMark, type TrackPoint } from './day';
import { demoDay, momentOn } from './demoDay';

/** A day as it is told: where, when, for what, how it was set, and what came of it. */
interface Told {
  date: string;
  /** Hour it began and how long it went, h. */
  fromHour: number;
  hours: number;
  water: WaterName;
  speciesId: string;
  brief: Partial<Brief>;
  gainDb: number;
  phase: Presentation;
  temperatureC: number;
  /** Chance of a take in a quarter of an hour on the good spot and the poor one. */
  good: number;
  poor: number;
  /** Depths of takes, m. */
  takesM: readonly [number, number];
  lures: readonly [good: string, poor: string];
  note: string;
}

const TOLD: readonly Told[] = [
  {
    date: '2026-08-31',
    fromHour: 6,
    hours: 3,
    water: 'Vessmere',
    speciesId: 'perch',
    brief: {},
    gainDb: -9,
    phase: 'vertical',
    temperatureC: 18.1,
    good: 0.55,
    poor: 0.1,
    takesM: [8.2, 9.4],
    lures: ['white', 'silver'],
    note: 'Calm. They stood over the layer.',
  },
  {
    date: '2026-09-01',
    fromHour: 16,
    hours: 2.5,
    water: 'Vessmere',
    speciesId: 'zander',
    brief: { fromM: 8, toM: 18 },
    gainDb: -4,
    phase: 'troll',
    temperatureC: 18.4,
    good: 0.25,
    poor: 0.05,
    takesM: [11, 14],
    lures: ['perch pattern', 'silver'],
    note: 'Late sun, wind in the west.',
  },
  {
    date: '2026-09-03',
    fromHour: 6,
    hours: 2.5,
    water: 'Vessmere',
    speciesId: 'perch',
    brief: {},
    gainDb: -4,
    phase: 'vertical',
    temperatureC: 17.2,
    good: 0.3,
    poor: 0.12,
    takesM: [8.6, 10],
    lures: ['white', 'silver'],
    note: 'More gain than Monday, and more specks than fish.',
  },
  {
    date: '2026-09-04',
    fromHour: 10,
    hours: 2,
    water: 'Corrie Sound',
    speciesId: 'cod',
    brief: { fromM: 12, toM: 28, salinity: 24, temperatureC: 12, thermoclineM: 4 },
    gainDb: -6,
    phase: 'drift',
    temperatureC: 12.2,
    good: 0.4,
    poor: 0.2,
    takesM: [20, 26],
    lures: ['green', 'red'],
    note: 'Two hours either side of slack water.',
  },
  {
    date: '2026-09-05',
    fromHour: 7,
    hours: 2.5,
    water: 'The Tolls',
    speciesId: 'cod',
    brief: { fromM: 60, toM: 110, salinity: 35, temperatureC: 10, thermoclineM: null },
    gainDb: 0,
    phase: 'deep-drop',
    temperatureC: 10.4,
    good: 0.3,
    poor: 0.1,
    takesM: [78, 96],
    lures: ['squid', 'pilk'],
    note: 'Swell of a metre. Arches tilted.',
  },
  {
    date: '2026-09-06',
    fromHour: 6,
    hours: 3,
    water: 'Vessmere',
    speciesId: 'perch',
    brief: {},
    gainDb: -9,
    phase: 'vertical',
    temperatureC: 16.8,
    good: 0.5,
    poor: 0.08,
    takesM: [8, 9.2],
    lures: ['white', 'silver'],
    note: 'Back to Monday’s gain.',
  },
];

const EVERY_S = 20;
const QUARTER_S = 900;

function dayTold(told: Told, k: number): Day {
  const random = seededRandom(40 + k).fork('demo week');
  const { origin } = WATERS[told.water];
  const { date, fromHour, hours, phase } = told;
  const species = SPECIES.find((s) => s.id === told.speciesId)!;
  const brief: Brief = {
    ...FIRST_BRIEF,
    speciesId: species.id,
    lengthM: [...species.lengthM],
    presentation: phase,
    speedMps: USUAL_SPEED_MPS[phase],
    ...told.brief,
  };
  // On Vessmere the crib is good and the bar is poor; elsewhere two places of the bank.
  const spots =
    told.water === 'Vessmere' ? [VESSMERE_CRIB, [70, 50] as const] : [[0, 0] as const, [260, -120] as const];
  const track: TrackPoint[] = [];
  const bites: Bite[] = [];
  const calls: Call[] = [];
  const startS = fromHour * 3600;
  for (let s = 0; s < hours * 3600; s += EVERY_S) {
    const second = startS + s;
    // Half of the time on each, a quarter of an hour at a time.
    const onGood = Math.floor(s / QUARTER_S) % 2 === 0;
    const [x, y] = spots[onGood ? 0 : 1]!;
    // Held on the spot, the boat swings about it.
    const swing = s / 190 + 2 * Math.sin(s / 700);
    const place: Position = placeFrom(
      origin,
      x + 9 * Math.sin(swing) + 0.7 * random.normal(),
      y + 5 * Math.sin(1.7 * swing + 1) + 0.7 * random.normal(),
    );
    track.push({
      at: momentOn(date, second),
      ...place,
      speedMps: Math.max(0, USUAL_SPEED_MPS[phase] + 0.1 * random.normal()),
      depthM: brief.toM - 1 + 0.4 * random.normal(),
      temperatureC: told.temperatureC + 0.4 * Math.sin(s / 5000) + 0.05 * random.normal(),
      supplyV: 12.7 - (0.5 * s) / (hours * 3600),
    });
    if (s % QUARTER_S !== QUARTER_S / 2 - ((QUARTER_S / 2) % EVERY_S)) continue;
    const at = momentOn(date, second);
    const chance = onGood ? told.good : told.poor;
    const lure = told.lures[random.uniform() < 0.7 ? 0 : 1]!;
    const takes = random.uniform() < chance * (lure === told.lures[0] ? 1.15 : 0.6);
    // What was seen is called before it is known.
    const fishCalled = random.uniform() < 0.75;
    const sure = fishCalled ? (onGood ? 0.8 : 0.6) : 0.8;
    calls.push({
      id: `w${k}-call-${s}`,
      at,
      what: fishCalled ? 'fish' : 'bait',
      sure,
      by: 'user',
      depthM: brief.toM - 1,
      beam: random.uniform() < 0.5 ? '200 kHz narrow' : '83 kHz wide',
      proof: fishCalled
        ? takes
          ? 'caught'
          : random.uniform() < 0.4
            ? 'refuted'
            : null
        : random.uniform() < 0.65
          ? 'camera'
          : 'refuted',
    });
    if (!takes && random.uniform() > 0.35) continue;
    bites.push({
      id: `w${k}-bite-${s}`,
      at,
      answer: takes
        ? random.uniform() < 0.7
          ? 'catch'
          : 'bite'
        : random.uniform() < 0.6
          ? 'refusal'
          : 'follow',
      side: random.uniform() < 0.65 ? 'right' : 'left',
      angle: null,
      depthM: Math.round(10 * random.between(...told.takesM)) / 10,
      lure,
      species: '',
      lengthM: null,
    });
  }
  const marks = spots.map(([x, y], n): DayMark => ({
    id: `w${k}-spot-${n}`,
    at: momentOn(date, startS + 60 * (n + 1)),
    kind: n === 0 ? 'cover' : 'reference',
    ...placeFrom(origin, x, y),
    errorM: 4.5,
    cause: 'position',
    depthM: null,
    heightM: null,
    schoolId: null,
    note:
      told.water === 'Vessmere'
        ? n === 0
          ? 'timber crib'
          : 'shell bar, hard'
        : n === 0
          ? 'edge of the bank'
          : 'flat',
  }));
  const holds: Holds = { 'unit-1': { cone: { gain: told.gainDb }, slice: {} } };
  return newDay({
    id: `demo-week-${k + 1}`,
    name: `${told.water}, ${Number(date.slice(8))} ${date.slice(5, 7) === '08' ? 'August' : 'September'}`,
    startedAt: momentOn(date, startS),
    simulated: true,
    marks,
    bites,
    calls,
    phases: [{ at: momentOn(date, startS), phase }],
    track,
    note: told.note,
    // A shot of 3.5 g, watched going down on two mornings.
    lost:
      k === 0 || k === 5
        ? [
            {
              id: `w${k}-lost`,
              at: momentOn(date, startS + 600),
              massKg: 0.0035,
              depthM: k === 0 ? 12.6 : 13.4,
              faceId: 'cone-200',
            },
          ]
        : [],
    waterName: told.water,
    plan: { brief, holds },
  });
}

/** A guide's week on the invented waters, seven days of it, with right calls and wrong ones. The same each time. */
export const demoWeek = (): Day[] => [demoDay(), ...TOLD.map(dayTold)];
