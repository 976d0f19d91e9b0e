import { icons } from '@iconify-json/fluent-emoji-flat';
import { PICTURE_WORDS } from '../../src/core/words/index.ts';

/** The file of the pictures of words. */
export const PICTURE_FILE = new URL('../../src/server/pictures/pictures.json', import.meta.url);

interface IconSet {
  readonly icons: Readonly<Record<string, { readonly body: string }>>;
  readonly aliases?: Readonly<Record<string, { readonly parent: string }>>;
}

/** The text of the file: each picture as its filled paths, from the set of icons. Throws for one that the set lacks. */
export function pictureFile(): string {
  const set: IconSet = icons;
  const names = [...new Set(PICTURE_WORDS.map(({ picture }) => picture))].sort();
  return JSON.stringify(Object.fromEntries(names.map((name) => [name, pathsOf(bodyOf(set, name))])));
}

function bodyOf({ icons, aliases }: IconSet, name: string): string {
  const body = (icons[name] ?? icons[aliases?.[name]?.parent ?? ''])?.body;
  if (body === undefined) throw new Error(`no picture is called ${name}`);
  return body;
}

/** Paths, circles and ellipses with their colours; shades, clips and what only defines something are left out. */
function pathsOf(body: string): [string, string, string?][] {
  const gradients = new Map(
    [...body.matchAll(/<linearGradient[^>]* id="([^"]+)".*?stop-color="([^"]+)"/gs)].map(([, id, colour]) => [
      id!,
      colour!,
    ]),
  );
  return [
    ...body.replace(/<(clipPath|filter|defs)\b.*?<\/\1>/gs, '').matchAll(/<(path|circle|ellipse|rect)\b([^>]*?)\/?>/g),
  ].flatMap(([, tag, attributes]): [string, string, string?][] => {
    const of = (name: string) => new RegExp(` ${name}="([^"]*)"`).exec(` ${attributes}`)?.[1];
    const written = of('fill');
    const fill = written?.startsWith('url(#') ? gradients.get(written.slice(5, -1)) : written;
    const d = outline(tag!, (name) => Number(of(name) ?? 0), of('d'));
    if (!d || fill === undefined || fill === 'none') return [];
    return [of('fill-rule') === 'evenodd' ? [d, hex(fill), 'evenodd'] : [d, hex(fill)]];
  });
}

const hex = (colour: string) => (colour === 'white' ? '#ffffff' : colour === 'black' ? '#000000' : colour);

const ARC_NUMBERS = 7;
/** The flags of an arc, which may stand without a gap before what follows. */
const FLAGS = [3, 4];

/** A path with a blank between all numbers; drawing programs write them without, and not every reader takes that. */
export function plainPath(d: string): string {
  return [...d.matchAll(/([a-zA-Z])([^a-zA-Z]*)/g)]
    .map(([, command, rest]) => `${command}${numbersOf(command!, rest!).join(' ')}`)
    .join('');
}

function numbersOf(command: string, text: string): string[] {
  const numbers: string[] = [];
  let rest = text.trim();
  while (rest !== '') {
    const isFlag = /a/i.test(command) && FLAGS.includes(numbers.length % ARC_NUMBERS);
    const [, number] = (isFlag ? /^([01])/ : /^([+-]?(?:\d+\.?\d*|\.\d+)(?:e[+-]?\d+)?)/i).exec(rest) ?? [];
    if (number === undefined) throw new Error(`no number in ${rest.slice(0, 20)}`);
    numbers.push(number);
    rest = rest.slice(number.length).replace(/^[\s,]+/, '');
  }
  return numbers;
}

function outline(tag: string, number: (name: string) => number, d: string | undefined): string | undefined {
  if (tag === 'path') return d && plainPath(d);
  if (tag === 'rect')
    return `M${number('x')} ${number('y')}h${number('width')}v${number('height')}h${-number('width')}z`;
  const [rx, ry] = tag === 'circle' ? [number('r'), number('r')] : [number('rx'), number('ry')];
  return `M${number('cx') - rx} ${number('cy')}a${rx} ${ry} 0 1 0 ${2 * rx} 0a${rx} ${ry} 0 1 0 ${-2 * rx} 0z`;
}
