/** Prints how long the log's answers take over 300 full days, and how long a round of each drill takes to be made. */
import { FIRST_BRIEF } from '@/core/advice';
import { biteRates, SORTED_BY } from '@/core/logbook/biteRates';
import { callRecord } from '@/core/logbook/callRecord';
import { MOST_TRACK, type Day } from '@/core/logbook/day';
import { demoWeek } from '@/core/logbook/demoWeek';
import { eveningCard } from '@/core/logbook/eveningCard';
import { fishedDay, secondsOf } from '@/core/logbook/fishedHours';
import { setupRates } from '@/core/logbook/setupRates';
import { spotRates } from '@/core/logbook/spotRates';
import { palettesFor } from '@/core/picture';
import { GENERIC_RIG } from '@/core/rig';
import { MADE_DRILLS, KINDS, makeRound, NoRound } from '@/core/training';

const DAYS = 300;
const week = demoWeek();

/** A day as full as one may be: its track over and over, half a minute apart. */
function fullDay(k: number): Day {
  const day = week[k % week.length]!;
  const start = secondsOf(day.startedAt) + 86400 * k;
  const track = Array.from({ length: MOST_TRACK }, (_, i) => ({
    ...day.track[i % day.track.length]!,
    at: new Date(1000 * (start + 10 * i)).toISOString(),
  }));
  return { ...day, id: `d${k}`, startedAt: new Date(1000 * start).toISOString(), track };
}

const timed = <T>(name: string, work: () => T): T => {
  const begun = performance.now();
  const out = work();
  console.log(`  ${name}: ${(performance.now() - begun).toFixed(1)} ms`);
  return out;
};

const days = Array.from({ length: DAYS }, (_, k) => fullDay(k));
console.log(`The log's answers over ${DAYS} days of ${MOST_TRACK} points:`);
const begun = performance.now();
const fished = days.map((day) => fishedDay(day, 60));
console.log(`  one day worked out: ${((performance.now() - begun) / DAYS).toFixed(2)} ms, kept from then on`);
for (const by of SORTED_BY) timed(`bites by ${by}`, () => biteRates(fished, by));
timed('spots', () => spotRates(fished));
timed('held lines', () => setupRates(fished, {}, 'unit-1'));
timed('evening card', () => eveningCard(fished, 'Vessmere', 'unit-1'));
timed('calls', () => callRecord(days));

console.log('A round made, mean and worst over all kinds:');
const palettes = { cone: palettesFor('day', 'cone')[0]!, slice: palettesFor('day', 'slice')[0]! };
for (const drill of MADE_DRILLS) {
  const times: number[] = [];
  let without = 0;
  for (const kind of KINDS[drill]) {
    const start = performance.now();
    try {
      makeRound({ drill, kind, level: 2, seed: 5 }, { brief: FIRST_BRIEF, rig: GENERIC_RIG, palettes });
    } catch (error) {
      if (!(error instanceof NoRound)) throw error;
      without++;
    }
    times.push(performance.now() - start);
  }
  const mean = times.reduce((sum, t) => sum + t, 0) / times.length;
  console.log(
    `  ${drill}: ${mean.toFixed(0)} ms, worst ${Math.max(...times).toFixed(0)} ms${without > 0 ? `, ${without} kinds not to be had` : ''}`,
  );
}
