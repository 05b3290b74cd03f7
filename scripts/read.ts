/**
 * Reads a recording file and prints what it finds: `npm run read -- pass.nc [--json] [--channel ID]`; or a picture of a sounder's screen:
 * `npm run read -- picture.png --calibration screen.json [--json]`, and then which setting to turn first.
 */
import { parseArgs } from 'node:util';
import { diagnose } from '@/core/bench';
import { PLAIN_SETTINGS } from '@/core/picture';
import { readRecording, type Reading } from '@/core/reading';
import { GENERIC_RIG } from '@/core/rig';
import { BED_MATERIALS } from '@/core/water';
import { loadRecording } from './recordings';
import { loadScreenPicture } from './screenPictures';

const HELP = `npm run read -- <recording> [--json] [--channel ID]
npm run read -- <picture> --calibration FILE [--json]`;

/** Typed arrays as lists, numbers to a millimetre or a thousandth of a decibel, gaps as null. */
function plain(value: unknown): unknown {
  if (typeof value === 'number') return Number.isFinite(value) ? Math.round(value * 1000) / 1000 : null;
  if (ArrayBuffer.isView(value)) return Array.from(value as unknown as ArrayLike<number>, plain);
  if (Array.isArray(value)) return value.map(plain);
  if (value !== null && typeof value === 'object')
    return Object.fromEntries(Object.entries(value).map(([key, v]) => [key, plain(v)]));
  return value;
}

function summary(reading: Reading): string {
  const lines = [`${reading.channelId}:`];
  const depths = Array.from(reading.bed.rangeM).filter((r) => r > 0);
  if (depths.length === 0) lines.push('  no bed found');
  else
    lines.push(
      `  bed: first echo from ${Math.min(...depths).toFixed(1)} to ${Math.max(...depths).toFixed(1)} m`,
    );
  for (const h of reading.hardness)
    lines.push(
      `  pings ${h.fromPing}–${h.toPing}: likely ${h.likely} (${Math.round(100 * h.probability[BED_MATERIALS.indexOf(h.likely)]!)} %), hard ${Math.round(100 * h.hard)} %`,
    );
  for (const l of reading.layers)
    lines.push(`  layer at ${l.rangeM.toFixed(1)} m, ${l.overDb.toFixed(0)} dB over the water about it`);
  for (const n of reading.named)
    lines.push(
      `  ${n.kind}: ${n.rangeM[0].toFixed(1)}–${n.rangeM[1].toFixed(1)} m, pings ${n.fromPing}–${n.toPing}`,
    );
  for (const f of reading.findings)
    lines.push(
      `  ${f.kind === 'fish' ? `single mark, ${f.shape}` : f.kind === 'cloud' ? `cloud, ${f.mood}` : `on the bed, ${f.cover}`} at ${f.rangeM.toFixed(1)} m, ${f.timeS.toFixed(0)} s, ${Math.round(100 * f.confidence)} %; could also be ${f.rival.reading} (to tell: ${f.rival.test})`,
    );
  for (const s of reading.structure)
    lines.push(
      `  ${s.kind}: ${s.heightM.toFixed(1)} m, pings ${s.fromPing}–${s.toPing}, ${s.topM.toFixed(1)}–${s.footM.toFixed(1)} m`,
    );
  for (const l of reading.lures)
    lines.push(
      `  own lure, pings ${l.fromPing}–${l.toPing}${l.answers.map((a) => `; ${a.answer} at ${a.timeS.toFixed(0)} s`).join('')}`,
    );
  if (reading.missingLeg)
    lines.push(
      `  the leg ${reading.missingLeg.leg} is missing in ${reading.missingLeg.count} of ${reading.missingLeg.of}: check the level`,
    );
  for (const fault of reading.faults)
    lines.push(
      `  levels ${fault.name}: ${fault.name === 'gain-in' ? `${fault.dbPerDecade.toFixed(0)} dB a decade of range` : `${Math.round(100 * fault.share)} %`}`,
    );
  return lines.join('\n');
}

async function main(): Promise<void> {
  const { values, positionals } = parseArgs({
    allowPositionals: true,
    options: { json: { type: 'boolean' }, channel: { type: 'string' }, calibration: { type: 'string' } },
  });
  const [path] = positionals;
  if (!path) throw new Error(HELP);
  const { calibration } = values;
  const recording = calibration ? await loadScreenPicture(path, calibration) : await loadRecording(path);
  const ids = new Set(recording.stretches.flatMap(({ channels }) => channels.map((c) => c.id)));
  const readings = (values.channel ? [values.channel] : [...ids]).map((id) => readRecording(recording, id));
  const doctor = calibration
    ? diagnose(recording, readings[0]!, GENERIC_RIG, { ...PLAIN_SETTINGS, faceId: readings[0]!.channelId })
    : null;
  if (values.json)
    console.log(
      JSON.stringify({
        format: 'nimble-echo-reading',
        version: 2,
        title: recording.title,
        readings: plain(readings),
        ...(doctor && { doctor }),
      }),
    );
  else
    console.log(
      [
        recording.title,
        ...readings.map(summary),
        ...(doctor ? [`picture doctor: ${doctor.join(', ') || 'nothing to turn'}`] : []),
      ].join('\n'),
    );
}

main().catch((error: unknown) => {
  console.error(error instanceof Error ? error.message : String(error));
  process.exit(1);
});
