import { PALETTE_STEPS } from './palette';

/** Steps a legend is counted in, weak to strong. */
export const LEGEND_STEPS = 8;

/** The legend's step of a palette step, 1 to LEGEND_STEPS; 0 where nothing is drawn. */
export const legendStep = (step: number): number => Math.ceil((LEGEND_STEPS * step) / PALETTE_STEPS);
