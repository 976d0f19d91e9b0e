import { ENOUGH_READS, playWordGame, type WordGame, type WordGameEnd } from '../../core/games/index.ts';
import type { MessageValues, Say } from '../../core/message.ts';
import { ok } from '../../core/outcome.ts';
import { type Drawing, inGrid } from '../../core/page/index.ts';
import {
  inOwn,
  lasting,
  linesAbout,
  lineWriters,
  type Maker,
  type MakerMaterial,
  numberOf,
  readSpellable,
  refuse,
  sheetsNeeded,
  usedUp,
  wordsIn,
} from '../../core/makers/index.ts';
import { asSpelled } from '../../core/words/index.ts';
import { rememberLast } from '../../core/remembering.ts';
import { cell, KINDS, sheetOf, type Kind } from './wordSheetLayouts.ts';

/** How a game on a sheet goes; remembered, since most dials do not change it. */
const playsOf = rememberLast(60, (text) => {
  const { game, end } = JSON.parse(text) as { game: WordGame; end: WordGameEnd };
  return playWordGame(game, { end });
});
const SECONDS_TO_READ = 15;

/** A sheet to read some known words again and again: something to find, to fill in or to play. */
export const maker: Maker = {
  id: 'word-sheet',
  place: 510,
  skills: ['common-words'],
  dials: [
    { kind: 'choice', name: 'kind', choices: KINDS, value: 'missing-word' },
    { kind: 'list', name: 'words', value: 'the, and, my, see, go' },
    { kind: 'number', name: 'shuffle', min: 1, max: 99, value: 1 },
  ],
  make(values, settings, say) {
    const read = readSpellable(String(values.words), { dial: 'words', least: 2, most: 9 });
    if (!read.ok) return read;
    if (settings.playOnly) return refuse('problem.play-only');
    const kind = String(values.kind) as Kind;
    const made = sheetOf(kind, read.value, numberOf(values, 'shuffle'));
    if (!made.ok) return made;
    const { drawing, key, more = [], game } = made.value;
    const slug = kind.replaceAll(' ', '-');
    const end = settings.wordGames ?? 'enough';
    const plays = game && playsOf(JSON.stringify({ game, end }));
    const reads = plays?.reads ?? made.value.reads;
    const tally = game && end === 'enough' ? [tallyOf(read.value)] : [];
    const printable = { title: say('printable'), cards: [], sheets: [drawing, ...tally, ...more] };
    const facts: MessageValues = {
      words: wordsIn(read.value),
      count: read.value.length,
      first: inOwn(asSpelled(read.value[0]!)),
      last: inOwn(asSpelled(read.value.at(-1)!)),
      reads,
      kind: kind.replaceAll(' ', ''),
      ...(plays && {
        end,
        turns: plays.turns[1],
        fewest: plays.turns[0],
        most: plays.turns[2],
        enough: ENOUGH_READS,
        minutes: Math.max(1, Math.round((plays.turns[1] * SECONDS_TO_READ) / 60)),
      }),
    };
    const { toDo } = lineWriters(say);
    const write = linesAbout(say, facts);
    const over = plays ? [toDo(`over.${end}`, facts)] : [];
    return ok({
      facts: plays ? [say('fact.plays', facts), say(`fact.${end}`, facts)] : [say('fact', facts)],
      values: facts,
      turns: plays ? { count: plays.turns[1], seconds: SECONDS_TO_READ } : { count: read.value.length, seconds: 40 },
      picture: drawing,
      lines: {
        easier: write('do-2', 'ask-3'),
        right: [toDo(`lay.${slug}`, facts), ...over, ...write('ask-1', 'ask-2', 'notice-1', 'if-1')],
        harder: [toDo(`lay.${slug}`, facts), ...over, ...write('do-4', 'ask-4')],
      },
      materials: [
        usedUp('paper', sheetsNeeded(printable)),
        lasting('pencil', 1, [{ item: 'crayon', fit: 0.9, why: say('swap.crayon') }]),
        ...(game ? playedWith(game.kind, say) : []),
      ],
      actions: [],
      printable,
      key: key.length > 0 ? key.map(({ name, values: told }) => say(name, told)) : [say('key', facts)],
    });
  },
};

/** The words with places to make strokes: for each time one is read. */
function tallyOf(words: readonly string[]): Drawing {
  return inGrid(
    words.map((word) => cell(`${asSpelled(word)} ${' _'.repeat(ENOUGH_READS)}`, 54, 10, 6)),
    3,
    2,
  );
}

/** What a game is played with beside sheet and pencil: lids of two kinds, so that each knows their own. */
function playedWith(kind: WordGame['kind'], say: Say): MakerMaterial[] {
  const block = { item: 'building-block', fit: 0.8, why: say('swap.building-block') };
  const pebble = { item: 'pebble', fit: 0.8, why: say('swap.pebble') };
  switch (kind) {
    case 'three-in-a-row':
      return [lasting('bottle-lid', 5, [block]), lasting('button', 5, [pebble])];
    case 'path':
      return [lasting('die', 1), lasting('bottle-lid', 1, [block]), lasting('button', 1, [pebble])];
    case 'dice-lines':
      return [lasting('die', 1)];
  }
}
