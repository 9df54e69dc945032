import { execFileSync } from 'node:child_process';
import { readFileSync } from 'node:fs';
import type {
  LiteralPrimitive,
  TmplAstBoundAttribute,
  TmplAstBoundText,
  TmplAstText,
  TmplAstTextAttribute,
} from '@angular/compiler';
import {
  ASTWithSource,
  Interpolation,
  parseTemplate,
  RecursiveAstVisitor,
  TmplAstRecursiveVisitor,
  tmplAstVisitAll,
  type AST,
} from '@angular/compiler';
import ts from 'typescript';

/** One string that a person can read, and where it stands. Values that are put in are shown as {}. */
interface Words {
  readonly file: string;
  readonly line: number;
  readonly text: string;
}

/** Attributes and inputs whose text is read or heard. */
const READ_ATTRIBUTES = new Set(
  'alt aria-label detail empty hint label none placeholder said shown summary text title words'.split(
    ' ',
  ),
);
/** Properties of objects whose strings are for machines. */
const NOT_READ = new Set(
  'accept class data edit field form host id ink key kind look path rule selector src station template type'.split(
    ' ',
  ),
);

const tidy = (text: string): string => text.replace(/\s+/g, ' ').trim();
/** Words, not a name of the code, a class list, a path of a drawing or a pattern. */
function isRead(text: string): boolean {
  if (!/\p{L}{2}/u.test(text)) return false;
  if (/^[\w$./:@-]*$/.test(text)) return /^\p{Lu}\p{Ll}+$/u.test(text);
  const tokens = text.split(' ');
  const isClass = (token: string): boolean =>
    /^-?[a-z0-9]+([-:/[(.][^\s]*)?$/.test(token) && /[-:[]/.test(token);
  const classes = tokens.filter(isClass).length;
  return classes * 2 <= tokens.length && !/^[MmLlHhVvCcSsQqAaZz\d\s.,{}-]+$/.test(text);
}

/** Strings in the expressions of a template. */
class Literals extends RecursiveAstVisitor {
  readonly found: string[] = [];
  override visitLiteralPrimitive(ast: LiteralPrimitive): void {
    if (typeof ast.value === 'string') this.found.push(ast.value);
  }
}
function stringsIn(ast: AST): string[] {
  const literals = new Literals();
  literals.visit(ast);
  return literals.found;
}

class TemplateWords extends TmplAstRecursiveVisitor {
  readonly found: { readonly offset: number; readonly text: string }[] = [];
  private add(offset: number, ...texts: readonly string[]): void {
    for (const text of texts.map(tidy)) if (isRead(text)) this.found.push({ offset, text });
  }
  override visitText(text: TmplAstText): void {
    // What stands between tags is read however short it is.
    if (/\p{L}/u.test(text.value))
      this.found.push({ offset: text.sourceSpan.start.offset, text: tidy(text.value) });
  }
  override visitBoundText({ value, sourceSpan }: TmplAstBoundText): void {
    const ast = value instanceof ASTWithSource ? value.ast : value;
    const { offset } = sourceSpan.start;
    if (ast instanceof Interpolation) this.add(offset, ast.strings.join('{}'));
    this.add(offset, ...stringsIn(ast));
  }
  override visitTextAttribute({ name, value, sourceSpan }: TmplAstTextAttribute): void {
    if (READ_ATTRIBUTES.has(name)) this.add(sourceSpan.start.offset, value);
  }
  override visitBoundAttribute({ name, value, sourceSpan }: TmplAstBoundAttribute): void {
    if (READ_ATTRIBUTES.has(name)) this.add(sourceSpan.start.offset, ...stringsIn(value));
  }
}

/** What is read in the templates and the strings of a file, in their order. */
function wordsOf(file: string): Words[] {
  const code = readFileSync(file, 'utf8');
  const source = ts.createSourceFile(file, code, ts.ScriptTarget.Latest, true);
  const found: Words[] = [];
  const add = (offset: number, text: string): void => {
    found.push({ file, line: source.getLineAndCharacterOfPosition(offset).line + 1, text });
  };
  const visit = (node: ts.Node): void => {
    if (ts.isImportDeclaration(node) || ts.isExportDeclaration(node) || ts.isTypeNode(node)) return;
    if (ts.isPropertyAssignment(node) && node.name.getText() === 'template') {
      const start = node.initializer.getStart() + 1;
      const words = new TemplateWords();
      tmplAstVisitAll(
        words,
        parseTemplate(node.initializer.getText().slice(1, -1), file, { preserveWhitespaces: false })
          .nodes,
      );
      for (const { offset, text } of words.found) add(start + offset, text);
      return;
    }
    if (ts.isPropertyAssignment(node) && NOT_READ.has(node.name.getText())) return;
    const parent = node.parent;
    const isCompared =
      parent &&
      (ts.isBinaryExpression(parent) ||
        ts.isCaseClause(parent) ||
        ts.isElementAccessExpression(parent) ||
        (ts.isPropertyAssignment(parent) && parent.name === node));
    if (ts.isStringLiteralLike(node)) {
      const text = tidy(node.text);
      if (!isCompared && isRead(text)) add(node.getStart(), text);
      return;
    }
    if (ts.isTemplateExpression(node)) {
      const pieces = [node.head.text, ...node.templateSpans.map(({ literal }) => literal.text)];
      const text = tidy(pieces.join('{}'));
      if (isRead(text)) add(node.getStart(), text);
    }
    ts.forEachChild(node, visit);
  };
  visit(source);
  return found;
}

/** Files whose strings reach a person. */
const files = (): string[] =>
  execFileSync('git', ['ls-files', 'app/src', 'core/src', 'cli/src', 'server/src'], {
    encoding: 'utf8',
  })
    .split('\n')
    .filter((file) => /\.ts$/.test(file) && !/\.spec\.ts$|\/testing\//.test(file));

/** A phrase that is not written, and what is written in its place. `example` is a sentence that it refuses. */
interface Phrase {
  readonly pattern: string;
  readonly write: string;
  readonly example: string;
}
const PHRASES = (
  JSON.parse(readFileSync(new URL('phrases.json', import.meta.url), 'utf8')) as Phrase[]
).map((phrase) => ({ ...phrase, finds: new RegExp(phrase.pattern, 'iu') }));
/** Words that one breath holds. */
const MOST_WORDS = 28;
/** Sizes that are sold by the inch, in mm: a sixteenth to half an inch and their multiples. */
const INCH_AS_MM = /\b(?:1\.5875|3\.175|4\.7625|6\.35|7\.9375|9\.525|11\.1125|12\.7|22\.225) mm\b/;

/** What is wrong with a text that people read. */
function faultsOf(text: string): string[] {
  const long = text
    .split(/[.!?](?:\s|$)|:\s(?=\p{Lu})/u)
    .filter((sentence) => sentence.split(/\s+/).filter(Boolean).length > MOST_WORDS);
  return [
    ...PHRASES.filter(({ finds }) => finds.test(text)).map(
      ({ pattern, write }) => `"${pattern}": write ${write}`,
    ),
    ...(/\p{L}'\p{L}/u.test(text) ? ['a straight apostrophe: write ’'] : []),
    ...long.map((sentence) => `over ${MOST_WORDS} words: ${sentence.trim()}`),
    ...(/\d\.\d{4,}/.test(text) ? ['a figure with four decimals or more'] : []),
    ...(INCH_AS_MM.test(text) ? ['an inch size in mm: write 3/16 in'] : []),
  ];
}

/** Phrases that no longer refuse their own example, and texts that are refused. */
function check(words: readonly Words[]): string[] {
  const idle = PHRASES.filter(({ finds, example }) => !finds.test(example)).map(
    ({ pattern, example }) => `tools/phrases.json: "${pattern}" does not find "${example}"`,
  );
  const bad = words.flatMap(({ file, line, text }) =>
    faultsOf(text).map((fault) => `${file}:${line}: ${text}\n    ${fault}`),
  );
  return [...idle, ...bad];
}

const all = files().map((file) => ({ file, words: wordsOf(file) }));
const words = all.flatMap((one) => one.words);
if (process.argv.includes('--check')) {
  const faults = check(words);
  for (const fault of faults) console.error(fault);
  console.log(`${words.length} strings, ${faults.length} to mend`);
  process.exitCode = faults.length ? 1 : 0;
} else {
  for (const one of all)
    if (one.words.length)
      console.log(
        [one.file, ...one.words.map(({ line, text }) => `  ${line}: ${text}`)].join('\n'),
      );
  console.log(`${words.length} strings`);
}
