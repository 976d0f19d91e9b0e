import { listOf, type MessageValues } from '../../core/message.ts';
import { ok } from '../../core/outcome.ts';
import { type Drawing, framedCard, inGrid, inRow, wordCard } from '../../core/page/index.ts';
import { inOwn, linesAbout, type Maker, numberOf, readOwnWords, refuseList } from '../../core/makers/index.ts';

/** The units of patterns, each letter an action. */
const UNITS = ['AB', 'AAB', 'ABB', 'ABC', 'AABB', 'ABBC', 'ABCD'] as const;
/** Beats of a line: whole units that fill about eight. */
const BEATS = 8;

/** Two to four actions in turn to a beat, verse by verse, named as a pattern at the end. */
export const maker: Maker = {
  id: 'pattern-song',
  place: 370,
  skills: ['pattern', 'beat', 'movement'],
  dials: [
    { kind: 'choice', name: 'unit', choices: UNITS, value: 'AB' },
    { kind: 'list', name: 'actions', value: 'clap, stamp, wave, nod' },
    { kind: 'number', name: 'verses', min: 2, max: 6, value: 3 },
  ],
  make(values, _settings, say) {
    const unit = String(values.unit);
    const needed = new Set(unit).size;
    const actions = readOwnWords(String(values.actions), { dial: 'actions', least: 2, most: 8 });
    if (!actions.ok) return actions;
    if (actions.value.length < needed)
      return refuseList('actions', 'problem.actions', { needed, actions: actions.value.length });
    const verses = numberOf(values, 'verses');
    // Each verse takes the actions from the next one on, so that the pattern stays and what fills it changes.
    const verse = (number: number) =>
      [...unit].map((letter) => actions.value[(number + placeOf(letter)) % actions.value.length]!);
    const times = Math.max(2, Math.round(BEATS / unit.length));
    const facts: MessageValues = {
      unit,
      verses,
      times,
      needed,
      beats: times * unit.length,
      more: verses - 1,
      ...verseFacts(verse(0), verse(1)),
    };
    const rows = Array.from({ length: verses }, (_, number) => verseRow(verse(number), unit));
    const write = linesAbout(say, facts);
    return ok({
      facts: [say('fact', facts)],
      values: facts,
      turns: { count: verses, seconds: times * unit.length + 12 },
      picture: inGrid(rows.slice(0, 3), 1, 4),
      lines: {
        easier: write('do-2', 'ask-3'),
        right: write('do-1', 'say-1', 'do-3', 'ask-1', 'ask-2', 'notice-1', 'if-1'),
        harder: write('do-1', 'say-1', 'do-4', 'ask-4'),
      },
      materials: [],
      actions: ['movement'],
      printable: { title: say('printable'), cards: [], sheets: rows },
      key: rows.map((_, number) => say('key', { verse: number + 1, line: line(verse(number)) })),
    });
  },
};

const placeOf = (letter: string) => letter.charCodeAt(0) - 'A'.charCodeAt(0);

const line = (words: readonly string[]) => listOf(words.map(inOwn), 'comma');

function verseFacts(first: readonly string[], second: readonly string[]): MessageValues {
  const [a, b] = [...new Set(first)] as [string, string];
  return {
    one: line(first),
    twice: line([...first, ...first]),
    second: line(second),
    a: inOwn(a),
    b: inOwn(b),
    next: inOwn(first[0]!),
    stop: line(first.slice(0, 2)),
    then: inOwn(first[2 % first.length]!),
  };
}

/** A verse twice in a row, its actions in two inks in turn. */
function verseRow(verse: readonly string[], unit: string): Drawing {
  return inRow(
    [...verse, ...verse].map((word, index) => {
      const ink = placeOf(unit[index % unit.length]!) % 2 ? 'mulberry' : 'teal';
      return framedCard(wordCard(word, { width: 20, height: 14, most: 5, ink }));
    }),
    1,
  );
}
