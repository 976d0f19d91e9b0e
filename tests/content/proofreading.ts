/** What a careful reader would stumble over in one line, whatever wrote it. */

interface Named {
  readonly key: string;
  readonly one: string;
  readonly many: string;
}

/** Nouns that lines count and that are no things of the shelf. */
const COUNTED: readonly (readonly [string, string])[] = [
  'time',
  'step',
  'pair',
  'cart',
  'hand',
  'thing',
  'word',
  'wheel',
  'spoonful',
  'finger',
  'jump',
  'tower',
  'letter',
  'number',
  'place',
  'bed',
  'mouse/mice',
  'clap',
  'hollow',
  'hop',
  'stamp',
  'strip',
  'sound',
  'visitor',
  'goat',
  'stone',
  'button',
  'roll',
  'wagon',
  'space',
  'lorry/lorries',
  'dot',
  'door',
  'toy',
  'piece',
  'stroke',
  'bundle',
  'card',
  'counter',
  'pot',
  'bar',
  'coin',
  'place',
  'cup',
  'plate',
  'point',
  'row',
  'bead',
  'one',
  'sheet',
  'square',
  'minute',
  'hour',
  'child/children',
  'guest',
  'egg',
  'sock',
  'block',
  'peg',
  'lid',
  'way',
  'heap',
  'shoe',
  'mark',
].map((noun) => {
  const [one, many] = noun.split('/') as [string, string?];
  return [one, many ?? `${one}s`] as const;
});

/** A line that is empty, or in which something was not filled in. */
export function unfilledFaults(text: string): string[] {
  if (text.trim() === '') return ['an empty line'];
  if (/[{}]|undefined|NaN|null|nowhere|\[object/.test(text)) return [`not filled in: “${text}”`];
  if (/\s[,.;:!?]|\s\s|\(\)/.test(text.replace(/ …/g, ''))) return [`a gap in “${text}”`];
  return [];
}

/** Counts that disagree with their noun, and the wrong article before a number. */
export function countFaults(text: string, things: readonly Named[]): string[] {
  const faults: string[] = [];
  const names = [...things.map(({ one, many }) => [one, many] as const), ...COUNTED];
  for (const match of text.matchAll(/(?<![\d.,£$€:])(\d+) (?=([\p{L}’'-]+(?: [\p{L}’'-]+){0,4}))/gu)) {
    const number = Number(match[1]);
    const after = match[2]!;
    const starts = (phrase: string) => new RegExp(`^${phrase}(?![\\p{L}’'-])`, 'u').test(after);
    const isMany = names.some(([, many]) => starts(many));
    for (const [one, many] of names) {
      if (number === 1 && one !== many && starts(many)) faults.push(`“1 ${many}” in “${text}”`);
      if (number !== 1 && one !== many && starts(one) && !isMany) faults.push(`“${number} ${one}” in “${text}”`);
    }
    if (number === 1 && /^(?!is|was|less|plus|across|as|this)[\p{L}]+[^s’']s(?![\p{L}’'-])/u.test(after))
      faults.push(`“1 ${after}” in “${text}”`);
  }
  if (/\b[Aa] (8|11|18|8\d)\b/.test(text)) faults.push(`“a” before ${/\b[Aa] (\d+)/.exec(text)![1]} in “${text}”`);
  if (/\b(the 1(?= \p{L})|all [12](?= \p{L}))/iu.test(text))
    faults.push(`nobody says “${/\b(the 1(?= \p{L})|all [12](?= \p{L}))/iu.exec(text)![1]}” in “${text}”`);
  if (/\bThere is no \p{L}+s\b/u.test(text)) faults.push(`“There is no …s” in “${text}”`);
  return [...new Set(faults)];
}

const cache = new WeakMap<readonly Named[], { pattern: RegExp; byName: Map<string, Named> }>();

/** The things of the shelf that a line names, by their names; the longest name counts ("tea towel", not "towel"). */
export function thingsNamedIn(text: string, things: readonly Named[]): Named[] {
  let known = cache.get(things);
  if (!known) {
    const byName = new Map<string, Named>();
    for (const thing of things)
      for (const name of [thing.one, thing.many, thing.key.replaceAll('-', ' '), `${thing.key.replaceAll('-', ' ')}s`])
        if (!byName.has(name)) byName.set(name, thing);
    const names = [...byName.keys()].sort((left, right) => right.length - left.length);
    known = { byName, pattern: new RegExp(`(?<![\\p{L}-])(${names.join('|')})(?![\\p{L}-])`, 'gu') };
    cache.set(things, known);
  }
  return [...text.toLowerCase().matchAll(known.pattern)].map(([name]) => known.byName.get(name)!);
}
