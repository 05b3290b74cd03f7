import * as v from 'valibot';
import type { Bladder } from '@/core/water';

/** Where a kind usually keeps: on the bed, a little over it, in cover, in open water, near the top. */
export const KEEPS = ['bed', 'near-bed', 'cover', 'midwater', 'top'] as const;
export type Keeps = (typeof KEEPS)[number];

/** A kind of fish as far as an echo is concerned. */
export interface Species {
  id: string;
  label: string;
  bladder: Bladder;
  /** Usual length of what is fished for, m. */
  lengthM: readonly [number, number];
  keeps: Keeps;
}

const metres = (low: number, high: number) =>
  v.pipe(v.number(), v.finite(), v.minValue(low), v.maxValue(high));

/** A kind the user has added: the same, from storage or a file. */
export const OwnSpeciesSchema: v.GenericSchema<unknown, Species> = v.object({
  id: v.pipe(v.string(), v.regex(/^own-[0-9]{1,6}$/)),
  label: v.pipe(v.string(), v.trim(), v.minLength(1), v.maxLength(40)),
  bladder: v.picklist(['closed', 'open', 'small'] as const satisfies readonly Bladder[]),
  lengthM: v.pipe(
    v.tuple([metres(0.03, 3), metres(0.03, 3)]),
    v.check(([low, high]) => low <= high, 'the smaller length comes first'),
  ),
  keeps: v.picklist(KEEPS),
});

/** Common boat-angling kinds and bait. Lengths are the usual catch, not records. */
export const SPECIES: readonly Species[] = [
  { id: 'perch', label: 'Perch', bladder: 'closed', lengthM: [0.2, 0.3], keeps: 'near-bed' },
  { id: 'yellow-perch', label: 'Yellow perch', bladder: 'closed', lengthM: [0.18, 0.3], keeps: 'near-bed' },
  { id: 'zander', label: 'Zander', bladder: 'closed', lengthM: [0.45, 0.7], keeps: 'near-bed' },
  { id: 'walleye', label: 'Walleye', bladder: 'closed', lengthM: [0.38, 0.6], keeps: 'near-bed' },
  { id: 'pike', label: 'Pike', bladder: 'open', lengthM: [0.6, 0.95], keeps: 'cover' },
  { id: 'muskellunge', label: 'Muskellunge', bladder: 'open', lengthM: [0.8, 1.2], keeps: 'cover' },
  { id: 'largemouth-bass', label: 'Largemouth bass', bladder: 'closed', lengthM: [0.3, 0.5], keeps: 'cover' },
  {
    id: 'smallmouth-bass',
    label: 'Smallmouth bass',
    bladder: 'closed',
    lengthM: [0.28, 0.45],
    keeps: 'near-bed',
  },
  { id: 'spotted-bass', label: 'Spotted bass', bladder: 'closed', lengthM: [0.28, 0.42], keeps: 'midwater' },
  { id: 'crappie', label: 'Crappie', bladder: 'closed', lengthM: [0.2, 0.32], keeps: 'cover' },
  { id: 'white-crappie', label: 'White crappie', bladder: 'closed', lengthM: [0.2, 0.33], keeps: 'cover' },
  { id: 'bluegill', label: 'Bluegill', bladder: 'closed', lengthM: [0.14, 0.23], keeps: 'cover' },
  { id: 'lake-trout', label: 'Lake trout', bladder: 'open', lengthM: [0.45, 0.75], keeps: 'near-bed' },
  { id: 'brown-trout', label: 'Brown trout', bladder: 'open', lengthM: [0.35, 0.6], keeps: 'midwater' },
  { id: 'rainbow-trout', label: 'Rainbow trout', bladder: 'open', lengthM: [0.35, 0.6], keeps: 'midwater' },
  { id: 'arctic-char', label: 'Arctic char', bladder: 'open', lengthM: [0.3, 0.5], keeps: 'midwater' },
  {
    id: 'atlantic-salmon',
    label: 'Atlantic salmon',
    bladder: 'open',
    lengthM: [0.6, 0.95],
    keeps: 'midwater',
  },
  { id: 'chinook-salmon', label: 'Chinook salmon', bladder: 'open', lengthM: [0.65, 1], keeps: 'midwater' },
  { id: 'coho-salmon', label: 'Coho salmon', bladder: 'open', lengthM: [0.5, 0.75], keeps: 'midwater' },
  { id: 'kokanee', label: 'Kokanee', bladder: 'open', lengthM: [0.28, 0.42], keeps: 'midwater' },
  { id: 'whitefish', label: 'Whitefish', bladder: 'open', lengthM: [0.35, 0.55], keeps: 'near-bed' },
  { id: 'burbot', label: 'Burbot', bladder: 'closed', lengthM: [0.4, 0.65], keeps: 'bed' },
  { id: 'channel-catfish', label: 'Channel catfish', bladder: 'open', lengthM: [0.4, 0.75], keeps: 'bed' },
  { id: 'carp', label: 'Carp', bladder: 'open', lengthM: [0.45, 0.75], keeps: 'bed' },
  { id: 'bream', label: 'Bream', bladder: 'open', lengthM: [0.35, 0.55], keeps: 'bed' },
  { id: 'striped-bass', label: 'Striped bass', bladder: 'closed', lengthM: [0.5, 0.9], keeps: 'midwater' },
  { id: 'sea-bass', label: 'Sea bass', bladder: 'closed', lengthM: [0.4, 0.65], keeps: 'cover' },
  { id: 'barramundi', label: 'Barramundi', bladder: 'closed', lengthM: [0.55, 0.9], keeps: 'cover' },
  { id: 'golden-perch', label: 'Golden perch', bladder: 'closed', lengthM: [0.35, 0.55], keeps: 'cover' },
  { id: 'murray-cod', label: 'Murray cod', bladder: 'closed', lengthM: [0.55, 1], keeps: 'cover' },
  { id: 'cod', label: 'Cod', bladder: 'closed', lengthM: [0.45, 0.8], keeps: 'near-bed' },
  { id: 'haddock', label: 'Haddock', bladder: 'closed', lengthM: [0.35, 0.6], keeps: 'bed' },
  { id: 'pollack', label: 'Pollack', bladder: 'closed', lengthM: [0.45, 0.75], keeps: 'near-bed' },
  { id: 'lingcod', label: 'Lingcod', bladder: 'small', lengthM: [0.6, 1], keeps: 'bed' },
  { id: 'rockfish', label: 'Rockfish', bladder: 'closed', lengthM: [0.3, 0.5], keeps: 'near-bed' },
  { id: 'red-snapper', label: 'Red snapper', bladder: 'closed', lengthM: [0.4, 0.7], keeps: 'near-bed' },
  {
    id: 'australasian-snapper',
    label: 'Silver seabream',
    bladder: 'closed',
    lengthM: [0.32, 0.6],
    keeps: 'near-bed',
  },
  { id: 'grouper', label: 'Grouper', bladder: 'closed', lengthM: [0.5, 0.9], keeps: 'cover' },
  { id: 'halibut', label: 'Halibut', bladder: 'small', lengthM: [0.7, 1.2], keeps: 'bed' },
  { id: 'yellowfin-tuna', label: 'Yellowfin tuna', bladder: 'closed', lengthM: [0.7, 1.3], keeps: 'top' },
  { id: 'skipjack', label: 'Skipjack', bladder: 'small', lengthM: [0.4, 0.65], keeps: 'top' },
  { id: 'mackerel', label: 'Mackerel', bladder: 'small', lengthM: [0.25, 0.38], keeps: 'midwater' },
  { id: 'vendace', label: 'Vendace', bladder: 'open', lengthM: [0.12, 0.2], keeps: 'midwater' },
  { id: 'smelt', label: 'Smelt', bladder: 'open', lengthM: [0.1, 0.17], keeps: 'midwater' },
  { id: 'gizzard-shad', label: 'Gizzard shad', bladder: 'open', lengthM: [0.12, 0.25], keeps: 'midwater' },
  { id: 'threadfin-shad', label: 'Threadfin shad', bladder: 'open', lengthM: [0.07, 0.13], keeps: 'top' },
  { id: 'alewife', label: 'Alewife', bladder: 'open', lengthM: [0.1, 0.2], keeps: 'midwater' },
  { id: 'herring', label: 'Herring', bladder: 'open', lengthM: [0.18, 0.28], keeps: 'midwater' },
  { id: 'sprat', label: 'Sprat', bladder: 'open', lengthM: [0.08, 0.13], keeps: 'midwater' },
];

/** The species of an id. @throws RangeError when there is none */
export function speciesOf(id: string): Species {
  const species = SPECIES.find((s) => s.id === id);
  if (!species) throw new RangeError(`brief: no species named ${id}`);
  return species;
}
