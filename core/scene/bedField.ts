import type { BedMaterial } from '@/core/water';
import { BED_MATERIALS } from '@/core/water';
import { clamp } from '@/core/maths';

/** The bed as a grid: depth and material by cell, x along the first axis. Depths in m, positive down. */
export interface BedField {
  originXM: number;
  originYM: number;
  cellM: number;
  /** Cells along x and along y. */
  nx: number;
  ny: number;
  /** nx × ny, x varying fastest. */
  depthM: Float32Array;
  /** nx × ny indices into BED_MATERIALS. */
  material: Uint8Array;
}

/** Lays a bed over a rectangle from two plain functions of position. @throws RangeError for more than 4 million cells */
export function layBed(
  area: { originXM: number; originYM: number; widthM: number; heightM: number; cellM: number },
  depthAt: (x: number, y: number) => number,
  materialAt: (x: number, y: number) => BedMaterial,
): BedField {
  const nx = Math.ceil(area.widthM / area.cellM) + 1;
  const ny = Math.ceil(area.heightM / area.cellM) + 1;
  if (!(nx * ny <= 4e6)) throw new RangeError(`bed: ${nx} × ${ny} cells are more than 4 million`);
  const depthM = new Float32Array(nx * ny);
  const material = new Uint8Array(nx * ny);
  for (let j = 0; j < ny; j++)
    for (let i = 0; i < nx; i++) {
      const x = area.originXM + i * area.cellM;
      const y = area.originYM + j * area.cellM;
      depthM[j * nx + i] = depthAt(x, y);
      material[j * nx + i] = BED_MATERIALS.indexOf(materialAt(x, y));
    }
  return { originXM: area.originXM, originYM: area.originYM, cellM: area.cellM, nx, ny, depthM, material };
}

/** Depth of the bed at a place, m, between cells by two-way interpolation; beyond the edge as at the edge. */
export function bedDepthAt(bed: BedField, x: number, y: number): number {
  const fx = clamp((x - bed.originXM) / bed.cellM, 0, bed.nx - 1.001);
  const fy = clamp((y - bed.originYM) / bed.cellM, 0, bed.ny - 1.001);
  const i = fx | 0;
  const j = fy | 0;
  const u = fx - i;
  const w = fy - j;
  const at = j * bed.nx + i;
  const d = bed.depthM;
  return (
    (d[at]! * (1 - u) + d[at + 1]! * u) * (1 - w) + (d[at + bed.nx]! * (1 - u) + d[at + bed.nx + 1]! * u) * w
  );
}

/** Index into BED_MATERIALS of the material at a place. */
export function bedMaterialAt(bed: BedField, x: number, y: number): number {
  let i = ((x - bed.originXM) / bed.cellM + 0.5) | 0;
  let j = ((y - bed.originYM) / bed.cellM + 0.5) | 0;
  if (i < 0) i = 0;
  else if (i >= bed.nx) i = bed.nx - 1;
  if (j < 0) j = 0;
  else if (j >= bed.ny) j = bed.ny - 1;
  return bed.material[j * bed.nx + i]!;
}

/** Depth and slope of the bed at a place, written into `out` as depth (m), ∂depth/∂x, ∂depth/∂y; beyond the edge as at the edge. */
export function bedSlopeAt(bed: BedField, x: number, y: number, out: Float64Array): void {
  const { nx, ny, cellM, depthM: d } = bed;
  let fx = (x - bed.originXM) / cellM;
  let fy = (y - bed.originYM) / cellM;
  if (!(fx > 0)) fx = 0;
  else if (fx > nx - 1.001) fx = nx - 1.001;
  if (!(fy > 0)) fy = 0;
  else if (fy > ny - 1.001) fy = ny - 1.001;
  const i = fx | 0;
  const j = fy | 0;
  const u = fx - i;
  const w = fy - j;
  const at = j * nx + i;
  const d00 = d[at]!;
  const d10 = d[at + 1]!;
  const d01 = d[at + nx]!;
  const d11 = d[at + nx + 1]!;
  const near = d00 + (d10 - d00) * u;
  const far = d01 + (d11 - d01) * u;
  out[0] = near + (far - near) * w;
  out[1] = ((d10 - d00) * (1 - w) + (d11 - d01) * w) / cellM;
  out[2] = (far - near) / cellM;
}
