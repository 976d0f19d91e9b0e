import type { Message, MessageValues } from '../../core/message.ts';
import { ok } from '../../core/outcome.ts';
import { inGrid, labelled } from '../../core/page/index.ts';
import {
  counterSwaps,
  lasting,
  linesAbout,
  lineWriters,
  type Maker,
  type MakerLine,
  numberOf,
} from '../../core/makers/index.ts';

const MOST_SUNG = 12;

const verse = (number: number, isDown: boolean): Message => ({
  key: `counting-song/verse.${isDown ? 'down' : 'up'}`,
  values: { number, next: isDown ? number - 1 : number + 1 },
});

/** A song that counts up or down, with something to move at each verse; one alone at the last. */
export const maker: Maker = {
  id: 'counting-song',
  place: 220,
  skills: ['count-back', 'say-row', 'beat'],
  dials: [
    { kind: 'number', name: 'verses', min: 3, max: MOST_SUNG, value: 5 },
    { kind: 'choice', name: 'direction', choices: ['down', 'up'], value: 'down' },
  ],
  make(values, _settings, say) {
    const verses = numberOf(values, 'verses');
    const isDown = values.direction === 'down';
    const numbers = Array.from({ length: verses }, (_, index) => (isDown ? verses - index : index + 1));
    const facts: MessageValues = {
      verses,
      direction: isDown ? 'down' : 'up',
      first: numbers[0]!,
      last: numbers.at(-1)!,
      second: numbers[1]!,
      end: isDown ? 0 : verses,
      half: numbers[Math.floor(verses / 2)]!,
      three: Math.min(3, verses),
      afterHalf: numbers[Math.floor(verses / 2)]! + (isDown ? -1 : 1),
    };
    const sing = lineWriters(say).write('sing');
    const write = linesAbout(say, facts);
    const sung = (number: number): MakerLine => {
      const { key, values: said } = verse(number, isDown);
      return sing(key.slice(key.indexOf('/') + 1), said);
    };
    return ok({
      facts: [say('fact', facts)],
      values: facts,
      turns: { count: verses, seconds: 22 },
      picture: inGrid(
        numbers.map((number) => labelled(String(number), { width: 20, height: 16, size: 8 })),
        6,
        3,
      ),
      lines: {
        easier: [...write('do-2'), ...(isDown ? numbers.slice(-Math.min(3, verses)) : numbers.slice(0, 3)).map(sung)],
        right: [...write('do-1'), ...numbers.map(sung), ...write('ask-1', 'notice-1')],
        harder: [...write('do-1'), ...numbers.map(sung), ...write('do-3', 'ask-2')],
      },
      materials: [lasting('toy-car', verses, counterSwaps(say))],
      actions: [],
      printable: {
        title: say('printable'),
        cards: numbers.map((number) => labelled(String(number), { width: 60, height: 60, size: 26 })),
        sheets: [],
      },
      key: numbers.map((number) => {
        const { key, values: said } = verse(number, isDown);
        return say(key, said);
      }),
    });
  },
};
