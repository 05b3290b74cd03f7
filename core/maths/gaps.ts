/** Whether a value is a gap: missing values are NaN, the only number that is not itself. */
export const isGap = (value: number): boolean => value !== value;
