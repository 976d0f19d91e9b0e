import { own } from '../../message.ts';
import type { Check } from '../check.ts';

const PLACEHOLDER =
  /\b(?:todo|tbc|tbd|tba|fixme|xxx+|lorem ipsum|placeholder|asdf|to be (?:added|written|confirmed|decided)|write (?:something|more|this) here|add (?:text|words|a question|something) here|something here|fill (?:this )?in later|more to come|insert (?:\w+ )?here)\b|\?\?\?+|\[[^\]]{0,40}\]|<[^>]{0,40}>|_{3,}|^(?:new line|untitled|text|\.{3}|…)$/i;

/** Words that were to be replaced. */
export const placeholder: Check = ({ segment, said }) => {
  const inTitle = PLACEHOLDER.exec(segment.title);
  const found = said.flatMap(({ line, text, answer }) => {
    const words = PLACEHOLDER.exec(text) ?? PLACEHOLDER.exec(answer);
    if (!words) return [];
    return [
      {
        id: `placeholder:${segment.id}/${line.id}`,
        weight: 'warning' as const,
        line: line.id,
        values: { words: own(words[0]) },
        remedy: { do: 'remove-line', segment: segment.id, line: line.id } as const,
      },
    ];
  });
  if (!inTitle) return found;
  return [
    { id: `placeholder:${segment.id}`, weight: 'warning' as const, values: { words: own(inTitle[0]) } },
    ...found,
  ];
};
