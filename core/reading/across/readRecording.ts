import { pingCountOf, type Recording } from '@/core/recording';
import type { BedLine } from '../bed/bedLine';
import type { BedShape } from '../bed/bedShape';
import type { Layer } from '../artefacts/layers';
import type { Finding } from '../finding';
import type { LevelFault } from '../levels/levelFaults';
import type { LureTrack } from '../marks/lure';
import { findMissingLeg } from '../marks/missingLeg';
import { readChannel } from '../readChannel';
import type { Reading } from '../reading';

interface Span {
  fromPing: number;
  toPing: number;
}

const moved = <T extends Span>(span: T, by: number): T => ({
  ...span,
  fromPing: span.fromPing + by,
  toPing: span.toPing + by,
});

const movedLure = (lure: LureTrack, by: number): LureTrack => ({
  ...moved(lure, by),
  hangsFromPing: lure.hangsFromPing + by,
  answers: lure.answers.map((answer) => ({ ...answer, fish: moved(answer.fish, by) })),
});

/** Layers this near each other in range are one that goes on, m. */
const SAME_LAYER_M = 0.5;

/** Layers of all stretches, each with the share of the whole recording that shows it. */
function joinedLayers(parts: readonly { reading: Reading; share: number }[]): Layer[] {
  const out: Layer[] = [];
  for (const { reading, share } of parts)
    for (const layer of reading.layers) {
      const same = out.find((l) => Math.abs(l.rangeM - layer.rangeM) < SAME_LAYER_M);
      if (same) same.share += share * layer.share;
      else out.push({ ...layer, share: share * layer.share });
    }
  return out;
}

const worst = (fault: LevelFault): number => (fault.name === 'gain-in' ? fault.dbPerDecade : fault.share);

function joinedFaults(faults: readonly LevelFault[]): LevelFault[] {
  const byName = new Map<LevelFault['name'], LevelFault>();
  for (const fault of faults) {
    const kept = byName.get(fault.name);
    if (!kept || worst(fault) > worst(kept)) byName.set(fault.name, fault);
  }
  return [...byName.values()];
}

interface Part {
  reading: Reading;
  first: number;
  share: number;
}

/** Readings of stretches as one: pings count through all of them, and a stretch that was not read has no bed and no findings. */
function joined(channelId: string, pings: number, parts: readonly Part[]): Reading {
  const blank = (): Float32Array => new Float32Array(pings).fill(NaN);
  const bed: BedLine = { rangeM: blank(), contrastDb: blank() };
  const shape: BedShape = { slopeRad: blank(), depthLowM: blank(), depthHighM: blank(), deadZoneM: blank() };
  for (const { reading, first } of parts) {
    bed.rangeM.set(reading.bed.rangeM, first);
    bed.contrastDb.set(reading.bed.contrastDb, first);
    for (const name of Object.keys(shape) as (keyof BedShape)[])
      shape[name].set(reading.bedShape[name], first);
  }
  const findings: Finding[] = parts
    .flatMap((part) => part.reading.findings.map((f) => moved(f, part.first)))
    .sort((a, b) => a.timeS - b.timeS);
  findings.forEach((f, i) => (f.id = i + 1));
  return {
    channelId,
    // Of a fault in several stretches the worst is told.
    faults: joinedFaults(parts.flatMap((part) => part.reading.faults)),
    bed,
    bedShape: shape,
    hardness: parts.flatMap((part) => part.reading.hardness.map((h) => moved(h, part.first))),
    layers: joinedLayers(parts),
    named: parts.flatMap((part) => part.reading.named.map((n) => moved(n, part.first))),
    surfaceClutterM: Math.max(...parts.map((part) => part.reading.surfaceClutterM)),
    structure: parts.flatMap((part) => part.reading.structure.map((s) => moved(s, part.first))),
    lures: parts.flatMap((part) => part.reading.lures.map((l) => movedLure(l, part.first))),
    missingLeg: findMissingLeg(findings),
    findings,
  };
}

/**
 * Reads one beam of a recording, stretch by stretch, each by the pulse, step and gain it was made with; pings count through
 * all of them. A stretch without that beam has no bed and no findings.
 * @param onPart told now and then what was read so far, and of which share of the pings
 * @throws RangeError when no stretch has the beam
 */
export function readRecording(
  recording: Recording,
  channelId: string,
  onPart?: (part: Reading, share: number) => void,
): Reading {
  const { stretches } = recording;
  const pings = pingCountOf(recording);
  const parts: Part[] = [];
  let first = 0;
  for (const stretch of stretches) {
    const channel = stretch.channels.find((c) => c.id === channelId);
    const count = stretch.navigation.timeS.length;
    if (channel) {
      const part = (reading: Reading): Part => ({ reading, first, share: channel.pingCount / pings });
      const tell =
        onPart &&
        ((soFar: Reading, share: number): void => {
          const done = (first + share * count) / pings;
          onPart(stretches.length === 1 ? soFar : joined(channelId, pings, [...parts, part(soFar)]), done);
        });
      const reading = readChannel(stretch, channel, tell);
      if (stretches.length === 1) return reading;
      parts.push(part(reading));
    }
    first += count;
    if (onPart && parts.length > 0 && first < pings) onPart(joined(channelId, pings, parts), first / pings);
  }
  if (parts.length === 0) throw new RangeError(`recording: no channel named ${channelId}`);
  return joined(channelId, pings, parts);
}
