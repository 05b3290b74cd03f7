import { unparse } from 'papaparse';
import { calledBy, correctionOf, type Correction, type KeptMark } from '@/core/logbook';
import type { Reading } from '@/core/reading';

/** What was read of a pass, and where it lies. */
export interface FindingsOf {
  title: string;
  /** Whether the pings were made by the simulator. */
  simulated: boolean;
  /** Made with this beam. */
  beam: string;
  reading: Pick<Reading, 'findings'>;
  /** The same findings as the log keeps them, in the same order: with their places. */
  marks: readonly KeptMark[];
  corrections: readonly Correction[];
}

/** One finding in SI units; what is not known is null. */
interface FindingRow {
  number: number;
  read_as: string;
  confidence: number;
  /** What the user said of it: a word for what it is, the number of them, a part of another. */
  user_says: string | null;
  range_m: number;
  true_depth_from_m: number;
  true_depth_to_m: number;
  height_m: number;
  over_bed_m: number | null;
  length_from_m: number | null;
  length_to_m: number | null;
  over_background_db: number;
  time_s: number;
  latitude_deg: number | null;
  longitude_deg: number | null;
  simulated: boolean;
}

const saidOf = (c: Correction | null): string | null => {
  if (!c) return null;
  switch (c.change) {
    case 'agreed':
      return c.was;
    case 'renamed':
    case 'added':
      return c.is;
    case 'split':
      return `${c.parts} × ${c.was}`;
    case 'merged':
      return 'a part of another';
  }
};

const to = (digits: number) => (x: number) => Number(x.toFixed(digits));
const cm = to(2);
const tenth = to(1);
const place = to(7);

function rowsOf({ reading, marks, corrections, simulated }: FindingsOf): FindingRow[] {
  return reading.findings.map((f, i): FindingRow => {
    const at = marks[i];
    return {
      number: f.id,
      read_as: calledBy(f),
      confidence: cm(f.confidence),
      user_says: saidOf(correctionOf(f, corrections)),
      range_m: cm(f.rangeM),
      true_depth_from_m: cm(f.depthM[0]),
      true_depth_to_m: cm(f.depthM[1]),
      height_m: cm(f.heightM),
      over_bed_m: f.gapToBedM === null ? null : cm(f.gapToBedM),
      length_from_m: f.kind === 'fish' && f.lengthM ? cm(f.lengthM[0]) : null,
      length_to_m: f.kind === 'fish' && f.lengthM ? cm(f.lengthM[2]) : null,
      over_background_db: tenth(f.overBackgroundDb),
      time_s: tenth(f.timeS),
      latitude_deg: at ? place(at.latitudeDeg) : null,
      longitude_deg: at ? place(at.longitudeDeg) : null,
      simulated,
    };
  });
}

/** Findings as a table: RFC 4180, SI units in the names of the columns. Cells that a spreadsheet would run are made harmless. */
export const findingsCsv = (of: FindingsOf): string =>
  `${unparse(rowsOf(of), { newline: '\r\n', escapeFormulae: true })}\r\n`;

/** Findings as points (RFC 7946): longitude first, WGS 84. One without a place has no geometry. */
export const findingsGeoJson = (of: FindingsOf): string =>
  JSON.stringify(
    {
      type: 'FeatureCollection',
      title: of.title,
      beam: of.beam,
      source: of.simulated ? 'simulated' : 'recorded',
      note: 'Readings, not identifications; not for navigation.',
      features: rowsOf(of).map(({ latitude_deg, longitude_deg, ...properties }) => ({
        type: 'Feature',
        geometry:
          latitude_deg === null || longitude_deg === null
            ? null
            : { type: 'Point', coordinates: [longitude_deg, latitude_deg] },
        properties,
      })),
    },
    null,
    1,
  );
