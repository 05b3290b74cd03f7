/** Writes a recording of two beams to a path: a pass of the demo water gone over again and again, for an hour or so many seconds. */
import { FIRST_BRIEF, startSetup } from '@/core/advice';
import { briefPass, soundingRequest } from '@/core/bench';
import { recordingOf } from '@/core/recording';
import { GENERIC_RIG } from '@/core/rig';
import { simulate } from '@/core/sounder';
import { repeated } from '@/core/testing/repeated';
import { saveRecording } from './recordings';

const HOUR_S = 3600;
const SEED = 5;
const [path, seconds = HOUR_S] = process.argv.slice(2);
if (!path) throw new Error('Say where the recording is to be written.');
const { source } = briefPass(FIRST_BRIEF, GENERIC_RIG, SEED);
if (source.kind === 'recording') throw new Error('made water only');
const { settings } = startSetup(FIRST_BRIEF, GENERIC_RIG);
const blend = { faceId: 'cone-200', share: 0.5 };
const stretch = simulate(
  soundingRequest(source, GENERIC_RIG, { ...settings, faceId: 'cone-83', blend, pingRate: 10 }),
);
const lengthS = stretch.navigation.timeS[stretch.navigation.timeS.length - 1]!;
void saveRecording(
  path,
  repeated(recordingOf([stretch]), Math.ceil(Number(seconds) / lengthS)),
  `simulated, seed ${SEED}`,
);
