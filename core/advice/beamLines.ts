import {
  detectionRange,
  facePulse,
  footprintWidth,
  LOW_POWER_DB,
  verdictOf,
  type Face,
  type Rig,
} from '@/core/rig';
import { boatInWaves } from '@/core/water';
import { targetOf, type Brief } from './brief';
import { hiddenOverBed, predict, type Prediction } from './prediction';
import type { Habits, Practice } from './practices';
import { debatedLine, plainLine, type Because, type Choice, type Pins, type SetupLine } from './setupLine';

/** Shallower than this some find one frequency cleaner than a sweep, m (about 30 ft). */
const SHALLOW_M = 9;

const swept = (face: Face): boolean => facePulse(face).kind === 'swept';
const isCone = (p: Prediction): boolean => p.face.beam.shape === 'cone';
const factsOf = (p: Prediction) => ({ coverM: p.coverM[1], deepestM: p.deepestM, marginDb: p.marginDb });
const strongest = (list: readonly Prediction[]): Prediction =>
  list.reduce((a, b) => (b.marginDb > a.marginDb ? b : a));

/** The cones a pulse practice would choose from, where a rig has both kinds. */
function byPulse(
  cones: readonly Prediction[],
  brief: Brief,
  practice: Practice<'pulse'>,
): readonly Prediction[] {
  const single = practice === 'single-in-shallows' && brief.toM < SHALLOW_M;
  const kept = cones.filter((p) => swept(p.face) !== single);
  return kept.length > 0 ? kept : cones;
}

/** A kind that lies on the bed is looked for with a beam that hides no more than this over it, m. */
const MOST_HIDDEN_M = 0.5;

/** What one way of choosing gives. */
interface Chosen {
  prediction: Prediction;
  because: Because;
}

function chooseFace(
  brief: Brief,
  all: readonly Prediction[],
  cones: readonly Prediction[],
  practice: Practice<'beam'>,
): Chosen {
  const asked = all.find((p) => p.face.id === brief.faceId);
  if (asked) return { prediction: asked, because: { rule: 'beam-chosen', ...factsOf(asked) } };
  const best = strongest(cones.length > 0 ? cones : all);
  if (practice === 'strongest')
    return { prediction: best, because: { rule: 'beam-one-for-all', ...factsOf(best) } };
  const { rollRad } = boatInWaves(brief.windMps);
  // A beam the boat rolls out of sees what is under it only now and then.
  const able = cones.filter((p) => verdictOf(p.marginDb) === 'clear' && p.face.beam.athwartRad / 2 > rollRad);
  if (able.length === 0) return { prediction: best, because: { rule: 'beam-strongest', ...factsOf(best) } };
  const hidden = (p: Prediction): number => hiddenOverBed(brief, p);
  const near = targetOf(brief).keeps === 'bed' ? able.filter((p) => hidden(p) <= MOST_HIDDEN_M) : [];
  const widestOf = (list: readonly Prediction[]): Prediction =>
    list.reduce((a, b) => (b.face.beam.athwartRad > a.face.beam.athwartRad ? b : a));
  if (brief.presentation !== 'vertical' && near.length > 0 && near.length < able.length) {
    const chosen = widestOf(near);
    return {
      prediction: chosen,
      because: {
        rule: 'beam-sees-to-the-bed',
        ...factsOf(chosen),
        hiddenM: hidden(chosen),
        otherHiddenM: hidden(widestOf(able)),
      },
    };
  }
  const width = (p: Prediction): number => p.face.beam.athwartRad;
  const narrow = brief.presentation === 'vertical' || brief.presentation === 'deep-drop';
  const chosen = able.reduce((a, b) => ((narrow ? width(b) < width(a) : width(b) > width(a)) ? b : a));
  const other = cones.find((p) => p !== chosen);
  return {
    prediction: chosen,
    because: {
      rule: narrow ? 'beam-narrowest-that-shows' : 'beam-widest-that-shows',
      ...factsOf(chosen),
      otherCoverM: other ? other.coverM[1] : null,
      swingM: brief.toM * Math.tan(rollRad),
      hiddenM: hidden(chosen),
    },
  };
}

/** What the imaging slice is for, by each practice; null on a rig without one. */
function imagingChoices(
  all: readonly Prediction[],
  cone: Prediction,
  depthM: number,
): Record<Practice<'imaging'>, Choice> | null {
  const slices = all.filter((p) => !isCone(p));
  if (slices.length === 0) return null;
  const choice = (p: Prediction, rule: 'imaging-confirms' | 'imaging-shows-more' | 'imaging-for-cover') => ({
    value: p.face.frequencyHz,
    because: {
      rule,
      ...factsOf(p),
      alongM: footprintWidth(depthM, p.face.beam.alongRad),
      coneCoverM: cone.coverM[1],
    },
  });
  const widest = slices.reduce((a, b) => (b.face.beam.athwartRad > a.face.beam.athwartRad ? b : a));
  const finest = slices.reduce((a, b) => (b.face.frequencyHz > a.face.frequencyHz ? b : a));
  return {
    confirms: choice(strongest(slices), 'imaging-confirms'),
    'shows-more': choice(widest, 'imaging-shows-more'),
    'shows-fewer': choice(finest, 'imaging-for-cover'),
  };
}

/** The beam of a setup and what goes with it. */
export interface BeamPart {
  lines: { beam: SetupLine; imaging: SetupLine | null; power: SetupLine; pulse: SetupLine };
  prediction: Prediction;
  /** The other faces, for comparison. */
  others: readonly Prediction[];
  power: 'full' | 'low';
}

/** Bed nearer than this overloads the receiver at full power, m (about 10 ft). */
const NEAR_BED_M = 3;

/** Beam, imaging, power and pulse for a brief. */
export function beamFor(brief: Brief, rig: Rig, habits: Habits, pins: Pins): BeamPart {
  const all = rig.faces.map((face) => predict(brief, rig, face));
  const cones = byPulse(all.filter(isCone), brief, habits.pulse ?? 'swept');
  const ways = {
    'by-task': chooseFace(brief, all, cones, 'by-task'),
    strongest: chooseFace(brief, all, cones, 'strongest'),
  };
  const { prediction: full } = ways[habits.beam ?? 'by-task'];
  const low = weaker(full);
  const powers: Record<Practice<'power'>, Choice> = {
    'by-depth':
      brief.toM < NEAR_BED_M
        ? { value: LOW_POWER_DB, because: { rule: 'power-near-bed', bedM: brief.toM } }
        : brief.clarity === 'silty' && verdictOf(low.marginDb) === 'clear'
          ? {
              value: LOW_POWER_DB,
              because: { rule: 'power-silt', lostDb: -LOW_POWER_DB, deepestM: low.deepestM },
            }
          : { value: 0, because: { rule: 'power-full', gainedDb: -LOW_POWER_DB } },
    full: { value: 0, because: { rule: 'power-full', gainedDb: -LOW_POWER_DB } },
    filtered: {
      value: LOW_POWER_DB,
      because: { rule: 'power-filtered', lostDb: -LOW_POWER_DB, deepestM: low.deepestM },
    },
  };
  const power = debatedLine('power', habits, pins, powers);
  const imaging = imagingChoices(all, full, brief.toM);
  const used = power.value < 0 ? low : full;
  // How deep a beam shows the fish hangs on the power it is sent with.
  const atPower = ({ prediction, because }: Chosen): Choice => ({
    value: prediction.face.frequencyHz,
    because:
      prediction.face === used.face
        ? ({ ...because, deepestM: used.deepestM, marginDb: used.marginDb } as Because)
        : because,
  });
  return {
    lines: {
      beam: debatedLine('beam', habits, pins, {
        'by-task': atPower(ways['by-task']),
        strongest: atPower(ways.strongest),
      }),
      imaging: imaging && debatedLine('imaging', habits, pins, imaging),
      power,
      pulse: pulseLine(all.filter(isCone), brief, full, habits, pins),
    },
    prediction: used,
    others: all.filter((p) => p !== full),
    power: power.value < 0 ? 'low' : 'full',
  };
}

/** Swept or single, where the rig has both; else what its one kind of pulse tells apart. */
function pulseLine(
  cones: readonly Prediction[],
  brief: Brief,
  chosen: Prediction,
  habits: Habits,
  pins: Pins,
): SetupLine {
  const gapM = chosen.budget.resolutionM;
  const kinds = new Set(cones.map((p) => swept(p.face)));
  if (kinds.size < 2) return plainLine('pulse', pins, { value: gapM, because: { rule: 'pulse-only', gapM } });
  const of = (practice: Practice<'pulse'>): Choice => {
    const mine = strongest(byPulse(cones, brief, practice));
    const other = strongest(cones.filter((p) => swept(p.face) !== swept(mine.face)));
    return {
      value: mine.budget.resolutionM,
      because: {
        rule: swept(mine.face) ? 'pulse-swept' : 'pulse-single-shallow',
        gapM: mine.budget.resolutionM,
        otherGapM: other.budget.resolutionM,
      },
    };
  };
  return debatedLine('pulse', habits, pins, {
    swept: of('swept'),
    'single-in-shallows': of('single-in-shallows'),
  });
}

/** The same face at filtered power: everything it sends is weaker by as much. */
function weaker(p: Prediction): Prediction {
  const budget = { ...p.budget, sourceLevelDb: p.budget.sourceLevelDb + LOW_POWER_DB };
  const marginDb = p.marginDb + LOW_POWER_DB;
  return {
    ...p,
    budget,
    marginDb,
    verdict: verdictOf(marginDb),
    deepestM: detectionRange(budget, p.targetStrengthDb),
  };
}
