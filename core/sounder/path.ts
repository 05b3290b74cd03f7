import { amplitudeFromDb } from '@/core/maths';
/** Absorption by range at this step, m; between two entries it is linear. */
export const LOSS_STEP_M = 0.25;

/** How sound is lost and turns with range on its way there and back. */
export interface Path {
  /** Pressure ratio that absorption leaves, at steps of LOSS_STEP_M. */
  loss: Float64Array;
  /** Turns of phase a metre of range. */
  turnsPerM: number;
}

const FARTHEST_M = 2000;

/** The path of one frequency. @param wavelengthM above 0 @param absorptionDbPerM one way */
export const pathOf = (wavelengthM: number, absorptionDbPerM: number): Path => ({
  loss: Float64Array.from({ length: FARTHEST_M / LOSS_STEP_M + 2 }, (_, i) =>
    amplitudeFromDb(-2 * absorptionDbPerM * i * LOSS_STEP_M),
  ),
  turnsPerM: 2 / wavelengthM,
});
