import { seededChance, shuffle } from '../../core/chance.ts';
import { type MessageValues } from '../../core/message.ts';
import { ok } from '../../core/outcome.ts';
import { framedCard, inGrid, pictureCard } from '../../core/page/index.ts';
import { PICTURE_WORD, PICTURE_WORDS, soundBasket } from '../../core/words/index.ts';
import {
  inOwn,
  knownWords,
  lasting,
  linesAbout,
  type Maker,
  numberOf,
  refuse,
  sheetsNeeded,
  usedUp,
  wordsIn,
} from '../../core/makers/index.ts';
import type { Accent } from '../../core/sounds/index.ts';
import { rememberLast } from '../../core/remembering.ts';

/** The sounds a pot can be for, as an adult says them, and their symbols. */
const SOUNDS: Readonly<Record<string, string>> = {
  s: 'S',
  m: 'M',
  t: 'T',
  p: 'P',
  b: 'B',
  n: 'N',
  f: 'F',
  c: 'K',
  h: 'HH',
  l: 'L',
  r: 'R',
  w: 'W',
  d: 'D',
  g: 'G',
  sh: 'SH',
  ch: 'CH',
  j: 'JH',
  v: 'V',
};
const CARD = { width: 60, height: 60 };

/** The clear pictures sorted for a sound in an accent; the same for every setting of the other dials. */
const picturesFor = rememberLast(2 * Object.keys(SOUNDS).length, (text) => {
  const [sound, accent] = JSON.parse(text) as [string, Accent];
  const words = PICTURE_WORDS.filter(({ group }) => group === undefined).map(({ word }) => word);
  return soundBasket(sound, words, knownWords({ accent }).known, accent);
});

/** Pictures and things by the sound they start with: what goes into the pot, and what stays out though it sounds or looks near. */
export const maker: Maker = {
  id: 'sound-pot',
  place: 410,
  skills: ['first-sound', 'listen'],
  dials: [
    { kind: 'choice', name: 'sound', choices: Object.keys(SOUNDS), value: 's' },
    { kind: 'number', name: 'inside', min: 2, max: 8, value: 4 },
    { kind: 'number', name: 'outside', min: 1, max: 6, value: 3 },
    { kind: 'number', name: 'shuffle', min: 1, max: 99, value: 1 },
  ],
  make(values, settings, say) {
    const sound = String(values.sound);
    const chance = seededChance(numberOf(values, 'shuffle'));
    const found = picturesFor(JSON.stringify([SOUNDS[sound], settings.accent ?? 'gb']));
    const misleading = new Set(found.traps.map(({ word }) => word));
    const basket = found.basket.filter((word) => !misleading.has(word));
    const near = [...found.nearMisses];
    const far = found.no.filter((word) => !near.includes(word));
    const wanted = numberOf(values, 'inside');
    if (basket.length < wanted) return refuse('problem.few', { sound: inOwn(sound), words: basket.length });
    shuffle(basket, chance);
    shuffle(near, chance);
    shuffle(far, chance);
    const inside = basket.slice(0, wanted);
    const outside = [...near, ...far].slice(0, numberOf(values, 'outside'));
    const all = [...inside, ...outside];
    shuffle(all, chance);
    const cards = all.map((word) => pictureCard(PICTURE_WORD.get(word)!.picture, null, CARD));
    const printable = { title: say('printable'), cards, sheets: [] };
    const traps = outside.filter((word) => misleading.has(word));
    const facts: MessageValues = {
      sound: inOwn(sound),
      inside: wordsIn(inside),
      outside: wordsIn(outside),
      count: inside.length,
      all: all.length,
      first: inOwn(inside[0]!),
      second: inOwn(inside[1]!),
      out: inOwn(outside[0]!),
      hunt: Math.max(2, Math.ceil(wanted / 2)),
    };
    const write = linesAbout(say, facts);
    return ok({
      facts: [
        say('fact', facts),
        ...(traps.length > 0 ? [say('fact.traps', { traps: wordsIn(traps), sound: inOwn(sound) })] : []),
      ],
      values: facts,
      turns: { count: all.length, seconds: 20 },
      picture: inGrid(cards.slice(0, 6).map(framedCard), 3, 4),
      lines: {
        easier: write('do-2', 'ask-3'),
        right: write('do-1', 'ask-1', 'ask-2', 'do-3', 'notice-1'),
        harder: write('do-1', 'ask-1', 'do-4', 'ask-4'),
      },
      materials: [
        usedUp('paper', sheetsNeeded(printable)),
        lasting('scissors', 1),
        lasting('saucepan', 1, [{ item: 'bowl', fit: 0.9, why: say('swap.bowl') }]),
      ],
      actions: ['scissors'],
      printable,
      key: [say('key', facts)],
    });
  },
};
