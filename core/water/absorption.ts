/** An absorption and whether the formula was used outside the band it was fitted to. */
export interface Absorption {
  /** One-way loss, dB per metre. */
  dbPerM: number;
  /** True above 1 MHz, where the formula is only carried on. */
  extrapolated: boolean;
}

/** The water part alone, dB/km (Francois & Garrison 1982, term A3·P3·f²). */
function pureWater(fKhz: number, t: number, depthM: number): number {
  const a3 =
    t <= 20
      ? 4.937e-4 + t * (-2.59e-5 + t * (9.11e-7 - t * 1.5e-8))
      : 3.964e-4 + t * (-1.146e-5 + t * (1.45e-7 - t * 6.5e-10));
  const p3 = 1 - 3.83e-5 * depthM + 4.9e-10 * depthM * depthM;
  return a3 * p3 * fKhz * fKhz;
}

/** The boric-acid and magnesium-sulphate parts, dB/km (Francois & Garrison 1982). */
function relaxation(fKhz: number, t: number, salinity: number, depthM: number, pH: number): number {
  const theta = 273 + t;
  const c = 1412 + 3.21 * t + 1.19 * salinity + 0.0167 * depthM;
  const a1 = (8.86 / c) * Math.pow(10, 0.78 * pH - 5);
  const f1 = 2.8 * Math.sqrt(salinity / 35) * Math.pow(10, 4 - 1245 / theta);
  const a2 = ((21.44 * salinity) / c) * (1 + 0.025 * t);
  const p2 = 1 - 1.37e-4 * depthM + 6.2e-9 * depthM * depthM;
  const f2 = (8.17 * Math.pow(10, 8 - 1990 / theta)) / (1 + 0.0018 * (salinity - 35));
  const ff = fKhz * fKhz;
  return (a1 * f1 * ff) / (f1 * f1 + ff) + (a2 * p2 * f2 * ff) / (f2 * f2 + ff);
}

/**
 * Absorption of sound (Francois & Garrison 1982). Fresh water takes the water term alone; below salinity 5 the
 * relaxation terms, fitted to sea water, are taken at 5 and in proportion to salinity.
 * @param frequencyHz 1 kHz…1.3 MHz
 * @param temperatureC −2…35 °C @param salinity 0…40 @param depthM 0…7000 m @param pH of the water
 * @throws RangeError outside those ranges
 */
export function absorption(
  frequencyHz: number,
  temperatureC: number,
  { salinity = 0, depthM = 0, pH = 8 }: { salinity?: number; depthM?: number; pH?: number } = {},
): Absorption {
  if (!(frequencyHz >= 1e3 && frequencyHz <= 1.3e6))
    throw new RangeError(`absorption: frequency must be 1 kHz to 1.3 MHz, got ${frequencyHz} Hz`);
  if (!(temperatureC >= -2 && temperatureC <= 35))
    throw new RangeError(`absorption: temperature must be −2 to 35 °C, got ${temperatureC}`);
  if (!(salinity >= 0 && salinity <= 40))
    throw new RangeError(`absorption: salinity must be 0 to 40, got ${salinity}`);
  if (!(depthM >= 0 && depthM <= 7000))
    throw new RangeError(`absorption: depth must be 0 to 7000 m, got ${depthM}`);
  if (!(pH >= 6 && pH <= 9)) throw new RangeError(`absorption: pH must be 6 to 9, got ${pH}`);
  const f = frequencyHz / 1000;
  let dbPerKm = pureWater(f, temperatureC, depthM);
  if (salinity >= 5) dbPerKm += relaxation(f, temperatureC, salinity, depthM, pH);
  else if (salinity > 0) dbPerKm += (salinity / 5) * relaxation(f, temperatureC, 5, depthM, pH);
  return { dbPerM: dbPerKm / 1000, extrapolated: frequencyHz > 1e6 };
}
