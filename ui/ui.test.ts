import { depthScale } from './depthScale';
import { pixelFit } from './pixelFit';

describe('pixel fit', () => {
  it('uses whole device pixels when they fill most of the room', () => {
    expect(pixelFit({ columns: 640, rows: 480 }, { width: 700, height: 500 }, 1)).toEqual({
      width: 640,
      height: 480,
      even: true,
    });
    expect(pixelFit({ columns: 640, rows: 480 }, { width: 326, height: 490 }, 2)).toEqual({
      width: 320,
      height: 480,
      even: true,
    });
  });
  it('fills the room when they would not', () => {
    expect(pixelFit({ columns: 640, rows: 480 }, { width: 300, height: 400 }, 1)).toEqual({
      width: 300,
      height: 400,
      even: false,
    });
    expect(pixelFit({ columns: 640, rows: 480 }, { width: 1200, height: 480 }, 1)).toMatchObject({
      width: 1200,
      even: false,
    });
  });
});

describe('depth scale', () => {
  it('counts in round numbers of the user’s unit', () => {
    expect(depthScale(17, 'metric').map((m) => m.label)).toEqual(['0 m', '5', '10', '15']);
    expect(depthScale(17, 'feet').map((m) => m.label)).toEqual(['0 ft', '10', '20', '30', '40', '50']);
    expect(depthScale(17, 'metric')[1]!.at).toBeCloseTo(5 / 17, 9);
  });
});
