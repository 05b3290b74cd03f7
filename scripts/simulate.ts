/**
 * Writes a recording of a named scene: `npm run simulate -- <scene> --seed 3 --out pass.nc`.
 * Also --faces cone-200,slice-455 (default all of the generic rig), --ping-rate, --range, --list.
 */
import { parseArgs } from 'node:util';
import { recordingOf } from '@/core/recording';
import { faceOf, GENERIC_RIG, TRANSDUCERS, type Face } from '@/core/rig';
import { makeScene, recipeOf, SCENES, trackOver } from '@/core/scene';
import { simulate } from '@/core/sounder';
import { saveRecording } from './recordings';

const HELP = `npm run simulate -- <scene> --seed N --out FILE [--faces a,b] [--ping-rate HZ] [--range M]
npm run simulate -- --list`;

/** Ends with a plain sentence. */
function stop(message: string): never {
  console.error(message);
  process.exit(1);
}

function number(text: string | undefined, fallback: number, name: string, low: number, high: number): number {
  if (text === undefined) return fallback;
  const value = Number(text);
  if (!(value >= low && value <= high)) stop(`--${name} must be ${low} to ${high}, got ${text}.`);
  return value;
}

/** A face of the generic rig, or of any transducer of the library. */
function faceNamed(id: string): Face {
  const all = [...GENERIC_RIG.faces, ...TRANSDUCERS.flatMap((t) => t.faces)];
  return (
    all.find((f) => f.id === id) ??
    stop(`There is no face “${id}”; there are ${[...new Set(all.map((f) => f.id))].join(', ')}.`)
  );
}

async function main(): Promise<void> {
  const { values, positionals } = parseArgs({
    allowPositionals: true,
    options: {
      seed: { type: 'string' },
      out: { type: 'string' },
      faces: { type: 'string' },
      'ping-rate': { type: 'string' },
      range: { type: 'string' },
      list: { type: 'boolean' },
    },
  });
  if (values.list) {
    for (const s of SCENES) console.log(`${s.id.padEnd(20)} ${s.waterName}: ${s.teaches}`);
    return;
  }
  const [id] = positionals;
  if (!id || !values.out) stop(HELP);
  const recipe = recipeOf(id);
  const seed = number(values.seed, 1, 'seed', 0, 4294967295);
  const pingRate = number(values['ping-rate'], recipe.pingRate, 'ping-rate', 0.5, 60);
  const farM = number(values.range, recipe.rangeM, 'range', 1, 400);
  const faces = values.faces
    ? values.faces.split(',').map(faceNamed)
    : GENERIC_RIG.faces.map((f) => faceOf(GENERIC_RIG, f.id));
  const recording = simulate({
    scene: makeScene(id, seed),
    track: trackOver(id, seed, pingRate),
    rig: GENERIC_RIG,
    faces,
    pingRate,
    farM,
    seed,
  });
  await saveRecording(values.out, recordingOf([recording]), `simulated, scene ${id}, seed ${seed}`);
  const pings = recording.navigation.timeS.length;
  console.log(
    `${values.out}: ${recording.title}, seed ${seed}, ${pings} pings of ${faces.map((f) => f.label).join(', ')}`,
  );
}

main().catch((error: unknown) => stop(error instanceof Error ? error.message : String(error)));
