/** Everything that must hold: lint, types, unit and browser tests. The last line counts them. */
import { existsSync, mkdirSync, readFileSync, rmSync } from 'node:fs';
import { ensureChromium, ensurePackages, ensureRecordingTools, run, runBeside } from './tools.mjs';

ensurePackages();
const CHROMIUM = ensureChromium();
ensureRecordingTools();
rmSync('test-results', { recursive: true, force: true });
mkdirSync('test-results', { recursive: true });

let passed = 0;
let failed = 0;
/** @param {string} name @param {boolean} ok */
const count = (name, ok) => {
  if (ok) passed++;
  else {
    failed++;
    console.error(`✗ ${name}`);
  }
};

/**
 * Adds a runner's own counts; a runner that left none, or ended badly with none failed, is one failure.
 * @param {string} name @param {boolean} ok @param {string} file @param {(report: any) => [number, number]} counts
 */
const add = (name, ok, file, counts) => {
  if (!existsSync(file)) return count(`${name} left no report`, false);
  const [good, bad] = counts(JSON.parse(readFileSync(file, 'utf8')));
  passed += good;
  failed += bad;
  if (good === 0) count(`${name} ran no test`, false);
  if (!ok && bad === 0) count(`${name} ended badly`, false);
};

// Each keeps one core busy: what needs nothing built goes beside the build and the types of the app.
const linted = runBeside('npm', ['run', '--silent', 'lint']);
const typedBelow = linted.then(() => runBeside('npm', ['run', '--silent', 'types:below']));
// Expo writes the types of the routes and assets; a fresh clone has none yet.
const built = await runBeside('node', ['scripts/build.mjs']);
count('build', built);
count('types of the app', await runBeside('npm', ['run', '--silent', 'types:app']));
count('lint', await linted);
count('types below the app', await typedBelow);
/** @type {[project: string, nodeOptions: string][]} */
const PROJECTS = [
  // The recordings' library comes as a native module, which Jest loads only with this.
  ['core', '--experimental-vm-modules --no-warnings'],
  ['interface', ''],
];
for (const [project, options] of PROJECTS) {
  const report = `test-results/${project}.json`;
  const ok = run(
    'npx',
    [
      'jest',
      '--selectProjects',
      project,
      '--maxWorkers=2',
      '--json',
      `--outputFile=${report}`,
      '--silent=false',
    ],
    {
      NODE_OPTIONS: options,
    },
  );
  add(`unit tests of ${project}`, ok, report, (r) => [
    r.numPassedTests,
    r.numFailedTests + r.numRuntimeErrorTestSuites,
  ]);
}
if (built) {
  const browser = run('npx', ['playwright', 'test'], { CHROMIUM });
  add('browser tests', browser, 'test-results/e2e.json', (r) => [
    r.stats.expected,
    r.stats.unexpected + r.stats.flaky,
  ]);
}
console.log(`tests: ${passed} passed, ${failed} failed`);
process.exit(failed === 0 ? 0 : 1);
