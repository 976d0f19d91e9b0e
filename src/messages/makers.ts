import { listOf } from '../core/message.ts';
import { choiceIn, sayFor } from '../core/makers/index.ts';
import type { MakerProblem } from '../core/session/index.ts';
import { authorSpeech } from './speeches.ts';

/** Why a maker's values are refused, with the range; what stood before still stands. */
export function describeMakerProblem(problem: MakerProblem): string {
  const { maker } = problem;
  const say = sayFor(maker, authorSpeech);
  const dial = (name: string) =>
    authorSpeech.find(`${maker}/dial.${name}`) ?? authorSpeech.find(`makers/dial.${name}`) ?? name;
  switch (problem.code) {
    case 'out-of-range': {
      const { min, max, value } = problem;
      return say('makers/problem.out-of-range', { dial: dial(problem.dial), min, max, value: short(value) });
    }
    case 'no-such-choice': {
      const choices = listOf(
        problem.choices.map((choice) => choiceWord(maker, choice)),
        'comma',
      );
      return say('makers/problem.no-such-choice', { dial: dial(problem.dial), choices, value: short(problem.value) });
    }
    case 'list':
      return say('makers/problem.list', { dial: dial(problem.dial), reason: say(problem.why, problem.values) });
    case 'breaks-level':
      return `${capital(say(problem.why, problem.values))}.`;
    case 'not-loaded':
      return say('makers/problem.not-loaded');
    case 'no-such-maker':
      return say('makers/problem.no-such-maker', { maker });
  }
}

/** The name of a maker. */
export const makerTitle = (maker: string): string => authorSpeech.say(`${maker}/title`);

/** What a maker is for, in a sentence. */
export const makerAbout = (maker: string): string => authorSpeech.say(`${maker}/about`);

/** What a dial of a maker turns; the way it is run is a dial of all of them. */
export const dialLabel = (maker: string, dial: string): string =>
  authorSpeech.say(dial === 'variant' ? 'makers/dial.variant' : `${maker}/dial.${dial}`);

/** What a choice of a maker is called. */
export const choiceWord = (maker: string, choice: string): string => choiceIn(maker, choice, authorSpeech);

/** How a list dial is written. */
export const dialHint = (maker: string, dial: string): string => authorSpeech.say(`${maker}/hint.${dial}`);

const capital = (text: string) => `${text.charAt(0).toUpperCase()}${text.slice(1)}`;

function short(value: unknown): string {
  return String(value).slice(0, 40);
}
