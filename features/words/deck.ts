import type { Bite, Call, MarkKind } from '@/core/logbook/day';
import type { FeedDoubt } from '@/core/feed';
import type { MarkCause } from '@/core/marks';

export const MARK_WORDS: Record<MarkKind, string> = {
  fish: 'Fish',
  bait: 'Bait',
  cover: 'Cover',
  'bed-change': 'Bed change',
  hazard: 'Hazard',
  reference: 'Reference',
  other: 'Other',
};

export const CAUSE_WORDS: Record<MarkCause, string> = {
  position: 'the position itself',
  moment: 'the moment of the tap',
  heading: 'where the bow pointed',
  beam: 'the width of the beam',
};

export const ANSWER_WORDS: Record<Bite['answer'], string> = {
  follow: 'Follow',
  refusal: 'Refusal',
  bite: 'Bite',
  catch: 'Catch',
};

export const SIDE_WORDS: Record<NonNullable<Bite['side']>, string> = {
  left: 'Left',
  right: 'Right',
  ahead: 'Ahead',
  astern: 'Astern',
};

export const ANGLE_WORDS: Record<NonNullable<Bite['angle']>, string> = {
  down: 'Straight down',
  uphill: 'Uphill',
  downhill: 'Downhill',
  along: 'Along the slope',
};

export const DOUBT_WORDS: Record<FeedDoubt, string> = {
  'out-of-bounds': 'A number no boat can have was left out.',
  'position-jump': 'The position jumped. The old one stands until it settles.',
  'talkers-disagree': 'Two instruments disagree. The first one is shown.',
  'feet-for-metres': 'One depth comes in feet as if it were metres. It is left out.',
};

export const CALL_WORDS: Record<Call['what'], string> = {
  fish: 'Fish',
  bait: 'Bait',
  weed: 'Weed',
  cover: 'Cover',
  'hard-bed': 'Hard bed',
  nothing: 'Nothing there',
};

/** How a call came out: on its button, and told. */
export const PROOF_WORDS: Record<NonNullable<Call['proof']>, { label: string; told: string }> = {
  caught: { label: 'Caught', told: 'caught' },
  camera: { label: 'Seen', told: 'seen on camera' },
  refuted: { label: 'Not so', told: 'it was not so' },
  supported: { label: 'Other picture', told: 'borne out by the other picture, not proved' },
};

/** A time to come, in whole minutes. */
export const minutesWords = (seconds: number): string => `${Math.max(1, Math.round(seconds / 60))}\u00a0min`;
