import { own } from '../../message.ts';
import type { Check } from '../check.ts';

const GROUP =
  /\b(?:in a circle|in the circle|round the circle|sit in a ring|(?:two|three|four) teams|each team|the (?:whole )?(?:class|group)|all the children|the other children|everyone in the (?:room|ring|group)|circle time|your (?:class|group|pupils)|a partner|in pairs of children|half the (?:class|group|children))\b/i;

/** Words that only a group of children can follow, in a part that goes to homes. */
export const groupWords: Check = ({ segment, said }) => {
  if (segment.size === 'group') return [];
  return said.flatMap(({ line, text }) => {
    const words = line.kind === 'sing' || line.kind === 'read' ? null : GROUP.exec(text);
    if (!words) return [];
    return [
      {
        id: `group-words:${segment.id}/${line.id}`,
        weight: 'warning',
        line: line.id,
        values: { words: own(words[0].toLowerCase()) },
      },
    ];
  });
};
