import { type Control, type GainShows, type Pinnable, type SetupLine } from '@/core/advice';
import { calibrateChart, toUnit, UNIT_CONTROLS, type UnitControl } from '@/core/picture';
import type { Face, Unit } from '@/core/rig';
import type { Units } from '../units';
import { db, frequencyWords, perSecond, signedDb } from './numbers';
import { decimal } from '@/ui/decimal';

/** What the user has told of their own unit: its scales, and two timings of its chart. */
export type OwnUnit = Pick<Unit, 'scales' | 'chart' | 'screen'>;

/** A control the unit profile knows as well. */
const unitControl = (control: Control): UnitControl | null =>
  (UNIT_CONTROLS as readonly string[]).includes(control) ? (control as UnitControl) : null;

/** A value as the user's own unit shows it, in its own word; null until they have told how it counts. */
export function onOwnUnit(
  control: Control,
  value: number,
  { scales, chart, screen }: OwnUnit,
): string | null {
  const known = unitControl(control);
  const scale = known && scales[known];
  if (!known || !scale) return null;
  let shown = toUnit(known, scale, value);
  if (known === 'chartSpeed' && chart) {
    const [a, b] = chart;
    try {
      const wanted = calibrateChart(screen.columns, scale.lowest, scale.highest, a, b).shownFor(value);
      const steps = Math.round((wanted - scale.lowest) / scale.step);
      shown = Math.min(scale.highest, Math.max(scale.lowest, scale.lowest + steps * scale.step));
    } catch {
      // Timings taken for another screen: the scale alone is used.
    }
  }
  const number = String(Number(shown.toFixed(4)));
  // Where a unit's gain begins nobody knows but its user: the number is a place to start the ritual from.
  return known === 'gain' ? `about ${number}` : number;
}

/** What tells the eye that the gain is there. */
const GAIN_SHOWS_WORDS: Record<GainShows, string> = {
  specks: 'to first specks',
  'fish midway': 'to mid colours',
  'fish in weaker colours': 'to weaker colours',
};

/** Gain as it is set on the water: by what is then seen. */
const GAIN_WORDS: Partial<Record<SetupLine['because']['rule'], string>> = {
  'gain-under-way': 'clean in gear',
  'gain-big-only': 'big fish only',
  'gain-show-lure': 'until the lure shows',
};

/** Spreads under the first are called narrow, at the second and over it wide, dB. */
const NARROW_SPREAD_DB = 30;
const WIDE_SPREAD_DB = 45;

const spreadWords = (spreadDb: number): string =>
  spreadDb < NARROW_SPREAD_DB ? 'narrow' : spreadDb < WIDE_SPREAD_DB ? 'middling' : 'wide';

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
      return value === face.frequencyHz ? face.label : frequencyWords(value);
    case 'imaging':
      return frequencyWords(value);
    case 'power':
      return value === 0 ? 'full' : 'low';
    case 'pulse':
      return because.rule === 'pulse-swept' ? 'swept' : `${units.height(value)} long`;
    case 'tvg':
      return value === 40 ? 'for fish' : value === 20 ? 'for layers' : 'off';
    case 'gain':
      if (because.rule === 'gain-auto-offset') return 'auto';
      if (because.rule === 'gain-by-eye') return GAIN_SHOWS_WORDS[because.shows];
      return because.rule === 'pinned' ? signedDb(value) : (GAIN_WORDS[because.rule] ?? 'to first specks');
    case 'firstColour':
      if (because.rule === 'pinned') return db(value);
      if (because.rule === 'first-colour-tried') return 'up a bit more';
      return because.rule === 'first-colour-leave-haze' ? 'leave a haze' : 'up a touch';
    case 'colourSpread':
      return because.rule === 'pinned' ? db(value) : spreadWords(value);
    case 'otherSounders':
      return value === 0 ? 'off' : `${value} of 3`;
    case 'noiseRejection':
      return value === 0 ? 'off' : `${value} of 8`;
    case 'topWater':
      return value === 0 ? 'off' : `${value} of 10`;
    case 'pingRate':
      return perSecond(value);
    case 'chartSpeed':
      return perSecond(value);
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
      return `${decimal(value, 1)} columns\u00a0a second`;
    default:
      return String(value);
  }
}
