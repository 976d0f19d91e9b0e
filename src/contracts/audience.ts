import { array, object, string, type InferType } from 'yup';

/** So many homes can be named one by one beside whom a sending is for. */
const MOST_NAMED = 2000;

const named = () =>
  array().of(string().required().uuid()).max(MOST_NAMED, `can be at most ${MOST_NAMED} at once`).default([]);

/**
 * Whom a sending is for: all homes, those that have no guide of the session yet, those that have not answered and whose guide
 * has changed, none but those named, or a group by its id;
 * without some, and with others beside.
 */
export const audienceForm = object({
  to: string()
    .required()
    .matches(/^(all|missing|unanswered|none|[0-9a-f-]{36})$/, 'is nobody we know')
    .default('none'),
  except: named(),
  also: named(),
});

export type Audience = InferType<typeof audienceForm>;

/** What the ticks of a list that showed some homes make of an audience; `takesIn` says whom it is for before anybody is named. */
export function withTicks(
  { to, except, also }: Audience,
  {
    shown,
    ticked,
    takesIn,
  }: { shown: readonly string[]; ticked: ReadonlySet<string>; takesIn: (id: string) => boolean },
): Audience {
  const seen = new Set(shown);
  const rest = (ids: readonly string[]) => ids.filter((id) => !seen.has(id));
  return {
    to,
    except: [...rest(except), ...shown.filter((id) => takesIn(id) && !ticked.has(id))],
    also: [...rest(also), ...shown.filter((id) => !takesIn(id) && ticked.has(id))],
  };
}

/** Those homes and no others. */
export function onlyTo(homeIds: readonly string[]): Audience {
  return { to: 'none', except: [], also: [...new Set(homeIds)] };
}
