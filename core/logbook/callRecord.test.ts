import { callRecord, lureRecord } from './callRecord';
import type { Bite, Call } from './day';
import { demoDay } from './demoDay';

const call = (what: Call['what'], sure: number, proof: Call['proof'], by: Call['by'] = 'user'): Call => ({
  id: 'c',
  at: '2026-09-02T06:00:00.000Z',
  what,
  sure,
  by,
  proof,
  depthM: null,
  beam: '',
});

describe('the record of calls', () => {
  it('counts what was proved and nothing else', () => {
    const calls = [
      call('bait', 0.8, 'caught'),
      call('bait', 0.8, 'refuted'),
      call('fish', 0.6, 'camera'),
      call('fish', 0.6, 'supported'),
      call('weed', 0.95, null),
      call('fish', 0.95, 'refuted', 'reader'),
    ];
    const record = callRecord([{ calls: calls.slice(0, 3) }, { calls: calls.slice(3) }]);
    expect(record.all).toEqual({ right: 2, of: 3 });
    expect(callRecord([{ calls }], 'reader').all).toEqual({ right: 0, of: 1 });
    expect(record.byWhat).toEqual([
      { what: 'bait', tally: { right: 1, of: 2 } },
      { what: 'fish', tally: { right: 1, of: 1 } },
    ]);
    expect(record.bySure.map((s) => [s.sure, s.tally.right, s.tally.of])).toEqual([
      [0.6, 1, 1],
      [0.8, 1, 2],
    ]);
    expect([record.supported, record.open]).toEqual([1, 1]);
    // (0.2² + 0.8² + 0.4²) / 3
    expect(record.brier).toBeCloseTo((0.04 + 0.64 + 0.16) / 3, 9);
    expect(callRecord([]).brier).toBeNull();
    expect([record.byDepth, record.byBeam]).toEqual([[], []]);
  });

  it('sorts by depth and beam where they are known', () => {
    const at = (depthM: number | null, beam: string, proof: Call['proof']): Call => ({
      ...call('fish', 0.8, proof),
      depthM,
      beam,
    });
    const { byDepth, byBeam } = callRecord([
      {
        calls: [
          at(4.9, 'wide', 'caught'),
          at(5, 'wide', 'refuted'),
          at(9.9, 'narrow', 'caught'),
          at(null, '', 'caught'),
        ],
      },
    ]);
    expect(byDepth).toEqual([
      { fromM: 0, tally: { right: 1, of: 1 } },
      { fromM: 5, tally: { right: 1, of: 2 } },
    ]);
    expect(byBeam).toEqual([
      { beam: 'wide', tally: { right: 1, of: 2 } },
      { beam: 'narrow', tally: { right: 1, of: 1 } },
    ]);
  });
});

it('lures are held by what fish did to them', () => {
  const bite = (lure: string, answer: Bite['answer']): Bite => ({
    id: 'b',
    at: '2026-09-02T06:00:00.000Z',
    answer,
    side: null,
    angle: null,
    depthM: null,
    lure,
    species: '',
    lengthM: null,
  });
  const bites = [
    bite('white', 'catch'),
    bite('white', 'bite'),
    bite('silver', 'refusal'),
    bite('', 'bite'),
    bite('white', 'follow'),
  ];
  expect(lureRecord([{ bites }])).toEqual([
    { lure: 'white', takes: 2, refusals: 0, follows: 1 },
    { lure: 'silver', takes: 0, refusals: 1, follows: 0 },
  ]);
});

it('the demo day is a day like any other, the same each time', () => {
  const day = demoDay();
  expect(JSON.stringify(demoDay())).toBe(JSON.stringify(day));
  expect(day.track.length).toBeGreaterThan(300);
  expect(callRecord([day]).all).toEqual({ right: 3, of: 4 });
});
