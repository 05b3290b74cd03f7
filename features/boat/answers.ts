import { bedEchoesHeard, blindHeight, falseBeds, footprintAt, lureInView, pointingAt } from '@/core/advice';
import { faceBudget, waterPerRow, type Face, type Rig } from '@/core/rig';
import { soundSpeedOf, type Water } from '@/core/water';
import { degToRad, radToDeg } from '@/core/units';
import type { Units } from '../units';

/** A question and its answer in one line. */
export interface Answer {
  question: string;
  answer: string;
}

/** Slope the blind height is told for, degrees. */
const SLOPE_DEG = 10;
/** Of the bed echoes, as over gravel: what a late echo can come from. */
const BED = 'gravel';

const EACH = ['first', 'second', 'third', 'fourth'] as const;

/** What one beam does at a depth, in the user's units. */
export function beamAnswers(rig: Rig, face: Face, depthM: number, water: Water, units: Units): Answer[] {
  const foot = footprintAt(face, depthM);
  const lure = lureInView(face, rig.mount, rig.positions.rod);
  const c = soundSpeedOf(water);
  return [
    {
      question: 'Covers on the bed',
      answer:
        face.beam.shape === 'cone'
          ? `a circle ${units.height(foot.athwartM)} wide`
          : `a strip ${units.height(foot.alongM)} by ${units.height(foot.athwartM)}`,
    },
    { question: 'A fish that deep can be', answer: `up to ${units.height(foot.offLineM)} to either side` },
    {
      question: 'Your lure comes into view',
      answer:
        lure === null
          ? 'never, dropped there'
          : lure.fromM === 0
            ? 'at once'
            : `from ${units.show('depth', lure.fromM)}${lure.toM === null ? '' : `, and is lost again at ${units.show('depth', lure.toM)}`}`,
    },
    {
      question: `Hidden over a slope of ${SLOPE_DEG}°`,
      answer: `the lowest ${units.height(blindHeight(face, depthM, degToRad(SLOPE_DEG), c))}`,
    },
  ];
}

/** What holds for the boat and its screen at a depth. */
export function boatAnswers(rig: Rig, depthM: number, water: Water, units: Units): Answer[] {
  const { forwardM, portM, tooDeepM } = pointingAt(rig.mount, depthM);
  const aside = Math.hypot(forwardM, portM);
  const { antenna } = rig.positions;
  const off = Math.hypot(antenna.x, antenna.y);
  const c = soundSpeedOf(water);
  const face = rig.faces[0]!;
  const heard = bedEchoesHeard(faceBudget(rig, face, water), depthM, BED);
  const late = falseBeds(depthM, rig.fastestPingRate, c, heard);
  return [
    {
      question: 'The beams look',
      answer:
        aside < 0.01 * depthM
          ? 'straight down'
          : `${units.height(Math.abs(forwardM))} ${forwardM >= 0 ? 'ahead' : 'astern'}${Math.abs(portM) > 0.01 * depthM ? `, ${units.height(Math.abs(portM))} to ${portM >= 0 ? 'port' : 'starboard'}` : ''}; a level bed is drawn ${units.height(tooDeepM)} too deep`,
    },
    {
      question: 'A mark set from the antenna is off by',
      answer: off < 0.05 ? 'nothing' : units.height(off),
    },
    {
      question: `One row of ${rig.screen.rows}, window to ${units.show('depth', 1.2 * depthM, 0)}`,
      answer: `${units.show('small', waterPerRow(1.2 * depthM, rig.screen.rows))} of water, half of that at ×2`,
    },
    {
      question: `False beds at ${Number(rig.fastestPingRate.toFixed(1))} pings a second`,
      answer:
        late.length === 0
          ? 'none: all echoes are back in time'
          : late
              .map((f) => `the ${EACH[f.bedEcho - 1]} bed echo at ${units.show('depth', f.rangeM)}`)
              .join(', '),
    },
  ];
}

/** How a bracket is to be turned so that the face is level. */
export function shimWords(alongRad: number, athwartRad: number): string {
  const part = (rad: number, more: string, less: string): string | null =>
    Math.abs(radToDeg(rad)) < 0.5 ? null : `${Math.abs(radToDeg(rad)).toFixed(1)}° ${rad > 0 ? more : less}`;
  const parts = [
    part(alongRad, 'down at the front', 'down at the back'),
    part(athwartRad, 'to starboard', 'to port'),
  ].filter((p) => p !== null);
  return parts.length === 0 ? 'Level within half a degree.' : `Turn the bracket ${parts.join(' and ')}.`;
}
