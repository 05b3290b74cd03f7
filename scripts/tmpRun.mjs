import { build } from 'esbuild';
import { spawnSync } from 'node:child_process';
const [file, ...args] = process.argv.slice(2);
const out = `build/tmp-${file.replace(/\.ts$/, '')}.cjs`;
await build({ entryPoints: [`scripts/${file}`], bundle: true, platform: 'node', format: 'cjs', outfile: out, alias: { '@': process.cwd() }, external: ['sharp'], loader: { '.png': 'dataurl' }, logLevel: 'error' });
process.exit(spawnSync('node', [out, ...args], { stdio: 'inherit' }).status ?? 1);
