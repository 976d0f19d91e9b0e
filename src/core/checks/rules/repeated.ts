import { daysBetween } from '../../calendar/index.ts';
import { own } from '../../message.ts';
import type { Check } from '../check.ts';

/** Days before an activity comes again, unless its author wants it so. */
const REST_DAYS = 14;

/** An activity that is in this session twice, or was played a few days ago. */
export const repeated: Check = ({ segment, session, around }) => {
  if (segment.kind !== 'activity') return [];
  const name = segment.from ?? segment.title;
  const twin = session.segments.find(
    (other) => other.kind === 'activity' && other.id !== segment.id && (other.from ?? other.title) === name,
  );
  const isLater = twin && session.segments.indexOf(twin) < session.segments.indexOf(segment);
  const values = { title: own(segment.title) };
  const remedy = { do: 'remove-segment', segment: segment.id } as const;
  if (isLater) return [{ id: `repeated:${segment.id}`, weight: 'warning', values: { ...values, days: 0 }, remedy }];
  const last = around.lately && Object.hasOwn(around.lately, name) ? around.lately[name] : undefined;
  const days = last === undefined ? REST_DAYS : daysBetween(last, session.on);
  if (twin || days <= 0 || days >= REST_DAYS) return [];
  return [{ id: `repeated:${segment.id}`, weight: 'warning', values: { ...values, days }, remedy }];
};
