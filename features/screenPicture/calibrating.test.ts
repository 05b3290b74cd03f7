import * as v from 'valibot';
import { ScreenCalibrationSchema } from '@/core/screenPicture';
import {
  anotherPanel,
  BEGIN,
  calibrationOf,
  sameLegend,
  stepBack,
  takenUp,
  tapped,
  type Calibrating,
} from './calibrating';

const taps = (c: Calibrating, ...places: [x: number, y: number][]): Calibrating =>
  places.reduce((so, [x, y]) => tapped(so, { x, y }), c);

describe('telling a picture’s corners, depths and colours', () => {
  it('takes six taps of a screenshot, in any order of its corners', () => {
    const c = taps(BEGIN, [0.8, 0.9], [0.1, 0.1], [0.82, 0.1], [0.82, 0.5], [0.95, 0.9], [0.95, 0.2]);
    expect(c.step).toBe('rest');
    const { calibration } = calibrationOf({ ...c, depthM: [0, 10] })!;
    expect(calibration.corners[0]).toEqual({ x: 0.1, y: 0.1 });
    expect(calibration.corners[2]).toEqual({ x: 0.8, y: 0.9 });
    expect(calibration.depths[0]).toEqual({ down: 0, depthM: 0 });
    expect(calibration.depths[1].down).toBeCloseTo(0.5, 9);
    expect(v.safeParse(ScreenCalibrationSchema, calibration).success).toBe(true);
  });
  it('takes eight of a photo, whose scale is read along its slanting sides', () => {
    const c = taps(
      { ...BEGIN, photo: true },
      [0.1, 0.2],
      [0.9, 0.1],
      [0.9, 0.9],
      [0.1, 0.8],
      [0.9, 0.1],
      [0.1, 0.8],
      [0.95, 0.9],
      [0.95, 0.2],
    );
    const { depths } = calibrationOf(c)!.calibration;
    expect(depths.map((d) => d.down)).toEqual([expect.closeTo(0, 9), expect.closeTo(1, 9)]);
  });
  it('is not done before all is told, and goes back a step at a time', () => {
    let c = taps(BEGIN, [0.1, 0.1], [0.8, 0.9], [0.82, 0.1]);
    expect(calibrationOf(c)).toBeNull();
    c = stepBack(c);
    expect(c).toMatchObject({ step: 'depths', depthAt: [] });
    c = stepBack(c);
    expect(c).toMatchObject({ step: 'corners', corners: [] });
    expect(stepBack(c)).toBe(c);
  });
  it('comes back from what was kept', () => {
    const c = taps(BEGIN, [0.1, 0.1], [0.8, 0.9], [0.82, 0.1], [0.82, 0.5], [0.95, 0.9], [0.95, 0.2]);
    const { calibration: kept, faceId } = calibrationOf(c)!;
    const again = calibrationOf(takenUp(kept, faceId))!.calibration;
    expect(again.corners).toEqual(kept.corners);
    again.depths.forEach((d, i) => expect(d.down).toBeCloseTo(kept.depths[i]!.down, 9));
    expect(again.legend).toEqual(kept.legend);
  });
  it('goes on with further panels, each of a beam and with colours of its own or the same', () => {
    const one = taps(
      { ...BEGIN, faceId: 'cone' },
      [0.1, 0.1],
      [0.8, 0.45],
      [0.82, 0.1],
      [0.82, 0.45],
      [0.95, 0.9],
      [0.95, 0.2],
    );
    const begun = anotherPanel(one, 'slice');
    expect(begun).toMatchObject({ step: 'corners', corners: [], faceId: 'slice' });
    expect(calibrationOf(begun)).toBeNull();
    const two = sameLegend(taps(begun, [0.1, 0.5], [0.8, 0.9], [0.82, 0.5], [0.82, 0.9]));
    const { calibration, faceId } = calibrationOf(two)!;
    expect(faceId).toBe('cone');
    expect(calibration.corners[0]).toEqual({ x: 0.1, y: 0.1 });
    expect(calibration.panels).toHaveLength(1);
    expect(calibration.panels[0]).toMatchObject({ faceId: 'slice', legend: calibration.legend });
    expect(calibration.panels[0]!.corners[0]).toEqual({ x: 0.1, y: 0.5 });
    expect(v.safeParse(ScreenCalibrationSchema, calibration).success).toBe(true);
    expect(calibrationOf(takenUp(calibration, faceId))!.calibration.panels[0]!.faceId).toBe('slice');
    // Back from the second panel's first corner it is the first one's turn again.
    const back = stepBack(begun);
    expect(back).toMatchObject({ step: 'rest', faceId: 'cone', others: [] });
    expect(calibrationOf(back)!.calibration.corners).toEqual(calibration.corners);
  });
});
