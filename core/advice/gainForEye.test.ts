import { benchPass } from '@/core/bench';
import { openWater, weakestColourDb } from '@/core/picture';
import { drawPicture } from '@/core/picture/drawing';
import { recordingOf } from '@/core/recording';
import { GENERIC_RIG, screenOf } from '@/core/rig';
import { simulate } from '@/core/sounder';
import { FIRST_BRIEF, type Brief } from './brief';
import { gainForEye, waterDrawn } from './gainForEye';
import { startSetup } from './setup';

const { prediction, settings } = startSetup(FIRST_BRIEF, GENERIC_RIG);
const SOUGHT = { firstColourDb: 4, cells: 1, offAxisDb: 3, pings: 32, hiddenToM: 0 };
const at = (
  change: Partial<typeof SOUGHT & { louderDb: number }> = {},
  brief: Partial<Brief> = {},
  more: { targetStrengthDb?: number } = {},
) => gainForEye({ ...FIRST_BRIEF, ...brief }, { ...prediction, ...more }, 'full', { ...SOUGHT, ...change });

describe('the gain for the eye', () => {
  it('goes down for a stronger fish, and up for one met off the axis or in few pings', () => {
    const { targetStrengthDb } = prediction;
    expect(at({}, {}, { targetStrengthDb: targetStrengthDb + 10 }).gainDb).toBeLessThan(at().gainDb);
    expect(at({ offAxisDb: 12 }).gainDb).toBeGreaterThan(at().gainDb);
    expect(at({ pings: 6 }).gainDb).toBeGreaterThan(at().gainDb);
  });
  it('goes down where noise, or what drifts in the water, would fill the picture', () => {
    // A fish so weak that the gain for it draws noise.
    const weak = { targetStrengthDb: prediction.targetStrengthDb - 16 };
    expect(at({ louderDb: 15 }, {}, weak).gainDb).toBeLessThan(at({}, {}, weak).gainDb);
    const windy = { windMps: 12, fromM: 1, toM: 6 };
    expect(at({}, windy, weak).gainDb).toBeLessThan(at({}, { ...windy, windMps: 0 }, weak).gainDb);
    // Water that is hidden fills nothing.
    expect(at({ hiddenToM: 4 }, windy, weak).gainDb).toBeGreaterThan(at({}, windy, weak).gainDb);
  });
  it.each([
    ['bubbles under a wind', { windMps: 10, clarity: 'clear' }],
    ['silt over the bed', { windMps: 0, clarity: 'silty' }],
  ] as [string, Partial<Brief>][])('knows what share of the water is drawn by %s', (_, change) => {
    const brief: Brief = { ...FIRST_BRIEF, ...change, thermoclineM: null, othersNear: false };
    const request = benchPass(brief, GENERIC_RIG, settings, 4);
    const scene = { ...request.scene, fish: [], clouds: [], layers: [], covers: [] };
    const stretch = simulate({ ...request, scene });
    const plain = { ...settings, topWater: 0, otherSounders: 0, noiseRejection: 0, firstColourDb: 0 };
    const cells =
      Math.max(1, settings.rangeM / screenOf(GENERIC_RIG).rows / prediction.budget.resolutionM) *
      Math.max(1, settings.pingRate / settings.chartSpeed);
    const shareAt = waterDrawn(brief, prediction, { cells, hiddenToM: 0 });
    // A gain that draws a good part of the water.
    const bottomAt = (gainDb: number): number => weakestColourDb({ gainDb, power: 'full' });
    const gainDb = Array.from({ length: 60 }, (_, k) => k - 30).find((g) => shareAt(bottomAt(g)) > 0.08)!;
    const { timeS } = stretch.navigation;
    const picture = drawPicture(
      recordingOf([stretch]),
      { ...plain, gainDb, gainMode: 'manual' },
      screenOf(GENERIC_RIG),
      timeS[timeS.length - 1]!,
    );
    const { from, to, cells: all } = openWater(picture);
    let drawn = 0;
    for (let c = 0; c < picture.columns; c++)
      for (let r = from[c]!; r <= to[c]!; r++) drawn += picture.steps[c * picture.rows + r]! > 0 ? 1 : 0;
    // Bubbles come and go by 4 dB along the way, and a beam’s edge meets them at longer ranges: within 4 dB, a factor of 2.5.
    expect(drawn / all).toBeGreaterThan(shareAt(bottomAt(gainDb)) / 2.5);
    expect(drawn / all).toBeLessThan(shareAt(bottomAt(gainDb)) * 2.5);
  });
});
