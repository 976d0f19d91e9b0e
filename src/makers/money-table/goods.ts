import type { MessageValue, Say } from '../../core/message.ts';
import { ok, type Outcome } from '../../core/outcome.ts';
import type { MakerValues } from '../../core/session/index.ts';
import { inOwn, readOwnWords, type Refusal, refuseList } from '../../core/makers/index.ts';

/** What a shop may sell. */
export const STORIES = ['bakery', 'flower-stall', 'post-office', 'junk-stall', 'your-own'] as const;
const MOST_GOODS = 12;

/** A name inside a sentence, and where it begins one. */
interface Name {
  readonly within: MessageValue;
  readonly first: MessageValue;
}

/** What is sold and who crosses, one for each price. */
export interface Names {
  readonly story: string;
  readonly goods: readonly Name[];
  readonly travellers: readonly Name[];
}

/** Names for so many prices: of the story, or the author's own. */
export function namesFor(values: MakerValues, prices: number, say: Say): Outcome<Names, Refusal> {
  const story = String(values.story);
  const listed = (key: string) =>
    say(key)
      .split('|')
      .slice(0, prices)
      .map((name): Name => ({ within: name, first: withCapital(name) }));
  const travellers = listed('travellers');
  if (story !== 'your-own') return ok({ story, goods: listed(story), travellers });
  const own = readOwnWords(String(values.goods), { dial: 'goods', least: 1, most: MOST_GOODS });
  if (!own.ok) return own;
  const goods = own.value.length;
  if (goods < prices) return refuseList('goods', 'problem.few-goods', { goods, prices });
  return ok({
    story,
    goods: own.value.slice(0, prices).map((name) => ({ within: inOwn(name), first: inOwn(withCapital(name)) })),
    travellers,
  });
}

function withCapital(name: string): string {
  return name.charAt(0).toUpperCase() + name.slice(1);
}
