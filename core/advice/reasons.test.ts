import { FIRST_BRIEF, startSetup, type Because, type Brief } from '@/core/advice';
import { GENERIC_RIG } from '@/core/rig';

/**
 * Numbers of the reasons, worked out apart from this code with a calculator: footprints 2 d tan(angle/2); rows range / 480; ping
 * limits c / (2 · 4 · 1.05 · bed) with c of fresh water after Bilaniuk & Wong (1993); seconds in the cone footprint / speed; TVG
 * 40 log(bed / fish); target strength 19.1 log cm − 0.9 log kHz − 62 (Love 1977).
 */
const TABLE: { brief: Partial<Brief>; is: Record<string, Record<string, number>> }[] = [
  {
    brief: {},
    is: {
      range: { bedM: 14, marginM: 3, rowM: 0.035417 },
      lookNoDeeper: { bedM: 14, secondM: 28 },
      beam: { coverM: 16.1658, otherCoverM: 4.9372 },
      imaging: { coverM: 13.0566, alongM: 0.391, coneCoverM: 16.1658 },
      pingRate: { limit: 12.5235 },
      chartSpeed: { columnM: 0.12, rowM: 0.035417, historyS: 51.2 },
      // 4.6188 s in the cone at 12.5 pings a second, and five pings at the most.
      boatSpeed: { pings: 57.735, fastestMps: 4 },
      tvg: { madeUpDb: 14.7191 },
      size: { lowDb: -38.877, highDb: -35.514, factor: 2.19 },
    },
  },
  {
    brief: { presentation: 'vertical', speedMps: 0 },
    is: {
      beam: { coverM: 4.9372, otherCoverM: 16.1658 },
      chartSpeed: { columnM: 0, historyS: 51.2 },
      size: { lowDb: -39.221, highDb: -35.858 },
    },
  },
  {
    brief: {
      speciesId: 'zander',
      lengthM: [0.45, 0.7],
      fromM: 8,
      toM: 20,
      presentation: 'troll',
      speedMps: 1,
      temperatureC: 10,
    },
    is: {
      range: { bedM: 20, marginM: 3, rowM: 0.047917 },
      beam: { coverM: 23.094, otherCoverM: 7.0531 },
      imaging: { coverM: 18.6523, alongM: 0.5585 },
      pingRate: { limit: 8.6148 },
      chartSpeed: { columnM: 0.11765, historyS: 75.294 },
      // 9.2376 s in the cone at 8.5 pings a second.
      boatSpeed: { pings: 78.5196, fastestMps: 4 },
      tvg: { madeUpDb: 15.9176 },
      size: { lowDb: -32.151, highDb: -28.486 },
    },
  },
];

it.each(TABLE)('the reasons of %j say what a calculator says', ({ brief, is }) => {
  const { lines } = startSetup({ ...FIRST_BRIEF, ...brief }, GENERIC_RIG);
  for (const [control, numbers] of Object.entries(is)) {
    const because = lines.find((l) => l.control === control)!.because as Because & Record<string, number>;
    for (const [name, value] of Object.entries(numbers))
      // To a part in a thousand, as the table is written.
      expect({
        [`${control} ${name}`]: Math.abs(because[name]! - value) <= 1e-3 * Math.max(0.1, Math.abs(value)),
      }).toEqual({
        [`${control} ${name}`]: true,
      });
  }
});
