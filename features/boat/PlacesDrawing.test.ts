import { spaced } from './PlacesDrawing';

describe('words beside a drawing', () => {
  it('stay where they are while there is room', () => {
    expect(spaced([10, 90, 50], 20, 0, 100)).toEqual([10, 90, 50]);
  });
  it('give way in their order, and stay within the drawing', () => {
    expect(spaced([50, 50, 50], 20, 0, 100)).toEqual([50, 70, 90]);
    expect(spaced([95, 99], 20, 0, 100)).toEqual([80, 100]);
    expect(spaced([-30, 5], 20, 0, 100)).toEqual([0, 20]);
  });
});
