import assert from 'node:assert/strict';
import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { test } from 'node:test';

const SOURCE = join(import.meta.dirname, '../../src');
/** Own style sheets are for the script, the tape, dials, drawings and paper; what is more is Tailwind's and daisyUI's. */
const MOST_OWN_LINES = 700;

const files = (ending: string) =>
  readdirSync(SOURCE, { recursive: true, encoding: 'utf8' })
    .filter((name) => name.endsWith(ending))
    .map((name) => ({ name, text: readFileSync(join(SOURCE, name), 'utf8') }));
const styleSheets = files('.css');
const pages = files('.astro');
const markup = [...pages, ...files('.tsx')];

/** Classes that are marked to win over every other, as Tailwind writes it, within quotes. */
const marked = (text: string) =>
  [...text.matchAll(/["'`]([^"'`\n]*)["'`]/g)]
    .flatMap(([, quoted]) => quoted!.split(/\s+/))
    .filter((word) => /^(!-?[a-z]+-[\w[\].%/-]+|(?:\[&[^\]]*\]:|[a-z-]+:)*-?[a-z]+-[\w[\].%/-]+!)$/.test(word));

test('own style sheets stay small, and no rule shouts over another', () => {
  const own = [
    ...styleSheets,
    ...pages.map(({ text }) => ({ text: /<style[^>]*>(.*?)<\/style>/s.exec(text)?.[1] ?? '' })),
  ];
  const lines = own.flatMap(({ text }) => text.split('\n')).filter((line) => line.trim() !== '').length;
  assert.ok(lines > 0 && lines < MOST_OWN_LINES, `${lines} lines`);
  const shouting = [...styleSheets, ...markup]
    .filter(({ text }) => text.includes('!important'))
    .map(({ name }) => name);
  assert.deepEqual(shouting, []);
  assert.deepEqual(
    markup.flatMap(({ name, text }) => marked(text).map((word) => `${name}: ${word}`)),
    [],
  );
  assert.deepEqual(
    styleSheets.flatMap(({ name, text }) =>
      [...text.matchAll(/@apply[^;]*?\s(\S+!|!\S+)[\s;]/g)].map(([, word]) => `${name}: ${word}`),
    ),
    [],
  );
});

test('a mark that wins over every other is found where there is one', () => {
  assert.deepEqual(marked('<p class="mb-0! text-soft"> <b class="!p-2 [&_a]:mt-1!">Go! Now!</b> {order[to]!}'), [
    ...['mb-0!', '!p-2', '[&_a]:mt-1!'],
  ]);
});
