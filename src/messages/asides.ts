import { type ThingsByKey, namesOf } from '../core/materials/thing.ts';
import type { Aside } from '../core/checks/asides.ts';
import { describeScriptFault } from './edits.ts';
import { en } from './guide.en.ts';
import { cautionText } from './guide.ts';
import { describeExpressionProblem, describeTemplateProblem, writeSum } from './expressions.ts';

export interface AsideWords {
  readonly title: string;
  readonly text: string;
  /** What pressing the remedy does; absent where there is none. */
  readonly remedy?: string | undefined;
}

/** An aside as a sentence or two, with the words of its remedy. */
export function describeAside({ finding }: Aside, things: ThingsByKey): AsideWords {
  const many = (item: string) => namesOf(item, things).many;
  switch (finding.code) {
    case 'computed':
      return {
        title: `${finding.qty} ${finding.qty === 1 ? namesOf(finding.need.item, things).one : many(finding.need.item)}`,
        text: `${writeSum(String(finding.need.qty))}. A sum, not typed.`,
      };
    case 'quantity-problem':
      return {
        title: `How many ${many(finding.need.item)}?`,
        text: `${capital(describeExpressionProblem(finding.problem))}.`,
      };
    case 'line-problem':
      return {
        title: 'This line cannot be written out',
        text: `${capital(describeTemplateProblem(finding.problem))}. Homes would not see it.`,
      };
    case 'script-problem':
      return {
        title: 'This does not come out everywhere',
        text: `${capital(describeScriptFault(finding.fault))}. Some homes would get a broken part.`,
      };
    case 'minutes-problem':
      return {
        title: 'These minutes do not come out',
        text: `${finding.part}: ${describeExpressionProblem(finding.problem)}.`,
      };
    case 'seated-too-long':
      return describeLongSit(finding);
    case 'caution':
      return {
        title: capital(
          `${finding.items.map(many).join(', ')}: not for ${finding.homes === 1 ? '1 home' : `${finding.homes} homes`}`,
        ),
        text: `${cautionText(en, finding.rule, 'stop')} Those homes get another thing, or a kit.`,
        remedy: finding.swapTo && `Write it with ${many(finding.swapTo)}`,
      };
    case 'thing-unknown':
      return {
        title: `Nobody knows “${finding.item}”`,
        text: 'It is not among the things of the shelf, so its cautions are not known either. Put it on the shelf, or take it out here.',
      };
    case 'left-out':
      return describeLeftOut(finding, many);
    case 'tip':
      return {
        title: `“${capital(finding.level)}” is a tip`,
        text: 'It sets no dial and has no lines of its own, so homes see it as a sentence and cannot choose it.',
      };
    case 'homes-lack':
      return {
        title: `${finding.nicknames.length === 1 ? '1 home lacks' : `${finding.nicknames.length} homes lack`} ${listAll(finding.needs.map(({ item }) => many(item)))}`,
        text: `Nothing else there will do: ${listNames(finding.nicknames)}. A kit, or another thing here.`,
      };
    case 'group-only':
      return {
        title: 'Made for a circle',
        text: 'This needs a group of children, so it cannot go to homes. Take it out, or choose another.',
      };
    case 'costly-setup':
      return {
        title: 'More work than play',
        text: `About ${tenth(finding.setup)} min of setting up for ${tenth(finding.play)} min of play.`,
      };
  }
}

/** Homes that do without a part, and why. */
function describeLeftOut(
  { items, actions, nicknames }: Extract<Aside['finding'], { code: 'left-out' }>,
  many: (item: string) => string,
): AsideWords {
  const reasons = [
    ...(items.length > 0 ? [`they may not have ${listAll(items.map(many))}, and nothing here may take its place`] : []),
    ...actions.map((action) => cautionText(en, action, 'stop').replace(/\.$/, '').toLowerCase()),
  ];
  return {
    title: nicknames.length === 1 ? '1 home goes without this' : `${nicknames.length} homes go without this`,
    text: `${listNames(nicknames)}: ${reasons.join('; ')}. Add another activity for the same skill, or something else that will do.`,
  };
}

function describeLongSit({ flag, titles, moved }: Extract<Aside['finding'], { code: 'seated-too-long' }>): AsideWords {
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
