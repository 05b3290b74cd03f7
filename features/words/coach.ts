import type { CoachSaying } from '@/core/advice/coach';
import type { BitePattern } from '@/core/logbook/bitePattern';
import type { SchoolDrift } from '@/core/marks';
import type { Units } from '../units';
import { ANGLE_WORDS, SIDE_WORDS } from './deck';
import { perSecond } from './numbers';

const POINTS = [
  'north',
  'north-east',
  'east',
  'south-east',
  'south',
  'south-west',
  'west',
  'north-west',
] as const;

/** A bearing in words: `north-east`. */
export const pointWords = (rad: number): string => POINTS[Math.round((rad / (2 * Math.PI)) * 8) % 8]!;

export const degreesWords = (rad: number): string => `${Math.round((rad * 180) / Math.PI) % 360}°`;

/** One sentence of the coach, and why. */
export function coachWords(
  { name, measured, limit, better }: CoachSaying,
  { show }: Units,
): [string, string] {
  switch (name) {
    case 'shallow':
      return [
        `Shallow: ${show('depth', measured)}.`,
        `You asked to be warned under ${show('depth', limit)}.`,
      ];
    case 'off-spot':
      return ['You are slipping off the spot.', `It lies ${show('depth', measured, 0)} away.`];
    case 'voltage-low':
      return [`The battery is low: ${measured.toFixed(1)} V.`, 'Under this a sounder loses power and range.'];
    case 'bed-at-foot':
      return [
        `Range: to ${show('depth', better!, 0)}.`,
        `The bed is at ${show('depth', measured)}, at the foot of the picture.`,
      ];
    case 'range-too-deep':
      return [
        `Range: to ${show('depth', better!, 0)}.`,
        `The picture goes to ${show('depth', measured, 0)}, the bed is at ${show('depth', limit)}.`,
      ];
    case 'false-bed':
      return [
        `Ping rate: to ${perSecond(better!)}.`,
        `At this depth late echoes may draw a false bed at ${show('depth', limit)}.`,
      ];
    case 'reference':
      return [
        `A reference lies ${show('depth', measured, 0)} ahead.`,
        'Over it check colours and chart speed: you know what it is.',
      ];
    case 'too-fast':
      return [
        `Slow down to ${show('speed', limit)}.`,
        `At ${show('speed', measured)} a fish gets too few pings for an arch.`,
      ];
    case 'chart-speed':
      return [
        `Chart speed: ${measured > limit ? 'up' : 'down'}.`,
        `It was set for ${show('speed', limit)}; you go ${show('speed', measured)}.`,
      ];
    case 'level':
      return [
        measured > 0 ? 'Weight forward: the bow is up.' : 'Weight aft: the bow is down.',
        `The beam looks ${degreesWords(Math.abs(measured))} ${measured > 0 ? 'ahead' : 'astern'}. Marks lie off.`,
      ];
  }
}

/** A share of ten as people say it: `1 in 20`. */
const oneIn = (chance: number): string => `1 in ${Math.max(2, Math.round(1 / Math.max(chance, 1e-3)))}`;

/** What bites share, and how likely chance alone does that. */
export function patternWords(pattern: BitePattern, { band }: Units): [string, string] {
  const what = [
    ...(pattern.depths ? [`at ${band('depth', pattern.depths.fromM, pattern.depths.toM)}`] : []),
    ...(pattern.side ? [SIDE_WORDS[pattern.side].toLowerCase()] : []),
    ...(pattern.angle ? [ANGLE_WORDS[pattern.angle].toLowerCase()] : []),
    ...(pattern.lure ? [`on ${pattern.lure}`] : []),
  ];
  return [
    `${pattern.count} of ${pattern.of} ${what.join(', ')}.`,
    `Chance alone does that about ${oneIn(pattern.chance)} times.`,
  ];
}

/** Where a school goes, how fast, and how sure that is. */
export function driftWords(drift: SchoolDrift, { show, band }: Units): [string, string] {
  if (drift.towardsHalfRad === null)
    return [
      'It cannot be told yet whether the school moves.',
      `At most ${show('speed', drift.speedToMps)}. Mark it again in some minutes.`,
    ];
  return [
    `The school goes ${pointWords(drift.towardsRad)}, ${show('speed', drift.speedMps)}.`,
    `Likely ${band('speed', drift.speedFromMps, drift.speedToMps)}, give or take ${degreesWords(drift.towardsHalfRad)}.`,
  ];
}
