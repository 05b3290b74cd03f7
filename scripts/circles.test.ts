import { existsSync, readFileSync } from 'node:fs';
import path from 'node:path';
import { execSync } from 'node:child_process';
import ts from 'typescript';

const ENDINGS = ['.ts', '.tsx', '/index.ts', ''];

/** The file an import names, or null for a package's. */
function fileOf(from: string, name: string): string | null {
  const base = name.startsWith('@/')
    ? name.slice(2)
    : name.startsWith('.')
      ? path.join(path.dirname(from), name)
      : null;
  if (base === null) return null;
  return (
    ENDINGS.map((ending) => path.normalize(base + ending)).find((f) => /\.tsx?$/.test(f) && existsSync(f)) ??
    null
  );
}

/** Circles among files, each as the files it runs through; types count as well. */
function circlesOf(imports: Map<string, string[]>): string[] {
  const circles: string[] = [];
  const state = new Map<string, 'open' | 'done'>();
  const way: string[] = [];
  const visit = (file: string): void => {
    state.set(file, 'open');
    way.push(file);
    for (const next of imports.get(file) ?? []) {
      if (state.get(next) === 'open') circles.push([...way.slice(way.indexOf(next)), next].join(' → '));
      else if (!state.has(next)) visit(next);
    }
    way.pop();
    state.set(file, 'done');
  };
  for (const file of imports.keys()) if (!state.has(file)) visit(file);
  return circles;
}

it('finds a circle where there is one', () => {
  const imports = new Map([
    ['a', ['b']],
    ['b', ['c']],
    ['c', ['a']],
  ]);
  expect(circlesOf(imports)).toEqual(['a → b → c → a']);
});

it('no file imports itself by a detour', () => {
  const files = execSync("git ls-files -co --exclude-standard '*.ts' '*.tsx'")
    .toString()
    .trim()
    .split('\n')
    .filter((f) => existsSync(f) && !/\.(test|spec)\.tsx?$/.test(f));
  const imports = new Map(
    files.map((file) => [
      path.normalize(file),
      ts
        .preProcessFile(readFileSync(file, 'utf8'))
        .importedFiles.map(({ fileName }) => fileOf(file, fileName))
        .filter((f) => f !== null),
    ]),
  );
  expect(imports.size).toBeGreaterThan(200);
  expect(circlesOf(imports)).toEqual([]);
});
