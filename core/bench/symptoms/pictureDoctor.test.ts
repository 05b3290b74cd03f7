import { FIRST_BRIEF, startSetup, type Brief } from '@/core/advice';
import type { Picture, Settings } from '@/core/picture';
import { drawPicture } from '@/core/picture/drawing';
import { readRecording } from '@/core/reading';
import { durationOf, recordingOf } from '@/core/recording';
import { faceOf, GENERIC_RIG, screenOf } from '@/core/rig';
import { screenRecording } from '@/core/screenPicture';
import { simulate } from '@/core/sounder';
import { MADE_RAMPS, renderedScreen, type ScreenLook } from '@/core/testing/renderedScreen';
import { soundingRequest } from '../benchPass';
import { briefPass, type PassSpec } from '../passSource';
import { diagnose } from './pictureDoctor';
import { symptomCase } from './symptomCase';
import type { Symptom } from './symptom';

const LOOKS: Pick<ScreenLook, 'width' | 'height' | 'ramp' | 'ground' | 'corners' | 'noise' | 'overlays'>[] = [
  {
    width: 860,
    height: 560,
    ...MADE_RAMPS[0]!,
    corners: [
      [20, 30],
      [760, 30],
      [760, 530],
      [20, 530],
    ],
    noise: 0,
    overlays: true,
  },
  {
    width: 1000,
    height: 700,
    ...MADE_RAMPS[2]!,
    corners: [
      [70, 60],
      [880, 40],
      [890, 640],
      [60, 620],
    ],
    noise: 3,
    overlays: false,
  },
];
const COLUMNS = 480;

const drawn = new Map<string, { picture: Picture; speedMps: number }>();

function pictureOf({ source, rig }: PassSpec, settings: Settings): { picture: Picture; speedMps: number } {
  const key = JSON.stringify([source, settings]);
  let made = drawn.get(key);
  if (!made) {
    if (source.kind === 'recording') throw new Error('made water only');
    const pings = recordingOf([simulate(soundingRequest(source, rig, settings))]);
    const screen = { rows: screenOf(rig).rows, columns: COLUMNS };
    const picture = drawPicture(pings, settings, screen, durationOf(pings));
    drawn.set(key, (made = { picture, speedMps: pings.stretches[0]!.navigation.speedMps[0]! }));
  }
  return made;
}

/** What the doctor says of a pass drawn with settings, shown on a made-up screen and photographed. */
function saidOf(pass: PassSpec, settings: Settings, look: (typeof LOOKS)[number]): Symptom[] {
  const { rig } = pass;
  const { picture, speedMps } = pictureOf(pass, settings);
  const { columns, columnsFilled, timeS } = picture;
  const acrossS = ((timeS[columns - 1]! - timeS[columns - columnsFilled]!) * columns) / columnsFilled;
  const shown = renderedScreen(picture, { ...look, now: 'right', seed: 1 }, acrossS, speedMps);
  const face = faceOf(rig, settings.faceId);
  const recording = screenRecording(shown.image, shown.calibration, face, 'own');
  return diagnose(recording, readRecording(recording, face.id), rig, settings);
}

const start = startSetup(FIRST_BRIEF, GENERIC_RIG).settings;
const byHand: Settings = { ...start, gainMode: 'manual' };

describe.each(LOOKS)('a picture of a screen $width pixels wide', (look) => {
  // Each fault stands on one of both; forty screens with all of them are asked about by `npm run accuracy`.
  const photo = look.noise > 0;
  const planted: [Symptom, PassSpec, Settings][] = [
    [
      'bed-one-colour',
      briefPass(FIRST_BRIEF, GENERIC_RIG, 3),
      { ...byHand, colourSpreadDb: byHand.colourSpreadDb / 3 },
    ],
    ['specks', briefPass(FIRST_BRIEF, GENERIC_RIG, 4), { ...byHand, gainDb: byHand.gainDb + 12 }],
    ...(['nothing-drawn', 'dashes', 'bars', 'fish-tiny', 'marks-too-long', 'brush-needle'] as const).map(
      (symptom): [Symptom, PassSpec, Settings] => {
        const { pass, settings } = symptomCase(symptom, GENERIC_RIG, 4).before;
        return [symptom, pass, settings];
      },
    ),
  ];
  it.each(planted.filter((_, k) => (k % 3 === 0) === photo))(
    'names %s first where it was planted',
    (symptom, pass, settings) => expect(saidOf(pass, settings, look)[0]).toBe(symptom),
  );
  const goods: Partial<Brief>[] = [{}, { fromM: 8, toM: 20 }, { bed: 'silt' }, { windMps: 6 }];
  it('asks for nothing where the settings are good', () => {
    const asked = goods.slice(photo ? 2 : 0, photo ? 4 : 2).filter((change, k) => {
      const brief = { ...FIRST_BRIEF, ...change };
      const { settings } = startSetup(brief, GENERIC_RIG);
      return saidOf(briefPass(brief, GENERIC_RIG, 7 + k), settings, look).length > 0;
    });
    expect(asked).toEqual([]);
  });
});
