/** The one list of shapes a mark can have. */
export type MarkShape = 'arch' | 'half' | 'clip' | 'line' | 'thread' | 'streak' | 'dash' | 'dot' | 'nothing';

/** Why a finding is held for what it is: a name and the number behind it, put into words by the interface. */
export type Reason =
  /** Level over the water around it, dB. */
  | { name: 'stands-out'; db: number }
  /** It stands out in no ping alone: so many along one line speak for it together. */
  | { name: 'faint'; pings: number }
  /** Pings it was followed through, and the share of pings in its span that had it. */
  | { name: 'followed'; pings: number; share: number }
  /** It comes nearer and goes away again by this much, m. */
  | { name: 'rises'; riseM: number }
  /** How far its ranges lie off the curve of a passing point, m. */
  | { name: 'fits-crossing'; offM: number }
  /** Water between it and the bed, m. */
  | { name: 'clear-of-bed'; gapM: number }
  /** Height of a cloud, m, against the length of the pulse, m. */
  | { name: 'thick'; heightM: number; pulseM: number }
  /** It is joined to the bed: how high it stands and how far it reaches, m. */
  | { name: 'stands-on-bed'; heightM: number; lengthM: number }
  /** Its strongest echo is so much weaker than the bed's, dB. */
  | { name: 'under-bed'; db: number }
  /** How many times longer than high, what the beam adds taken off. */
  | { name: 'stretched'; times: number }
  /** How far its edge strays from ping to ping, as a share of its height, and whether that is more than calm bait's does. */
  | { name: 'ragged'; share: number; torn: boolean }
  /** Larger marks close to it. */
  | { name: 'larger-near'; count: number };

/** What can stand on the bed. */
export const COVER_CLASSES = ['weed', 'brush', 'timber', 'boulder'] as const;
export type CoverClass = (typeof COVER_CLASSES)[number];

/** What else it might be, and what would tell. */
export interface Rival {
  reading:
    | 'debris'
    | 'another-sounder'
    | 'bait'
    | 'bump-on-bed'
    | 'several-fish'
    | 'layer'
    | 'big-fish'
    | CoverClass;
  test: 'pass-again' | 'other-beam' | 'bed-window' | 'drop-on-it' | 'faster-chart';
}

/** How fish stand together: by themselves, above each other, along one depth, spread over the bed, or no such way. */
export const FISH_GROUPS = ['alone', 'stacked', 'strung', 'carpet', 'loose'] as const;

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
  /** Top to bottom as drawn, m; of a single mark where it is nearest, without the rise of its legs. */
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
  /** The same by each practice of sizing. */
  sizes: readonly SizeReading[];
  /** How far it comes nearer before and goes away after its nearest point, m. */
  legsM: { before: number; after: number };
  /** How fast it rises (down is negative), m/s; null where the boat's own way hides it. */
  risingMps: number | null;
  /** Leading edge by ping, NaN where it was lost; row of fromPing…toPing. */
  path: Float32Array;
}

/** A fish's length as one practice of sizing has it, m: low, likely, high. */
export interface SizeReading {
  /** By how high the mark is drawn, by how strong it is, by how bright its dot on the imaging beam is. */
  practice: 'height' | 'strength' | 'dot';
  lengthM: readonly [number, number, number];
}

/** A cloud: many small echoes together. */
export interface CloudFinding extends FindingBase {
  kind: 'cloud';
  /** Top and bottom by ping, m; NaN where it has a gap. */
  top: Float32Array;
  bottom: Float32Array;
  /** Calm: compact and round; hunted: stretched or torn. With the probability that it is so. */
  mood: 'calm' | 'hunted';
  moodProbability: number;
  /** Share of its samples that stand out, 0…1. */
  fill: number;
}

/** Something that stands on the bed. */
export interface CoverFinding extends FindingBase {
  kind: 'cover';
  cover: CoverClass;
  probability: Record<CoverClass, number>;
  /** Length along the way, what the beam adds taken off, m. */
  lengthM: number;
  /** Height over the bed by ping, m. */
  height: Float32Array;
  /** Fish about it. */
  about: FishAbout;
}

/** Fish over and beside a thing on the bed that are told from it, and whether any may stand inside unseen. */
export interface FishAbout {
  over: number;
  beside: number;
  inside: 'none' | 'unknown';
}

export type Finding = FishFinding | CloudFinding | CoverFinding;
