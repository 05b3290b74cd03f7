import * as v from 'valibot';
import { createStore } from 'zustand/vanilla';
import type { PassSource } from '@/core/bench/passSource';
import { DONE, refused, type Format, type Result } from '@/core/formats';
import {
  CorrectionsSchema,
  joinedCorrections,
  MOST_CORRECTIONS,
  withCorrection,
  withoutCorrection,
  type Correction,
} from '@/core/logbook';
import { fingerprintOf } from '@/core/maths';
import { keepCollection } from './keeping/collection';
import { appKeeper } from './keeping/keeper';
import { notify } from './notices';
import { passStore, type PassState } from './pass';

/** What was said of the marks of one pass on one beam. */
const PassCorrectionsSchema = v.object({
  /** The pass and its beam, as a fingerprint. */
  id: v.pipe(v.string(), v.minLength(1), v.maxLength(64)),
  /** What the pass is called. */
  title: v.pipe(v.string(), v.maxLength(120)),
  corrections: CorrectionsSchema,
});
type PassCorrections = v.InferOutput<typeof PassCorrectionsSchema>;

const FORMAT: Format<PassCorrections> = {
  name: 'nimble-echo-corrections',
  label: 'corrections',
  schema: PassCorrectionsSchema,
  migrations: [],
};

interface CorrectionsState {
  byPass: ReadonlyMap<string, PassCorrections>;
}

export const correctionStore = createStore<CorrectionsState>(() => ({ byPass: new Map() }));

export const CORRECTIONS = keepCollection<CorrectionsState, PassCorrections>(appKeeper, {
  store: correctionStore,
  prefix: 'corrections/',
  title: 'corrected passes',
  format: FORMAT,
  withItems: ({ byPass }, more) => {
    const next = new Map(byPass);
    for (const item of more) next.set(item.id, item);
    return { byPass: next };
  },
  withoutItem: ({ byPass }, id) => {
    const next = new Map(byPass);
    next.delete(id);
    return { byPass: next };
  },
  // What two devices said of one pass stands together; where they differ about a mark both are shown.
  join: (a, b) => {
    const corrections = joinedCorrections(a.corrections, b.corrections);
    return corrections && { id: a.id, title: a.title < b.title ? a.title : b.title, corrections };
  },
});

const NONE: readonly Correction[] = [];

/**
 * What tells one pass from another, listed one by one: a field that a later version adds has no part in it, so that what is
 * kept is found again. The list never changes.
 */
function identityOf(source: PassSource, faceId: string): unknown[] {
  switch (source.kind) {
    case 'recording':
      return ['recording', source.fingerprint, faceId];
    case 'scene':
      return ['scene', source.sceneId, source.seed, steeringOf(source), faceId];
    case 'brief': {
      const { brief: b, more = {} } = source;
      return [
        'brief',
        source.seed,
        source.water,
        [b.speciesId, ...b.lengthM, b.fromM, b.toM, b.fishToM],
        [b.temperatureC, b.salinity, b.thermoclineM, b.saltUnderM, b.clarity, b.bed],
        [b.othersNear, b.windMps, b.presentation, b.speedMps],
        [more.ground, more.cover, more.coverAgeYears, more.bait, more.planktonDb].map((x) => x ?? null),
        [more.drifting, more.upwelling, more.electrical].map((x) => x ?? null),
        steeringOf(source),
        faceId,
        // Said only where it is not as it was before it could be said.
        ...(b.hour === 'day' ? [] : [b.hour]),
        ...(b.season === null ? [] : [b.season]),
        ...(b.lure === null ? [] : [[b.lure.massKg, b.lure.dressed]]),
      ];
    }
  }
}

const steeringOf = ({ steering = [] }: Pick<PassSource & { kind: 'scene' }, 'steering'>): unknown[] =>
  steering.map(({ atS, way, speedMps }) => [atS, way, speedMps]);

const keyOf = ({ pass, settings }: Pick<PassState, 'pass' | 'settings'>): string =>
  fingerprintOf(JSON.stringify(identityOf(pass.source, settings.faceId)));

/** What was said of the pass on the bench, as its beam shows it. */
export const correctionsOf = (
  { byPass }: CorrectionsState,
  state: Pick<PassState, 'pass' | 'settings'>,
): readonly Correction[] => byPass.get(keyOf(state))?.corrections ?? NONE;

function keep(id: string, title: string, corrections: readonly Correction[]): void {
  if (corrections.length === 0) void CORRECTIONS.remove(id);
  else void CORRECTIONS.put([{ id, title: title.slice(0, 120), corrections: [...corrections] }]);
}

/** Keeps what a person says of a mark of the pass on the bench; the notice offers to take it back. @param words what is said of it */
export function correct(correction: Correction, title: string, words: string): Result {
  const id = keyOf(passStore.getState());
  const before = correctionStore.getState().byPass.get(id)?.corrections ?? NONE;
  if (before.length >= MOST_CORRECTIONS)
    return refused(`A pass holds ${MOST_CORRECTIONS} corrections at the most.`);
  keep(id, title, withCorrection(before, correction));
  notify(words, () => keep(id, title, before));
  return DONE;
}

/** Takes back what was said of a mark. */
export function takeBack(correction: Correction, title: string): void {
  const id = keyOf(passStore.getState());
  const before = correctionStore.getState().byPass.get(id)?.corrections ?? NONE;
  keep(id, title, withoutCorrection(before, correction));
  notify('Taken back.', () => keep(id, title, before));
}

/** Lays the corrections an entry was saved with to its pass, unless the device has some of its own. */
export function layCorrections(
  state: Pick<PassState, 'pass' | 'settings'>,
  title: string,
  corrections: readonly Correction[],
): void {
  const id = keyOf(state);
  if (corrections.length > 0 && !correctionStore.getState().byPass.has(id)) keep(id, title, corrections);
}
