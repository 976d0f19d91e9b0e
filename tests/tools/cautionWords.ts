import { en } from '../../src/core/cautions/words/en.ts';
import { phrasesOf } from '../../src/core/cautions/words/phrases.ts';
import type { WordEntry, WordGroup } from '../../src/core/cautions/words/wordList.ts';
import { allergenWord } from '../../src/messages/allergens.ts';
import { RULE_NAMES } from '../../src/messages/cautions.ts';

const GROUPS: readonly (readonly [WordGroup, string, string])[] = [
  ['check', 'Looked at before it is sent', 'A person takes a remedy or decides, with a reason and a name.'],
  ['note', 'A caution is said', 'The guide says the caution by itself.'],
  ['ask', 'Asked once', 'Words that mean two things; the answer stays with the text.'],
  ['allergen', 'Allergens', 'Whoever must not have one goes without what holds it.'],
  ['harmless', 'Only looks like it', 'Ways of saying these words that call for nothing.'],
];

/** A phrase of the list as one reads it. */
function readable(phrase: string): string {
  return phrase.replace(/!/g, '').replace(/(\p{L})\*/gu, '$1 (any form)');
}

function section({ rules, asFood, why, phrases }: WordEntry): string {
  const about = [...rules, ...(asFood ?? [])].map((rule) => RULE_NAMES[rule] ?? allergenWord(rule)).join(', ');
  const words = phrasesOf(phrases).map(readable).join(' · ');
  return `**${about || 'Nothing'}.** ${why}\n\n${words}\n`;
}

/** `docs/cautions.md`: every word that is read for what it calls for, with its reason. */
export function cautionWordsPage(): string {
  const count = en.entries
    .filter(({ group }) => group !== 'harmless')
    .reduce((sum, { phrases }) => sum + phrasesOf(phrases).length, 0);
  const groups = GROUPS.map(([group, title, about]) => {
    const entries = en.entries.filter((entry) => entry.group === group);
    return `## ${title}\n\n${about}\n\n${entries.map(section).join('\n')}`;
  });
  return `# Words that are read for what they call for

${count} words and phrases of English, from what paediatric first aid and the labelling of food hold in general. They certify
nothing: the adult in the room decides, the child’s doctor and local rules come first. Written by \`npm run generate\` from
\`src/core/cautions/words/en.ts\`; another language is another such file.

A slash stands for either word, … for up to four words in between. In a story, a song or a picture, or of paper or cloth, what
would be looked at is asked about. Saying not to do it changes nothing.

${groups.join('\n')}`;
}
