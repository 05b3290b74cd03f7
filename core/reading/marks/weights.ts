/**
 * What speaks for a mark being a fish, in log odds. A logistic regression over 5,000 marks of the simulator's passes, of plans' waters
 * and of painted ones, on two sets of seeds apart, the mean of both rounded; judged on fresh seeds (`npm run accuracy`).
 */
export const MARK_WEIGHTS = {
  /** Of a usual mark: 20 dB over the water, 8 pings, no single leg, from a boat that is passing. */
  usual: 3.8,
  /** A decibel more than usual, up to the loudest that says more. */
  perDb: 0.07,
  usualDb: 20,
  loudestDb: 40,
  /** A factor e more pings than usual, up to the most that say more. */
  perPings: 0.9,
  usualPings: 8,
  mostPings: 40,
  /** One leg alone is also what is left of something larger. */
  oneLeg: 1.8,
  /** Under a still boat all that drifts by leaves marks as long as a fish's; and under a slow one, a factor e slower than this, m/s. */
  still: 3.1,
  perSlow: 2.4,
  slowMps: 0.8,
  /** A slice has few pings of anything, and draws branches one by one. */
  fan: 0.65,
  /** A decibel weaker than fish of a hand's length, dB re 1 m², down to the weakest that says more. */
  perWeakDb: 0.36,
  weakDb: -40,
  mostWeakDb: 20,
  /** A pulse thicker than one echo, in pulses, up to the most that say more. */
  perThick: 0.5,
  onePulse: 1.2,
  mostThick: 2,
  /** Share of its pings that are missing, beyond what a fish leaves out. */
  perGap: 4.3,
  usualShare: 0.7,
  /** A pulse that its ranges lie off a crossing's curve, beyond what noise does. */
  perPulseOff: 0.8,
  freePulsesOff: 0.6,
  /** Nearer the bed than this, m, it may be a bump: what that takes. */
  nearBedM: 1,
  nearBed: 2,
  /** A lesser mark close beside a far louder one may be a part of the same body: what that takes. */
  besideLouder: 1.5,
} as const;

/**
 * How near a curve or a mark another echo must come to be put to it. Chosen on simulated passes so that two legs of one
 * arch join and two fish do not (docs/decisions.md).
 */
export const JOIN_WEIGHTS = {
  /** Share of a lesser echo's pings that must run beside a mark for it to be a part of it. */
  besideShare: 0.5,
  /** Off the curve: so many pulses, at least so many metres, and a share of the rise, since a curve is known less well far out. */
  offPulses: 1.5,
  offLeastM: 0.1,
  offPerRise: 0.12,
  /** Nearest points of two curves that are one: pulses apart in range, and along the way a share of the range. */
  apexPulses: 2.5,
  apexShare: 0.12,
  /** Pulses within which a swept pulse's range lobes lie. */
  lobePulses: 2.5,
} as const;
