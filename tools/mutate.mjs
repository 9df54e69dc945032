import { execFileSync, spawnSync } from 'node:child_process';
import { readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { basename, dirname, resolve } from 'node:path';
import ts from 'typescript';
import { ROOT } from './steps.mjs';

/**
 * Breaks core in one place after another and tells which of them no spec notices: `npm run mutate -- COUNT SEED`.
 * First the specs nearest above the file are run, then those that quote its name or reach it by the fewest imports.
 */
const [count = 10, seed = 1] = process.argv.slice(2).map(Number);

/** Numbers from 0 to 1 that come again with their seed (mulberry32). */
function seeded(from) {
  let state = from >>> 0;
  return () => {
    state = (state + 0x6d2b79f5) >>> 0;
    let t = Math.imul(state ^ (state >>> 15), 1 | state);
    t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t;
    return ((t ^ (t >>> 14)) >>> 0) / 2 ** 32;
  };
}

const { SyntaxKind: K } = ts;
const OPERATORS = new Map([
  [K.PlusToken, '-'],
  [K.MinusToken, '+'],
  [K.AsteriskToken, '/'],
  [K.SlashToken, '*'],
  [K.LessThanToken, '<='],
  [K.LessThanEqualsToken, '<'],
  [K.GreaterThanToken, '>='],
  [K.GreaterThanEqualsToken, '>'],
  [K.EqualsEqualsEqualsToken, '!=='],
  [K.ExclamationEqualsEqualsToken, '==='],
  [K.AmpersandAmpersandToken, '||'],
  [K.BarBarToken, '&&'],
]);

/** What can be broken in a file: the place, and what stands there then. */
function breaksIn(file) {
  const text = readFileSync(file, 'utf8');
  const source = ts.createSourceFile(file, text, ts.ScriptTarget.Latest, true);
  const found = [];
  const add = (node, by) => found.push({ file, from: node.getStart(), to: node.end, by });
  const visit = (node) => {
    if (ts.isTypeNode(node) || ts.isImportDeclaration(node)) return;
    if (ts.isBinaryExpression(node) && OPERATORS.has(node.operatorToken.kind))
      add(node.operatorToken, OPERATORS.get(node.operatorToken.kind));
    if (ts.isNumericLiteral(node)) add(node, String(Number(node.text.replaceAll('_', '')) + 1));
    if (ts.isIfStatement(node)) add(node.expression, 'false');
    if (ts.isConditionalExpression(node)) add(node.condition, 'true');
    const isFilter =
      ts.isCallExpression(node) &&
      ts.isPropertyAccessExpression(node.expression) &&
      node.expression.name.text === 'filter';
    if (isFilter) add(node.arguments[0], '() => true');
    ts.forEachChild(node, visit);
  };
  visit(source);
  return found;
}

const JEST = ['jest', '--selectProjects', 'core', '--bail', '--passWithNoTests'];
/** Whether these specs pass; a loop without end is stopped after a quarter of an hour and counts as noticed. */
const jest = (...args) =>
  spawnSync('npx', [...JEST, '--testTimeout', '120000', ...args], {
    cwd: ROOT,
    stdio: 'ignore',
    timeout: 900_000,
  }).status === 0;
/** The nearest folder above a file that has specs of its own. */
function specFolder(file) {
  const folder = dirname(file);
  const has = readdirSync(folder).some((name) => name.endsWith('.spec.ts'));
  return has || folder === ROOT ? folder : specFolder(folder);
}
const all = execFileSync('git', ['ls-files', 'core/src/**/*.ts'], { cwd: ROOT, encoding: 'utf8' })
  .split('\n')
  .filter(Boolean)
  .map((file) => resolve(ROOT, file));
/** Who imports whom: the files that name a file, by that file. */
const importers = new Map();
for (const file of all)
  for (const [, path] of readFileSync(file, 'utf8').matchAll(/from '(\.[^']+)'/g)) {
    const named = resolve(dirname(file), path);
    importers.set(named, [...(importers.get(named) ?? []), file]);
  }
/** Specs that reach a file, those by the fewest imports first. */
function specsThatReach(file) {
  const seen = new Set([file]);
  for (const one of seen) for (const by of importers.get(one) ?? []) seen.add(by);
  return [...seen].filter((one) => one.endsWith('.spec.ts'));
}
/** A spec that quotes the name of a rule's file is a test of that rule, however far off. */
const quotes = (spec, file) => readFileSync(spec, 'utf8').includes(`'${basename(file, '.ts')}'`);
/** Past so many specs one further off is no test of this file. */
const MOST_SPECS = 12;
const survives = (file) => {
  const reach = specsThatReach(file);
  const specs = [...reach.filter((spec) => quotes(spec, file)), ...reach.slice(0, MOST_SPECS)];
  return jest('--', `${specFolder(file)}/[^/]*$`) && (!specs.length || jest('--', ...specs));
};

const files = all.filter((file) => !/\.spec\.ts$|\/testing\/|\/index\.ts$/.test(file));
const random = seeded(seed);
const pick = (list) => list[Math.floor(random() * list.length)];
let killed = 0;
for (let i = 0; i < count;) {
  const one = pick(breaksIn(pick(files)));
  if (!one) continue;
  i++;
  const before = readFileSync(one.file, 'utf8');
  const line = before.slice(0, one.from).split('\n').length;
  let alive;
  try {
    writeFileSync(one.file, before.slice(0, one.from) + one.by + before.slice(one.to));
    alive = survives(one.file);
  } finally {
    writeFileSync(one.file, before);
  }
  killed += alive ? 0 : 1;
  const was = before.slice(one.from, one.to).replaceAll(/\s+/g, ' ').slice(0, 60);
  console.log(
    `${alive ? 'SURVIVED' : 'killed  '} ${one.file.slice(ROOT.length)}:${line} ${was} → ${one.by}`,
  );
}
console.log(`${killed} of ${count} killed (seed ${seed})`);
