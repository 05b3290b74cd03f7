import { amplitudeToDb, fromDb } from '@/core/maths';
/** What the bed is made of. */
export type BedMaterial = 'rock' | 'gravel' | 'shell' | 'sand' | 'silt' | 'mud';

/** Acoustic character of a bed material at sounder frequencies. */
export interface BedAcoustics {
  /** Density over that of the water above. */
  densityRatio: number;
  /** Sound speed over that of the water above. */
  speedRatio: number;
  /** Backscatter at 45° by Lambert's law's constant, dB (Mackenzie 1961 gives −27 for a typical bed). */
  lambertDb: number;
  /** Rms slope of the facets that glint when seen square on. */
  facetSlopeRad: number;
  /** Rms height of the small roughness, m. */
  roughnessM: number;
  /** One-way attenuation in the bed, dB per metre and kHz. */
  attenuationDbPerMKhz: number;
  /** Level just under the surface of what lies in the bed, against the surface echo, dB. */
  burialDb: number;
}

/**
 * Density and speed ratios: APL-UW TR 9407 (1994) for rock and gravel, Hamilton & Bachman (1982) for sand (fine),
 * silt and mud (silty clay); shell as a thin hard skin over mud. Attenuation by grain size after Hamilton (1980).
 * Facet slopes, roughness and burial levels are nominal values within the published spread for each kind.
 */
export const BED: Record<BedMaterial, BedAcoustics> = {
  rock: {
    densityRatio: 2.5,
    speedRatio: 2.5,
    lambertDb: -14,
    facetSlopeRad: 0.17,
    roughnessM: 0.03,
    attenuationDbPerMKhz: 0.3,
    burialDb: -40,
  },
  gravel: {
    densityRatio: 2.5,
    speedRatio: 1.8,
    lambertDb: -17,
    facetSlopeRad: 0.16,
    roughnessM: 0.015,
    attenuationDbPerMKhz: 0.6,
    burialDb: -28,
  },
  shell: {
    densityRatio: 2.2,
    speedRatio: 1.5,
    lambertDb: -17,
    facetSlopeRad: 0.16,
    roughnessM: 0.015,
    attenuationDbPerMKhz: 0.12,
    burialDb: -17,
  },
  sand: {
    densityRatio: 1.962,
    speedRatio: 1.152,
    lambertDb: -24,
    facetSlopeRad: 0.15,
    roughnessM: 0.005,
    attenuationDbPerMKhz: 0.5,
    burialDb: -18,
  },
  silt: {
    densityRatio: 1.74,
    speedRatio: 1.057,
    lambertDb: -29,
    facetSlopeRad: 0.14,
    roughnessM: 0.003,
    attenuationDbPerMKhz: 0.2,
    burialDb: -13,
  },
  mud: {
    densityRatio: 1.48,
    speedRatio: 0.99,
    lambertDb: -33,
    facetSlopeRad: 0.13,
    roughnessM: 0.002,
    attenuationDbPerMKhz: 0.1,
    burialDb: -11,
  },
};

/** The materials from hard to soft. */
export const BED_MATERIALS = Object.keys(BED) as BedMaterial[];

/** Pressure reflection coefficient at normal incidence, V = (Z2 − Z1)/(Z2 + Z1). */
export function bedReflection(material: BedMaterial): number {
  const { densityRatio, speedRatio } = BED[material];
  const z = densityRatio * speedRatio;
  return (z - 1) / (z + 1);
}

/** Loss of an echo from a smooth bed, dB, above 0: BL = −20 log |V|. */
export const bedLoss = (material: BedMaterial): number => -amplitudeToDb(Math.abs(bedReflection(material)));

/** Loss of the mirror part from roughness, dB (Eckart 1953): 17.37 (kσ)². @param frequencyHz and @param speedMps give k. */
export function roughnessLoss(material: BedMaterial, frequencyHz: number, speedMps: number): number {
  const ks = ((2 * Math.PI * frequencyHz) / speedMps) * BED[material].roughnessM;
  return 17.37 * ks * ks;
}

/**
 * Share of the reflected power that stays coherent, as from a mirror, 0…1: exp(−4(kσ)²), Eckart's loss as power. Next to
 * nothing at sounder frequencies but for mud and silt under a low one.
 */
export const coherentShare = (material: BedMaterial, frequencyHz: number, speedMps: number): number =>
  fromDb(-roughnessLoss(material, frequencyHz, speedMps));

/**
 * Backscatter of a square metre of bed as a power ratio: a facet lobe around square-on incidence (high-frequency
 * Kirchhoff limit, |V|²/(8π s² cos⁴i)·exp(−tan²i/2s²), Brekhovskikh & Lysanov 1982 §9) plus Lambert's law.
 * @param incidenceRad angle from the local normal, 0…π/2
 * @param diffuseShare share of the facet lobe that is left when part of the echo is coherent, 0…1
 */
export function bedBackscatter(material: BedMaterial, incidenceRad: number, diffuseShare = 1): number {
  const { facetSlopeRad: s, lambertDb } = BED[material];
  const cos = Math.cos(incidenceRad);
  if (!(cos > 1e-3)) return 0;
  const tan2 = (1 - cos * cos) / (cos * cos);
  const v = bedReflection(material);
  const facet = ((v * v) / (8 * Math.PI * s * s * cos ** 4)) * Math.exp(-tan2 / (2 * s * s));
  return diffuseShare * facet + fromDb(lambertDb) * cos * cos;
}
