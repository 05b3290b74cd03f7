import { sampleGain, type FaultName, type Picture, type Settings } from '@/core/picture';
import {
  autoGain,
  filteredLevels,
  findFaults,
  metresPerPixel,
  pingFilters,
  shareBelowBed,
} from '@/core/picture/drawing';
import type { Reading } from '@/core/reading';
import { channelOf, withoutGain, type Recording } from '@/core/recording';
import { faceOf, lureInView, seenFrom, type Rig } from '@/core/rig';
import type { Symptom } from './symptom';

/** What a symptom is looked for in: the picture, its pings, what the reader makes of them, and the boat. */
export interface SymptomSigns {
  picture: Picture;
  settings: Settings;
  recording: Recording;
  /** May be worked out when it is first looked at. */
  readonly reading: Reading;
  rig: Rig;
}

/** Faults of the picture that are symptoms of their own. */
const FAULTS: Partial<Record<Symptom, FaultName>> = {
  specks: 'specks',
  'nothing-drawn': 'empty-water',
  dashes: 'slanting-dashes',
  bars: 'electrical-bars',
  'top-mess': 'surface-clutter',
  'bed-one-colour': 'solid-bed',
};

/** Share of the screen under the bed from which fish are drawn too small. */
export const MUCH_BELOW = 0.45;
/** Way a column over water a row: under this marks are drawn out, over the other squeezed. */
export const DRAWN_OUT = 0.45;
export const SQUEEZED = 6;
/** Seconds in the beam from which a mark is a line. */
const LINE_S = 8;
/** A rise of noise under way that hides fish, and a change of gain that changes their size, dB. */
const NOISE_RISE_DB = 2;
const GAIN_CHANGE_DB = 3;
/** Water a lure sinks through unseen, m; places this far apart put a mark aside, m. */
const UNSEEN_M = 1;
const APART_M = 0.5;
/** Wood that stands less than this over the water has lost its air, dB. */
const WEAK_COVER_DB = 36;

const meanOf = (list: readonly number[]): number =>
  list.length > 0 ? list.reduce((sum, x) => sum + x, 0) / list.length : NaN;

/** Columns in which the unit has lost the bed, or follows something else, as a share from which it counts as lost. */
const ASTRAY_SHARE = 0.2;
/** And how far off its line must be for that, as a share of the depth. */
const ASTRAY = 0.15;

function bedAstray({ picture, reading, recording }: SymptomSigns): boolean {
  const { timeS } = recording.stretches[0]!.navigation;
  const { columns, columnsFilled, bedM } = picture;
  let astray = 0;
  for (let c = columns - columnsFilled, p = 0; c < columns; c++) {
    while (p < timeS.length - 1 && timeS[p]! < picture.timeS[c]!) p++;
    const read = reading.bed.rangeM[p]!;
    if (!(Math.abs(bedM[c]! - read) <= ASTRAY * read)) astray++;
  }
  return astray >= ASTRAY_SHARE * columnsFilled;
}

/** Mean level of open water about a share of the pass, dB. */
function noiseAbout({ recording, settings, reading }: SymptomSigns, from: number, to: number): number {
  const channel = withoutGain(channelOf(recording.stretches[0]!, settings.faceId));
  const { pingCount, sampleCount, sampleStepM, levelDb } = channel;
  const levels: number[] = [];
  for (let p = Math.floor(from * pingCount); p < Math.floor(to * pingCount); p++) {
    const bed = reading.bed.rangeM[p]!;
    const last = Math.floor((0.8 * (bed > 0 ? bed : sampleCount * sampleStepM)) / sampleStepM);
    for (let j = Math.floor(0.6 * last); j < last; j += 3) levels.push(levelDb[p * sampleCount + j]!);
  }
  return meanOf(levels);
}

function gainChangeDb({ recording, settings, reading }: SymptomSigns): number {
  if (settings.gainMode !== 'auto') return 0;
  const stretch = recording.stretches[0]!;
  const channel = withoutGain(channelOf(stretch, settings.faceId));
  const level = filteredLevels(pingFilters(channel, settings));
  const gain = autoGain(
    channel,
    level,
    sampleGain(channel, settings),
    reading.bed.rangeM,
    stretch.navigation.timeS,
  );
  return Math.max(...gain) - Math.min(...gain);
}

const speedOf = ({ recording }: SymptomSigns): number =>
  meanOf([...recording.stretches[0]!.navigation.speedMps].map(Math.abs));

/** Whether a picture and its pings have a symptom. @throws RangeError for a face the rig has not */
export function hasSymptom(symptom: Symptom, signs: SymptomSigns): boolean {
  const { picture, settings, rig, recording } = signs;
  const fault = FAULTS[symptom];
  if (fault) return findFaults(picture, settings).some((f) => f.name === fault);
  switch (symptom) {
    case 'second-bed':
      return signs.reading.named.some((n) => n.kind === 'false-bed');
    case 'bed-lost':
      return bedAstray(signs);
    case 'fish-tiny':
      return shareBelowBed(picture) >= MUCH_BELOW;
    case 'marks-too-long':
      return metresPerPixel(picture, speedOf(signs)).ratio < DRAWN_OUT;
    case 'brush-needle':
      return metresPerPixel(picture, speedOf(signs)).ratio > SQUEEZED;
    case 'only-lines': {
      const { timeS } = recording.stretches[0]!.navigation;
      const long = signs.reading.findings
        .filter((f) => f.kind === 'fish')
        .map((f) => timeS[f.toPing]! - timeS[f.fromPing]! >= LINE_S);
      return long.length > 0 && long.filter(Boolean).length > long.length / 2;
    }
    case 'half-arches':
      return signs.reading.missingLeg !== null;
    case 'gone-at-speed':
      return noiseAbout(signs, 0.8, 1) - noiseAbout(signs, 0, 0.15) >= NOISE_RISE_DB;
    case 'size-changes':
      return gainChangeDb(signs) >= GAIN_CHANGE_DB;
    case 'straight-row':
      return signs.reading.named.some((n) => n.kind === 'own-gear');
    case 'spikes-at-lure':
      return signs.reading.named.some((n) => n.kind === 'bubbles');
    case 'lure-late': {
      const view = lureInView(faceOf(rig, settings.faceId), rig.mount, rig.positions.rod);
      return view === null || view.fromM >= UNSEEN_M;
    }
    case 'old-wood':
      return signs.reading.findings.every((f) => f.kind !== 'cover' || f.overBackgroundDb < WEAK_COVER_DB);
    default: {
      const { antenna } = seenFrom(rig, settings.faceId).positions;
      return Math.hypot(antenna.x, antenna.y) >= APART_M;
    }
  }
}
