/**
 * What speaks for a mark being a fish, in log odds. Fitted by hand on the simulator's passes until stated confidence and
 * share of true marks agreed within 0.03 (`npm run accuracy`, seeds below 10,000); judged on fresh seeds.
 */
export const MARK_WEIGHTS = {
  /** Of a usual mark: 20 dB over the water, 8 pings, both legs. */
  usual: 2.3,
  /** A decibel more than usual, up to the loudest that says more. */
  perDb: 0.13,
  usualDb: 20,
  loudestDb: 40,
  /** A factor e more pings than usual, up to the most that say more. */
  perPings: 0.6,
  usualPings: 8,
  mostPings: 40,
  /** A mark with both its legs is hardly ever anything else: what another lacks. */
  noLegs: 1,
  /** Of a mark too faint to be followed ping by ping, at so many nats, and each nat more. */
  faint: 1.6,
  faintNats: 15,
  perNat: 0.05,
  /** A pulse that its ranges lie off a crossing's curve, beyond what noise does. */
  perPulseOff: 0.8,
  freePulsesOff: 0.6,
  /** Nearer the bed than this, m, it may be a bump: what that takes. */
  nearBedM: 0.4,
  nearBed: 1.5,
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
