import * as v from 'valibot';
import { FIRST_BRIEF } from '@/core/advice';
import { wilson } from '@/core/maths';
import { palettesFor, SettingsSchema } from '@/core/picture';
import { readRecording } from '@/core/reading';
import { navigationOf } from '@/core/recording';
import { GENERIC_RIG } from '@/core/rig';
import {
  chanceOf,
  KINDS,
  MADE_DRILLS,
  makeRound,
  NoRound,
  type Drill,
  type Kind,
  type MadeRound,
  type Trained,
} from '.';
import { wrongSettings } from './dialIn';
import { sameNumbers } from '@/core/testing/sameNumbers';

const TRAINED: Trained = {
  brief: FIRST_BRIEF,
  rig: GENERIC_RIG,
  palettes: { cone: palettesFor('day', 'cone')[0]!, slice: palettesFor('day', 'slice')[0]! },
};
/** Drills whose rounds are of a boat's own cases, judged with the symptoms. */
const MADE = MADE_DRILLS.filter((drill) => drill !== 'fix');

const rounds = new Map<string, MadeRound>();
/** The round of a spec, made once for all tests. */
function roundOf(drill: Drill, kind: Kind, level: 1 | 2 | 3, seed: number): MadeRound {
  const key = `${drill} ${kind} ${level} ${seed}`;
  let made = rounds.get(key);
  if (!made) rounds.set(key, (made = makeRound({ drill, kind, level, seed }, TRAINED)));
  return made;
}

describe('rounds of drills', () => {
  it.each(MADE)('%s: every kind can be had, asked about inside the picture, one answer right', (drill) => {
    for (const kind of KINDS[drill]) {
      const { round } = roundOf(drill, kind, 1, 21);
      const { picture, options, answer, rings, truthRings, cutaway } = round;
      expect(picture.columnsFilled).toBeGreaterThan(0);
      expect(cutaway).not.toBeNull();
      if (drill === 'dial') expect(options).toEqual([]);
      else {
        expect(options.length).toBeGreaterThanOrEqual(2);
        expect(new Set(options.map((o) => `${o.code} ${o.value?.toFixed(1)}`)).size).toBe(options.length);
        expect(options[answer]).toBeDefined();
        expect(1 / options.length).toBeCloseTo(kind === 'how-far' ? 1 / 3 : chanceOf(drill), 6);
      }
      expect(truthRings.length).toBeGreaterThanOrEqual(rings.length);
      for (const { column, row } of truthRings) {
        expect(column).toBeGreaterThanOrEqual(0);
        expect(column).toBeLessThan(picture.columns);
        expect(row).toBeGreaterThanOrEqual(0);
        expect(row).toBeLessThan(picture.rows);
      }
    }
  });

  it('a fault is seen, and mended in the other picture', () => {
    const { round } = makeRound({ drill: 'fix', kind: 'specks', level: 1, seed: 4 }, TRAINED);
    expect(round.options.map((o) => o.code)).toContain('specks');
    expect(round.options[round.answer]!.code).toBe('specks');
    expect(sameNumbers(round.beside!.pixels, round.picture.pixels)).toBe(false);
  });

  it('the same spec makes the same water, another seed another', () => {
    const [a, b, c] = [7, 7, 8].map((seed) =>
      makeRound({ drill: 'count', kind: 'two', level: 2, seed }, TRAINED),
    );
    expect(sameNumbers(a!.round.picture.pixels, b!.round.picture.pixels)).toBe(true);
    expect(sameNumbers(a!.round.picture.pixels, c!.round.picture.pixels)).toBe(false);
  });

  it('boxes give neither the number of fish nor their place about cover away', () => {
    expect(roundOf('count', 'three', 1, 21).round.rings).toEqual([]);
    expect(roundOf('cover', 'over', 1, 21).round.rings).toHaveLength(1);
    expect(roundOf('cover', 'over', 1, 21).round.truthRings.length).toBeGreaterThan(1);
  });

  it('right answers stand anywhere among the others', () => {
    const at = [0, 0, 0, 0, 0];
    for (const kind of KINDS.name)
      for (const seed of [21, 22]) {
        const { round } = roundOf('name', kind, 1, seed);
        at[round.answer]!++;
      }
    const all = at.reduce((sum, n) => sum + n, 0);
    // Each place of five is as likely: its 95 % interval, widened for five looks, holds a fifth.
    for (const n of at) {
      const [low, high] = wilson(n, all);
      expect(low - 0.05).toBeLessThan(0.2);
      expect(high + 0.05).toBeGreaterThan(0.2);
    }
  });

  it('dials set wrong show less than the start setup, and turned back as much', () => {
    for (const kind of KINDS.dial) {
      const { round, turn } = roundOf('dial', kind, 1, 21);
      const { now, best } = round.score!;
      expect(now).toBeLessThanOrEqual(0.85 * best);
      const right = makeRound({ drill: 'count', kind: 'one', level: 1, seed: 21 }, TRAINED).round.settings;
      const { rangeM, gainDb, firstColourDb, chartSpeed, noiseRejection, lookNoDeeperM } = right;
      const mended = turn!({
        ...round.settings,
        rangeM,
        gainDb,
        firstColourDb,
        chartSpeed,
        noiseRejection,
        lookNoDeeperM,
      });
      expect(mended.score).toBeGreaterThanOrEqual(0.9 * best);
    }
  });

  it('dials set wrong stay on their dials, whatever the start setup', () => {
    const { settings } = roundOf('dial', 'filtered', 1, 21).round;
    const starts = [
      { ...settings, gainDb: -30, rangeM: 400, chartSpeed: 0.2 },
      { ...settings, gainDb: 40, rangeM: 1, chartSpeed: 40 },
    ];
    for (const start of starts)
      for (const kind of KINDS.dial)
        expect(v.safeParse(SettingsSchema, wrongSettings(kind, 3, start)).issues).toBeUndefined();
  });

  it('says so where a boat cannot have a round', () => {
    const narrowOnly = { ...TRAINED, rig: { ...GENERIC_RIG, faces: [GENERIC_RIG.faces[0]!] } };
    expect(() => makeRound({ drill: 'place', kind: 'aside', level: 1, seed: 1 }, narrowOnly)).toThrow(
      NoRound,
    );
  });
});

describe('a player that goes by the reader alone', () => {
  const SURE = 0.5;
  const NAMED: Record<string, string> = {
    bubbles: 'bubbles',
    'another-sounder': 'other-sounder',
    'false-bed': 'false-bed',
  };

  /** What the reader would call what is in a round's box, most likely first. */
  function namesOf({ round, recording }: MadeRound): string[] {
    const reading = readRecording(recording!, round.settings.faceId);
    const times = navigationOf(recording!).timeS;
    const ring = round.rings[0]!;
    const { timeS, rowM, topM } = round.picture;
    const from = timeS[Math.max(0, ring.column - ring.halfColumns - 4)]!;
    const to = timeS[Math.min(round.picture.columns - 1, ring.column + ring.halfColumns + 4)]!;
    const middleM = topM[ring.column]! + ring.row * rowM;
    const nearM = (ring.halfRows + 20) * rowM;
    const names: string[] = [];
    if (reading.lures.length > 0) names.push('own-jig');
    for (const { kind, rangeM } of reading.named)
      if (rangeM[0] <= middleM + nearM && rangeM[1] >= middleM - nearM)
        names.push(...(kind === 'own-gear' ? ['own-weight', 'bait-with-sinker'] : [NAMED[kind] ?? kind]));
    for (const f of reading.findings) {
      const inBox =
        f.confidence >= SURE &&
        times[f.fromPing]! <= to &&
        times[f.toPing]! >= from &&
        Math.abs(f.rangeM - middleM) <= nearM;
      if (!inBox) continue;
      if (f.kind === 'cover') names.push('brush', 'timber', 'rock', 'weed');
      else if (f.kind === 'cloud') names.push(`bait-${f.mood}`, 'bait-calm', 'bait-hunted');
      else names.push('fish');
    }
    if (reading.layers.length > 0) names.push('layer');
    return [...names, 'nothing'];
  }

  it('beats chance at naming and counting, and is beaten by the truth', () => {
    const guessed = { name: [0, 0], count: [0, 0] };
    const tally = (drill: 'name' | 'count', right: boolean): void => {
      guessed[drill][0]! += Number(right);
      guessed[drill][1]!++;
    };
    for (const kind of KINDS.name)
      for (const seed of [21, 22]) {
        const made = roundOf('name', kind, 1, seed);
        const { options, answer } = made.round;
        const guess = namesOf(made)
          .map((name) => options.findIndex((o) => o.code === name))
          .find((k) => k >= 0);
        tally('name', guess === answer);
      }
    for (const kind of KINDS.count)
      for (const seed of [21, 22, 23, 24, 25, 26, 27, 28]) {
        const { round, recording } = roundOf('count', kind, 3, seed);
        const { findings } = readRecording(recording!, round.settings.faceId);
        const fish = findings.filter((f) => f.kind === 'fish' && f.confidence >= SURE).length;
        tally('count', Math.min(3, fish) === round.answer);
      }
    for (const drill of ['name', 'count'] as const) {
      const [right, of] = guessed[drill] as [number, number];
      expect([drill, wilson(right, of)[0] > chanceOf(drill), right < of]).toEqual([drill, true, true]);
    }
  });
});
