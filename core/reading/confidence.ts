import { logistic } from '@/core/maths';

/** Nothing read off a screen is surer than this: catching is the proof. */
export const SUREST = 0.99;

/** From this on what is said is called sure. */
export const SURE = 0.9;

/** What is less likely than not is not claimed. */
export const LEAST_CONFIDENCE = 0.5;

/** 0…1 from summed evidence in units of log odds. */
export const confidenceOf = (evidence: number): number => SUREST * logistic(evidence);
