import type { Finding } from '@/core/reading';
import {
  calledBy,
  correctionOf,
  joinedCorrections,
  otherwiseSaid,
  readerRecord,
  withCorrection,
  withoutCorrection,
  type Correction,
} from './correction';

const finding = (timeS: number, rangeM: number, kind: Finding['kind'] = 'fish'): Finding =>
  ({ timeS, rangeM, kind, cover: 'weed' }) as Finding;
const agreed: Correction = { change: 'agreed', timeS: 10, rangeM: 6, was: 'fish' };

describe('what a person says of the reader’s marks', () => {
  it('is found again by place and kind, the nearest first', () => {
    const nearer: Correction = { change: 'renamed', timeS: 10.9, rangeM: 6, was: 'fish', is: 'bait' };
    expect(correctionOf(finding(10.2, 6.1), [agreed, nearer])).toBe(agreed);
    expect(correctionOf(finding(10.8, 6.1), [agreed, nearer])).toBe(nearer);
    expect(correctionOf(finding(10, 8), [agreed])).toBeNull();
    expect(correctionOf(finding(14, 6), [agreed])).toBeNull();
    expect(correctionOf(finding(10, 6, 'cloud'), [agreed])).toBeNull();
    expect(correctionOf(finding(10, 6), [{ change: 'added', timeS: 10, rangeM: 6, is: 'fish' }])).toBeNull();
  });

  it('has one word a mark, and any number of added ones', () => {
    const renamed: Correction = { ...agreed, change: 'renamed', is: 'nothing' };
    const added: Correction = { change: 'added', timeS: 10, rangeM: 6, is: 'fish' };
    const list = [agreed, renamed, added, { ...added }].reduce<Correction[]>(withCorrection, []);
    expect(list).toEqual([renamed, added, added]);
    expect(withoutCorrection(list, renamed)).toEqual([added, added]);
  });

  it('is counted for and against the reader, by kind', () => {
    const list: Correction[] = [
      agreed,
      { change: 'renamed', timeS: 20, rangeM: 7, was: 'fish', is: 'weed' },
      { change: 'split', timeS: 30, rangeM: 7, was: 'fish', parts: 3 },
      { change: 'merged', timeS: 31, rangeM: 7, was: 'fish', into: { timeS: 30, rangeM: 7 } },
      { change: 'renamed', timeS: 40, rangeM: 9, was: 'bait', is: 'fish' },
      { change: 'added', timeS: 50, rangeM: 9, is: 'fish' },
    ];
    expect(readerRecord(list)).toEqual({ judged: 4, right: 2, missed: 1 });
    expect(readerRecord(list, 'fish')).toEqual({ judged: 3, right: 2, missed: 1 });
    expect(readerRecord(list, 'bait')).toEqual({ judged: 1, right: 0, missed: 0 });
  });

  it('is asked in the reader’s own word', () => {
    expect(calledBy(finding(1, 1))).toBe('fish');
    expect(calledBy(finding(1, 1, 'cloud'))).toBe('bait');
    expect(calledBy(finding(1, 1, 'cover'))).toBe('weed');
  });
});

describe('what two devices said of one pass', () => {
  const at = (timeS: number) => ({ timeS, rangeM: 6 });
  const agreed: Correction = { change: 'agreed', ...at(10), was: 'fish' };
  const renamed: Correction = { change: 'renamed', ...at(10), was: 'fish', is: 'weed' };
  const later: Correction = { change: 'added', ...at(30), is: 'bait' };
  it('stands together, each once, the same in either order; both are told where they differ', () => {
    const one = joinedCorrections([later, agreed], [renamed])!;
    expect(
      joinedCorrections([renamed], [agreed, { is: 'bait', rangeM: 6, timeS: 30, change: 'added' }]),
    ).toEqual(one);
    expect(one).toHaveLength(3);
    expect(joinedCorrections(one, [agreed])).toEqual(one);
    const said = correctionOf(finding(10, 6), one)!;
    expect([said, ...otherwiseSaid(said, one)].map((c) => c.change).sort()).toEqual(['agreed', 'renamed']);
    // Said anew, it is settled.
    expect(otherwiseSaid(agreed, withCorrection(one, agreed))).toEqual([]);
  });
  it('is not joined past the most there can be', () => {
    const many = (from: number): Correction[] =>
      Array.from({ length: 300 }, (_, k) => ({ change: 'added', ...at(from + k), is: 'fish' }));
    expect(joinedCorrections(many(0), many(1000))).toBeNull();
  });
});
