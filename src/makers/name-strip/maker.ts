import { listOf, type MessageValues } from '../../core/message.ts';
import { ok } from '../../core/outcome.ts';
import { CAP_HEIGHT, type Drawing, fittingEdge, fittingSize, inColumn, type Shape } from '../../core/page/index.ts';
import { inOwn, lasting, linesAbout, type Maker, refuseList, usedUp } from '../../core/makers/index.ts';

const HEIGHT = 32;
/** A letter with room for the teeth of its edges. */
const WIDEST_CELL = 26;
const ACROSS = 170;
const LONGEST_NAME = 12;

/** The letters in a row, cut apart along edges of which no two are alike. */
function strip(letters: readonly string[], isCut: boolean): Drawing {
  const cell = Math.min(WIDEST_CELL, ACROSS / letters.length);
  const size = Math.min(...letters.map((letter) => fittingSize(letter, cell * 0.55, 20)));
  const width = cell * letters.length;
  const shapes = letters.flatMap((text, index): Shape[] => [
    { kind: 'text', x: (index + 0.5) * cell, y: HEIGHT / 2 + (size * CAP_HEIGHT) / 2, size, text, align: 'middle' },
    ...(isCut && index > 0 ? fittingEdge(index * cell, HEIGHT, index) : []),
  ]);
  const frame: Shape = { kind: 'rect', x: 0, y: 0, w: width, h: HEIGHT, stroke: 'ink', width: 0.4, fill: 'white' };
  return { width, height: HEIGHT, shapes: [frame, ...shapes] };
}

/** A child's own name, its letters cut apart with edges that fit one way only: capital first, then small ones. */
export const maker: Maker = {
  id: 'name-strip',
  place: 470,
  skills: ['letter-sound', 'build-words'],
  dials: [{ kind: 'list', name: 'name', value: 'Tilda' }],
  make(values, _settings, say) {
    const name = String(values.name).trim().normalize('NFC');
    if (!/^\p{Script=Latin}+$/u.test(name)) return refuseList('name', 'problem.letters');
    if ([...name].length < 2 || [...name].length > LONGEST_NAME)
      return refuseList('name', 'problem.length', { letters: [...name].length, most: LONGEST_NAME });
    const [initial, ...rest] = [...name];
    const letters = [initial!.toLocaleUpperCase('en'), ...rest.map((letter) => letter.toLocaleLowerCase('en'))];
    const sheet = inColumn([strip(letters, false), strip(letters, true)], 8);
    const facts: MessageValues = {
      name: inOwn(letters.join('')),
      count: letters.length,
      first: inOwn(letters[0]!),
      last: inOwn(letters.at(-1)!),
      second: inOwn(letters[1]!),
      letters: listOf(letters.map(inOwn), 'comma'),
      third: inOwn(letters[2] ?? letters[1]!),
    };
    const write = linesAbout(say, facts);
    return ok({
      facts: [say('fact', facts)],
      values: facts,
      turns: { count: letters.length, seconds: 20 },
      picture: strip(letters, true),
      lines: {
        easier: write('do-2', 'ask-3'),
        right: write('do-1', 'ask-1', 'ask-2', 'notice-1'),
        harder: write('do-3', 'ask-4', 'do-4'),
      },
      materials: [usedUp('paper', 1), lasting('scissors', 1)],
      actions: ['scissors'],
      printable: { title: say('printable'), cards: [], sheets: [sheet] },
      key: [say('key', facts)],
    });
  },
};
