import { findCautions } from '../cautions/index.ts';
import {
  asUsed,
  type HomeFit,
  type Household,
  isPermitted,
  needIdIn,
  openQuestions,
  questionMessages,
  stopMessage,
  wordsMessage,
} from '../homes/index.ts';
import { namesOf, type Need, type ThingsByKey } from '../materials/index.ts';
import { listOf, type Message, own } from '../message.ts';
import type { Segment } from '../session/index.ts';
import { type Check, namedHomes } from './check.ts';
import { firstMention } from './needChecks.ts';

const namesOfMany = (items: readonly string[], things: ThingsByKey) =>
  listOf([...new Set(items)].map((item) => own(namesOf(item, things).many)));

/** Homes that do without the part, because something it cannot do without is not permitted there. */
const leftOut: Check = ({ segment, fits, things, policy }) => {
  const without = fits.flatMap((fit) => {
    const part = partIn(fit, segment);
    return part?.isLeftOut ? [{ fit, part }] : [];
  });
  if (without.length === 0) return [];
  const items = without.flatMap(({ part }) =>
    part.served.flatMap(({ need, source }) => (source === 'withheld' && !need.optional ? [need.item] : [])),
  );
  const words = without.flatMap(({ part }) => part.stoppedWords);
  const rules = new Set(without.flatMap(({ part }) => part.stopped).filter((rule) => rule !== 'allergens'));
  const reasons: Message[] = [
    ...(items.length > 0 ? [{ key: 'findings/left-out.things', values: { things: namesOfMany(items, things) } }] : []),
    ...(words.length > 0 ? [{ key: 'findings/left-out.words', values: { words: wordsMessage(words) } }] : []),
    ...[...rules].map((rule) => stopMessage(rule, policy)),
  ];
  const nicknames = without.map(({ fit }) => fit.home.nickname);
  const values = {
    count: nicknames.length,
    homes: namedHomes(nicknames),
    reasons: listOf(reasons, 'sentences'),
  };
  return [{ id: `left-out:${segment.id}`, weight: 'warning', values }];
};

/** What homes lack, said once for all things that the same homes lack. */
const homesLack: Check = ({ segment, fits, things }) => {
  const byHomes = new Map<string, { nicknames: string[]; needs: Need[] }>();
  for (const need of segment.needs) {
    const id = needIdIn(segment, need);
    const lacking = fits.filter(({ kit, missing }) => [...kit, ...missing].some((lacked) => lacked.need === id));
    if (lacking.length === 0) continue;
    const homes = lacking.map(({ home }) => home.id).join(' ');
    const group = byHomes.get(homes) ?? { nicknames: lacking.map(({ home }) => home.nickname), needs: [] };
    group.needs.push(need);
    byHomes.set(homes, group);
  }
  return [...byHomes.values()].map(({ nicknames, needs }) => ({
    id: `lack:${segment.id}/${needs.map(({ id }) => id).join('+')}`,
    weight: 'warning',
    line: firstMention(segment, needs[0]!),
    values: {
      count: nicknames.length,
      homes: namedHomes(nicknames),
      things: namesOfMany(
        needs.map(({ item }) => item),
        things,
      ),
    },
  }));
};

/**
 * Cautions that withhold what the script says from at least one of the homes that do the part; milder ones stand in the
 * guide. What is put in its place must be permitted in all of those homes.
 */
const caution: Check = ({ segment, fits, things, policy }) => {
  const items = segment.needs.flatMap((need) => (things[need.item] ? [asUsed(things[need.item]!, need)] : []));
  const stops = new Map<string, { households: Household[]; because: readonly string[] }>();
  // Homes of the same ages and allergies share their household.
  const found = new Map<Household, ReturnType<typeof findCautions>>();
  for (const fit of fits) {
    if (partIn(fit, segment)?.isLeftOut) continue;
    const cautions = found.get(fit.household) ?? findCautions({ ...fit.household, items, actions: [] }, policy);
    found.set(fit.household, cautions);
    for (const { rule, level, because } of cautions) {
      if (level !== 'stop') continue;
      const stop = stops.get(rule) ?? { households: [], because };
      stop.households.push(fit.household);
      stops.set(rule, { ...stop, because });
    }
  }
  return [...stops].map(([rule, { households, because }]) => {
    const need = segment.needs.find(({ item }) => because.includes(item));
    const swap = need?.swaps.find(({ item }) =>
      [...new Set(households)].every((household) => isPermitted(item, need, things, household)),
    );
    return {
      id: `caution:${segment.id}/${rule}`,
      weight: 'warning',
      line: need && firstMention(segment, need),
      values: {
        things: namesOfMany(because, things),
        count: households.length,
        caution: stopMessage(rule, policy),
        ...(swap && { instead: own(namesOf(swap.item, things).many) }),
      },
      remedy: need && swap ? { do: 'use-swap', segment: segment.id, need: need.id, item: swap.item } : undefined,
    };
  });
};

/** What somebody looks at before the part is sent, because of its words or of a thing that nobody has looked at. */
const toSettle: Check = ({ segment, fits, things, policy, safety }) => {
  const households = [...new Set(fits.map(({ household }) => household))];
  return openQuestions(segment, things, { households, policy, safety }).map((question) => {
    const { title, text } = questionMessages(question, things);
    return {
      id: `settle:${segment.id}/${question.rule}/${question.subject}/${question.words.join('+')}`,
      weight: 'warning',
      line: question.line,
      values: { title, text },
    };
  });
};

const partIn = ({ parts }: HomeFit, { id }: Segment) => parts.find((part) => part.segment.id === id);

/** What homes can and may do of a part. */
export const homeChecks = {
  'left-out': leftOut,
  'homes-lack': homesLack,
  caution,
  'to-settle': toSettle,
} as const satisfies Readonly<Record<string, Check>>;
