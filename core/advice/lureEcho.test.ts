import { benchPass } from '@/core/bench';
import { drawPicture } from '@/core/picture/drawing';
import { recordingOf } from '@/core/recording';
import { GENERIC_RIG, screenOf, type Rig } from '@/core/rig';
import { simulate } from '@/core/sounder';
import { FIRST_BRIEF, type Brief } from './brief';
import { gainForLure, lureEcho, lureSight, lureUnderBoat } from './lureEcho';
import { startSetup, type Setup } from './setup';

const JIG = { massKg: 0.014, dressed: false };
const VERTICAL: Brief = {
  ...FIRST_BRIEF,
  presentation: 'vertical',
  speedMps: 0,
  lure: JIG,
  othersNear: false,
};
const NEAR: Rig = { ...GENERIC_RIG, positions: { ...GENERIC_RIG.positions, rod: { x: 0, y: 0 } } };
const setupOf = (brief: Brief, rig: Rig = NEAR, gain?: 'show-lure'): Setup =>
  startSetup(brief, rig, gain ? { gain } : {});
const echoOf = (brief: Brief, rig: Rig = NEAR) => lureEcho(brief, rig, setupOf(brief, rig).prediction)!;

describe('the echo of the lure', () => {
  it('is that of a ball of lead on the axis, by hand', () => {
    // a = (3 · 0.014 / 4π · 11340)^⅓ = 6.654 mm; 20 log(a/2) = −49.56 dB.
    const echo = echoOf(VERTICAL);
    expect(echo.strengthDb).toBeCloseTo(-49.56, 1);
    // Fish from 6 to 14 m: a little over 10 m.
    expect(echo.depthM).toBeCloseTo(9.4, 6);
    expect(echo).toMatchObject({ inView: true, inViewFromM: 0, massKg: 0.014 });
  });
  it('is there only where the lure hangs under the boat', () => {
    expect(lureUnderBoat({ presentation: 'search', lure: JIG })).toBeNull();
    expect(lureUnderBoat({ presentation: 'vertical', lure: null })).toBeNull();
    expect(lureUnderBoat({ presentation: 'drift', lure: JIG })).toMatchObject(JIG);
  });
  it('is weaker off the axis, and outside where the rod is too far or the boat drifts off', () => {
    const off = (y: number): Rig => ({ ...NEAR, positions: { ...NEAR.positions, rod: { x: 0, y } } });
    expect(echoOf(VERTICAL, off(1)).strengthDb).toBeLessThan(echoOf(VERTICAL).strengthDb - 1);
    const far = echoOf(VERTICAL, off(4));
    expect(far.inView).toBe(false);
    expect(lureSight(far, setupOf(VERTICAL).settings)).toBe('outside');
    expect(far.reachM).toBeLessThan(4);
    const light: Brief = {
      ...VERTICAL,
      presentation: 'drift',
      speedMps: 1.2,
      lure: { massKg: 0.004, dressed: true },
    };
    expect(echoOf(light).inView).toBe(false);
  });
  it('is lost to noise where it is too small for the depth', () => {
    const deep: Brief = { ...VERTICAL, fromM: 120, toM: 160, lure: { massKg: 0.001, dressed: false } };
    expect(lureSight(echoOf(deep), setupOf(deep).settings)).toBe('lost');
    expect(setupOf(deep, NEAR, 'show-lure').lines.find((l) => l.control === 'gain')).toMatchObject({
      because: { rule: 'gain-lure-lost' },
      value: setupOf(deep).settings.gainDb,
    });
  });
  it('one way of setting gain shows it; without a lure that way is not offered', () => {
    const small: Brief = { ...VERTICAL, lure: { massKg: 0.003, dressed: false } };
    const hidden = setupOf({ ...small, lengthM: [0.5, 0.9] });
    expect(lureSight(echoOf(small), hidden.settings)).toBe('hidden');
    const shown = setupOf({ ...small, lengthM: [0.5, 0.9] }, NEAR, 'show-lure');
    expect(shown.settings.gainDb).toBeGreaterThan(hidden.settings.gainDb);
    expect(lureSight(echoOf(small), shown.settings)).toBe('shows');
    const none = setupOf({ ...small, lure: null }, NEAR, 'show-lure').lines.find(
      (l) => l.control === 'gain',
    )!;
    expect(none.practice).toBe('specks');
    expect(none.others.map((o) => o.practice)).not.toContain('show-lure');
  });
});

describe('the simulated lure', () => {
  const brief: Brief = { ...VERTICAL, windMps: 0, thermoclineM: null, clarity: 'clear' };
  const { settings } = setupOf(brief);
  const request = benchPass(brief, NEAR, settings, 5);
  const stretch = simulate({ ...request, scene: { ...request.scene, fish: [], clouds: [], layers: [] } });
  const echo = echoOf(brief);
  /** Share of columns in which something is drawn about the lure's depth. */
  const drawnAt = (gainDb: number): number => {
    const { timeS } = stretch.navigation;
    const picture = drawPicture(
      recordingOf([stretch]),
      { ...settings, gainMode: 'manual', gainDb },
      screenOf(NEAR),
      timeS[timeS.length - 1]!,
    );
    const rowAt = (m: number): number => Math.round((m / settings.rangeM) * picture.rows);
    let drawn = 0;
    for (let c = 0; c < picture.columns; c++) {
      const column = picture.steps.subarray(c * picture.rows, (c + 1) * picture.rows);
      if (column.subarray(rowAt(echo.depthM - 0.5), rowAt(echo.depthM + 0.5)).some((s) => s > 0)) drawn++;
    }
    return drawn / picture.columns;
  };
  it('hangs at its depth and is drawn from the gain on that is told', () => {
    const told = gainForLure(echo, settings.power, settings.firstColourDb);
    expect(drawnAt(told)).toBeGreaterThan(0.9);
    expect(drawnAt(told - 12)).toBeLessThan(0.2);
  });
});
