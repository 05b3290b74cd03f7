/**
 * Speed of sound in fresh or salt water, m/s (Chen & Millero 1977, UNESCO form of Fofonoff & Millard 1983).
 * @param temperatureC 0…40 °C (ITS-90; turned to IPTS-68 inside)
 * @param salinity 0…40, practical salinity
 * @param pressureBar 0…1000 bar above atmospheric; a metre of water is about 0.1 bar
 * @throws RangeError outside those ranges
 */
export function soundSpeed(temperatureC: number, salinity = 0, pressureBar = 0): number {
  if (!(temperatureC >= 0 && temperatureC <= 40))
    throw new RangeError(`sound speed: temperature must be 0 to 40 °C, got ${temperatureC}`);
  if (!(salinity >= 0 && salinity <= 40))
    throw new RangeError(`sound speed: salinity must be 0 to 40, got ${salinity}`);
  if (!(pressureBar >= 0 && pressureBar <= 1000))
    throw new RangeError(`sound speed: pressure must be 0 to 1000 bar, got ${pressureBar}`);
  const t = 1.00024 * temperatureC;
  const p = pressureBar;
  const s = salinity;
  const cw =
    1402.388 +
    t * (5.03711 + t * (-5.80852e-2 + t * (3.342e-4 + t * (-1.478e-6 + t * 3.1464e-9)))) +
    p *
      (0.153563 +
        t * (6.8982e-4 + t * (-8.1788e-6 + t * (1.3621e-7 - t * 6.1185e-10))) +
        p *
          (3.126e-5 +
            t * (-1.7107e-6 + t * (2.5974e-8 + t * (-2.5335e-10 + t * 1.0405e-12))) +
            p * (-9.7729e-9 + t * (3.8504e-10 - t * 2.3643e-12))));
  const a =
    1.389 +
    t * (-1.262e-2 + t * (7.164e-5 + t * (2.006e-6 - t * 3.21e-8))) +
    p *
      (9.4742e-5 +
        t * (-1.258e-5 + t * (-6.4885e-8 + t * (1.0507e-8 - t * 2.0122e-10))) +
        p *
          (-3.9064e-7 +
            t * (9.1041e-9 + t * (-1.6002e-10 + t * 7.988e-12)) +
            p * (1.1e-10 + t * (6.649e-12 - t * 3.389e-13))));
  const b = -1.922e-2 - 4.42e-5 * t + p * (7.3637e-5 + 1.7945e-7 * t);
  const e = 1.727e-3 - 7.9836e-6 * p;
  return cw + a * s + b * Math.pow(s, 1.5) + e * s * s;
}
