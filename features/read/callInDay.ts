import type { Bite, Call } from '@/core/logbook/day';
import type { Finding } from '@/core/reading';
import { keepCall, noteDayCaught, passStore, type PassReading } from '@/stores';

const calledAs = (finding: Finding): Call['what'] =>
  finding.kind === 'fish'
    ? 'fish'
    : finding.kind === 'cloud'
      ? 'bait'
      : finding.cover === 'weed'
        ? 'weed'
        : 'cover';

/** What a call of the reader's is kept with: how sure it is, over what water, from which beam. */
function callOf(finding: Finding, { reading }: PassReading): Pick<Call, 'sure' | 'depthM' | 'beam'> {
  const { pass, settings } = passStore.getState();
  const bedM = reading.bed.rangeM[finding.fromPing]!;
  return {
    sure: finding.confidence,
    depthM: bedM > 0 ? bedM : null,
    beam: pass.rig.faces.find((f) => f.id === settings.faceId)?.label.slice(0, 60) ?? '',
  };
}

const simulated = (): boolean => passStore.getState().pass.source.kind !== 'recording';

/** Keeps a finding as a call of the reader's, to be proved on Deck like one's own. */
export const callInDay = (finding: Finding, reading: PassReading): void =>
  keepCall(
    { ...callOf(finding, reading), what: calledAs(finding), by: 'reader' },
    simulated(),
    'Called. Prove it on Deck, under Day.',
  );

/** A finding that was caught, in the day that is going on. @returns what takes it back */
export const noteCaught = (
  finding: Finding,
  reading: PassReading,
  caught: Pick<Bite, 'species' | 'lengthM'>,
): (() => void) =>
  noteDayCaught(callOf(finding, reading), { ...caught, depthM: finding.rangeM }, simulated());
