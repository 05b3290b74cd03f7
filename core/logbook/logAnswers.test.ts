import { FIRST_BRIEF, type Holds } from '@/core/advice';
import { placeFrom, seededRandom } from '@/core/maths';
import { biteRates, SORTED_BY, type SortedBy } from './biteRates';
import { newDay, type Bite, type Day, type UsedLine } from './day';
import { demoWeek } from './demoWeek';
import { briefWithChanges, eveningCard, watersOf } from './eveningCard';
import { fishedDay, secondsOf, type FishedDay } from './fishedHours';
import { answerLog } from './logQuestion';
import { setupRates } from './setupRates';
import { spotRates } from './spotRates';

const ORIGIN = { latitudeDeg: -47.3, longitudeDeg: -124.9 };
const LURES = ['white', 'silver', ''];

/** A made day: some hours about two spots, answers at random. */
function madeDay(seed: number): Day {
  const random = seededRandom(seed).fork('made');
  const start = Date.UTC(2026, seed % 12, 1 + (seed % 27), 4 + (seed % 14), 7);
  const at = (s: number): string => new Date(start + 1000 * s).toISOString();
  const gain = [-9, -4, null][seed % 3]!;
  const holds: Holds = gain === null ? {} : { 'unit-1': { cone: { gain }, slice: {} } };
  const lengthS = 1800 + 600 * random.integer(12);
  return newDay({
    id: `d${seed}`,
    name: `Day ${seed}`,
    startedAt: at(0),
    simulated: false,
    marks: [0, 1].map((k) => ({
      id: `m${k}`,
      at: at(10 + k),
      kind: 'cover' as const,
      ...placeFrom(ORIGIN, 200 * k, 0),
      errorM: 4,
      cause: 'position' as const,
      depthM: null,
      heightM: null,
      schoolId: null,
      note: `spot ${k}`,
    })),
    bites: Array.from({ length: random.integer(14) }, (_, k): Bite => ({
      id: `b${k}`,
      at: at(random.integer(lengthS)),
      answer: (['follow', 'refusal', 'bite', 'catch'] as const)[random.integer(4)]!,
      side: ([null, 'left', 'right'] as const)[random.integer(3)]!,
      angle: null,
      depthM: random.uniform() < 0.2 ? null : random.between(3, 13),
      lure: LURES[random.integer(3)]!,
      species: '',
      lengthM: null,
    })),
    phases: [
      { at: at(0), phase: 'search' },
      { at: at(lengthS / 2), phase: 'vertical' },
    ],
    track: Array.from({ length: lengthS / 30 }, (_, k) => ({
      at: at(30 * k + (k > 20 ? 600 : 0)),
      ...placeFrom(ORIGIN, 200 * (k % 40 < 20 ? 0 : 1) + 3 * random.normal(), 3 * random.normal()),
      speedMps: k % 17 === 0 ? 6 : 0.5,
      depthM: 12,
      temperatureC: 15 + (seed % 4) + 0.01 * k,
    })),
    waterName: seed % 2 === 0 ? 'Vessmere' : 'Corrie Sound',
    plan: { brief: { ...FIRST_BRIEF, toM: 14 + (seed % 5) }, holds },
  });
}

const OFFSET_MIN = 120;
const MADE = Array.from({ length: 20 }, (_, k) => madeDay(k + 1));
const DAYS: FishedDay[] = MADE.map((day) => fishedDay(day, OFFSET_MIN));
const took = (b: Bite): boolean => b.answer === 'bite' || b.answer === 'catch';

/** The same sums by another way: the browser's own dates and plain loops over what was kept. */
function counted(by: SortedBy): Map<string, { takes: number; of: number; hours: number }> {
  const out = new Map<string, { takes: number; of: number; hours: number }>();
  const add = (key: unknown, change: { takes?: number; of?: number; hours?: number }): void => {
    if (key === null || key === undefined || key === '') return;
    const old = out.get(String(key)) ?? { takes: 0, of: 0, hours: 0 };
    out.set(String(key), {
      takes: old.takes + (change.takes ?? 0),
      of: old.of + (change.of ?? 0),
      hours: old.hours + (change.hours ?? 0),
    });
  };
  const hourOf = (ms: number): number => 2 * Math.floor(new Date(ms + OFFSET_MIN * 60_000).getUTCHours() / 2);
  for (const day of MADE) {
    const phaseAt = (ms: number): string | null =>
      day.phases.filter((p) => Date.parse(p.at) <= ms).at(-1)?.phase ?? null;
    for (const bite of day.bites) {
      const ms = Date.parse(bite.at);
      const near = day.track
        .filter((p) => Math.abs(Date.parse(p.at) - ms) <= 90_000)
        .sort((a, b) => Math.abs(Date.parse(a.at) - ms) - Math.abs(Date.parse(b.at) - ms))[0];
      const key = {
        depth: bite.depthM === null ? null : 2 * Math.floor(bite.depthM / 2),
        hour: hourOf(ms),
        temperature: near ? Math.floor(near.temperatureC!) : null,
        layer: bite.depthM === null ? null : bite.depthM < 9 ? 'over' : 'under',
        side: bite.side,
        lure: bite.lure,
        phase: phaseAt(ms),
      }[by];
      add(key, { of: 1, takes: took(bite) ? 1 : 0 });
    }
    if (by !== 'hour' && by !== 'temperature' && by !== 'phase') continue;
    day.track.forEach((p, k) => {
      const before = day.track[k - 1];
      const ms = Date.parse(p.at);
      const gap = before ? (ms - Date.parse(before.at)) / 1000 : Infinity;
      if (gap > 120 || p.speedMps! > 3) return;
      const key = { hour: hourOf(ms), temperature: Math.floor(p.temperatureC!), phase: phaseAt(ms) }[by];
      add(key, { hours: gap / 3600 });
    });
  }
  return out;
}

describe('what the days say, over twenty made ones', () => {
  it('moments come out as the calendar has them', () => {
    for (const iso of [
      '1999-12-31T23:59:59.500Z',
      '2026-02-28T00:00:00.000Z',
      '2024-02-29T12:30:15.250Z',
      '2100-03-01T06:00:00.000Z',
      '2026-09-02T06:00:00+02:00',
      '2026-09-01T23:30:00.5-04:30',
    ])
      expect(secondsOf(iso)).toBe(Date.parse(iso) / 1000);
  });

  it.each(SORTED_BY)('by %s agrees with counting another way', (by) => {
    const other = counted(by);
    const rows = biteRates(DAYS, by);
    expect(rows.length).toBeGreaterThan(1);
    for (const { key, takes, of, hours, low, high } of rows) {
      const same = other.get(String(key))!;
      expect([key, takes, of]).toEqual([key, same.takes, same.of]);
      if (hours !== null) expect(hours).toBeCloseTo(same.hours, 9);
      if (of > 0) {
        expect(low).toBeLessThanOrEqual(takes / of);
        expect(high).toBeGreaterThanOrEqual(takes / of);
      }
    }
    const answered = [...other.values()].reduce((sum, g) => sum + g.of, 0);
    expect(rows.reduce((sum, r) => sum + r.of, 0)).toBe(answered);
  });

  it('spots share out the time and the takes', () => {
    const spots = spotRates(DAYS);
    expect(spots.map((s) => s.note).sort()).toEqual(['spot 0', 'spot 1']);
    const hours = DAYS.flatMap((d) => d.fished).reduce((sum, f) => sum + f.hours, 0);
    expect(spots.reduce((sum, s) => sum + s.hours, 0)).toBeCloseTo(hours, 6);
    const takes = DAYS.flatMap((d) => d.answered).filter(
      (a) => a.place && (a.answer === 'bite' || a.answer === 'catch'),
    );
    expect(spots.reduce((sum, s) => sum + s.takes, 0)).toBe(takes.length);
  });

  it('a question is answered of the days it asks about, with what there is to choose from', () => {
    const there = DAYS.filter((d) => d.day.waterName === 'Vessmere');
    expect(answerLog(DAYS, { of: 'bites', by: 'side', waterName: 'Vessmere' })).toEqual({
      of: 'bites',
      by: 'side',
      bites: biteRates(there, 'side'),
    });
    expect(answerLog(DAYS, { of: 'spots', waterName: 'Vessmere' })).toEqual({
      of: 'spots',
      spots: spotRates(there),
    });
    expect(answerLog(DAYS, { of: 'evening', waterName: null, unitId: 'unit-1' })).toEqual({
      of: 'evening',
      waters: watersOf(MADE),
      card: eveningCard(DAYS, watersOf(MADE)[0]!, 'unit-1'),
    });
    expect(answerLog(DAYS, { of: 'choices' })).toEqual({
      of: 'choices',
      answered: true,
      waters: watersOf(MADE),
      phases: ['search', 'vertical'],
      clarities: ['stained'],
      bedsFromM: [10],
      months: [1, 2, 3, 4, 5, 6, 7, 8, 9, 10, 11, 12],
    });
    expect(answerLog([], { of: 'choices' })).toMatchObject({ answered: false, waters: [], months: [] });
  });

  it('a held line is held against every other value of it, on the days that are asked about', () => {
    for (const waterName of [undefined, 'Vessmere']) {
      const rows = setupRates(DAYS, { waterName }, 'unit-1');
      expect(rows.map((r) => r.value).sort((a, b) => a - b)).toEqual([-9, -4]);
      const days = DAYS.filter((d) => waterName === undefined || d.day.waterName === waterName);
      const takes = days.flatMap((d) => d.day.bites).filter(took).length;
      for (const row of rows) {
        const mine = days.filter((d) => d.day.plan!.holds['unit-1']?.cone.gain === row.value);
        expect(row.days).toBe(mine.length);
        expect(row.takes).toBe(mine.flatMap((d) => d.day.bites).filter(took).length);
        expect(row.takes + row.others.takes).toBe(takes);
      }
    }
    const [all] = setupRates(DAYS, {}, 'unit-1');
    const [down] = setupRates(DAYS, { phase: 'vertical' }, 'unit-1');
    expect(down!.hours).toBeLessThan(all!.hours);
    expect(setupRates(DAYS, {}, 'another unit')).toEqual([]);
    // Beds lie at 14 to 18 m: all in one band, none in the next.
    expect(setupRates(DAYS, { bedFromM: 10 }, 'unit-1')).toEqual(setupRates(DAYS, {}, 'unit-1'));
    expect(setupRates(DAYS, { bedFromM: 20 }, 'unit-1')).toEqual([]);
  });

  it('a line set on the unit counts over its phase alone, and in place of what was held', () => {
    const used = (
      value: number,
      control: UsedLine['control'] = 'gain',
      phase: UsedLine['phase'] = 'search',
    ) => ({
      at: MADE[0]!.startedAt,
      phase,
      picture: 'cone' as const,
      control,
      value,
      shown: `${value}`,
    });
    // On every day gain is set to 2 for the search, on even ones range and beam too.
    const days = MADE.map((day, k) =>
      fishedDay(
        { ...day, used: [used(7), used(2), ...(k % 2 === 0 ? [used(16, 'range'), used(2e5, 'beam')] : [])] },
        OFFSET_MIN,
      ),
    );
    const rows = setupRates(days, {}, 'unit-1');
    // Range was never another, and a beam is no number to hold.
    expect(rows.map((r) => [r.control, r.value])).toEqual([]);
    const mixed = setupRates([...days.slice(0, 10), ...DAYS.slice(10)], {}, 'unit-1');
    const two = mixed.find((r) => r.value === 2)!;
    const searched = days.slice(0, 10).flatMap((d) => d.fished.filter((f) => f.phase === 'search'));
    expect(two.hours).toBeCloseTo(
      searched.reduce((sum, f) => sum + f.hours, 0),
      9,
    );
    expect(two.days).toBe(10);
    expect(mixed.map((r) => r.value).sort((a, b) => a - b)).toEqual([-9, -4, 2]);
    const vertical = setupRates([...days.slice(0, 10), ...DAYS.slice(10)], { phase: 'vertical' }, 'unit-1');
    expect(vertical.map((r) => r.value).sort((a, b) => a - b)).toEqual([-9, -4]);
  });
});

describe('the evening card', () => {
  const week = demoWeek().map((day) => fishedDay(day, 0));

  it('of the demo week says from which day each line is', () => {
    expect(demoWeek()).toHaveLength(7);
    expect(JSON.stringify(demoWeek())).toBe(JSON.stringify(demoWeek()));
    expect(watersOf(week.map((d) => d.day))).toEqual(['Vessmere', 'The Tolls', 'Corrie Sound']);
    const card = eveningCard(week, 'Vessmere', 'unit-1')!;
    const names = week.filter((d) => d.day.waterName === 'Vessmere').map((d) => d.day.name);
    expect(card.days).toBe(names.length);
    for (const { day } of [card.brief, card.bitesAt!, card.lure!, ...card.held])
      expect(names).toContain(day.name);
    // The newest day that held the gain.
    expect(card.held).toEqual([
      { value: { control: 'gain', value: -9 }, day: { id: 'demo-week-6', name: 'Vessmere, 6 September' } },
    ]);
    expect(card.lure!.value).toBe('white');
    expect(eveningCard(week, 'Nowhere', 'unit-1')).toBeNull();
  });

  it('takes in what has changed, and stays a brief that can be', () => {
    const changed = briefWithChanges(FIRST_BRIEF, { temperatureC: 12, thermoclineM: 11, levelM: 1.5 });
    expect(changed).toMatchObject({ temperatureC: 12, thermoclineM: 11, fromM: 7.5, toM: 15.5 });
    const low = briefWithChanges(
      { ...FIRST_BRIEF, fromM: 1, toM: 2.5, fishToM: 2 },
      { temperatureC: 4, thermoclineM: null, levelM: -2 },
    );
    expect(low.toM).toBeGreaterThanOrEqual(low.fromM + 1);
    expect(low.fishToM!).toBeGreaterThanOrEqual(low.fromM);
    expect(low.fishToM!).toBeLessThanOrEqual(low.toM);
  });
});
