import type { Brief } from '@/core/advice';
import { footprintAt, type Rig, type Unit } from '@/core/rig';
import { radToDeg } from '@/core/units';
import { DEFAULT_EXCESS_NOISE_DB } from '@/core/water';
import type { Units } from '../units';
import { decimal } from '@/ui/decimal';

/** The pages of Boat. */
export type BoatPage = 'depth' | 'fitted' | 'screen' | 'places' | 'level' | 'noise' | 'mount' | 'boats';

/** Leaning less than this counts as level, degrees. */
const LEVEL_DEG = 0.5;

function leanWords({ alongRad, athwartRad }: Rig['mount']): string {
  const [ahead, aside] = [radToDeg(alongRad), radToDeg(athwartRad)];
  if (Math.max(Math.abs(ahead), Math.abs(aside)) < LEVEL_DEG) return 'Set level. Check it afloat.';
  const parts = [
    Math.abs(ahead) < LEVEL_DEG ? null : `${decimal(Math.abs(ahead), 1)}° ${ahead > 0 ? 'ahead' : 'astern'}`,
    Math.abs(aside) < LEVEL_DEG
      ? null
      : `${decimal(Math.abs(aside), 1)}° to ${aside > 0 ? 'port' : 'starboard'}`,
  ].filter((part) => part !== null);
  return `The beams lean ${parts.join(' and ')}.`;
}

/** The state of each page in one line. */
export function boatStates(rig: Rig, unit: Unit, brief: Brief, units: Units): Record<BoatPage, string> {
  const first = rig.faces[0]!;
  const told = Object.keys(unit.scales).length;
  return {
    depth: `At ${units.show('depth', brief.toM, 0)} the ${first.label} covers ${units.height(footprintAt(first, brief.toM).athwartM)}.`,
    fitted: rig.faces.map((f) => f.label).join(', '),
    screen: `${unit.screen.rows} rows, ${unit.screen.columns} columns. ${told === 0 ? 'No scale told yet.' : `${told} ${told === 1 ? 'scale' : 'scales'} told.`}`,
    places: 'Antenna, transducers, rod and stern on a drawing.',
    level: leanWords(rig.mount),
    noise:
      rig.excessNoiseDb === DEFAULT_EXCESS_NOISE_DB
        ? 'Your boat’s noise is assumed, not measured.'
        : 'Your boat’s noise is measured.',
    mount: 'What a loose, tilted or churned mount draws.',
    boats: `In use: ${rig.name}.`,
  };
}
