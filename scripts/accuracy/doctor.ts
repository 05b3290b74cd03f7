import { FIRST_BRIEF, startSetup } from '@/core/advice';
import { soundingRequest } from '@/core/bench';
import { briefPass, type PassSpec } from '@/core/bench/passSource';
import { diagnose } from '@/core/bench/symptoms/pictureDoctor';
import type { Symptom } from '@/core/bench/symptoms/symptom';
import { symptomCase } from '@/core/bench/symptoms/symptomCase';
import type { Settings } from '@/core/picture';
import { drawPicture, findFaults } from '@/core/picture/drawing';
import { readRecording } from '@/core/reading';
import { durationOf, recordingOf } from '@/core/recording';
import { faceOf, GENERIC_RIG, screenOf } from '@/core/rig';
import { screenRecording } from '@/core/screenPicture';
import { simulate } from '@/core/sounder';
import { shownScreen, WATERS, type PanelShown } from './screens';

/** Columns a unit shows. */
const COLUMNS = 480;

/** A unit that is photographed for its specks or dashes is a little louder than it need be, dB. */
const LOUDER_DB = 4;
/** So much too much gain makes specks in most waters, dB. */
const TOO_LOUD_DB = 12;

/** Faults that are planted, each in a pass and settings that show it. */
const PLANTED = [
  'bed-one-colour',
  'specks',
  'nothing-drawn',
  'dashes',
  'bars',
  'fish-tiny',
  'marks-too-long',
  'brush-needle',
] as const satisfies readonly Symptom[];

interface Panel extends PanelShown {
  settings: Settings;
  planted: Symptom | null;
}

function panelOf({ source, rig }: PassSpec, settings: Settings, planted: Symptom | null): Panel {
  if (source.kind === 'recording') throw new Error('made water only');
  const pings = recordingOf([simulate(soundingRequest(source, rig, settings))]);
  const picture = drawPicture(
    pings,
    settings,
    { rows: screenOf(rig).rows, columns: COLUMNS },
    durationOf(pings),
  );
  const { columns, columnsFilled, timeS } = picture;
  return {
    picture,
    durationS: ((timeS[columns - 1]! - timeS[columns - columnsFilled]!) * columns) / columnsFilled,
    speedMps: pings.stretches[0]!.navigation.speedMps[0]!,
    face: faceOf(rig, settings.faceId),
    settings,
    planted,
  };
}

/** Water of the screens on a start setup set by hand. */
function goodPanel(water: number, seed: number, change: (start: Settings) => Partial<Settings>): Panel {
  const brief = { ...FIRST_BRIEF, othersNear: false, ...WATERS[water % WATERS.length]! };
  const start: Settings = { ...startSetup(brief, GENERIC_RIG).settings, gainMode: 'manual' };
  return panelOf(briefPass(brief, GENERIC_RIG, seed), { ...start, ...change(start) }, null);
}

function plantedPanel(n: number, seed: number): Panel {
  const planted = PLANTED[n % PLANTED.length]!;
  const water = Math.floor(n / PLANTED.length);
  switch (planted) {
    case 'bed-one-colour':
      return {
        ...goodPanel(water, seed, ({ colourSpreadDb }) => ({ colourSpreadDb: colourSpreadDb / 3 })),
        planted,
      };
    case 'specks':
      for (let louderDb = TOO_LOUD_DB; ; louderDb += LOUDER_DB) {
        const panel = goodPanel(water, seed, ({ gainDb }) => ({ gainDb: gainDb + louderDb }));
        // Water that is quiet enough bears more.
        if (findFaults(panel.picture, panel.settings).some((f) => f.name === 'specks'))
          return { ...panel, planted };
      }
    default: {
      const { pass, settings } = symptomCase(planted, GENERIC_RIG, LOUDER_DB).before;
      const { source } = pass;
      if (source.kind === 'recording') throw new Error('made water only');
      return panelOf({ ...pass, source: { ...source, seed } }, settings, planted);
    }
  }
}

/** What was asked of the doctor on a panel, and what was said first. */
export interface Diagnosis {
  planted: Symptom | null;
  first: Symptom | null;
}

/** What is said of the n-th screen, panel by panel: a fault on each, or none on any. */
export async function diagnosed(n: number, seed: number, good: boolean): Promise<Diagnosis[]> {
  const { kept, drawn } = await shownScreen(n, seed, (k) =>
    good ? goodPanel(n + k, seed + 11 * n + k, () => ({})) : plantedPanel(n + k, seed + 11 * n + k),
  );
  return drawn.map(({ pass: { face, settings, planted }, calibration }) => {
    const recording = screenRecording(kept, calibration, face, 'own');
    const [first = null] = diagnose(recording, readRecording(recording, face.id), GENERIC_RIG, settings);
    return { planted, first };
  });
}
