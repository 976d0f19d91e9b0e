import type { FindingCode } from '../../core/checks/index.ts';
import type { WordFindingCode } from '../../core/words/index.ts';

/**
 * What checks say, by the check: a title and a sentence or two, and what pressing the remedy does where there is one. A check
 * without its words does not compile.
 */
export const findings = {
  'computed.title': '{qty} {thing}',
  'computed.text': 'Worked out from the dials: {sum}.',
  'quantity-problem.title': 'How many {things}?',
  'quantity-problem.text': '{problem}.',
  'line-problem.title': 'This line isn’t finished',
  'line-problem.text': '{problem}. Homes don’t see this line until it’s finished.',
  'two-versions.title': 'Two of you wrote this line',
  'two-versions.text': 'Homes get the words that stand in it. Take the others instead, or leave it as it is.',
  'script-problem.title': 'This doesn’t work everywhere',
  'script-problem.text': '{problem}. Some homes would get a broken part.',
  'minutes-problem.title': 'These minutes don’t work out',
  'minutes-problem.text': '{part}: {problem}.',
  'seated-too-long.title': '{parts, plural, one {{from}} other {{from} to {to}}} is one long sit',
  'seated-too-long.text':
    'About {minutes} minutes; the youngest sits for about {allowed}.{moves, plural, =0 { Put something that moves in between, or make it shorter.} other {}}',
  'seated-too-long.remedy': 'Put {moved} in between',
  'caution.title': '{things}: not for {count, plural, one {# home} other {# homes}}',
  'caution.text': '{caution} Those homes get another thing, or a kit.',
  'caution.remedy': 'Write it with {instead}',
  'thing-unknown.title': '“{item}” isn’t on your shelf',
  'thing-unknown.text':
    'It is not among the things of the shelf, so its cautions are not known either. Put it on the shelf, or take it out here.',
  'left-out.title': '{count, plural, one {# home goes} other {# homes go}} without this',
  'left-out.text': 'That’s {homes}. {reasons} Add another activity for the same skill, or something else that will do.',
  'left-out.things': 'They may not have {things}, and nothing here may take its place.',
  'left-out.words': 'It says {words}, which is not for them.',
  'tip.title': '“{level, select, easier {Easier} other {Harder}}” is a tip',
  'tip.text': 'It sets no dial and has no lines of its own, so homes see it as a sentence and cannot choose it.',
  'homes-lack.title': '{count, plural, one {# home lacks} other {# homes lack}} {things}',
  'homes-lack.text': 'Nothing else they have would do: {homes}. Give it out in a bag, or choose another thing here.',
  'to-settle.title': '{title}',
  'to-settle.text': '{text} You’ll be asked before it goes out.',
  'group-only.title': 'Made for a circle',
  'group-only.text': 'This needs a group of children, so it cannot go to homes. Take it out, or choose another.',
  'costly-setup.title': 'More work than play',
  'costly-setup.text':
    'About {setup, plural, one {# minute} other {# minutes}} of setting up for {play, plural, one {# minute} other {# minutes}} of play.',
  more: '{count} more',
  'no-rhyme.text': '“{word}” does not rhyme with {others}.',
  'rhymes-with-none.text': '“{word}” rhymes with none of them.',
  'starts-otherwise.text': '“{word}” starts with {written}, not with {sound}, for the ear.',
  'starts-so-but.text': '“{word}” sounds right, but it is written with {written}.',
  'unsure.text': '“{word}” is said in two ways, or is in no dictionary: listen yourself.',
  'not-readable.text': '“{word}” cannot be read yet: {lacking}.',
  'not-readable.comes': '{grapheme} comes on {day}',
  'not-readable.tricky': '{grapheme} is tricky here',
  'not-readable.in-no-step': '{grapheme} is in no step',
  'share-picture.text': '“{word}” and “{other}” share a picture or look alike.',
  instead: 'Take “{instead}” instead',
} as const satisfies Readonly<
  Record<`${FindingCode}.${'title' | 'text'}` | `${WordFindingCode}.text`, string> & Record<string, string>
>;
