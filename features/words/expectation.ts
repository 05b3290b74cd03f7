import { CONTROLS, LEAST_MARK_ARCMIN2 } from '@/core/picture';
import {
  deepestFishOf,
  midFishOf,
  type Brief,
  type Expectation,
  type Prediction,
  type Setup,
} from '@/core/advice';
import { gainForLure, lureSight, type LureEcho } from '@/core/advice/lureEcho';
import type { MarkShape } from '@/core/reading';
import { LOW_POWER_DB, verdictOf, type Verdict } from '@/core/rig';
import { decimal } from '@/ui/decimal';
import type { Units } from '../units';
import { db, grams, outOfTen } from './numbers';
import { PRACTICE_WORDS } from './practices';

export const VERDICT_WORDS: Record<Verdict, string> = { clear: 'clear', faint: 'faint', lost: 'lost' };

/** What a mark is called, in a sentence. Under a boat that keeps still there is no edge to clip: the mark comes and goes. */
function shapeWords(shape: MarkShape, still: boolean): string {
  switch (shape) {
    case 'nothing':
      return 'nothing';
    case 'arch':
      return 'an arch';
    case 'half':
      return 'half an arch, one leg only';
    case 'clip':
      return still ? 'a line in pieces' : 'a clip, short and flat';
    case 'line':
      return 'a flat line';
    case 'dash':
    case 'dot':
      return still ? `a row of ${shape === 'dot' ? 'dots' : 'dashes'}` : `a ${shape}`;
    default:
      return `a ${shape}`;
  }
}

/** What to expect of a setup: a verdict, a sentence or three, and what else is worth knowing. */
export interface ExpectationWords {
  verdict: Verdict;
  lines: string[];
  details: string[];
}

/** What would show a fish this beam does not: another beam, or full power; where nothing does, how deep this one shows it. */
function whatWould(brief: Brief, { prediction, others, settings }: Setup, units: Units): string {
  const depthM = midFishOf(brief);
  const better = others
    .filter((p) => p.deepestM >= depthM && p.marginDb > prediction.marginDb)
    .reduce<Prediction | null>((best, p) => (best && best.marginDb >= p.marginDb ? best : p), null);
  const depth = (m: number): string => units.show('depth', m, 0);
  if (better) return `The ${better.face.label} beam shows it down to ${depth(better.deepestM)}.`;
  if (settings.power === 'low' && verdictOf(prediction.marginDb - LOW_POWER_DB) !== 'lost')
    return 'On full power you would see it.';
  return `No beam of yours shows it that deep. This one shows it down to ${depth(prediction.deepestM)}.`;
}

const seconds = (s: number): string => {
  const shown = decimal(s, s < 3 ? 1 : 0);
  return `${shown}\u00a0${shown === '1' ? 'second' : 'seconds'}`;
};

/** What is seen of the lure under the boat. */
function lureWords(echo: LureEcho, { settings }: Setup, units: Units): string {
  const lure = `Your ${grams(echo.massKg)} lure`;
  const at = units.show('depth', echo.depthM, 0);
  switch (lureSight(echo, settings)) {
    case 'shows':
      return echo.inViewFromM! > 0
        ? `${lure} shows from ${units.show('depth', echo.inViewFromM!, 1)} down.`
        : `${lure} shows all the way down.`;
    case 'hidden': {
      const gainDb = gainForLure(echo, settings.power, settings.firstColourDb);
      return gainDb > CONTROLS.gain.highest
        ? `${lure} is too small to show at ${at}.`
        : `This gain hides your ${grams(echo.massKg)} lure at ${at}. Under Gain, “${PRACTICE_WORDS['show-lure']}” turns it up.`;
    }
    case 'lost':
      return `${lure} is too small for this beam at ${at}.`;
    case 'outside':
      return `${lure} hangs outside this beam at ${at}. Keep the rod tip within ${units.show('depth', echo.reachM, 1)} of the transducer.`;
  }
}

/** What the hour changes. */
const HOUR_WORDS: Record<Brief['hour'], string | null> = {
  day: null,
  dusk: 'At dusk bait comes apart and small life rises. Expect more haze.',
  night: 'At night bait is spread out: expect single marks, few clouds. Small life makes more haze.',
};
/** What the season changes. */
const SEASON_WORDS: Record<NonNullable<Brief['season']>, string> = {
  spring: 'In spring the water is mixed: no layer holds the fish. Look at every depth.',
  summer: 'In summer fish often keep to the layer. It can look like a soft bed.',
  autumn: 'In autumn the layer breaks up. Leaves and gas drift through the picture.',
  winter: 'In winter the water is clean and fish hardly move. Marks are long and flat under a still boat.',
};

/** How often it is so; shares are known to a tenth. */
const oftenWords = (share: number): string =>
  share >= 0.95 ? 'Expect this in nearly every pass.' : `Expect this in ${outOfTen(share)} passes.`;

function mainLines(brief: Brief, e: Expectation, setup: Setup, units: Units): string[] {
  const at = units.show('depth', e.depthM, 0);
  const still = e.inConeS === Infinity;
  if (e.planing) return ['At this speed you will miss single fish.', 'A shoal shows as a streak.'];
  if (e.shape === 'nothing' && e.promised.length === 1)
    return e.marginDb < e.needDb
      ? [`You will not see this fish at ${at}.`, whatWould(brief, setup, units)]
      : [`You will hardly see this fish at ${at}: too few pings meet it.`, 'Slow down, or use a wider beam.'];
  if (e.hidden) return ['This gain hides the fish.', 'Turn the gain up, or the first colour down.'];
  const shapes = e.promised.filter((s) => s !== 'nothing').map((s) => shapeWords(s, still));
  const maybe = e.promised.includes('nothing');
  return [
    maybe
      ? `At ${at} this fish may just show: ${shapes.join(' or ')}.`
      : `You should see ${shapes.join(' or ')}.`,
    still ? 'It lasts as long as the fish stays under you.' : `It takes ${seconds(e.inConeS)} to pass.`,
    ...(maybe
      ? [whatWould(brief, setup, units)]
      : [oftenWords(e.promised.length > 1 ? e.likely + (e.rival?.likely ?? 0) : e.likely)]),
  ];
}

/** What the fish will look like. */
export function expectationWords(brief: Brief, e: Expectation, setup: Setup, units: Units): ExpectationWords {
  const heard: Verdict = e.hidden || e.shape === 'nothing' ? 'lost' : verdictOf(e.marginDb);
  // A mark that is there but too small to see from where the user stands.
  const small = heard !== 'lost' && !e.planing && e.areaArcmin2 < LEAST_MARK_ARCMIN2;
  const verdict: Verdict = small && heard === 'clear' ? 'faint' : heard;
  const rows = (n: number): string => `${Math.max(1, Math.round(n))} ${Math.round(n) <= 1 ? 'row' : 'rows'}`;
  const details = [
    ...(e.shoals ? ['This kind swims in shoals. Expect a cloud more often than one fish.'] : []),
    ...(e.shape === 'nothing' || e.hidden
      ? []
      : [
          `The mark is ${rows(e.rows)} thick at its top, most of it the pulse.`,
          e.riseRows >= 1
            ? `Its legs hang ${units.height(e.riseM)} below its top.`
            : 'It is flat: its legs hang less than a row.',
        ]),
    `Two fish merge if they are closer than ${units.height(e.gapM)} in depth.`,
    `Fish within ${units.height(e.hiddenM)} of the bed are hidden.`,
    e.secondEcho
      ? 'A hard bed shows a second echo at twice its depth.'
      : 'Even a hard bed shows no second echo here. Judge it by the first.',
  ];
  const lines = mainLines(brief, e, setup, units);
  const hour = HOUR_WORDS[brief.hour];
  if (hour) details.push(hour);
  if (brief.season) details.push(SEASON_WORDS[brief.season]);
  if (e.lure) lines.push(lureWords(e.lure, setup, units));
  if (small) lines.push('It is small from where you stand. Zoom, or stand closer to the screen.');
  return { verdict, lines, details };
}

/** The prediction of a face in a sentence or two. */
export function predictionWords(brief: Brief, p: Prediction, units: Units): string {
  const down = `It shows this fish down to ${units.show('depth', p.deepestM, 0)}.`;
  return p.verdict === 'lost'
    ? `${p.face.label}: lost at ${units.show('depth', deepestFishOf(brief), 0)}. ${down}`
    : `${p.face.label}: ${VERDICT_WORDS[p.verdict]}. ${down}`;
}

export const predictionNumbers = (p: Prediction): string =>
  `Echo over noise ${db(p.marginDb)}, of which 10\u00a0dB are needed. Sent ${db(p.budget.sourceLevelDb)}, fish ${db(p.targetStrengthDb)}, noise ${db(p.budget.noiseLevelDb)}.`;
