import { amountFor, namesOf, type Need } from '../../materials/index.ts';
import { amountAtLevel, dialValues } from '../../session/index.ts';
import { own } from '../../message.ts';
import type { Check, CheckedPart, Noticed } from '../check.ts';
import { numbersSaid, type SaidLine, stemOf, wordsOf } from '../saidLines.ts';

/** A line that handles more of a thing than is fetched, or that speaks of “the 5 cups” where there were six. */
export const numbersDisagree: Check = (looked) => {
  const found = new Map<string, Noticed>();
  for (const noticed of [...moreThanFetched(looked), ...otherThanBefore(looked)])
    if (!found.has(noticed.line!)) found.set(noticed.line!, noticed);
  return [...found.values()];
};

function moreThanFetched({ segment, said, things }: CheckedPart): Noticed[] {
  return segment.needs.flatMap((need) => {
    const amount = amountFor(amountAtLevel(segment, need, segment.level, things), 1, dialValues(segment.dials));
    const own1 = headsOf(need, things);
    const rivals = segment.needs.filter((other) => other !== need).flatMap((other) => headsOf(other, things));
    if (!amount.ok || own1.length !== 1 || rivals.includes(own1[0]!)) return [];
    return said.flatMap(({ line, text }): Noticed[] => {
      if (line.kind !== 'do') return [];
      const more = numbersSaid(text).find(({ noun, value }) => stemOf(noun) === own1[0] && value > amount.value);
      if (!more) return [];
      return [
        {
          id: `numbers:${segment.id}/${line.id}`,
          weight: 'warning',
          line: line.id,
          values: { said: more.value, other: amount.value, counted: own(namesOf(need.item, things).many), fetched: 1 },
          remedy:
            typeof need.qty === 'number' && need.per === 'home'
              ? { do: 'change-need', segment: segment.id, need: need.id, change: { qty: more.value } }
              : undefined,
        },
      ];
    });
  });
}

const headsOf = (need: Need, things: CheckedPart['things']) => {
  const head = wordsOf(namesOf(need.item, things).many).at(-1);
  return head ? [stemOf(head)] : [];
};

/** “The 5 cups”, “all 5 cups”: whose number was not said of them before, though another was. */
function otherThanBefore({ segment, said }: CheckedPart): Noticed[] {
  const before = new Map<string, number[]>();
  const found: Noticed[] = [];
  for (const { line, text } of said.filter(isDone)) {
    for (const { noun, value, before: words } of numbersSaid(text)) {
      if (!noun) continue;
      const known = before.get(noun) ?? [];
      const isTheSame = /^(?:the|all|your|these|those)$/.test(words.at(-1) ?? '');
      const sums = known.flatMap((one) => known.flatMap((other) => [one + other, Math.abs(one - other)]));
      if (isTheSame && known.length > 0 && ![...known, ...sums, ...known.map((one) => one + 1)].includes(value))
        found.push({
          id: `numbers:${segment.id}/${line.id}`,
          weight: 'warning',
          line: line.id,
          values: { said: value, other: known.at(-1)!, counted: own(noun), fetched: 0 },
        });
      before.set(noun, [...known, value]);
    }
  }
  return found;
}

const isDone = ({ line }: SaidLine) => line.kind === 'do' || line.kind === 'say' || line.kind === 'ask';
