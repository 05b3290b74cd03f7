import type { Picture, Settings } from '@/core/picture';
import { drawPicture } from '@/core/picture/drawing';
import { readRecording, type Reading } from '@/core/reading';
import { durationOf, recordingOf } from '@/core/recording';
import { screenOf, type Rig } from '@/core/rig';
import { simulate } from '@/core/sounder';
import { soundingRequest } from '../benchPass';
import { hasSymptom } from './detectSymptom';
import type { Symptom } from './symptom';
import { symptomCase, type SymptomCase } from './symptomCase';

export interface SymptomView {
  picture: Picture;
  /** Whether the symptom is found in it. */
  there: boolean;
}

/** Columns a symptom is shown on: half a screen is enough to know it by. */
const COLUMNS = 320;
/** Gain is turned up until a symptom shows, in such steps and at most so many, dB. */
const LOUDER_DB = 4;
const MOST_STEPS = 6;

function viewOf(
  symptom: Symptom,
  { pass, settings: set }: SymptomCase['before'],
  palette: Settings['palette'],
): SymptomView {
  const { source, rig } = pass;
  if (source.kind === 'recording') throw new RangeError('symptom: its water is always simulated');
  const settings = { ...set, palette };
  const recording = recordingOf([simulate(soundingRequest(source, rig, settings))]);
  const screen = { rows: screenOf(rig).rows, columns: COLUMNS };
  const picture = drawPicture(recording, settings, screen, durationOf(recording));
  let reading: Reading | null = null;
  const signs = {
    picture,
    settings,
    recording,
    rig,
    get reading() {
      return (reading ??= readRecording(recording, settings.faceId));
    },
  };
  return { picture, there: hasSymptom(symptom, signs) };
}

/** A symptom on this boat before and after its remedy, and the case it comes from; `after` is null where nothing mends it. */
export function seeSymptom(
  symptom: Symptom,
  rig: Rig,
  palette: Settings['palette'],
): { shown: SymptomCase; before: SymptomView; after: SymptomView | null } {
  let shown = symptomCase(symptom, rig);
  let before = viewOf(symptom, shown.before, palette);
  for (let k = 1; k <= MOST_STEPS && !before.there; k++) {
    const louder = symptomCase(symptom, rig, k * LOUDER_DB);
    if (louder.before.settings.gainDb === shown.before.settings.gainDb) break;
    shown = louder;
    before = viewOf(symptom, shown.before, palette);
  }
  return { shown, before, after: shown.after && viewOf(symptom, shown.after, palette) };
}
