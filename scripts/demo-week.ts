/** Makes the demo's log: passes over the invented water, simulated, read and kept as a user would. Run with `npx tsx`. */
import { benchPass } from '@/core/bench';
import { writeFileSync } from 'node:fs';
import { FIRST_BRIEF, startSetup, type Brief } from '@/core/advice';
import { writeLogFile } from '@/core/formats';
import { calledBy, keptMark, type Entry } from '@/core/logbook';
import { readChannel } from '@/core/reading';
import { channelOf } from '@/core/recording';
import { GENERIC_RIG } from '@/core/rig';
import { simulate } from '@/core/sounder';

const DAYS: { keptAt: string; seed: number; call: string; note: string; brief: Partial<Brief> }[] = [
  {
    keptAt: '2026-08-31T06:40:00.000Z',
    seed: 4,
    call: 'Perch 20–30 cm, strung along the shelf',
    note: 'Four caught on a small jig between 9 and 11 m. The two deepest marks would not take.',
    brief: {},
  },
  {
    keptAt: '2026-09-02T17:15:00.000Z',
    seed: 9,
    call: 'Zander under the layer',
    note: 'One of 61 cm, proof for the strongest mark. Gain had to come down when the engine was in gear.',
    brief: {
      speciesId: 'zander',
      lengthM: [0.45, 0.7],
      fromM: 8,
      toM: 18,
      presentation: 'troll',
      speedMps: 1,
    },
  },
  {
    keptAt: '2026-09-04T08:05:00.000Z',
    seed: 12,
    call: 'Vendace cloud, round: nothing hunting it',
    note: 'Sat over it for ten minutes, no bite.',
    brief: {
      speciesId: 'burbot',
      lengthM: [0.4, 0.65],
      fromM: 10,
      toM: 24,
      presentation: 'drift',
      speedMps: 0.5,
    },
  },
];

const entries = DAYS.map(({ keptAt, seed, call, note, brief: change }, i): Entry => {
  const brief: Brief = { ...FIRST_BRIEF, ...change };
  const { settings } = startSetup(brief, GENERIC_RIG);
  const request = benchPass(brief, GENERIC_RIG, settings, seed);
  const recording = simulate(request);
  const { findings } = readChannel(recording, channelOf(recording, settings.faceId));
  return {
    id: `vessmere-${i + 1}`,
    keptAt,
    title: recording.title,
    call,
    note,
    source: { kind: 'brief', brief, seed, water: 2 },
    rig: GENERIC_RIG,
    settings,
    marks: findings.map((f) => keptMark(f, recording, GENERIC_RIG.positions.antenna)),
    // The guide goes over a few of the marks in the evening.
    corrections: findings.slice(0, 3).map((finding, k) => {
      const { timeS, rangeM } = finding;
      const place = { timeS, rangeM, was: calledBy(finding) };
      return k === 2 && i % 2 === 1
        ? { change: 'renamed', ...place, is: 'nothing' }
        : { change: 'agreed', ...place };
    }),
  };
});
writeFileSync('features/shell/demoWeek.json', `${writeLogFile(entries)}\n`);
console.log(entries.map((e) => `${e.call}: ${e.marks.length} marks`).join('\n'));
