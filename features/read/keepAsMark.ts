import type { Finding } from '@/core/reading';
import type { MarkKind } from '@/core/logbook/day';
import { footprintWidth } from '@/core/rig';
import { keepMark, passStore, type PassReading } from '@/stores';

/** A place of a pass is good to this, m, besides the width of the beam. */
const PLACE_M = 3;

const KIND: Record<Finding['kind'], MarkKind> = { fish: 'fish', cloud: 'bait', cover: 'cover' };

/** Whether findings of a pass have places: a picture of a screen has none. */
export const hasPlaces = (): boolean => {
  const { source } = passStore.getState().pass;
  return !(source.kind === 'recording' && source.placeless === true);
};

/** Keeps a finding as a mark of the day that is going on, to be gone back to on Deck. */
export function keepAsMark(finding: Finding, reading: PassReading): void {
  const { pass, settings } = passStore.getState();
  const at = reading.reading.findings.indexOf(finding);
  const kept = reading.marks[at];
  const face = pass.rig.faces.find((f) => f.id === settings.faceId);
  if (!kept) return;
  const { latitudeDeg, longitudeDeg } = kept;
  const beamM = face ? Math.sqrt(2 / 3) * (footprintWidth(finding.rangeM, face.beam.athwartRad) / 2) : 0;
  const bedM = reading.reading.bed.rangeM[finding.fromPing]!;
  keepMark(
    {
      atS: Date.now() / 1000,
      kind: KIND[finding.kind],
      latitudeDeg,
      longitudeDeg,
      errorM: Math.hypot(PLACE_M, beamM),
      cause: beamM > PLACE_M ? 'beam' : 'position',
      depthM: bedM > 0 ? bedM : null,
      heightM: finding.kind === 'cover' ? finding.heightM : null,
      schoolId: null,
      note: reading.facts.title.slice(0, 200),
    },
    pass.source.kind !== 'recording',
    'Kept as a mark. Deck shows the way back to it.',
  );
}
