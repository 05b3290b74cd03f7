import {
  targetOf,
  type Brief,
  type Clarity,
  type Hour,
  type Keeps,
  type Presentation,
  type Season,
} from '@/core/advice';
import { lureUnderBoat } from '@/core/advice/lureEcho';
import type { Face } from '@/core/rig';
import type { Units } from '../units';
import { grams } from './numbers';

export const PRESENTATION_WORDS: Record<Presentation, { chip: string; sentence: string }> = {
  search: { chip: 'Search at idle', sentence: 'searching' },
  vertical: { chip: 'Sit and fish straight down', sentence: 'fishing straight down' },
  drift: { chip: 'Drift', sentence: 'drifting' },
  troll: { chip: 'Troll', sentence: 'trolling' },
  'deep-drop': { chip: 'Deep drop', sentence: 'dropping deep' },
  run: { chip: 'Run between spots', sentence: 'running' },
};

/** A phase as a page of the day. */
export const PHASE_WORDS: Record<Presentation, string> = {
  search: 'Search',
  vertical: 'Straight down',
  drift: 'Drift',
  troll: 'Troll',
  'deep-drop': 'Deep drop',
  run: 'Run',
};

export const KEEPS_WORDS: Record<Keeps, string> = {
  bed: 'on the bed',
  'near-bed': 'a little over the bed',
  cover: 'in cover',
  midwater: 'in open water',
  top: 'near the top',
};

export const CLARITY_WORDS: Record<Clarity, string> = { clear: 'clear', stained: 'stained', silty: 'silty' };

export const BED_WORDS: Record<Brief['bed'], string> = {
  unknown: 'bed not known',
  rock: 'rock',
  gravel: 'gravel',
  shell: 'shell',
  sand: 'sand',
  silt: 'silt',
  mud: 'mud',
};

export const HOUR_WORDS: Record<Hour, string> = { day: 'Day', dusk: 'Dusk or dawn', night: 'Night' };
const HOUR_IN: Record<Hour, string> = { day: '', dusk: ', at dusk', night: ', at night' };
export const SEASON_WORDS: Record<Season, string> = {
  spring: 'Spring',
  summer: 'Summer',
  autumn: 'Autumn',
  winter: 'Winter',
};

/** Parts of the brief as it is read out: plain words and the pieces that can be changed. */
export type BriefPiece = 'species' | 'depth' | 'water' | 'presentation' | 'beam';

export function briefWords(brief: Brief, units: Units, face: Face | undefined): Record<BriefPiece, string> {
  const [low, high] = brief.lengthM;
  const lure = lureUnderBoat(brief);
  const layer = brief.thermoclineM === null ? '' : `, layer at ${units.show('depth', brief.thermoclineM, 0)}`;
  return {
    species: `${targetOf(brief).label} ${units.band('small', low, high, 0)}`,
    depth:
      brief.fishToM === null
        ? units.band('depth', brief.fromM, brief.toM, 0)
        : `${units.band('depth', brief.fromM, brief.fishToM, 0)}, bed at ${units.show('depth', brief.toM, 0)}`,
    water: `${CLARITY_WORDS[brief.clarity]} ${brief.saltUnderM !== null ? 'fresh over salt' : brief.salinity < 1 ? 'fresh' : 'salt'} water, ${units.show('temperature', brief.temperatureC)}${layer}${brief.bed === 'unknown' ? '' : `, over ${BED_WORDS[brief.bed]}`}${brief.season ? `, in ${brief.season}` : ''}${HOUR_IN[brief.hour]}`,
    presentation:
      PRESENTATION_WORDS[brief.presentation].sentence +
      (brief.speedMps < 0.05 ? '' : ` at ${units.show('speed', brief.speedMps)}`) +
      (lure ? ` with ${grams(lure.massKg)} on the line` : ''),
    beam: face ? `the ${face.label} beam` : 'the beam that suits',
  };
}
