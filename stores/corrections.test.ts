import { FIRST_BRIEF } from '@/core/advice';
import type { PassSource } from '@/core/bench/passSource';
import type { Correction } from '@/core/logbook';
import { PLAIN_SETTINGS } from '@/core/picture';
import { GENERIC_RIG } from '@/core/rig';
import { correct, correctionsOf, correctionStore, layCorrections, takeBack } from './corrections';
import { passStore } from './pass';

const agreed: Correction = { change: 'agreed', timeS: 5, rangeM: 6, was: 'fish' };
const onBench = (source: PassSource, faceId = 'cone-83') => ({
  pass: { source, rig: GENERIC_RIG },
  settings: { ...PLAIN_SETTINGS, faceId },
});
const brief = (seed: number): PassSource => ({ kind: 'brief', brief: FIRST_BRIEF, seed, water: 2 });
const said = (state: ReturnType<typeof onBench>) => correctionsOf(correctionStore.getState(), state);

beforeEach(() => {
  correctionStore.setState({ byPass: new Map() });
  passStore.setState(onBench(brief(1)));
});

it('corrections belong to one pass on one beam, however its fields are ordered and whatever is added to them', () => {
  correct(agreed, 'Shelf', 'Said.');
  expect(said(onBench(brief(1)))).toEqual([agreed]);
  expect(said(onBench(brief(2)))).toEqual([]);
  expect(said(onBench(brief(1), 'cone-200'))).toEqual([]);
  const { seed, kind, water, brief: b } = brief(1) as PassSource & { kind: 'brief' };
  const turned = Object.fromEntries(Object.entries({ ...b, laterField: 7 }).reverse()) as typeof b;
  expect(said(onBench({ water, seed, brief: turned, kind }))).toEqual([agreed]);
  expect(said(onBench({ ...brief(1), more: { bait: 'calm' } } as PassSource))).toEqual([]);
});

it('are taken back one by one, and brought by an entry only where there are none', () => {
  correct(agreed, 'Shelf', 'Said.');
  const state = onBench(brief(1));
  layCorrections(state, 'Shelf', [{ ...agreed, timeS: 50 }]);
  expect(said(state)).toEqual([agreed]);
  takeBack(agreed, 'Shelf');
  expect(said(state)).toEqual([]);
  layCorrections(state, 'Shelf', [{ ...agreed, timeS: 50 }]);
  expect(said(state)).toEqual([{ ...agreed, timeS: 50 }]);
});

it('are refused past the most there can be', () => {
  for (let k = 0; k < 500; k++)
    correct({ change: 'added', timeS: k, rangeM: 3, is: 'fish' }, 'Shelf', 'Said.');
  expect(correct({ ...agreed }, 'Shelf', 'Said.').ok).toBe(false);
  expect(said(onBench(brief(1)))).toHaveLength(500);
});
