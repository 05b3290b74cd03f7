/**
 * Bessel function of the first kind, order one, for real x; absolute error below 1e-7.
 * Rational and asymptotic fits of Hart et al. (1968) as printed in Press et al., Numerical Recipes §6.5.
 */
export function besselJ1(x: number): number {
  const ax = Math.abs(x);
  if (ax < 8) {
    const y = x * x;
    const top =
      x *
      (72362614232.0 +
        y * (-7895059235.0 + y * (242396853.1 + y * (-2972611.439 + y * (15704.4826 + y * -30.16036606)))));
    const bottom =
      144725228442.0 + y * (2300535178.0 + y * (18583304.74 + y * (99447.43394 + y * (376.9991397 + y))));
    return top / bottom;
  }
  const z = 8 / ax;
  const y = z * z;
  const shifted = ax - 2.356194491;
  const p = 1 + y * (0.183105e-2 + y * (-0.3516396496e-4 + y * (0.2457520174e-5 + y * -0.240337019e-6)));
  const q =
    0.04687499995 +
    y * (-0.2002690873e-3 + y * (0.8449199096e-5 + y * (-0.88228987e-6 + y * 0.105787412e-6)));
  const value = Math.sqrt(0.636619772 / ax) * (Math.cos(shifted) * p - z * Math.sin(shifted) * q);
  return x < 0 ? -value : value;
}
