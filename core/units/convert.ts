/** Exact by definition (international foot, statute mile, nautical mile). */
export const M_PER_FOOT = 0.3048;
export const M_PER_INCH = 0.0254;
export const MPS_PER_MPH = 1609.344 / 3600;
export const MPS_PER_KMH = 1 / 3.6;
export const MPS_PER_KNOT = 1852 / 3600;

export const feetToM = (feet: number): number => feet * M_PER_FOOT;
export const mToFeet = (m: number): number => m / M_PER_FOOT;
export const mphToMps = (mph: number): number => mph * MPS_PER_MPH;
export const mpsToMph = (mps: number): number => mps / MPS_PER_MPH;
export const kmhToMps = (kmh: number): number => kmh * MPS_PER_KMH;
export const mpsToKmh = (mps: number): number => mps / MPS_PER_KMH;
export const knotsToMps = (knots: number): number => knots * MPS_PER_KNOT;
export const mpsToKnots = (mps: number): number => mps / MPS_PER_KNOT;
export const fahrenheitToC = (f: number): number => ((f - 32) * 5) / 9;
export const cToFahrenheit = (c: number): number => (c * 9) / 5 + 32;
export const degToRad = (deg: number): number => (deg * Math.PI) / 180;
export const radToDeg = (rad: number): number => (rad * 180) / Math.PI;
