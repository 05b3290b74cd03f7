import { depthScale } from './depthScale';
import { pixelFit } from './pixelFit';
import { otherUnit } from './readNumber';
import { TONES } from './theme';

const upTo = (spanM: number) => ({ topM: 0, spanM, overBed: false });

describe('pixel fit', () => {
  it('uses whole device pixels when they fill most of the room', () => {
    expect(pixelFit({ columns: 640, rows: 480 }, { width: 650, height: 490 }, 1)).toEqual({
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
    expect(depthScale(upTo(17), 'metric').map((m) => m.label)).toEqual(['0 m', '5', '10', '15']);
    expect(depthScale(upTo(17), 'feet').map((m) => m.label)).toEqual(['0 ft', '10', '20', '30', '40', '50']);
    expect(depthScale(upTo(17), 'metric')[1]!.at).toBeCloseTo(5 / 17, 9);
  });
});

it('asks about a length that is the one before in the other unit', () => {
  expect(otherUnit(46, 14, 'metric')).toMatch(
    /^46 ft would be the 14 m before\. If you mean 46 m, enter it again\.$/,
  );
  expect(otherUnit(14, 46, 'feet')).toMatch(/^14 m would be the 46 ft before/);
  expect(otherUnit(20, 14, 'metric')).toBeNull();
  expect(otherUnit(14, 46, 'metric')).toBeNull();
  expect(otherUnit(0, 14, 'metric')).toBeNull();
});

it('has three lights whose words stand 7 to 1 on their ground', () => {
  const luminance = (hex: string): number => {
    const [r, g, b] = [1, 3, 5].map((i) => {
      const x = parseInt(hex.slice(i, i + 2), 16) / 255;
      return x <= 0.04045 ? x / 12.92 : ((x + 0.055) / 1.055) ** 2.4;
    }) as [number, number, number];
    return 0.2126 * r + 0.7152 * g + 0.0722 * b;
  };
  const contrast = (a: string, b: string): number => {
    const [x, y] = [luminance(a), luminance(b)].sort((p, q) => q - p) as [number, number];
    return (x + 0.05) / (y + 0.05);
  };
  for (const tones of Object.values(TONES))
    for (const ground of [tones.ground, tones.page])
      for (const ink of [tones.ink, tones.faint]) expect(contrast(ink, ground)).toBeGreaterThanOrEqual(7);
  // By night nothing but red: the eye's adaptation to the dark is lost by green and blue.
  for (const colour of [TONES.night.ink, TONES.night.water, TONES.night.buoy]) {
    const [r, g, b] = [1, 3, 5].map((i) => parseInt(colour.slice(i, i + 2), 16)) as [number, number, number];
    expect(r).toBeGreaterThan(1.5 * Math.max(g, b));
  }
});

it('scales a window that begins deeper, and one locked to the bed', () => {
  // 4 to 17 m: lines at 4, 6 … 16.
  const deep = depthScale({ topM: 4, spanM: 13, overBed: false }, 'metric');
  expect(deep.map((m) => m.label)).toEqual(['4 m', '6', '8', '10', '12', '14', '16']);
  expect(deep[0]!.at).toBeCloseTo(0, 9);
  expect(deep[3]!.at).toBeCloseTo(6 / 13, 9);
  // 3 m over the bed and 0.75 under it.
  const locked = depthScale({ topM: 3, spanM: 3.75, overBed: true }, 'metric');
  expect(locked.map((m) => m.label)).toEqual(['3 m', '2.5', '2', '1.5', '1', '0.5', 'bed', '0.5']);
  expect(locked[6]!.at).toBeCloseTo(3 / 3.75, 9);
});
