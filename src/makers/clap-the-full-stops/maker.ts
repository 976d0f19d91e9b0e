import { type MessageValues } from '../../core/message.ts';
import { ok } from '../../core/outcome.ts';
import { writing } from '../../core/page/index.ts';
import { countWordsIn, fullStopsByPage } from '../../core/words/index.ts';
import { inOwn, lasting, linesAbout, type Maker, refuse, refuseList } from '../../core/makers/index.ts';

/** Texts of ours, easy and hard to clap, each by its name in the catalogue. */
const TEXTS: Readonly<Record<string, string>> = {
  'an-easy-one-of-ours': 'easy',
  'a-harder-one-of-ours': 'hard',
  'my-own': 'own',
};
/** A text with fewer stops is over before it is fun; one with longer sentences than that leaves too long to wait. */
const LEAST_STOPS = 3;
const MOST_WORDS_PER_STOP = 14;

/** A text read aloud in which every full stop is clapped, with the stops counted. */
export const maker: Maker = {
  id: 'clap-the-full-stops',
  place: 550,
  skills: ['sentences', 'listen'],
  dials: [
    { kind: 'choice', name: 'text', choices: Object.keys(TEXTS), value: 'an-easy-one-of-ours' },
    { kind: 'list', name: 'own', value: '' },
    { kind: 'choice', name: 'marks', choices: ['the-ends-of-sentences', 'every-mark'], value: 'the-ends-of-sentences' },
  ],
  make(values, _settings, say) {
    const which = TEXTS[String(values.text)]!;
    const text = which === 'own' ? String(values.own).trim().replace(/\s+/g, ' ') : say(`text.${which}`);
    if (text === '') return refuseList('own', 'problem.empty');
    const marks = values.marks === 'every-mark' ? 'every' : 'ends';
    const stops = fullStopsByPage([text], marks)[0]!;
    if (stops < LEAST_STOPS) return refuse('problem.few', { stops, least: LEAST_STOPS });
    const words = countWordsIn(text);
    const facts: MessageValues = {
      text: inOwn(text),
      stops,
      words,
      every: Math.round(words / stops),
      marks,
      half: Math.ceil(stops / 2),
      suits: words / stops > MOST_WORDS_PER_STOP ? 'long' : 'well',
    };
    const page = writing([text], { width: 170, size: 7 });
    const write = linesAbout(say, facts);
    return ok({
      facts: [say('fact', facts), say('fact.suits', facts)],
      values: facts,
      turns: { count: stops, seconds: 8 },
      picture: page,
      lines: {
        easier: write('do-2', 'ask-3'),
        right: write('do-1', 'say-1', 'ask-1', 'notice-1', 'if-1'),
        harder: write('do-1', 'say-1', 'do-4', 'ask-4'),
      },
      materials: [
        lasting('saucepan-lid', 1, [
          { item: 'wooden-spoon', fit: 0.8, why: say('swap.spoon') },
          { item: 'bunch-of-keys', fit: 0.8, why: say('swap.keys') },
        ]),
      ],
      actions: [],
      printable: { title: say('printable'), cards: [], sheets: [page] },
      key: [say('key', facts)],
    });
  },
};
