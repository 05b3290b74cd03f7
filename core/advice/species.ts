import type { Bladder } from '@/core/water';

/** A kind of fish as far as an echo is concerned. */
export interface Species {
  id: string;
  label: string;
  bladder: Bladder;
  /** Usual length of what is fished for, m. */
  lengthM: readonly [number, number];
}

/** Common boat-angling kinds and bait. Lengths are the usual catch, not records. */
export const SPECIES: readonly Species[] = [
  { id: 'perch', label: 'Perch', bladder: 'closed', lengthM: [0.2, 0.3] },
  { id: 'zander', label: 'Zander', bladder: 'closed', lengthM: [0.45, 0.7] },
  { id: 'walleye', label: 'Walleye', bladder: 'closed', lengthM: [0.38, 0.6] },
  { id: 'pike', label: 'Pike', bladder: 'open', lengthM: [0.6, 0.95] },
  { id: 'largemouth-bass', label: 'Largemouth bass', bladder: 'closed', lengthM: [0.3, 0.5] },
  { id: 'smallmouth-bass', label: 'Smallmouth bass', bladder: 'closed', lengthM: [0.28, 0.45] },
  { id: 'crappie', label: 'Crappie', bladder: 'closed', lengthM: [0.2, 0.32] },
  { id: 'lake-trout', label: 'Lake trout', bladder: 'open', lengthM: [0.45, 0.75] },
  { id: 'burbot', label: 'Burbot', bladder: 'closed', lengthM: [0.4, 0.65] },
  { id: 'striped-bass', label: 'Striped bass', bladder: 'closed', lengthM: [0.5, 0.9] },
  { id: 'cod', label: 'Cod', bladder: 'closed', lengthM: [0.45, 0.8] },
  { id: 'mackerel', label: 'Mackerel', bladder: 'small', lengthM: [0.25, 0.38] },
  { id: 'vendace', label: 'Vendace', bladder: 'open', lengthM: [0.12, 0.2] },
  { id: 'smelt', label: 'Smelt', bladder: 'open', lengthM: [0.1, 0.17] },
];

/** The species of an id. @throws RangeError when there is none */
export function speciesOf(id: string): Species {
  const species = SPECIES.find((s) => s.id === id);
  if (!species) throw new RangeError(`brief: no species named ${id}`);
  return species;
}
