import * as v from 'valibot';
import { FIRST_BRIEF } from '@/core/advice';
import { openData, problemOf } from '@/core/formats';
import { GENERIC_RIG, transducerOf, UnitSchema, unitOf } from '@/core/rig';
import { addBoat, boatsStore, deleteBoat, otherBoats, switchBoat } from './boats';
import { noticeStore } from './notices';
import {
  addSpecies,
  addUnit,
  aimAt,
  changeBrief,
  changeRig,
  changeTransducer,
  changeUnit,
  moveTransducer,
  openUnit,
  pinLine,
  PLAN,
  planStore,
  removeUnit,
} from './plan';
import { deletePlan, keepPlan, plansStore, presentPlan, takeUpPlan } from './plans';
import { forgetScale, tellScale, timeChart } from './unit';

beforeEach(() => {
  planStore.setState(planStore.getInitialState(), true);
  plansStore.setState({ plans: [] });
  boatsStore.setState({ boats: [] });
  noticeStore.setState({ notices: [] });
});

const undoLast = (): void => noticeStore.getState().notices[0]!.undo!();

describe('kept plans', () => {
  it('are numbered when a name is taken', () => {
    for (const name of ['Crib', 'Crib', '  ']) expect(keepPlan(presentPlan(name)).ok).toBe(true);
    expect(plansStore.getState().plans.map((p) => p.name)).toEqual(['Crib', 'Crib 2', 'Plan']);
  });
  it('bring back all a setup is worked out from, and can be undone', () => {
    changeBrief({ toM: 20 });
    pinLine('range', 30);
    keepPlan(presentPlan('Deep'));
    changeBrief({ toM: 9 });
    pinLine('range', null);
    takeUpPlan(plansStore.getState().plans[0]!);
    expect(planStore.getState()).toMatchObject({
      brief: { toM: 20 },
      holds: { 'unit-1': { cone: { range: 30 } } },
    });
    undoLast();
    expect(planStore.getState().brief.toM).toBe(9);
    expect(planStore.getState().holds['unit-1']!.cone.range).toBeUndefined();
  });
  it('hold the slice’s own lines apart from the cone’s, but for the range', () => {
    pinLine('gain', 7, 'slice');
    pinLine('range', 30, 'slice');
    expect(planStore.getState().holds['unit-1']).toEqual({ cone: { range: 30 }, slice: { gain: 7 } });
  });
  it('come back after they were deleted, and nothing else with them', () => {
    keepPlan(presentPlan('Crib'));
    deletePlan(plansStore.getState().plans[0]!.id);
    expect(plansStore.getState().plans).toEqual([]);
    keepPlan(presentPlan('Bar'));
    undoLast();
    expect(plansStore.getState().plans.map((p) => p.name)).toEqual(['Bar', 'Crib']);
  });
  it('are refused when they are no plans or too many', () => {
    const bad = { ...presentPlan('Bad'), brief: { ...FIRST_BRIEF, toM: 4000 } };
    expect(problemOf(keepPlan(bad))).toMatch(/The depth of the bed is 4000 m; 300 m is the most/);
    plansStore.setState({ plans: Array.from({ length: 100 }, (_, k) => presentPlan(`P${k}`)) });
    expect(problemOf(keepPlan(presentPlan('One more')))).toMatch(/100 saved plans, the most there can be/);
  });
});

describe('boats', () => {
  it('are kept as they are, gone back to, and brought back after they were deleted', () => {
    changeRig({ name: 'Skiff' });
    expect(addBoat().ok).toBe(true);
    expect(planStore.getState().rig.name).toBe('Boat 2');
    const others = () => otherBoats(boatsStore.getState().boats, planStore.getState().boatId);
    const [skiff] = others();
    expect(skiff!.rig.name).toBe('Skiff');
    changeRig({ lengthM: 9 });
    switchBoat(skiff!.id);
    expect(planStore.getState().rig).toMatchObject({ name: 'Skiff', lengthM: 6 });
    expect(others().map((b) => [b.rig.name, b.rig.lengthM])).toEqual([['Boat 2', 9]]);
    deleteBoat(others()[0]!.id);
    expect(others()).toEqual([]);
    undoLast();
    expect(others().map((b) => b.rig.name)).toEqual(['Boat 2']);
  });
});

describe('units of a boat', () => {
  it('have screen, scales, chart and holds of their own', () => {
    expect(addUnit().ok).toBe(true);
    changeUnit({ name: 'Bow unit', station: 'bow', screen: { rows: 320, columns: 240 } });
    pinLine('gain', 4);
    tellScale('gain', { word: 'Sense', lowest: 0, highest: 100, step: 1, direction: 'more' });
    const { units } = planStore.getState().rig;
    expect(units.map((u) => [u.name, u.screen.rows])).toEqual([
      ['Unit', 480],
      ['Bow unit', 320],
    ]);
    expect(units[0]!.scales).toEqual({});
    expect(planStore.getState().holds).toEqual({ 'unit-2': { cone: { gain: 4 }, slice: {} } });
    openUnit('unit-1');
    pinLine('gain', -2);
    expect(planStore.getState().holds['unit-2']!.cone.gain).toBe(4);
    expect(removeUnit('unit-2').ok).toBe(true);
    expect(problemOf(removeUnit('unit-1'))).toMatch(/at least one unit/);
    undoLast();
    expect(planStore.getState().rig.units.map((u) => u.id)).toEqual(['unit-1', 'unit-2']);
  });
  it('are told how they count, and forget it', () => {
    const scale = { word: 'Reject', lowest: 1, highest: 9, step: 1, direction: 'more' } as const;
    expect(tellScale('noiseRejection', scale).ok).toBe(true);
    const chart = [
      { shown: 3, acrossS: 60 },
      { shown: 6, acrossS: 30 },
    ] as [{ shown: number; acrossS: number }, { shown: number; acrossS: number }];
    timeChart(chart);
    const unit = unitOf(planStore.getState().rig);
    expect(v.parse(UnitSchema, JSON.parse(JSON.stringify(unit)))).toEqual(unit);
    expect(unit).toMatchObject({ scales: { noiseRejection: scale }, chart });
    forgetScale('noiseRejection');
    expect(unitOf(planStore.getState().rig).scales).toEqual({});
    expect(problemOf(tellScale('gain', { ...scale, highest: 0 }))).toMatch(/above the lowest/);
  });
});

describe('the plan as it is kept', () => {
  it('opens what was kept before there were holds, units and boats', () => {
    const { holds: _h, ownSpecies: _o, boatId: _b, ...old } = PLAN.pick(planStore.getState());
    const { units, lengthM: _l, unsureCones: _u, positions, ...rig } = old.rig;
    const { stern: _s, ...places } = positions;
    const rigThen = { ...rig, positions: places, screen: units[0]!.screen, fastestPingRate: 20 };
    const then = JSON.parse(JSON.stringify({ ...old, rig: rigThen, pins: { range: 22 } })) as unknown;
    expect(openData(PLAN.format, 2, then)).toEqual({
      ok: true,
      value: {
        ...old,
        boatId: 'boat-1',
        holds: { 'unit-1': { cone: { range: 22 }, slice: {} } },
        ownSpecies: [],
      },
    });
  });
  it('does not keep which card is open', () => {
    planStore.setState({ phase: 'run', unitId: 'unit-1' });
    expect(Object.keys(PLAN.pick(planStore.getState()))).toEqual([
      'brief',
      'rig',
      'boatId',
      'habits',
      'holds',
      'ownSpecies',
      'tried',
    ]);
  });
});

describe('a kind of one’s own', () => {
  const bleak = { label: 'Bleak', bladder: 'open', lengthM: [0.1, 0.15], keeps: 'top' } as const;
  it('becomes the target, goes with the brief, and is left for another', () => {
    expect(addSpecies(bleak).ok).toBe(true);
    expect(planStore.getState().brief).toMatchObject({
      speciesId: 'own-1',
      lengthM: [0.1, 0.15],
      ownSpecies: { label: 'Bleak' },
    });
    const perch = {
      id: 'perch',
      label: 'Perch',
      bladder: 'closed',
      lengthM: [0.2, 0.3],
      keeps: 'near-bed',
    } as const;
    expect(aimAt(perch).ok).toBe(true);
    expect(planStore.getState().brief).toMatchObject({ speciesId: 'perch', ownSpecies: null });
    expect(planStore.getState().ownSpecies).toHaveLength(1);
  });
  it('is refused when there is one of that name, or it cannot be', () => {
    expect(problemOf(addSpecies({ ...bleak, label: 'perch' }))).toMatch(/already/);
    expect(problemOf(addSpecies({ ...bleak, lengthM: [0.4, 0.1] }))).toMatch(/smaller length/);
    expect(planStore.getState().ownSpecies).toEqual([]);
  });
});

it('a rig keeps its parts in bounds', () => {
  expect(problemOf(changeRig({ lengthM: 200 }))).toBe('The length of the boat is 200 m; 40 m is the most.');
  expect(changeRig({ unsureCones: ['cone-200'] }).ok).toBe(true);
  expect(planStore.getState().rig).toMatchObject({ unsureCones: ['cone-200'], lengthM: 6 });
});

it('a transducer hangs where it is put, all its faces, until it is taken off', () => {
  const imaging = transducerOf('imaging');
  expect(moveTransducer(imaging, { x: 40, y: 0 }).ok).toBe(false);
  expect(planStore.getState().rig.hangs).toEqual({});
  expect(moveTransducer(imaging, { x: 4, y: 0.5 }).ok).toBe(true);
  expect(Object.keys(planStore.getState().rig.hangs)).toEqual(imaging.faces.map((f) => f.id));
  expect(changeTransducer(imaging.faces, false).ok).toBe(true);
  expect(planStore.getState().rig).toMatchObject({ hangs: {}, faces: GENERIC_RIG.faces.slice(0, 2) });
});
