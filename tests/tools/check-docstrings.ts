import { readdirSync, readFileSync } from 'node:fs';
import { join, resolve } from 'node:path';
import ts from 'typescript';

/** Every export of the core and of its makers says in a sentence what it is for; scripts are read, not called. */
const SOURCE = resolve(import.meta.dirname, '../../src');
const FEWEST_EXPORTS = 300;

function exportsWithoutSentence(file: string, text: string): { lacking: string[]; count: number } {
  const source = ts.createSourceFile(file, text, ts.ScriptTarget.Latest, true);
  const lacking: string[] = [];
  const described = new Set<string>();
  let count = 0;
  for (const statement of source.statements) {
    const isExported =
      ts.canHaveModifiers(statement) &&
      ts.getModifiers(statement)?.some(({ kind }) => kind === ts.SyntaxKind.ExportKeyword);
    if (!isExported) continue;
    count += 1;
    const name = ts.isFunctionDeclaration(statement) ? statement.name?.text : undefined;
    // The overloads of a function are described once.
    const said = ts.getJSDocCommentsAndTags(statement).length > 0 || (name !== undefined && described.has(name));
    if (said && name) described.add(name);
    const line = source.getLineAndCharacterOfPosition(statement.getStart()).line + 1;
    if (!said) lacking.push(`${file}:${line}: ${statement.getText().split('\n')[0]!.slice(0, 90)}`);
  }
  return { lacking, count };
}

const files = ['core', 'makers'].flatMap((folder) =>
  readdirSync(join(SOURCE, folder), { recursive: true, encoding: 'utf8' })
    .filter((path) => path.endsWith('.ts') && !/\.(test|fixture)\.ts$|scripts\.|sentences/.test(path))
    .map((path) => join(folder, path)),
);
const read = files.map((path) => exportsWithoutSentence(join('src', path), readFileSync(join(SOURCE, path), 'utf8')));
const count = read.reduce((sum, file) => sum + file.count, 0);
const lacking = read.flatMap((file) => file.lacking);
const sample = exportsWithoutSentence('sample', 'export const bare = 1;').lacking.length;
if (count < FEWEST_EXPORTS || sample !== 1) {
  console.error(`docstrings: ${count} exports were read, and the sample was ${sample === 1 ? '' : 'not '}caught`);
  process.exit(1);
}
for (const line of lacking) console.error(`docstrings: ${line}`);
console.log(`docstrings: ${count} exports of the core, ${lacking.length} without a sentence`);
process.exit(lacking.length > 0 ? 1 : 0);
