import type { BedShape } from './bedShape';
import type { BedStretch } from './hardness';
import type { Layer } from './layers';
import type { NamedEcho } from './notFish';

/** The one list of shapes a mark can have. */
export type MarkShape = 'arch' | 'half' | 'clip' | 'line' | 'thread' | 'streak' | 'dash' | 'dot' | 'nothing';

/** Why a finding is held for what it is: a name and the number behind it, put into words by the interface. */
export type Reason =
  /** Level over the water around it, dB. */
  | { name: 'stands-out'; db: number }
  /** Pings it was followed through, and the share of pings in its span that had it. */
  | { name: 'followed'; pings: number; share: number }
  /** It comes nearer and goes away again by this much, m. */
  | { name: 'rises'; riseM: number }
  /** How far its ranges lie off the curve of a passing point, m. */
  | { name: 'fits-crossing'; offM: number }
  /** Water between it and the bed, m. */
  | { name: 'clear-of-bed'; gapM: number }
  /** Height of a cloud, m, against the length of the pulse, m. */
  | { name: 'thick'; heightM: number; pulseM: number };

/** What else it might be, and what would tell. */
export interface Rival {
  reading: 'debris' | 'another-sounder' | 'bait' | 'bump-on-bed' | 'several-fish' | 'layer' | 'big-fish';
  test: 'pass-again' | 'other-beam' | 'bed-window' | 'drop-on-it' | 'faster-chart';
}

interface FindingBase {
  id: number;
  /** First and last ping of it. */
  fromPing: number;
  toPing: number;
  /** When it was nearest, s into the recording. */
  timeS: number;
  /** Nearest slant range, m: where the sounder draws its top. */
  rangeM: number;
  /** True depth lies in here, m: shallower than drawn if it passed to one side. */
  depthM: readonly [number, number];
  /** Top to bottom as drawn, m. */
  heightM: number;
  /** Water between it and the bed, m; null where no bed is known. */
  gapToBedM: number | null;
  /** Strongest level over the water around it, dB. */
  overBackgroundDb: number;
  /** 0…1 that it is what `kind` says. */
  confidence: number;
  reasons: readonly Reason[];
  rival: Rival;
}

/** A single mark: a fish, or what looks like one. */
export interface FishFinding extends FindingBase {
  kind: 'fish';
  shape: MarkShape;
  /** Its echo as if on the axis, dB re 1 m² when calibrated; corrected for where in the beam it likely passed. */
  strengthDb: number;
  /** Length if it is a fish, m: low, likely, high; null on an uncalibrated recording. */
  lengthM: readonly [number, number, number] | null;
  /** Leading edge by ping, NaN where it was lost; row of fromPing…toPing. */
  path: Float32Array;
}

/** A cloud: many small echoes together. */
export interface CloudFinding extends FindingBase {
  kind: 'cloud';
  /** Top and bottom by ping, m; NaN where it has a gap. */
  top: Float32Array;
  bottom: Float32Array;
}

export type Finding = FishFinding | CloudFinding;

/** The bed as the sounder draws it. */
export interface BedLine {
  /** Range of the first echo by ping, m; NaN where there is none. */
  rangeM: Float32Array;
  /** How far the bed echo stands over the water above it, dB, by ping. */
  contrastDb: Float32Array;
}

/** What a reader makes of one channel. */
export interface Reading {
  channelId: string;
  bed: BedLine;
  bedShape: BedShape;
  /** What the bed is made of, stretch by stretch. */
  hardness: readonly BedStretch[];
  layers: readonly Layer[];
  /** Single marks that are not fish. */
  named: readonly NamedEcho[];
  findings: readonly Finding[];
}
