import type { SteeringCommand } from './choices';
import { timeOf } from './library';
import { PLANE_TRIM_RAD, type TrackSection } from './track';

/** Seconds a pass goes on after the last command. */
export const STEERED_ON_S = 90;
/** Rate of a turn, rad/s. */
const TURN = 0.35;
const DRIFT_MPS = 0.4;
const PLANE_MPS = 7;

/** What a command makes of the boat's way for a while. */
function sectionsFor({ way, speedMps }: SteeringCommand, durationS: number): TrackSection[] {
  switch (way) {
    case 'idle':
      return [{ durationS, speedMps, engine: 'gear', easeS: 4 }];
    case 'drift':
      return [{ durationS, speedMps: DRIFT_MPS, engine: 'off', easeS: 8, crabRad: Math.PI / 2 }];
    case 'hold':
      return [{ durationS, speedMps: 0, engine: 'off', easeS: 4 }];
    case 'plane':
      return [{ durationS, speedMps: PLANE_MPS, engine: 'planing', easeS: 5, trimRad: PLANE_TRIM_RAD }];
    case 'back': {
      // A quarter to starboard, then three to port: the boat comes back on the very line it came by.
      const quarterS = Math.PI / 2 / TURN;
      const turn = { speedMps, engine: 'gear' as const };
      return [
        { ...turn, durationS: quarterS, turnRadPerS: -TURN, easeS: 3 },
        { ...turn, durationS: 3 * quarterS, turnRadPerS: TURN },
        { ...turn, durationS: Math.max(1, durationS - 4 * quarterS) },
      ];
    }
  }
}

/** The first so many seconds of a way. */
function firstSeconds(sections: readonly TrackSection[], seconds: number): TrackSection[] {
  const out: TrackSection[] = [];
  let left = seconds;
  for (const section of sections) {
    if (left <= 0) break;
    out.push({ ...section, durationS: Math.min(left, section.durationS) });
    left -= section.durationS;
  }
  return out;
}

/**
 * A way steered anew: as it was until each command, then as that says; it goes on for a while after the last.
 * @param commands in the order of their times
 */
export function steered(
  sections: readonly TrackSection[],
  commands: readonly SteeringCommand[],
): TrackSection[] {
  return commands.reduce<TrackSection[]>(
    (way, command) => [
      ...firstSeconds(way, Math.min(command.atS, timeOf(way))),
      ...sectionsFor(command, STEERED_ON_S),
    ],
    [...sections],
  );
}
