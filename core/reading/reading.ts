import type { BedLine } from './bed/bedLine';
import type { BedShape } from './bed/bedShape';
import type { Finding } from './finding';
import type { BedPatch } from './bed/hardness';
import type { LevelFault } from './levels/levelFaults';
import type { Layer } from './artefacts/layers';
import type { LureTrack } from './marks/lure';
import type { MissingLeg } from './marks/missingLeg';
import type { NamedEcho } from './artefacts/notFish';
import type { Structure } from './bed/structure';

/** What a reader makes of one channel. */
export interface Reading {
  channelId: string;
  /** What was done to the levels before they came here: what is said of strength, length and ground is the less for it. */
  faults: readonly LevelFault[];
  bed: BedLine;
  bedShape: BedShape;
  /** What the bed is made of, patch by patch. */
  hardness: readonly BedPatch[];
  layers: readonly Layer[];
  /** Single marks that are not fish, and other echoes that are nothing in the water. */
  named: readonly NamedEcho[];
  /** How deep the clutter under the surface reaches, m. */
  surfaceClutterM: number;
  /** Rises, drops and ledges of the bed. */
  structure: readonly Structure[];
  /** Own lures, and how fish answered them. */
  lures: readonly LureTrack[];
  /** The same leg of the marks always missing, or null. */
  missingLeg: MissingLeg | null;
  findings: readonly Finding[];
}
