/** What there is to be learned on named water. */
export const TOPICS = ['fish', 'cover', 'bait', 'bed', 'layers', 'lure', 'noise', 'boat', 'deep'] as const;
export type Topic = (typeof TOPICS)[number];

/** Topics of each named scene, by its id. */
export const SCENE_TOPICS: Readonly<Record<string, readonly Topic[]>> = {
  'east-shelf': ['fish'],
  'sunk-crib': ['cover', 'fish'],
  'shell-bar': ['bed'],
  'channel-ledge': ['bed', 'fish'],
  'soft-basin': ['bed', 'fish'],
  'vendace-calm': ['bait'],
  'vendace-hunted': ['bait', 'fish'],
  thermocline: ['layers', 'fish'],
  'weed-edge': ['cover', 'fish'],
  'brush-by-age': ['cover'],
  'drowned-timber': ['cover'],
  'holding-over-perch': ['fish', 'boat'],
  'lure-answered': ['lure', 'fish'],
  'half-arches': ['fish'],
  'boulder-field': ['cover', 'bed'],
  'crowded-ramp': ['noise'],
  'planing-over': ['boat', 'bait'],
  'back-onto-it': ['boat', 'fish'],
  'salt-under-fresh': ['layers'],
  'towed-weight': ['lure', 'noise'],
  'silty-channel': ['noise', 'bed'],
  'reef-bass': ['bed', 'fish'],
  'deep-hump': ['deep', 'fish'],
  'deep-wreck': ['deep', 'cover'],
  'deep-scatter': ['deep', 'layers', 'fish'],
  'wide-school': ['deep', 'bait'],
};
