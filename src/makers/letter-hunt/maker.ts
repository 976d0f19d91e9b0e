import { listOf, type MessageValues } from '../../core/message.ts';
import { ok } from '../../core/outcome.ts';
import { type Drawing, framedCard, inColumn, inRow, wordCard } from '../../core/page/index.ts';
import { letterSupply } from '../../core/words/index.ts';
import {
  inOwn,
  lasting,
  linesAbout,
  type Maker,
  numberOf,
  refuseList,
  sheetsNeeded,
  usedUp,
} from '../../core/makers/index.ts';

const ALPHABET = [...'abcdefghijklmnopqrstuvwxyz'];
/** Rows on a sheet, each with one letter at the left and one at the right. */
const FIELD = { width: 58, height: 15 };

/** A sheet with letters down both sides, to be filled with letters cut from an old magazine or a leaflet. */
export const maker: Maker = {
  id: 'letter-hunt',
  place: 460,
  skills: ['letter-sound', 'match'],
  dials: [
    { kind: 'choice', name: 'letters', choices: ['small-letters', 'capitals'], value: 'capitals' },
    { kind: 'list', name: 'only', value: '' },
    { kind: 'number', name: 'each', min: 1, max: 4, value: 1 },
  ],
  make(values, _settings, say) {
    const of = values.letters === 'capitals' ? 'capitals' : 'small';
    const written = String(values.only)
      .toLowerCase()
      .split(/[\s,;]+/)
      .join('');
    const letters = written === '' ? ALPHABET : [...new Set(written)];
    const odd = letters.find((letter) => !ALPHABET.includes(letter));
    if (odd !== undefined) return refuseList('only', 'problem.letter', { letter: inOwn(odd) });
    if (letters.length < 2) return refuseList('only', 'problem.few');
    const each = numberOf(values, 'each');
    const { pages, scarce } = letterSupply(letters, { of, each });
    const shown = letters.map((letter) => (of === 'capitals' ? letter.toUpperCase() : letter));
    const half = Math.ceil(shown.length / 2);
    const rows = Array.from({ length: half }, (_, index) => huntRow(shown[index]!, shown[index + half], each));
    const sheet = inColumn(rows, 3);
    const printable = { title: say('printable'), cards: [], sheets: [sheet] };
    const asked = scarce.slice(0, 4).map((letter) => (of === 'capitals' ? letter.toUpperCase() : letter));
    const facts: MessageValues = {
      count: shown.length,
      each,
      pages,
      of,
      total: shown.length * each,
      first: inOwn(shown[0]!),
      last: inOwn(shown.at(-1)!),
      all: written === '' ? 'yes' : 'no',
      letters: listOf(shown.map(inOwn)),
      hasScarce: asked.length > 0 ? 'yes' : 'no',
      scarce: listOf(asked.map(inOwn)),
      few: Math.min(5, shown.length),
    };
    const write = linesAbout(say, facts);
    return ok({
      facts: [say('fact', facts)],
      values: facts,
      turns: { count: shown.length * each, seconds: 45 },
      picture: sheet,
      lines: {
        easier: write('do-2', 'ask-3'),
        right: write('do-1', 'ask-1', 'do-3', 'ask-2', 'notice-1', 'if-1'),
        harder: write('do-1', 'do-4', 'ask-4'),
      },
      materials: [
        usedUp('paper', sheetsNeeded(printable)),
        usedUp('magazine', 1, [
          { item: 'newspaper', fit: 0.8, why: say('swap.newspaper') },
          { item: 'carrier-bag', fit: 0.4, why: say('swap.bag') },
        ]),
        lasting('scissors', 1),
        lasting('glue-stick', 1),
      ],
      actions: ['scissors'],
      printable,
      key: [say('key', facts)],
    });
  },
};

/** A letter at the left with its fields, and one at the right. */
function huntRow(left: string, right: string | undefined, each: number): Drawing {
  const fields = Array.from({ length: each }, () =>
    framedCard({ ...FIELD, width: (FIELD.width - (each - 1) * 3) / each, shapes: [] }),
  );
  const letter = (text: string) => framedCard(wordCard(text, { width: 16, height: FIELD.height, most: 11 }));
  return inRow([letter(left), ...fields, ...(right === undefined ? [] : [...fields, letter(right)])], 3);
}
