import { bedEchoesHeard } from '@/core/advice';
import {
  blindHeight,
  type BoatPlace,
  coneSpan,
  type Face,
  faceBudget,
  falseBeds,
  type Footprint,
  footprintAt,
  lureInView,
  placeFromFace,
  placeOfFace,
  pointingAt,
  type Rig,
  screenOf,
  showsFace,
  waterPerRow,
} from '@/core/rig';
import { soundSpeedOf, type Water } from '@/core/water';
import { radToDeg } from '@/core/units';
import type { Units } from '../units';
import { decimal } from '@/ui/decimal';

/** A question and its answer in one line. */
export interface Answer {
  question: string;
  answer: string;
}

/** What is asked about: a bed at a depth, under a slope, a fish over it, and so many pings a second. */
export interface Asked {
  depthM: number;
  fishM: number;
  slopeRad: number;
  pingRate: number;
}

/** Of the bed echoes, as over gravel: what a late echo can come from. */
const BED = 'gravel';

const EACH = ['first', 'second', 'third', 'fourth'] as const;

/** A length, or the two it lies between where the cone is not known. */
const spread = (units: Units, widths: readonly number[]): string => {
  const [low, high] = [Math.min(...widths), Math.max(...widths)];
  return high - low < 0.02 * high ? units.height(high) : `${units.height(low)} to ${units.height(high)}`;
};

/** The face as it is, or, where its cone is not known, at its narrowest and widest. */
function asItMayBe(rig: Rig, face: Face): readonly Face[] {
  if (face.beam.shape !== 'cone' || !rig.unsureCones.includes(face.id)) return [face];
  return coneSpan(face.beam.athwartRad).map((rad) => ({
    ...face,
    beam: { ...face.beam, alongRad: rad, athwartRad: rad },
  }));
}

/** A circle, or a strip. */
const coverWords = (face: Face, feet: readonly Footprint[], units: Units): string =>
  face.beam.shape === 'cone'
    ? `a circle ${spread(
        units,
        feet.map((f) => f.athwartM),
      )} wide`
    : `a strip ${units.height(feet[0]!.alongM)} by ${units.height(feet[0]!.athwartM)}`;

/** What one beam does at a depth, in the user's units. */
export function beamAnswers(rig: Rig, face: Face, asked: Asked, water: Water, units: Units): Answer[] {
  const { depthM, fishM, slopeRad } = asked;
  const faces = asItMayBe(rig, face);
  const feet = faces.map((f) => footprintAt(f, depthM));
  const atFish = faces.map((f) => footprintAt(f, fishM));
  const fish = units.show('depth', fishM, 0);
  const rod = placeFromFace(rig, face.id, rig.positions.rod);
  const antenna = placeFromFace(rig, face.id, rig.positions.antenna);
  const lures = faces.map((f) => lureInView(f, rig.mount, rod));
  const c = soundSpeedOf(water);
  const unsure = faces.length > 1;
  const atBow = rig.units.some((u) => u.station === 'bow' && showsFace(u, face.id));
  // A boat whose only unit stands at the stern may still be fished from the bow.
  const readAtBow = atBow || rig.units.length === 1;
  const bowM = rig.positions.stern.x + rig.lengthM - placeOfFace(rig, face.id).x;
  return [
    ...(unsure
      ? [
          {
            question: 'Its cone is not known',
            answer: `reckoned from ${faces.map((f) => `${Math.round(radToDeg(f.beam.athwartRad))}°`).join(' to ')}; a weight moved aside tells (under Transducers)`,
          },
        ]
      : []),
    { question: 'Covers on the bed', answer: coverWords(face, feet, units) },
    { question: `Covers at ${fish}`, answer: coverWords(face, atFish, units) },
    {
      question: `A fish at ${fish} can be`,
      answer: `up to ${spread(
        units,
        atFish.map((f) => f.offLineM),
      )} to either side`,
    },
    {
      question: 'Your lure comes into view',
      answer: lures.map((lure) => lureWords(lure, units)).reduce((a, x) => (a === x ? a : `${a}, or ${x}`)),
    },
    {
      question: `Hidden over a slope of ${Math.round(radToDeg(slopeRad))}°`,
      answer: `the lowest ${spread(
        units,
        faces.map((f) => blindHeight(f, depthM, slopeRad, c)),
      )}`,
    },
    ...(readAtBow
      ? [
          {
            question: 'Read at the bow, this water lies',
            answer: bowM < 0.3 ? 'under you' : `${units.height(bowM)} behind you`,
          },
        ]
      : []),
    { question: 'A mark set from the antenna is off by', answer: offWords(antenna, units) },
  ];
}

/** From where a lure is seen. */
const lureWords = (lure: ReturnType<typeof lureInView>, units: Units): string =>
  lure === null
    ? 'never, dropped there'
    : lure.fromM === 0
      ? 'at once'
      : `from ${units.show('depth', lure.fromM)}${lure.toM === null ? '' : `, and is lost again at ${units.show('depth', lure.toM)}`}`;

/** How far apart two places of the boat are. */
const offWords = ({ x, y }: BoatPlace, units: Units): string =>
  Math.hypot(x, y) < 0.05 ? 'nothing' : units.height(Math.hypot(x, y));

/** What holds for the boat and its screen at a depth. */
export function boatAnswers(rig: Rig, { depthM, pingRate }: Asked, water: Water, units: Units): Answer[] {
  const { forwardM, portM, tooDeepM } = pointingAt(rig.mount, depthM);
  const aside = Math.hypot(forwardM, portM);
  const c = soundSpeedOf(water);
  const face = rig.faces[0]!;
  const heard = bedEchoesHeard(faceBudget(rig, face, water), depthM, BED);
  const late = falseBeds(depthM, pingRate, c, heard);
  return [
    {
      question: 'The beams look',
      answer:
        aside < 0.01 * depthM
          ? 'straight down'
          : `${units.height(Math.abs(forwardM))} ${forwardM >= 0 ? 'ahead' : 'astern'}${Math.abs(portM) > 0.01 * depthM ? `, ${units.height(Math.abs(portM))} to ${portM >= 0 ? 'port' : 'starboard'}` : ''}; a level bed is drawn ${units.height(tooDeepM)} too deep`,
    },
    {
      question: `One row of ${screenOf(rig).rows}, window to ${units.show('depth', 1.2 * depthM, 0)}`,
      answer: `${units.show('small', waterPerRow(1.2 * depthM, screenOf(rig).rows))} of water, half of that at ×2`,
    },
    {
      question: `False beds at ${decimal(pingRate, 1)} pings a second`,
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
    Math.abs(radToDeg(rad)) < 0.5 ? null : `${decimal(Math.abs(radToDeg(rad)), 1)}° ${rad > 0 ? more : less}`;
  const parts = [
    part(alongRad, 'down at the front', 'down at the back'),
    part(athwartRad, 'to starboard', 'to port'),
  ].filter((p) => p !== null);
  return parts.length === 0 ? 'Level within half a degree.' : `Turn the bracket ${parts.join(' and ')}.`;
}
