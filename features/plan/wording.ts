import type {
  Because,
  Brief,
  Clarity,
  Control,
  Keeps,
  Pinnable,
  Presentation,
  School,
  SetupLine,
  Verdict,
} from '@/core/advice';
import { isPinnable, targetOf } from '@/core/advice';
import { calibrateChart, toUnit, UNIT_CONTROLS, type UnitControl } from '@/core/picture';
import type { Face } from '@/core/rig';
import type { UnitState } from '@/stores';
import type { Units } from '../units';

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

export const CONTROL_WORDS: Record<Control, string> = {
  range: 'Range',
  lookNoDeeper: 'Look no deeper',
  beam: 'Frequency',
  imaging: 'Imaging slice',
  power: 'Power',
  pulse: 'Pulse',
  gain: 'Gain',
  firstColour: 'First colour',
  colourSpread: 'Colour spread',
  otherSounders: 'Other sounders',
  noiseRejection: 'Noise rejection',
  topWater: 'Top water',
  tvg: 'Gain by depth (TVG)',
  pingRate: 'Ping rate',
  chartSpeed: 'Chart speed',
  zoom: 'Zoom',
  boatSpeed: 'Boat speed',
  size: 'Judge size',
};

export const VERDICT_WORDS: Record<Verdict, string> = { clear: 'clear', just: 'just there', lost: 'lost' };

export const frequencyWords = (hz: number): string => `${Number((hz / 1000).toFixed(0))}\u00a0kHz`;
export const faceWords = (face: Pick<Face, 'label'>): string => face.label;
export const db = (x: number): string => `${x < 0 ? '−' : ''}${Math.abs(Math.round(x))}\u00a0dB`;
const percent = (share: number): string => {
  const p = share * 100;
  return `${p < 0.1 ? 'under 0.1' : Number(p.toPrecision(2))}\u00a0%`;
};
const perSecond = (x: number): string => `${Number(x.toFixed(1))}\u00a0a second`;

/** What the user has told of their own unit: its scales, and two timings of its chart. */
export interface OwnUnit {
  unit: UnitState;
  columns: number;
}

/** A control the unit profile knows as well. */
const unitControl = (control: Control): UnitControl | null =>
  (UNIT_CONTROLS as readonly string[]).includes(control) ? (control as UnitControl) : null;

/** A value as the user's own unit shows it, in its own word; null until they have told how it counts. */
export function onOwnUnit(control: Control, value: number, { unit, columns }: OwnUnit): string | null {
  const known = unitControl(control);
  const scale = known && unit.profile[known];
  if (!known || !scale) return null;
  let shown = toUnit(known, scale, value);
  if (known === 'chartSpeed' && unit.chart) {
    const [a, b] = unit.chart;
    try {
      const wanted = calibrateChart(columns, scale.lowest, scale.highest, a, b).shownFor(value);
      const steps = Math.round((wanted - scale.lowest) / scale.step);
      shown = Math.min(scale.highest, Math.max(scale.lowest, scale.lowest + steps * scale.step));
    } catch {
      // Timings taken for another screen: the scale alone is used.
    }
  }
  const number = String(Number(shown.toFixed(4)));
  // Where a unit's gain begins nobody knows but its user: the number is a place to start the ritual from.
  return known === 'gain' ? `about ${number}, then to the first specks` : number;
}

/** The value of a line in words: on the user's own unit where they have told its scale, else in plain measures. */
export function lineValue(
  line: Pick<SetupLine, 'control' | 'value' | 'because'>,
  units: Units,
  face: Face,
  own: OwnUnit,
): string {
  const { control, value, because } = line;
  const asTold = because.rule === 'gain-auto-offset' ? null : onOwnUnit(control, value, own);
  if (asTold !== null) return asTold;
  switch (control) {
    case 'range':
      return because.rule === 'range-around-fish'
        ? units.band('depth', because.topM, value, 0)
        : because.rule === 'range-auto'
          ? 'auto'
          : `0–${units.show('depth', value, 0)}`;
    case 'lookNoDeeper':
      return units.show('depth', value, 0);
    case 'beam':
      return value === face.frequencyHz ? faceWords(face) : frequencyWords(value);
    case 'imaging':
      return frequencyWords(value);
    case 'power':
      return value === 0 ? 'full' : 'filtered';
    case 'pulse':
      return because.rule === 'pulse-swept' ? 'swept' : `${units.height(value)} long`;
    case 'tvg':
      return value === 40 ? 'for fish' : value === 20 ? 'for layers' : 'off';
    case 'gain':
      if (because.rule === 'gain-auto-offset') return 'auto';
      return because.rule === 'pinned' ? `${value > 0 ? '+' : ''}${db(value)}` : 'to the first specks';
    case 'firstColour':
      return value === 0 ? 'at its lowest' : `up ${db(value)}`;
    case 'colourSpread':
      return db(value);
    case 'otherSounders':
      return value === 0 ? 'off' : `${value} of 3`;
    case 'noiseRejection':
      return value === 0 ? 'off' : `${value} of 8`;
    case 'topWater':
      return value === 0 ? 'off' : `${value} of 10`;
    case 'pingRate':
      return perSecond(value);
    case 'chartSpeed':
      return `${Number(value.toFixed(1))} columns\u00a0a second`;
    case 'zoom':
      return because.rule === 'zoom-bed-lock' ? 'locked to the bed' : 'none';
    case 'boatSpeed':
      return value < 0.05 ? 'still' : units.show('speed', value);
    case 'size':
      return because.rule === 'size-by-height'
        ? 'by height'
        : because.rule === 'size-by-dot'
          ? 'by the dot'
          : because.rule === 'size-bait-or-game'
            ? 'bait or game'
            : 'by strength';
  }
}

/** A pinned value of a control, as a number in its own measure. */
export function pinWords(control: Pinnable, value: number, units: Units): string {
  switch (control) {
    case 'range':
    case 'lookNoDeeper':
      return units.show('depth', value, 0);
    case 'gain':
    case 'firstColour':
    case 'colourSpread':
      return db(value);
    case 'pingRate':
      return perSecond(value);
    case 'chartSpeed':
      return `${Number(value.toFixed(1))} columns\u00a0a second`;
    default:
      return String(value);
  }
}

const reach = (b: { deepestM: number; marginDb: number }, units: Units): string =>
  `this fish shows to ${units.show('depth', b.deepestM, 0)} straight below`;

/** The reason of a line as it stands: of a held one, what the rule would have instead. */
export const lineReason = ({ control, because }: SetupLine, units: Units): string =>
  because.rule === 'pinned' && isPinnable(control)
    ? `You hold this; the rule would have ${pinWords(control, because.insteadOf, units)}. The rest is worked out around it.`
    : becauseWords(because, units);

/** The reason of a line, with its numbers in the user's units. */
export function becauseWords(b: Because, units: Units): string {
  const depth = (m: number, decimals?: number): string => units.show('depth', m, decimals);
  switch (b.rule) {
    case 'pinned':
      return 'You hold this; the rest is worked out around it. Let go to have the rule’s own again.';
    case 'imaging-confirms':
      return `To confirm what the cone finds: a slice ${depth(b.alongM)} thin and ${depth(b.coverM, 0)} wide at the bed; ${reach(b, units)}. What one has and the other lacks is itself evidence.`;
    case 'imaging-shows-more':
      return `It covers ${depth(b.coverM, 0)} to the sides against the cone’s ${depth(b.coneCoverM, 0)}, so it may show more fish, as dots; ${reach(b, units)}.`;
    case 'imaging-for-cover':
      return `For cover and bed, which it draws crisp at ${depth(b.alongM)} thin; soft things fade as frequency rises, so it shows fewer fish: ${reach(b, units)}. Take fish from the cone.`;
    case 'pulse-only':
      return `Two things closer than ${units.height(b.gapM)} over each other are drawn as one.`;
    case 'pulse-swept':
      return `A sweep tells two fish apart from ${units.height(b.gapM)}, a single frequency from ${units.height(b.otherGapM)}.`;
    case 'pulse-single-shallow':
      return `In the shallows some find one frequency cleaner: it tells two fish apart from ${units.height(b.gapM)}, the sweep from ${units.height(b.otherGapM)}.`;
    case 'look-no-deeper':
      return `Past the bed at ${depth(b.bedM, 0)} and short of its second echo at ${depth(b.secondM, 0)}, so that the unit never takes that for the bed.`;
    case 'zoom-none':
      return `The whole window: ${units.show('small', b.rowM)} of water a row is fine enough.`;
    case 'zoom-bed-lock':
      return `This kind lies on the bed: a window ${depth(b.heightM, 0)} over it shows ${units.show('small', b.rowM)} of water a row instead of ${units.show('small', b.fullRowM)}. What swims higher is not seen.`;
    case 'power-silt':
      return `Filtered in silt, where full power lights up the water itself: ${db(b.lostDb)} less echo; ${reach({ deepestM: b.deepestM, marginDb: 0 }, units)}.`;
    case 'other-sounders-two-steps':
      return 'Two steps, since there are others in earshot: drops what one or two pings have and their neighbours lack. Fast and small marks may go with it.';
    case 'size-by-strength':
      return `By the strongest colour: this kind gives ${db(b.lowDb)} to ${db(b.highDb)}. One pass is off by a factor of ${b.factor.toFixed(1)} in length: where in the beam it passed, and how it lay.`;
    case 'size-by-height':
      return `By the mark’s height, as many do: but ${units.height(b.pulseM)} of it is the pulse, whatever the fish, and the body is ${units.height(b.bodyM)} high. It tells more about level than size.`;
    case 'size-by-dot':
      return `By the brightness of the imaging dot, held against dots at the same depth: few pings, so it varies much. A fish gets ${b.pings === Infinity ? 'as many pings as you wait for' : `${Math.round(b.pings)} pings in the cone`}, fewer in a slice.`;
    case 'size-bait-or-game':
      return `Only bait or game fish: this kind stands ${db(b.apartDb)} over a bait fish of ${units.show('small', b.baitM, 0)}, which one look can tell.`;
    case 'beam-widest-that-shows':
      return `The widest beam that still shows it: covers ${depth(b.coverM, 0)} of bed${b.otherCoverM === null ? '' : ` against ${depth(b.otherCoverM, 0)}`}; ${reach(b, units)}.`;
    case 'beam-narrowest-that-shows':
      return `The narrowest, so that what is drawn is under you: covers ${depth(b.coverM)} of bed${b.otherCoverM === null ? '' : ` against ${depth(b.otherCoverM, 0)}`}; ${reach(b, units)}.`;
    case 'beam-strongest':
      return `No beam shows this fish clearly at the bed; this one comes nearest: ${reach(b, units)}.`;
    case 'beam-chosen':
      return `Your choice: covers ${depth(b.coverM, b.coverM < 10 ? 1 : 0)} of bed; ${reach(b, units)}.`;
    case 'range-bed-and-margin':
      return `Bed at ${depth(b.bedM, 0)} and ${depth(b.marginM, 1)} below it for its tail. One screen row is ${units.show('small', b.rowM)} of water.`;
    case 'range-least':
      return `The least that still shows the bed at ${depth(b.bedM, 0)}: ${units.show('small', b.rowM)} of water a row. Change it as the bed falls.`;
    case 'range-one-for-all':
      return `One range for all waters of this depth, so that a mark's size always means the same: ${units.show('small', b.rowM)} of water a row.`;
    case 'range-around-fish':
      return `A window from ${depth(b.topM, 0)} down: ${units.show('small', b.rowM)} of water a row, and the mess at the top is off the screen. What swims higher is not seen.`;
    case 'range-auto':
      return `The unit follows the bed, near ${units.show('small', b.rowM)} of water a row at ${depth(b.bedM, 0)}. It rescales as it goes, so sizes cannot be compared from minute to minute.`;
    case 'beam-one-for-all':
      return `One beam for all you do, the one that shows most: covers ${depth(b.coverM, 0)} of bed; ${reach(b, units)}.`;
    case 'power-near-bed':
      return `Filtered over a bed as near as ${depth(b.bedM)}: at full power its echo overloads the receiver.`;
    case 'power-full':
      return `Full: ${db(b.gainedDb)} more echo than filtered, for small fish and deep ones; gain makes it no stronger against the noise.`;
    case 'power-filtered':
      return `Filtered, with gain to make up: calmer in silt and over hard shallow bed, ${db(b.lostDb)} less echo; ${reach({ deepestM: b.deepestM, marginDb: 0 }, units)}.`;
    case 'gain-auto-offset':
      return 'The unit sets it, you the offset: little work. It moves with engine noise and speed, so one fish looks different idling and drifting.';
    case 'gain-under-way':
      return `Fixed where it stays clean with the engine in gear, ${db(b.louderDb)} louder than now; the fish stands ${db(b.targetOverBottomDb)} over the weakest colour, and looks alike all day.`;
    case 'noise-some':
      return 'The least that takes lone specks. A mark of three cells stays; a fish of one cell goes with the specks.';
    case 'tvg-fish-alike':
      return `One fish is drawn alike at every depth: ${db(b.madeUpDb)} more for the deepest than for the shallowest. Noise grows with depth as well.`;
    case 'tvg-water-alike':
      return `Layers and bait are drawn alike at every depth, ${db(b.madeUpDb)} from the shallowest to the deepest; a lone fish pales as it goes deeper.`;
    case 'tvg-none':
      return 'Nothing is made up for: noise is even from top to bottom, shallow things are strong. Make up for depth with gain.';
    case 'chart-by-rule':
      return `By the rule of thumb for this speed: ${units.show('small', b.columnM, 0)} of way a column against ${units.show('small', b.rowM)} of water a row. The screen holds ${Math.round(b.historyS)}\u00a0s.`;
    case 'chart-drawn-out':
      return `Twice true shape, to draw small marks out; columns beyond ${perSecond(b.pings)} repeat a ping. The screen holds ${Math.round(b.historyS)}\u00a0s.`;
    case 'gain-few-specks':
      return `Leaves ${percent(b.share)} of open water at the foot of the window in specks; the fish stands ${db(b.targetOverBottomDb)} over the weakest colour.`;
    case 'first-colour-back-a-touch':
      return `Back a touch from the specks: ${percent(b.share)} of open water are left.`;
    case 'first-colour-leave-haze':
      return `Left at the weakest: ${percent(b.share)} of open water stay as a little haze, and a soft fish on a slice is hardly more. Gain first, then the colours, then gain again; sharpening adds nothing real.`;
    case 'spread-hard-bed-at-top':
      return `A hard bed at ${units.show('depth', b.depthM, 0)} stands ${db(b.bedOverBottomDb)} over the weakest colour: it just fills the strongest one, so a soft bed looks different. This fish lies ${Math.round(b.part * 100)}\u00a0% up the colours.`;
    case 'spread-target-not-too-pale':
      return `No wider, so that this fish keeps ${Math.round(b.part * 100)}\u00a0% of the colours and is not too pale. A hard bed at ${units.show('depth', b.depthM, 0)}, ${db(b.bedOverBottomDb)} over the weakest colour, fills the strongest.`;
    case 'ping-rate-clear-of-late-bed':
      return `Faster than ${perSecond(b.limit)}, one of ${b.bedEchoes} bed echoes strong enough to be heard would come back into the next ping and draw a false bed.`;
    case 'ping-rate-fastest':
      return `As fast as your unit goes; late echoes of ${b.bedEchoes} bed bounces stay clear up to ${perSecond(b.limit)}.`;
    case 'chart-one-to-one':
      return `One column is ${units.show('small', b.columnM)} of way, about one row of water (${units.show('small', b.rowM)}), so shapes are true. The screen holds ${Math.round(b.historyS)}\u00a0s.`;
    case 'chart-column-a-ping':
      return b.columnM > 0.005
        ? `A column a ping, the fastest that is not repetition: ${units.show('small', b.columnM, 0)} of way a column against ${units.show('small', b.rowM)} of water a row. The screen holds ${Math.round(b.historyS)}\u00a0s.`
        : `A column a ping: sitting still, the chart is time only. The screen holds ${Math.round(b.historyS)}\u00a0s.`;
    case 'noise-least':
      return 'None to start with: it takes small fish with the specks. Raise it only as far as the specks trouble you.';
    case 'other-sounders-one-step':
      return 'Drops what one ping has and its neighbours lack. A true mark is in several pings, so the first step costs nothing.';
    case 'top-water-above-fish':
      return `Clears wind bubbles to ${depth(b.reachM)}, well above the shallowest fish at ${depth(b.shallowestM)}.`;
    case 'top-water-off':
      return 'Off: there is little wind to hide, or fish too near the top to spare.';
    case 'speed-enough-pings':
      return `A fish at the shallow end gets up to ${Math.round(b.pings)} pings, more than the 5 a shape needs; that holds to ${units.show('speed', b.fastestMps, 0)}.`;
    case 'speed-too-fast':
      return `Too fast for a shape: ${b.pings.toFixed(1)} pings on a fish at the shallow end. Slow to ${units.show('speed', b.fastestMps)}.`;
    case 'speed-still':
      return 'Sitting still: a fish draws as long as it stays in the beam.';
  }
}

/** What each school is called. */
export const SCHOOL_WORDS: Record<School, string> = {
  margin: 'bed and a margin',
  least: 'the least that shows the bed',
  'one-for-all': 'one range for all waters',
  'around-fish': 'a window about the fish',
  auto: 'the unit’s auto',
  'by-task': 'wide to search, narrow to fish down',
  strongest: 'one beam for everything',
  specks: 'by hand to the first specks',
  'auto-offset': 'auto with an offset',
  'under-way': 'fixed for under way',
  none: 'none',
  'least-that-does-it': 'the least that does it',
  'above-fish': 'down to above the fish',
  off: 'off',
  'fish-alike': 'a fish alike at every depth',
  'water-alike': 'layers alike at every depth',
  'by-depth': 'filtered over a near bed only',
  full: 'always full',
  filtered: 'always filtered',
  'true-to-shape': 'true to shape',
  'by-rule': 'by rule of thumb',
  'drawn-out': 'drawn out',
  confirms: 'to confirm the cone',
  'shows-more': 'it shows more fish',
  'shows-fewer': 'it shows fewer; for cover',
  swept: 'swept wherever there is one',
  'single-in-shallows': 'one frequency in the shallows',
  strength: 'by the strongest colour',
  height: 'by the mark’s height',
  dot: 'by the imaging dot',
  'bait-or-game': 'only bait or game fish',
};

/** Parts of the brief as it is read out: plain words and the pieces that can be changed. */
export type BriefPiece = 'species' | 'depth' | 'water' | 'presentation' | 'beam';

export function briefWords(brief: Brief, units: Units, face: Face | undefined): Record<BriefPiece, string> {
  const [low, high] = brief.lengthM;
  const layer = brief.thermoclineM === null ? '' : `, layer at ${units.show('depth', brief.thermoclineM, 0)}`;
  return {
    species: `${targetOf(brief).label} ${units.band('small', low, high, 0)}`,
    depth: units.band('depth', brief.fromM, brief.toM, 0),
    water: `${CLARITY_WORDS[brief.clarity]} ${brief.saltUnderM !== null ? 'fresh over salt' : brief.salinity < 1 ? 'fresh' : 'salt'} water, ${units.show('temperature', brief.temperatureC)}${layer}${brief.bed === 'unknown' ? '' : `, over ${BED_WORDS[brief.bed]}`}`,
    presentation:
      PRESENTATION_WORDS[brief.presentation].sentence +
      (brief.speedMps < 0.05 ? '' : ` at ${units.show('speed', brief.speedMps)}`),
    beam: face ? `the ${faceWords(face)} beam` : 'the beam that suits',
  };
}
