import { median } from '@/core/maths';
import type { FaultName, Settings } from '@/core/picture';
import { drawPicture, findFaults, metresPerPixel } from '@/core/picture/drawing';
import type { Reading } from '@/core/reading';
import { durationOf, type Recording } from '@/core/recording';
import { screenOf, type Rig } from '@/core/rig';
import { drawnAsItWas } from '@/core/screenPicture';
import { DRAWN_OUT, MUCH_BELOW, SQUEEZED } from './detectSymptom';
import type { Symptom } from './symptom';

/** Cells of a picture are pixels of a file, several to one of the unit's: drawn so much coarser, one echo is one cell again. */
const COARSER = 0.6;
/** A photo's strongest colour lies a little under the legend's end, dB. */
const UNDER_TOP_DB = 1.5;
/** Open water so full of specks that whatever else is found in it may be specks too; and dashes a hundred columns. */
const DROWNED = 0.3;
const DASHES_DROWNED = 30;
/** With no more specks than this, they are the short ones of the dashes. */
const SHORT_DASHES = 0.15;

/**
 * What is wrong with a picture of a screen, as symptoms, what is to be mended first in front. Levels are relative and the unit's own
 * settings unknown: only what shows on any picture is looked for.
 * @param recording of a picture, as screenRecording makes it
 * @param reading of the same
 * @param rig whose unit's screen it is
 * @param settings any: how the picture was drawn is not taken from them
 */
export function diagnose(recording: Recording, reading: Reading, rig: Rig, settings: Settings): Symptom[] {
  const [stretch] = recording.stretches;
  const channel = stretch!.channels[0]!;
  const { pingCount, sampleCount, sampleStepM, firstRangeM } = channel;
  const own = screenOf(rig);
  const screen = {
    rows: Math.min(Math.round(COARSER * own.rows), sampleCount),
    columns: Math.min(Math.round(COARSER * own.columns), pingCount),
  };
  const durationS = durationOf(recording);
  const footM = firstRangeM + sampleCount * sampleStepM;
  const drawn = {
    ...drawnAsItWas(settings, footM),
    faceId: channel.id,
    gainDb: UNDER_TOP_DB,
    chartSpeed: (screen.columns - 1) / durationS,
  };
  const picture = drawPicture(recording, drawn, screen, durationS);
  const measured = new Map(findFaults(picture, drawn).map((f) => [f.name, f.measured]));
  const fault = (name: FaultName): boolean => measured.has(name);
  const { ratio } = metresPerPixel(picture, Math.abs(stretch!.navigation.speedMps[0]!));
  const beds = [...reading.bed.rangeM].filter((r) => r > 0);
  const bedM = beds.length > pingCount / 2 ? median(beds) : NaN;
  const drowned =
    (measured.get('specks') ?? 0) >= DROWNED || (measured.get('slanting-dashes') ?? 0) >= DASHES_DROWNED;
  const found: readonly (readonly [Symptom, boolean])[] = [
    ['fish-tiny', 1 - bedM / footM >= MUCH_BELOW],
    ['marks-too-long', ratio < DRAWN_OUT],
    ['brush-needle', ratio > SQUEEZED],
    ['bars', fault('electrical-bars') && !drowned],
    ['bed-one-colour', fault('solid-bed') && (measured.get('specks') ?? 0) < DROWNED],
    ['dashes', fault('slanting-dashes') && !drowned && (measured.get('specks') ?? 0) < SHORT_DASHES],
    ['specks', fault('specks') || drowned],
    ['bed-one-colour', fault('solid-bed')],
    ['top-mess', fault('surface-clutter')],
    ['dashes', fault('slanting-dashes') && !drowned],
    ['nothing-drawn', fault('empty-water') && reading.findings.length === 0],
  ];
  return [...new Set(found.filter(([, there]) => there).map(([symptom]) => symptom))];
}
