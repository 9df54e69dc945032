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

let total = 0;
for (const file of files()) {
  const words = wordsOf(file);
  total += words.length;
  if (words.length)
    console.log([file, ...words.map(({ line, text }) => `  ${line}: ${text}`)].join('\n'));
}
console.log(`${total} strings`);
