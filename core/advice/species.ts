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
  { id: 'yellow-perch', label: 'Yellow perch', bladder: 'closed', lengthM: [0.18, 0.3] },
  { id: 'zander', label: 'Zander', bladder: 'closed', lengthM: [0.45, 0.7] },
  { id: 'walleye', label: 'Walleye', bladder: 'closed', lengthM: [0.38, 0.6] },
  { id: 'pike', label: 'Pike', bladder: 'open', lengthM: [0.6, 0.95] },
  { id: 'muskellunge', label: 'Muskellunge', bladder: 'open', lengthM: [0.8, 1.2] },
  { id: 'largemouth-bass', label: 'Largemouth bass', bladder: 'closed', lengthM: [0.3, 0.5] },
  { id: 'smallmouth-bass', label: 'Smallmouth bass', bladder: 'closed', lengthM: [0.28, 0.45] },
  { id: 'spotted-bass', label: 'Spotted bass', bladder: 'closed', lengthM: [0.28, 0.42] },
  { id: 'crappie', label: 'Crappie', bladder: 'closed', lengthM: [0.2, 0.32] },
  { id: 'white-crappie', label: 'White crappie', bladder: 'closed', lengthM: [0.2, 0.33] },
  { id: 'bluegill', label: 'Bluegill', bladder: 'closed', lengthM: [0.14, 0.23] },
  { id: 'lake-trout', label: 'Lake trout', bladder: 'open', lengthM: [0.45, 0.75] },
  { id: 'brown-trout', label: 'Brown trout', bladder: 'open', lengthM: [0.35, 0.6] },
  { id: 'rainbow-trout', label: 'Rainbow trout', bladder: 'open', lengthM: [0.35, 0.6] },
  { id: 'arctic-char', label: 'Arctic char', bladder: 'open', lengthM: [0.3, 0.5] },
  { id: 'atlantic-salmon', label: 'Atlantic salmon', bladder: 'open', lengthM: [0.6, 0.95] },
  { id: 'chinook-salmon', label: 'Chinook salmon', bladder: 'open', lengthM: [0.65, 1] },
  { id: 'coho-salmon', label: 'Coho salmon', bladder: 'open', lengthM: [0.5, 0.75] },
  { id: 'kokanee', label: 'Kokanee', bladder: 'open', lengthM: [0.28, 0.42] },
  { id: 'whitefish', label: 'Whitefish', bladder: 'open', lengthM: [0.35, 0.55] },
  { id: 'burbot', label: 'Burbot', bladder: 'closed', lengthM: [0.4, 0.65] },
  { id: 'channel-catfish', label: 'Channel catfish', bladder: 'open', lengthM: [0.4, 0.75] },
  { id: 'carp', label: 'Carp', bladder: 'open', lengthM: [0.45, 0.75] },
  { id: 'bream', label: 'Bream', bladder: 'open', lengthM: [0.35, 0.55] },
  { id: 'striped-bass', label: 'Striped bass', bladder: 'closed', lengthM: [0.5, 0.9] },
  { id: 'sea-bass', label: 'Sea bass', bladder: 'closed', lengthM: [0.4, 0.65] },
  { id: 'barramundi', label: 'Barramundi', bladder: 'closed', lengthM: [0.55, 0.9] },
  { id: 'golden-perch', label: 'Golden perch', bladder: 'closed', lengthM: [0.35, 0.55] },
  { id: 'murray-cod', label: 'Murray cod', bladder: 'closed', lengthM: [0.55, 1] },
  { id: 'cod', label: 'Cod', bladder: 'closed', lengthM: [0.45, 0.8] },
  { id: 'haddock', label: 'Haddock', bladder: 'closed', lengthM: [0.35, 0.6] },
  { id: 'pollack', label: 'Pollack', bladder: 'closed', lengthM: [0.45, 0.75] },
  { id: 'lingcod', label: 'Lingcod', bladder: 'small', lengthM: [0.6, 1] },
  { id: 'rockfish', label: 'Rockfish', bladder: 'closed', lengthM: [0.3, 0.5] },
  { id: 'red-snapper', label: 'Red snapper', bladder: 'closed', lengthM: [0.4, 0.7] },
  { id: 'australasian-snapper', label: 'Silver seabream', bladder: 'closed', lengthM: [0.32, 0.6] },
  { id: 'grouper', label: 'Grouper', bladder: 'closed', lengthM: [0.5, 0.9] },
  { id: 'halibut', label: 'Halibut', bladder: 'small', lengthM: [0.7, 1.2] },
  { id: 'yellowfin-tuna', label: 'Yellowfin tuna', bladder: 'closed', lengthM: [0.7, 1.3] },
  { id: 'skipjack', label: 'Skipjack', bladder: 'small', lengthM: [0.4, 0.65] },
  { id: 'mackerel', label: 'Mackerel', bladder: 'small', lengthM: [0.25, 0.38] },
  { id: 'vendace', label: 'Vendace', bladder: 'open', lengthM: [0.12, 0.2] },
  { id: 'smelt', label: 'Smelt', bladder: 'open', lengthM: [0.1, 0.17] },
  { id: 'gizzard-shad', label: 'Gizzard shad', bladder: 'open', lengthM: [0.12, 0.25] },
  { id: 'threadfin-shad', label: 'Threadfin shad', bladder: 'open', lengthM: [0.07, 0.13] },
  { id: 'alewife', label: 'Alewife', bladder: 'open', lengthM: [0.1, 0.2] },
  { id: 'herring', label: 'Herring', bladder: 'open', lengthM: [0.18, 0.28] },
  { id: 'sprat', label: 'Sprat', bladder: 'open', lengthM: [0.08, 0.13] },
];

/** The species of an id. @throws RangeError when there is none */
export function speciesOf(id: string): Species {
  const species = SPECIES.find((s) => s.id === id);
  if (!species) throw new RangeError(`brief: no species named ${id}`);
  return species;
}
