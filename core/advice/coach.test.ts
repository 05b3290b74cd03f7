import { simulatedBoat } from '@/core/bench/simulatedBoat';
import { GENERIC_RIG } from '@/core/rig';
import { soundSpeedOf } from '@/core/water';
import { FIRST_BRIEF, waterOf } from './brief';
import { coachNow, coachSayings, SILENT_COACH, type CoachName, type CoachSigns } from './coach';
import { startSetup } from './setup';

const { settings, prediction } = startSetup(FIRST_BRIEF, GENERIC_RIG);
const GOOD: CoachSigns = {
  settings,
  face: prediction.face,
  mount: GENERIC_RIG.mount,
  phase: 'search',
  setupSpeedMps: FIRST_BRIEF.speedMps,
  soundSpeedMps: soundSpeedOf(waterOf(FIRST_BRIEF)),
  depthM: 11,
  speedMps: FIRST_BRIEF.speedMps,
  pitchRad: 0.01,
  supplyV: 12.5,
  offSpotM: null,
  referenceM: null,
  shallowM: 1.5,
};

/** What is said second by second. */
function saidOver(seconds: number, signsAt: (s: number) => CoachSigns): (CoachName | null)[] {
  let coach = SILENT_COACH;
  return Array.from({ length: seconds }, (_, s) => {
    coach = coachNow(coach, coachSayings(signsAt(s)), [], s);
    return coach.said?.saying.name ?? null;
  });
}

describe('the coach', () => {
  it('says nothing in an hour of good settings', () => {
    const said = saidOver(3600, (s) => {
      const boat = simulatedBoat(s);
      return {
        ...GOOD,
        // A boat that searches over the water it planned for, with its own small ups and downs.
        depthM: 8 + 5 * Math.abs(Math.sin(s / 400)),
        speedMps: GOOD.speedMps! + 0.2 * Math.sin(s / 31),
        pitchRad: boat.pitchRad,
        supplyV: boat.supplyV,
      };
    });
    expect(said.filter((name) => name !== null)).toEqual([]);
  });
  const planted: [CoachName, Partial<CoachSigns>][] = [
    ['shallow', { depthM: 1.2 }],
    ['off-spot', { offSpotM: 14 }],
    ['voltage-low', { supplyV: 11.2 }],
    ['bed-at-foot', { depthM: settings.rangeM }],
    ['range-too-deep', { depthM: 5 }],
    ['false-bed', { settings: { ...settings, pingRate: 45 } }],
    ['too-fast', { speedMps: 12 }],
    ['chart-speed', { speedMps: 0.6 }],
    ['level', { pitchRad: 0.4 }],
    ['reference', { referenceM: 40 }],
    ['bed-at-foot', { settings: { ...settings, rangeM: 9 }, depthM: 11 }],
  ];
  it.each(planted)('names %s within 10 s', (name, change) => {
    const said = saidOver(20, (s) => (s < 5 ? GOOD : { ...GOOD, ...change }));
    const first = said.findIndex((n) => n === name);
    expect(first).toBeGreaterThanOrEqual(5);
    expect(first).toBeLessThanOrEqual(15);
  });
  it('holds its tongue for what lasts a moment, and says one thing at a time', () => {
    expect(saidOver(60, (s) => (s % 10 < 3 ? { ...GOOD, depthM: 1.2 } : GOOD)).every((n) => n === null)).toBe(
      true,
    );
    const two = saidOver(60, (s) => ({ ...GOOD, supplyV: 11, depthM: s < 20 ? 11 : 1.1 }));
    expect(two[19]).toBe('voltage-low');
    expect(two[40]).toBe('shallow');
    const muted = coachNow(
      coachNow(SILENT_COACH, coachSayings({ ...GOOD, supplyV: 11 }), [], 0),
      coachSayings({ ...GOOD, supplyV: 11 }),
      ['voltage-low'],
      30,
    );
    expect(muted.said).toBeNull();
  });
  it('says nothing of what it does not know', () => {
    const dark = { ...GOOD, depthM: null, speedMps: null, pitchRad: null, supplyV: null };
    expect(coachSayings(dark)).toEqual([]);
  });
});
