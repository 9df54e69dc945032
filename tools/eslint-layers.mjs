import { readFileSync } from 'node:fs';
import { dirname, join, posix, relative, sep } from 'node:path';
import { fileURLToPath } from 'node:url';

const CORE = join(dirname(fileURLToPath(import.meta.url)), '../core');
/** Modules that other packages and other folders may enter beside an index: those that the package exports by name. */
const ENTRIES = new Set(
  Object.keys(JSON.parse(readFileSync(join(CORE, 'package.json'), 'utf8')).exports).map(
    (entry) => `${entry.slice(2)}.ts`,
  ),
);

/** A file of core as its folder, the part of it where the folder lists parts, and its path below core/src. */
function placeOf(file, layers) {
  const path = relative(join(CORE, 'src'), file).split(sep).join('/');
  const [folder, part] = path.split('/');
  const listed = folder in layers && layers[folder].includes(part);
  return { path, folder, part: listed ? part : null };
}
/** What only its own files may enter past its index. The parts of the plan, and those of inspection, know one another's files. */
const subjectOf = ({ path, folder, part }) => {
  if (['plan', 'inspect', 'testing'].includes(folder) || part === null) return folder;
  return folder === 'stations' ? posix.dirname(path) : `${folder}/${part}`;
};

/** Why one file may not import another; null where it may. */
function refusal(from, to, layers) {
  const folders = Object.keys(layers);
  if (!(to.folder in layers)) return null;
  if (folders.indexOf(to.folder) > folders.indexOf(from.folder))
    return `${from.folder} must not know what builds on it: ${to.folder}`;
  if (to.folder === from.folder && from.part && to.part) {
    const parts = layers[from.folder];
    if (parts.indexOf(to.part) > parts.indexOf(from.part))
      return `${from.part} must not know what builds on it: ${to.part}`;
  }
  if (subjectOf(from) === subjectOf(to) || from.folder === 'testing' || to.folder === 'testing')
    return null;
  return to.path.endsWith('/index.ts') || ENTRIES.has(to.path)
    ? null
    : 'import a module by its index, or by an entry that core/package.json exports';
}

/** Holds each folder of core, and each of its parts, to what stands before it in `options[0]`. */
const order = {
  meta: { type: 'problem', schema: [{ type: 'object' }] },
  create(context) {
    const [layers] = context.options;
    const from = placeOf(context.filename, layers);
    const check = ({ source }) => {
      if (typeof source?.value !== 'string' || !source.value.startsWith('.')) return;
      const to = placeOf(join(dirname(context.filename), source.value), layers);
      const message = refusal(from, to, layers);
      if (message) context.report({ node: source, message });
    };
    return {
      ImportDeclaration: check,
      ExportNamedDeclaration: check,
      ExportAllDeclaration: check,
      ImportExpression: check,
    };
  },
};
export default { rules: { order } };
