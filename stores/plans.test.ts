import { FIRST_BRIEF } from '@/core/advice';
import { GENERIC_RIG, transducerOf } from '@/core/rig';
import * as v from 'valibot';
import { noticeStore } from './notices';
import {
  addSpecies,
  aimAt,
  changeBrief,
  changeRig,
  changeTransducer,
  moveTransducer,
  pinLine,
  PLAN,
  planStore,
} from './plan';
import { deletePlan, keepPlan, PLANS, plansStore, presentPlan, takeUpPlan } from './plans';
import { forgetScale, tellScale, timeChart, UNIT, unitStore } from './unit';

beforeEach(() => {
  planStore.setState({
    brief: FIRST_BRIEF,
    rig: GENERIC_RIG,
    habits: {},
    pins: {},
    slicePins: {},
    ownSpecies: [],
    phase: null,
  });
  plansStore.setState({ plans: [] });
  unitStore.setState({ profile: {}, chart: null });
  noticeStore.setState({ notices: [] });
});

describe('kept plans', () => {
  it('are numbered when a name is taken, newest first', () => {
    expect(keepPlan(presentPlan('Crib'))).toBeNull();
    expect(keepPlan(presentPlan('Crib'))).toBeNull();
    expect(keepPlan(presentPlan('  '))).toBeNull();
    expect(plansStore.getState().plans.map((p) => p.name)).toEqual(['Plan', 'Crib 2', 'Crib']);
  });
  it('bring back all a setup is worked out from, and can be undone', () => {
    changeBrief({ toM: 20 });
    pinLine('range', 30);
    keepPlan(presentPlan('Deep'));
    changeBrief({ toM: 9 });
    pinLine('range', null);
    takeUpPlan(plansStore.getState().plans[0]!);
    expect(planStore.getState()).toMatchObject({ brief: { toM: 20 }, pins: { range: 30 } });
    noticeStore.getState().notices[0]!.undo!();
    expect(planStore.getState().brief.toM).toBe(9);
    expect(planStore.getState().pins.range).toBeUndefined();
  });
  it('hold the slice’s own lines apart from the cone’s, but for the range', () => {
    pinLine('gain', 7, 'slice');
    pinLine('range', 30, 'slice');
    expect(planStore.getState()).toMatchObject({ pins: { range: 30 }, slicePins: { gain: 7 } });
    keepPlan(presentPlan('Slice'));
    pinLine('gain', null, 'slice');
    expect(planStore.getState().slicePins.gain).toBeUndefined();
    takeUpPlan(plansStore.getState().plans[0]!);
    expect(planStore.getState().slicePins).toEqual({ gain: 7 });
  });
  it('come back after they were deleted', () => {
    keepPlan(presentPlan('Crib'));
    deletePlan('Crib');
    expect(plansStore.getState().plans).toEqual([]);
    noticeStore.getState().notices[0]!.undo!();
    expect(plansStore.getState().plans).toHaveLength(1);
  });
  it('are refused when they are no plans or too many', () => {
    expect(keepPlan({ ...presentPlan('Bad'), brief: { ...FIRST_BRIEF, toM: 4000 } })).toMatch(/300/);
    plansStore.setState({ plans: Array.from({ length: 100 }, (_, k) => presentPlan(`P${k}`)) });
    expect(keepPlan(presentPlan('One more'))).toMatch(/No more than 100/);
  });
  it('survive storage as they are', () => {
    keepPlan(presentPlan('Crib'));
    const saved = JSON.parse(JSON.stringify(PLANS.pick(plansStore.getState()))) as unknown;
    expect(v.parse(PLANS.schema, saved)).toEqual({ plans: plansStore.getState().plans });
  });
});

describe('the plan as it is kept', () => {
  it('opens what was kept before there were pins, feeds and kinds of one’s own', () => {
    const { pins: _p, ownSpecies: _o, ...old } = PLAN.pick(planStore.getState());
    const { lengthM: _l, unsureCones: _u, feeds: _f, positions, ...rig } = old.rig;
    const { stern: _s, ...places } = positions;
    const read = v.parse(
      PLAN.schema,
      JSON.parse(JSON.stringify({ ...old, rig: { ...rig, positions: places } })),
    );
    expect(read).toEqual({ ...old, pins: {}, slicePins: {}, ownSpecies: [] });
  });
  it('does not keep which card is open', () => {
    planStore.setState({ phase: 'run' });
    expect(PLAN.pick(planStore.getState())).not.toHaveProperty('phase');
  });
});

describe('a kind of one’s own', () => {
  const bleak = { label: 'Bleak', bladder: 'open', lengthM: [0.1, 0.15], keeps: 'top' } as const;
  it('becomes the target, goes with the brief, and is left for another', () => {
    expect(addSpecies(bleak)).toBeNull();
    expect(planStore.getState().brief).toMatchObject({
      speciesId: 'own-1',
      lengthM: [0.1, 0.15],
      ownSpecies: { label: 'Bleak' },
    });
    expect(
      aimAt({ id: 'perch', label: 'Perch', bladder: 'closed', lengthM: [0.2, 0.3], keeps: 'near-bed' }),
    ).toBeNull();
    expect(planStore.getState().brief).toMatchObject({ speciesId: 'perch', ownSpecies: null });
    expect(planStore.getState().ownSpecies).toHaveLength(1);
  });
  it('is refused when there is one of that name, or it cannot be', () => {
    expect(addSpecies({ ...bleak, label: 'perch' })).toMatch(/already/);
    expect(addSpecies({ ...bleak, lengthM: [0.4, 0.1] })).toMatch(/smaller length/);
    expect(planStore.getState().ownSpecies).toEqual([]);
  });
});

describe('the unit’s scales', () => {
  const scale = { word: 'Reject', lowest: 1, highest: 9, step: 1, direction: 'more' } as const;
  it('are told, kept and forgotten', () => {
    expect(tellScale('noiseRejection', scale)).toBeNull();
    timeChart([
      { shown: 3, acrossS: 60 },
      { shown: 6, acrossS: 30 },
    ]);
    const saved = JSON.parse(JSON.stringify(UNIT.pick(unitStore.getState()))) as unknown;
    expect(v.parse(UNIT.schema, saved)).toEqual(unitStore.getState());
    forgetScale('noiseRejection');
    expect(unitStore.getState().profile).toEqual({});
  });
  it('are refused upside down, and from storage when damaged', () => {
    expect(tellScale('gain', { ...scale, highest: 0 })).toMatch(/above the lowest/);
    expect(v.safeParse(UNIT.schema, { profile: { gain: { ...scale, step: 0 } }, chart: null }).success).toBe(
      false,
    );
    expect(
      v.safeParse(UNIT.schema, {
        profile: {},
        chart: [
          { shown: 1, acrossS: 0 },
          { shown: 2, acrossS: 1 },
        ],
      }).success,
    ).toBe(false);
  });
});

it('a rig keeps its new parts in bounds', () => {
  expect(changeRig({ lengthM: 200 })).not.toBeNull();
  expect(changeRig({ feeds: { 'cone-200': 'bow' } })).toBeNull();
  expect(changeRig({ unsureCones: ['cone-200'] })).toBeNull();
  expect(planStore.getState().rig).toMatchObject({
    feeds: { 'cone-200': 'bow' },
    unsureCones: ['cone-200'],
    lengthM: 6,
  });
});

it('a transducer hangs where it is put, all its faces, until it is taken off', () => {
  const imaging = transducerOf('imaging');
  expect(moveTransducer(imaging, { x: 40, y: 0 })).not.toBeNull();
  expect(planStore.getState().rig.hangs).toEqual({});
  expect(moveTransducer(imaging, { x: 4, y: 0.5 })).toBeNull();
  expect(Object.keys(planStore.getState().rig.hangs)).toEqual(imaging.faces.map((f) => f.id));
  expect(changeTransducer(imaging.faces, false)).toBeNull();
  expect(planStore.getState().rig.hangs).toEqual({});
});
