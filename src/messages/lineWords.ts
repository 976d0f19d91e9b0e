import type { CheckedLine, WordAim, WordFinding } from '../core/words/index.ts';
import { shortDay } from './term.ts';

/** What the words of a line are meant to do, as an author chooses it. */
export const AIM_WORDS: Readonly<Record<WordAim, string>> = {
  rhyme: 'the words rhyme',
  starts: 'the words start with',
  readable: 'the child can read them',
  pictures: 'each has a picture of its own',
};

/** What was found about the words of a line, a sentence. */
export function describeWordFinding(finding: WordFinding): string {
  switch (finding.code) {
    case 'no-rhyme':
      return finding.others.length > 0
        ? `“${finding.word}” does not rhyme with ${listed(finding.others)}.`
        : `“${finding.word}” rhymes with none of them.`;
    case 'starts-otherwise':
      return `“${finding.word}” starts with ${finding.written}, not with ${finding.sound}, for the ear.`;
    case 'starts-so-but':
      return `“${finding.word}” sounds right, but it is written with ${finding.written}.`;
    case 'unsure':
      return `“${finding.word}” is said in two ways, or is in no dictionary: listen yourself.`;
    case 'not-readable':
      return `“${finding.word}” cannot be read yet: ${lackingWords(finding)}.`;
    case 'share-picture':
      return `“${finding.words[0]}” and “${finding.words[1]}” share a picture or look alike.`;
  }
}

/** All in one: which words were looked at, and that they are fine where nothing was found. */
export function describeCheckedWords({ words, findings }: CheckedLine, aim: WordAim): string {
  if (words.length === 0)
    return aim === 'readable'
      ? 'There are no words in this line.'
      : 'No row of words was found: write them with commas, such as “hat, cat and bat”.';
  return findings.length === 0 ? `${listed(words)}: fine.` : `Looked at ${listed(words)}.`;
}

function lackingWords({ lacking, tricky }: Extract<WordFinding, { code: 'not-readable' }>): string {
  const parts = lacking.map(({ grapheme, on }) => {
    const shown = grapheme.replace('_', '–');
    return on === null
      ? `${shown} ${tricky === grapheme ? 'is tricky here' : 'is in no step'}`
      : `${shown} comes on ${shortDay(on)}`;
  });
  return parts.join(', ');
}

const listed = (words: readonly string[]) => new Intl.ListFormat('en', { type: 'conjunction' }).format(words);
