import { farLegs, NO_FAR_LEGS } from './farLegs';
import { fitted } from './fitted';
import type { EchoTrack } from './followEchoes';

const [PING_RATE, SPEED, PULSE_M] = [10, 3, 0.075];
const timeS = Float64Array.from({ length: 200 }, (_, p) => p / PING_RATE);

/** The pings of a point passed 4 m off at 10 s, and how loud they are. */
const passed = (from: number, to: number, overDb: number, lowerM = 0): EchoTrack => {
  const pings = Array.from({ length: to - from + 1 }, (_, k) => from + k);
  const rangeM = pings.map((p) => lowerM + Math.hypot(4, SPEED * (timeS[p]! - 10)));
  return {
    pings,
    rangeM,
    thickM: pings.map(() => PULSE_M),
    overDb: pings.map(() => overDb),
    peakSample: rangeM.map((r) => Math.round(r / 0.03)),
  };
};
const mark = passed(98, 102, 40);
const legsOf = (followed: EchoTrack[], speed = SPEED) =>
  farLegs([fitted(mark, timeS, SPEED)], [mark, ...followed], timeS, speed, PULSE_M)[0]!;

describe('legs drawn beyond a mark', () => {
  it('are what side lobes bring in on its curve, beyond a gap, on either side', () => {
    const legs = legsOf([passed(92, 94, 18), passed(107, 108, 14)]);
    expect(legs.before).toBeCloseTo(Math.hypot(4, SPEED * 0.8) - 4, 2);
    expect(legs.after).toBeCloseTo(Math.hypot(4, SPEED * 0.8) - 4, 2);
    expect(legs.pings).toBe(5);
  });
  it('are no speck of noise that happens to lie there', () => {
    expect(legsOf([passed(93, 93, 10.5)])).toEqual(NO_FAR_LEGS);
    expect(legsOf([passed(93, 93, 18)]).before).toBeGreaterThan(0.3);
  });
  it('are none where nothing else was followed', () => expect(legsOf([])).toEqual(NO_FAR_LEGS));
  it('are not what is off its curve, louder, or runs beside it', () => {
    expect(legsOf([passed(92, 94, 18, 0.6)])).toEqual(NO_FAR_LEGS);
    expect(legsOf([passed(92, 94, 50)])).toEqual(NO_FAR_LEGS);
    expect(legsOf([passed(99, 101, 18, 0.05)])).toEqual(NO_FAR_LEGS);
  });
  it('are not what is another mark’s', () => {
    const other = passed(92, 94, 18);
    const [legs] = farLegs(
      [fitted(mark, timeS, SPEED), fitted(other, timeS, SPEED)],
      [mark, other],
      timeS,
      SPEED,
      PULSE_M,
    );
    expect(legs).toEqual(NO_FAR_LEGS);
  });
  it('are none under a boat that keeps still', () =>
    expect(legsOf([passed(92, 94, 18)], 0.1)).toEqual(NO_FAR_LEGS));
});
