import type { Cutaway } from '@/core/bench/cutaway';
import type { Units } from '../units';

/** A bend of the path less than this draws a line, m. */
const BEND_M = 0.15;
/** Aside by less than this is under the boat, m. */
const UNDER_M = 0.3;

const aside = (aheadM: number, portM: number, { show }: Units): string => {
  const parts: string[] = [];
  if (Math.abs(aheadM) >= UNDER_M)
    parts.push(`${show('depth', Math.abs(aheadM))} ${aheadM > 0 ? 'ahead' : 'astern'}`);
  if (Math.abs(portM) >= UNDER_M)
    parts.push(`${show('depth', Math.abs(portM))} to ${portM > 0 ? 'port' : 'starboard'}`);
  return parts.length > 0 ? parts.join(' and ') : 'right under the boat';
};

/** What made an echo and why it lies where it is drawn. */
export function madeWords({ made }: Cutaway, units: Units): string[] {
  const { show } = units;
  if (!made)
    return ['Open water: nothing here answers. What is drawn is noise, or an echo of an earlier ping.'];
  switch (made.kind) {
    case 'fish': {
      const { lengthM, depthM, aheadM, portM, rangeM, mark } = made.fish;
      const out = [
        `A fish of ${show('small', lengthM, 0)}, ${show('depth', depthM)} deep, ${aside(aheadM, portM, units)}.`,
        `The sound goes ${show('depth', rangeM)}, and so deep it is drawn.`,
      ];
      if (!mark) return out;
      const bend = Math.max(mark.fromM, mark.toM) - mark.nearestM;
      out.push(
        bend >= BEND_M
          ? `Its path is ${show('depth', mark.fromM)} as it enters the beam, ${show('depth', mark.nearestM)} at the nearest, ${show('depth', mark.toM)} as it leaves. That bend is the arch.`
          : 'Its path hardly changes while it is in the beam, so it draws a line.',
      );
      return out;
    }
    case 'bed':
      return made.belowM - made.nearestM >= BEND_M
        ? [
            `The bed. It lies ${show('depth', made.belowM)} below the boat, but the beam touches it first at ${show('depth', made.nearestM)}, aside.`,
            'What lies deeper inside the beam is hidden behind that first touch.',
          ]
        : [`The bed, ${show('depth', made.belowM)} below the boat.`];
    case 'cover':
      return [`Cover that stands on the bed; its top is ${show('depth', made.depthM)} deep.`];
    case 'bait':
      return [`A cloud of bait about ${show('depth', made.depthM)} deep: many small echoes at once.`];
    case 'gear':
      return [
        `Your own line: what hangs on it is ${show('depth', made.depthM)} deep and stays with the boat.`,
      ];
    case 'layer':
      return [`A layer of small life at ${show('depth', made.depthM)}. It is there over the whole water.`];
  }
}

/** What the section shows with nothing pointed at. */
export const sectionWords = ({ belowM, halfAlongRad, fish }: Cutaway, { show }: Units): string => {
  const showing = fish.filter((f) => f.shows).length;
  const wide = show('depth', 2 * belowM * Math.tan(Math.min(halfAlongRad, 1.4)));
  const there =
    fish.length === 0
      ? 'No fish is near.'
      : `${fish.length === 1 ? 'One fish is' : `${fish.length} fish are`} near; ${showing === 0 ? 'none' : showing} in the beam shows.`;
  return `The beam covers ${wide} of bed along the way. ${there} Point at an echo to see what made it.`;
};
