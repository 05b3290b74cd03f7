import type { Expectation, Prediction } from '@/core/advice';
import type { MarkShape } from '@/core/reading';
import type { Units } from '../units';
import { faceWords, db, VERDICT_WORDS } from './wording';

/** What a mark is called, in a sentence. Under a boat that keeps still there is no edge to clip: the mark comes and goes. */
function shapeWords(shape: MarkShape, still: boolean): string {
  switch (shape) {
    case 'nothing':
      return 'nothing';
    case 'arch':
      return 'an arch';
    case 'half':
      return 'a half (one leg)';
    case 'clip':
      return still ? 'a line in pieces' : 'a clip';
    default:
      return `a ${shape}`;
  }
}

/** Shares are said in tenths: finer they are not known. */
const tenths = (share: number): string => `${Math.round(10 * share)} in 10`;

/** How sure the shape is, and what comes next. */
function likelyWords({ likely, rival, inConeS }: Expectation): string {
  const still = inConeS === Infinity;
  if (rival === null || rival.likely < 0.05) return 'Hardly any way it may lie and fade changes that.';
  return `That is ${tenths(likely)} of the ways it may lie and fade; next is ${shapeWords(rival.shape, still)}, ${tenths(rival.likely)}.`;
}

/** What the fish will look like, in sentences. */
export function expectationWords(e: Expectation, units: Units): string[] {
  const at = `A fish at ${units.show('depth', e.depthM, 0)} under your line`;
  const still = e.inConeS === Infinity;
  const shapes = e.promised.map((shape) => shapeWords(shape, still)).join(' or ');
  if (e.shape === 'nothing')
    return [
      e.promised.length > 1
        ? `${at} is at the edge of what shows: ${shapes}.`
        : e.marginDb < e.needDb
          ? `${at} is not shown: its echo stays under the noise.`
          : `${at} is a speck like any other at this speed: too few pings meet it.`,
      likelyWords(e),
    ];
  if (e.hidden)
    return [
      `${at} is heard, but this gain and first colour leave it out. Give it more gain or a lower first colour.`,
    ];
  const rise =
    e.riseRows >= 1
      ? `it comes ${units.height(e.riseM)} nearer and goes away again, ${Math.round(e.riseRows)} rows`
      : 'it is flat: its rise is less than a row';
  const cone = Math.round((e.effectiveRad * 180) / Math.PI);
  const thick = `${Math.max(1, Math.round(e.rows))} rows thick`;
  const drawn = still
    ? `${at} draws ${shapes} for as long as it stays in a cone of ${cone}°, ${thick}.`
    : `${at} draws ${shapes}: ${Math.max(1, Math.round(e.columns))} columns wide, ${thick}; ${rise}. It stays ${Number(e.inConeS.toPrecision(2))}\u00a0s, ${Math.round(e.pings)} pings, in a cone that for this fish is ${cone}°.`;
  return [
    drawn,
    likelyWords(e),
    `Two fish over each other show as two from ${units.height(e.gapM)} apart; the lowest ${units.height(e.hiddenM)} over the bed are hidden.`,
    e.secondEcho
      ? 'A hard bed shows its second echo, where the range reaches that far.'
      : 'Not even a hard bed shows a second echo: judge it by the first.',
  ];
}

/** The prediction of a face in a sentence. */
export function predictionWords(p: Prediction, units: Units): string {
  const edge = units.show('depth', p.deepestM, 0);
  return p.verdict === 'lost'
    ? `${faceWords(p.face)}: lost at the bed; shows to ${edge}.`
    : `${faceWords(p.face)}: ${VERDICT_WORDS[p.verdict]} all the way down; shows to ${edge}.`;
}

export const predictionNumbers = (p: Prediction): string =>
  `Echo ${db(p.marginDb)} over noise on the axis at the bed (10\u00a0dB needed to be told from it); source level ${db(p.budget.sourceLevelDb)}, target ${db(p.targetStrengthDb)}, noise ${db(p.budget.noiseLevelDb)}.`;
