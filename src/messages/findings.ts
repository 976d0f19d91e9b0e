import { namesOf, type ThingsByKey } from '../core/materials/index.ts';
import type { Finding } from '../core/checks/index.ts';
import { describeQuestion } from './safety.ts';
import { describeScriptFault } from './edits.ts';
import { cautionText } from './cautionWords.ts';
import { describeExpressionProblem, describeTemplateProblem, formatSum } from './expressions.ts';

export interface FindingWords {
  readonly title: string;
  readonly text: string;
  /** What pressing the remedy does; absent where there is none. */
  readonly remedy?: string | undefined;
}

/** A finding as a sentence or two, with the words of its remedy. */
export function describeFinding({ facts }: Finding, things: ThingsByKey): FindingWords {
  const many = (item: string) => namesOf(item, things).many;
  switch (facts.code) {
    case 'computed':
      return {
        title: `${facts.qty} ${facts.qty === 1 ? namesOf(facts.need.item, things).one : many(facts.need.item)}`,
        text: `${formatSum(facts.sum)}: worked out from the dials.`,
      };
    case 'quantity-problem':
    case 'line-problem':
    case 'script-problem':
    case 'minutes-problem':
      return describeFault(facts, many);
    case 'seated-too-long':
      return describeLongSit(facts);
    case 'caution':
      return {
        title: capital(
          `${facts.items.map(many).join(', ')}: not for ${facts.homes === 1 ? '1 home' : `${facts.homes} homes`}`,
        ),
        text: `${cautionText('en', facts.rule, 'stop')} Those homes get another thing, or a kit.`,
        remedy: facts.swapTo && `Write it with ${many(facts.swapTo)}`,
      };
    case 'thing-unknown':
      return {
        title: `Nobody knows “${facts.item}”`,
        text: 'It is not among the things of the shelf, so its cautions are not known either. Put it on the shelf, or take it out here.',
      };
    case 'left-out':
      return describeLeftOut(facts, many);
    case 'tip':
      return {
        title: `“${capital(facts.level)}” is a tip`,
        text: 'It sets no dial and has no lines of its own, so homes see it as a sentence and cannot choose it.',
      };
    case 'homes-lack':
      return {
        title: `${facts.nicknames.length === 1 ? '1 home lacks' : `${facts.nicknames.length} homes lack`} ${listAll(facts.needs.map(({ item }) => many(item)))}`,
        text: `Nothing else there will do: ${listNames(facts.nicknames)}. Give it out in a bag, or choose another thing here.`,
      };
    case 'to-settle': {
      const { title, text } = describeQuestion(facts.question, things);
      return { title, text: `${text} You’ll be asked before it goes out.` };
    }
    case 'group-only':
      return {
        title: 'Made for a circle',
        text: 'This needs a group of children, so it cannot go to homes. Take it out, or choose another.',
      };
    case 'costly-setup':
      return {
        title: 'More work than play',
        text: `About ${tenth(facts.setup)} min of setting up for ${tenth(facts.play)} min of play.`,
      };
  }
}

type FaultCode = 'quantity-problem' | 'line-problem' | 'script-problem' | 'minutes-problem';

/** Something written that cannot be worked out. */
function describeFault(
  facts: Extract<Finding['facts'], { code: FaultCode }>,
  many: (item: string) => string,
): FindingWords {
  switch (facts.code) {
    case 'quantity-problem':
      return {
        title: `How many ${many(facts.need.item)}?`,
        text: `${capital(describeExpressionProblem(facts.problem))}.`,
      };
    case 'line-problem':
      return {
        title: 'This line cannot be written out',
        text: `${capital(describeTemplateProblem(facts.problem))}. Homes would not see it.`,
      };
    case 'script-problem':
      return {
        title: 'This does not come out everywhere',
        text: `${capital(describeScriptFault(facts.fault))}. Some homes would get a broken part.`,
      };
    case 'minutes-problem':
      return {
        title: 'These minutes do not come out',
        text: `${facts.part}: ${describeExpressionProblem(facts.problem)}.`,
      };
  }
}

/** Homes that do without a part, and why. */
/** A sentence as it goes on after a colon. */
const lowered = (text: string) => text.charAt(0).toLowerCase() + text.slice(1);

function describeLeftOut(
  { items, actions, words, nicknames }: Extract<Finding['facts'], { code: 'left-out' }>,
  many: (item: string) => string,
): FindingWords {
  const reasons = [
    ...(items.length > 0 ? [`they may not have ${listAll(items.map(many))}, and nothing here may take its place`] : []),
    ...(words.length > 0 ? [`it says ${listAll(words.map((word) => `“${word}”`))}, which is not for them`] : []),
    ...actions
      .filter((action) => action !== 'allergens')
      .map((action) => lowered(cautionText('en', action, 'stop').replace(/\.$/, ''))),
  ];
  return {
    title: nicknames.length === 1 ? '1 home goes without this' : `${nicknames.length} homes go without this`,
    text: `${listNames(nicknames)}: ${reasons.join('; ')}. Add another activity for the same skill, or something else that will do.`,
  };
}

function describeLongSit({
  flag,
  titles,
  moved,
}: Extract<Finding['facts'], { code: 'seated-too-long' }>): FindingWords {
  const title =
    titles[0] === titles[1] ? `${titles[0]} is one long sit` : `${titles[0]} to ${titles[1]} is one long sit`;
  return {
    title,
    text: `${flag.minutes} minutes; the youngest sits for about ${flag.allowed}.${moved ? '' : ' Put something that moves in between, or make it shorter.'}`,
    remedy: moved && `Put ${moved} in between`,
  };
}

function listAll(words: readonly string[]): string {
  return new Intl.ListFormat('en').format(words);
}

function listNames(names: readonly string[]): string {
  const shown = names.slice(0, 3);
  const rest = names.length - shown.length;
  return new Intl.ListFormat('en').format(rest > 0 ? [...shown, `${rest} more`] : shown);
}

function capital(text: string): string {
  return text.charAt(0).toUpperCase() + text.slice(1);
}

function tenth(minutes: number): number {
  return Math.round(minutes * 10) / 10;
}
