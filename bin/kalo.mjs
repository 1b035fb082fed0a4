#!/usr/bin/env node
/**
 * The batch command from one file, bundled anew when a source is newer. Beside it lies the engine's own code cache of
 * the last run, so that nothing need be parsed or compiled again: it starts in a fraction of the time of the loose
 * sources.
 */
import { mkdirSync, readdirSync, readFileSync, renameSync, statSync, writeFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { fileURLToPath } from 'node:url';
import { Script } from 'node:vm';

const path = (name) => fileURLToPath(new URL(`../${name}`, import.meta.url));
const BUNDLE = path('cli/dist/kalo.cjs');
// by command, as each compiles other things
const COMMAND = ['lines', 'panels', 'frames', 'nest', 'timber', 'takeoff', 'export'].find(
  (name) => name === process.argv[2],
);
const CACHE = path(`cli/dist/${COMMAND ?? 'other'}-${process.version}-${process.arch}.cache`);
const SOURCES = [path('core/src'), path('cli/src'), path('package-lock.json')];

const changedAt = (file) => statSync(file, { throwIfNoEntry: false })?.mtimeMs ?? 0;

function isNewer(file, than) {
  if (changedAt(file) > than) return true; // a folder changes with what is added to it or taken out
  if (!statSync(file).isDirectory()) return false;
  return readdirSync(file, { withFileTypes: true }).some((entry) => isNewer(`${file}/${entry.name}`, than));
}

/** Put in place whole: two commands may start at once. Where nothing may be written, the next start takes longer. */
function place(file, content) {
  try {
    mkdirSync(path('cli/dist'), { recursive: true });
    writeFileSync(`${file}.${process.pid}`, content);
    renameSync(`${file}.${process.pid}`, file);
  } catch {
    // a folder that is read only
  }
}

async function bundle() {
  const { build } = await import('esbuild');
  const { outputFiles } = await build({
    entryPoints: [path('cli/src/main.ts')],
    write: false,
    bundle: true,
    platform: 'node',
    format: 'cjs',
    target: 'node20',
    external: ['highs'], // it finds its own compiled part beside itself
    supported: { 'dynamic-import': false }, // a script that runs from a string can only require
    logLevel: 'error',
  });
  place(BUNDLE, outputFiles[0].contents);
  return outputFiles[0].text;
}

const madeAt = changedAt(BUNDLE);
const isStale = SOURCES.some((source) => isNewer(source, madeAt));
const code = isStale ? await bundle() : readFileSync(BUNDLE, 'utf8');
const hasCache = changedAt(CACHE) > changedAt(BUNDLE);
const script = new Script(`(function (require, module, exports) {${code}\n})`, {
  filename: BUNDLE,
  ...(hasCache && { cachedData: readFileSync(CACHE) }),
});
const module = { exports: {} };
script.runInThisContext()(createRequire(BUNDLE), module, module.exports);
// taken after the run, so that it holds what was compiled on the way
if (!hasCache || script.cachedDataRejected) place(CACHE, script.createCachedData());
