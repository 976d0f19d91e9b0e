import {
  fairStart,
  FALLS,
  type GameLength,
  type GameName,
  type GameRules,
  MOST_TURNS,
  numbersDrawn,
  OLDER,
  type Player,
  shorterGame,
  simulate,
  YOUNGER,
} from '../../core/games/index.ts';
import { listOf, type MessageValues, type Say } from '../../core/message.ts';
import { ok } from '../../core/outcome.ts';
import { rememberLast } from '../../core/remembering.ts';
import type { MakerSettings, MakerValues } from '../../core/session/index.ts';
import {
  inOwn,
  lasting,
  linesAbout,
  lineWriters,
  type Maker,
  type MakerLine,
  type MakerMaterial,
  numberOf,
  readOwnWords,
  refuse,
} from '../../core/makers/index.ts';
import { gamePaper, gamePicture } from './gamePaper.ts';

/** What the dial of the game says, and the game it means, with the sizes it can have. */
const CHOICES: Readonly<Record<string, { readonly game: GameName; readonly least: number; readonly most: number }>> = {
  'a-race-along-a-tape': { game: 'race', least: 4, most: 60 },
  'a-path-with-words': { game: 'path', least: 4, most: 40 },
  'compare-cards': { game: 'compare', least: 3, most: 13 },
  'collect-pairs-by-asking': { game: 'collect', least: 4, most: 15 },
  'turn-one-and-do-it': { game: 'turn-one', least: 4, most: 40 },
  'a-chain-of-ends': { game: 'chain', least: 2, most: 6 },
  'fill-the-pattern': { game: 'fill', least: 2, most: 10 },
  'set-up-and-knock-down': { game: 'skittles', least: 2, most: 10 },
};
const ADULT: Player = { seconds: 8, misses: 0 };
type Who = 'younger' | 'older' | 'adult';
const PLAYERS: Readonly<Record<string, readonly Who[]>> = {
  'a-younger-and-an-older-one': ['younger', 'older'],
  'two-alike': ['younger', 'younger'],
  'a-child-and-an-adult': ['younger', 'adult'],
  'one-alone': ['younger'],
  three: ['younger', 'younger', 'older'],
};

/** How those who play do it in this programme. */
function playersOf(choice: string, settings: MakerSettings): Player[] {
  const child = (usual: Player, seconds: number | undefined, misses: number | undefined): Player => ({
    seconds: seconds ?? usual.seconds,
    misses: misses === undefined ? usual.misses : misses / 100,
  });
  const known: Record<Who, Player> = {
    younger: child(YOUNGER, settings.youngerSeconds, settings.youngerMisses),
    older: child(OLDER, settings.olderSeconds, settings.olderMisses),
    adult: ADULT,
  };
  return PLAYERS[choice]!.map((who) => known[who]);
}

/** Everything about a game that takes thousands of plays; remembered, since a dial of the lines does not change it. */
const judged = rememberLast(60, (text) => {
  const { rules, span, least } = JSON.parse(text) as { rules: GameRules; span: number; least: number };
  const length = simulate(rules);
  return {
    length,
    ahead: length.isFair ? 0 : fairStart(rules),
    shorter: length.minutes[2] <= span ? undefined : shorterGame(rules, span, least),
  };
});

/** Games of our own from what is in the house; how long each takes, and how even it is, comes from ten thousand plays. */
export const maker: Maker = {
  id: 'game',
  place: 310,
  skills: ['see-how-many', 'order', 'feelings'],
  isHeavy: true,
  dials: [
    { kind: 'choice', name: 'game', choices: Object.keys(CHOICES), value: 'a-race-along-a-tape' },
    { kind: 'choice', name: 'players', choices: Object.keys(PLAYERS), value: 'a-younger-and-an-older-one' },
    { kind: 'number', name: 'size', min: 2, max: 60, value: 20 },
    { kind: 'number', name: 'faces', min: 2, max: 12, value: 6 },
    { kind: 'choice', name: 'ending', choices: ['usual', 'harder'], value: 'usual' },
    { kind: 'list', name: 'words', value: 'cat, sun, red, hop, pin, mud' },
    { kind: 'number', name: 'span', min: 3, max: 60, value: 12 },
  ],
  make(values, settings, say) {
    const words = readOwnWords(String(values.words), { dial: 'words', least: 2, most: 12 });
    if (!words.ok) return words;
    const { rules, least, most } = rulesOf(values, settings);
    const span = numberOf(values, 'span');
    const { length, ahead, shorter } = judged(JSON.stringify({ rules, span, least }));
    if (length.endless >= 100) return refuse('problem.endless', { plays: length.plays, most: MOST_TURNS });
    const { game, size, faces } = rules;
    const facts: MessageValues = {
      game: game.replace('-', ''),
      size,
      faces,
      players: rules.players.length,
      span,
      least,
      most,
      hard: rules.isHard ? 'yes' : 'no',
      by: numbersDrawn(rules)?.by ?? 'die',
      low: length.minutes[0],
      likely: length.minutes[1],
      high: length.minutes[2],
      fewest: length.turns[0],
      usual: length.turns[1],
      longest: length.turns[2],
      words: listOf(words.value.map(inOwn)),
      half: Math.max(least, Math.round(size / 2)),
      cards: cardsIn(rules),
      falls: Math.round(FALLS * 100),
      first: inOwn(words.value[0]!),
      fewFaces: Math.max(2, Math.min(3, faces - 1)),
    };
    const { toDo } = lineWriters(say);
    const write = linesAbout(say, facts);
    const play = (values: MessageValues): MakerLine[] => [toDo(`turn.${game}`, values), toDo(`end.${game}`, values)];
    const fewer: MessageValues = { ...facts, size: facts.half!, faces: game === 'fill' ? faces : facts.fewFaces! };
    const asked = write('ask-1', 'say-1');
    return ok({
      facts: gameFacts({ rules, length, ahead, shorter, wanted: numberOf(values, 'size') }, facts, say),
      values: facts,
      turns: { count: length.turns[1], seconds: 15 },
      together: length.minutes,
      picture: gamePicture(rules, words.value),
      lines: {
        easier: [toDo(`easier.${game}`, facts), ...play(fewer), ...write('say-1')],
        right: [toDo(`set.${game}`, facts), ...play(facts), ...asked, ...write('notice-1')],
        harder: [toDo(`set.${game}`, facts), ...play(facts), toDo(`harder.${game}`, facts), ...asked],
      },
      materials: gameThings(rules, say),
      actions: [],
      printable: gamePaper(rules, words.value, say),
      key: [say('key', facts)],
    });
  },
};

function rulesOf(values: MakerValues, settings: MakerSettings): { rules: GameRules; least: number; most: number } {
  const { game, least, most } = CHOICES[String(values.game)]!;
  const players = playersOf(String(values.players), settings);
  const size = Math.min(most, Math.max(least, numberOf(values, 'size')));
  const faces = numberOf(values, 'faces');
  return {
    least,
    most,
    rules: {
      game,
      // Two compare, whoever else is there.
      players: game === 'compare' ? [players[0]!, players[1] ?? players[0]!] : players,
      size,
      faces: game === 'compare' ? Math.min(4, Math.max(2, faces)) : game === 'fill' ? size : faces,
      isHard: values.ending === 'harder',
    },
  };
}

function cardsIn({ game, size, faces }: GameRules): number {
  if (game === 'compare') return size * faces;
  if (game === 'collect') return size * 2;
  if (game === 'chain') return ((size + 1) * (size + 2)) / 2;
  return size;
}

interface Judged {
  readonly rules: GameRules;
  readonly length: GameLength;
  readonly ahead: number | null;
  readonly shorter: number | null | undefined;
  readonly wanted: number;
}

/** How long it takes, how even it is, what is met how often, and what would mend it; a sentence each. */
function gameFacts({ rules, length, ahead, shorter, wanted }: Judged, facts: MessageValues, say: Say): string[] {
  const { wins, met, endless, isFair } = length;
  const often = [...met].sort((one, other) => one - other);
  const oneDecimal = (value: number) => Math.round(value * 10) / 10;
  return [
    say('fact.length', facts),
    ...(wanted === rules.size ? [] : [say('fact.size', facts)]),
    ...(endless >= 0.5 ? [say('fact.endless', { endless: Math.round(endless), most: MOST_TURNS })] : []),
    ...(wins.length === 2
      ? [
          say(isFair ? 'fact.fair' : 'fact.uneven', {
            ...facts,
            first: Math.round(wins[0]!),
            second: Math.round(wins[1]!),
          }),
        ]
      : []),
    ...(isFair ? [] : [ahead === null ? say('fact.no-start') : say('fact.start', { ...facts, ahead })]),
    say('fact.met', {
      least: oneDecimal(often[0]!),
      most: oneDecimal(often.at(-1)!),
      game: rules.game.replace('-', ''),
    }),
    ...(shorter === undefined
      ? []
      : [shorter === null ? say('fact.too-long', facts) : say('fact.shorter', { ...facts, shorter })]),
  ];
}

/** A die, which may be folded from the printed net; or paper for slips, and a bowl. */
function thingsToDraw(rules: Pick<GameRules, 'game' | 'faces'>, say: Say): MakerMaterial[] {
  const drawn = numbersDrawn(rules);
  if (!drawn) return [];
  return drawn.by === 'slips'
    ? [lasting('paper', 1), lasting('bowl', 1)]
    : [lasting('die', 1, [{ item: 'paper', fit: 0.7, why: say('swap.paper-die') }])];
}

/** Things of one kind from several lists, counted together. */
function together(things: readonly MakerMaterial[]): MakerMaterial[] {
  const byItem = new Map<string, MakerMaterial>();
  for (const thing of things) {
    const known = byItem.get(thing.item);
    byItem.set(thing.item, known ? { ...known, qty: known.qty + thing.qty } : thing);
  }
  return [...byItem.values()];
}

function gameThings({ game, players, size, faces }: GameRules, say: Say): MakerMaterial[] {
  const drawn = thingsToDraw({ game, faces }, say);
  const figures = lasting('toy-car', players.length, [{ item: 'bottle-lid', fit: 0.9, why: say('swap.lid') }]);
  switch (game) {
    case 'race':
      return [lasting('tape-measure', 1, [{ item: 'paper', fit: 0.9, why: say('swap.track') }]), ...drawn, figures];
    case 'path':
      return together([lasting('paper', 2), ...drawn, figures]);
    case 'compare':
      return [lasting('playing-card', size * faces, [{ item: 'paper', fit: 0.9, why: say('swap.cards') }])];
    case 'collect':
      return [lasting('playing-card', size * 2, [{ item: 'paper', fit: 0.9, why: say('swap.cards') }])];
    case 'turn-one':
      return [lasting('paper', 2)];
    case 'chain':
      return [
        lasting('domino', cardsIn({ game, players, size, faces, isHard: false }), [
          { item: 'paper', fit: 0.8, why: say('swap.cards') },
        ]),
      ];
    case 'fill':
      return together([lasting('paper', 1), ...drawn, lasting('bottle-lid', size * players.length)]);
    case 'skittles':
      return [
        lasting('cardboard-tube', size, [{ item: 'cup', fit: 0.9, why: say('swap.cup') }]),
        lasting('soft-ball', 1, [{ item: 'sock', fit: 0.9, why: say('swap.sock') }]),
      ];
  }
}
