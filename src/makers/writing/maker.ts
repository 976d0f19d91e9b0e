import { listOf, type MessageValues } from '../../core/message.ts';
import { ok } from '../../core/outcome.ts';
import { type Drawing, fittingSize, type Shape } from '../../core/page/index.ts';
import { inOwn, lasting, linesAbout, type Maker, numberOf, readOwnWords, usedUp } from '../../core/makers/index.ts';

const FORMS = ['shopping-list', 'menu', 'letter', 'card'] as const;

/** Something written for somebody and used at once: marks are fine, the adult writes what is said. */
export const maker: Maker = {
  id: 'writing',
  place: 350,
  skills: ['write', 'letter-sound'],
  dials: [
    { kind: 'choice', name: 'form', choices: FORMS, value: 'shopping-list' },
    { kind: 'list', name: 'reader', value: 'Grandma' },
    { kind: 'list', name: 'words', value: 'milk, bread, plums' },
    { kind: 'number', name: 'lines', min: 2, max: 8, value: 4 },
  ],
  make(values, _settings, say) {
    const reader = readOwnWords(String(values.reader), { dial: 'reader', least: 1, most: 4 });
    if (!reader.ok) return reader;
    const words = readOwnWords(String(values.words), { dial: 'words', least: 1, most: 8 });
    if (!words.ok) return words;
    const form = String(values.form).replaceAll(' ', '-');
    const lines = Math.max(numberOf(values, 'lines'), words.value.length);
    const [first] = words.value as [string];
    const facts: MessageValues = {
      form,
      lines,
      reader: inOwn(reader.value.join(' ')),
      words: listOf(words.value.map(inOwn)),
      count: words.value.length,
      free: lines - words.value.length,
      first: inOwn(first),
      sound: inOwn(first.charAt(0).toLowerCase()),
      what: { key: `writing/form.${form}` },
      use: { key: `writing/use.${form}` },
    };
    const write = linesAbout(say, facts);
    const sheet = writingSheet(say(`form.${form}`), lines, form === 'letter' || form === 'card');
    return ok({
      facts: [say('fact', facts)],
      values: facts,
      turns: { count: lines, seconds: 60 },
      picture: sheet,
      lines: {
        easier: write('do-2', 'ask-1'),
        right: write('do-1', 'say-1', 'ask-2', 'do-3', 'notice-1'),
        harder: write('do-1', 'ask-2', 'ask-3', 'do-4'),
      },
      materials: [
        usedUp('paper', 1, [{ item: 'envelope', fit: 0.7, why: say('swap.envelope') }]),
        lasting('pencil', 1, [{ item: 'crayon', fit: 0.9, why: say('swap.crayon') }]),
      ],
      actions: [],
      printable: { title: say('printable'), cards: [], sheets: [sheet] },
      key: words.value.map((word) => say('key', { word: inOwn(word), sound: inOwn(word.charAt(0).toLowerCase()) })),
    });
  },
};

/** Lines to write on under a heading; a letter has a place for a picture. */
function writingSheet(title: string, lines: number, hasPicture: boolean): Drawing {
  const top = hasPicture ? 74 : 18;
  const step = 16;
  return {
    width: 150,
    height: top + lines * step + 4,
    shapes: [
      { kind: 'text', x: 4, y: 11, size: fittingSize(title, 140, 8), text: title, isBold: true },
      ...(hasPicture
        ? [{ kind: 'rect', x: 4, y: 16, w: 142, h: 54, stroke: 'line', width: 0.4, radius: 2 } as const]
        : []),
      ...Array.from({ length: lines }, (_, line): Shape[] => {
        const y = top + (line + 1) * step;
        return [
          { kind: 'line', x1: 14, y1: y, x2: 146, y2: y, stroke: 'soft', width: 0.4 },
          ...(hasPicture ? [] : [{ kind: 'rect', x: 4, y: y - 7, w: 6, h: 6, stroke: 'soft', width: 0.4 } as const]),
        ];
      }).flat(),
    ],
  };
}
