export * from './convert';
export {
  format,
  formatBand,
  formatNumber,
  measure,
  systemOfLocale,
  type Measure,
  type MeasureName,
  type UnitSystem,
} from './system';
