/** Installs, builds and serves the app with its demo data. */
import { spawn } from 'node:child_process';
import { ensurePackages, run } from './tools.mjs';

ensurePackages();
if (!run('node', ['scripts/build.mjs'])) {
  console.error('The app could not be built; the lines above say why.');
  process.exit(1);
}
const server = spawn('node', ['build/server.mjs', ...process.argv.slice(2)], {
  stdio: ['ignore', 'pipe', 'inherit'],
});
server.stdout.on('data', (chunk) => {
  // The demo's own address carries the word that loads its data.
  process.stdout.write(String(chunk).replace(/(https?:\/\/\S+?)\/(\s)/, '$1/?demo$2'));
});
server.on('exit', (code) => process.exit(code ?? 1));
for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => server.kill('SIGTERM'));
