import { fishAbout } from './fishAbout';
import type { FishFinding } from '../finding';

const thing = { cover: 'brush' as const, fromPing: 100, toPing: 160, rangeM: 8, heightM: 1.5 };
const fish = (fromPing: number, toPing: number, rangeM: number): FishFinding =>
  ({
    kind: 'fish',
    fromPing,
    toPing,
    rangeM,
    path: new Float32Array(toPing - fromPing + 1).fill(rangeM),
  }) as unknown as FishFinding;

describe('fish about cover', () => {
  it('stand over it or beside it, and farther off are not about it', () => {
    const about = fishAbout(
      thing,
      [fish(120, 135, 6.8), fish(170, 180, 8.6), fish(120, 130, 3), fish(260, 270, 8.5)],
      10,
    );
    expect(about).toEqual({ over: 1, beside: 1, inside: 'unknown' });
  });
  it('cannot be inside a rock', () => {
    expect(fishAbout({ ...thing, cover: 'boulder' }, [], 10)).toEqual({ over: 0, beside: 0, inside: 'none' });
  });
});
