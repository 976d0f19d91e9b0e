import { useEffect, useState } from 'react';
import { useFormContext, useWatch } from 'react-hook-form';
import { proposedBy } from '../../core/materials/index.ts';
import { allergenWord } from '../../messages/allergens.ts';
import { RULE_NAMES } from '../../messages/cautions.ts';

const LIST = new Intl.ListFormat('en-GB');
const MS_AFTER_TYPING = 400;

/** What was ticked, as one says it: “heat; may hold egg and milk”. */
function inWords(ticked: readonly string[]): string {
  const of = (field: string) =>
    ticked.filter((name) => name.startsWith(`${field} `)).map((name) => name.slice(field.length + 1));
  const rules = of('traits').map((rule) => (RULE_NAMES[rule] ?? rule).toLowerCase());
  const allergens = of('allergens').map(allergenWord);
  return [
    ...(rules.length > 0 ? [LIST.format(rules)] : []),
    ...(allergens.length > 0 ? [`may hold ${LIST.format(allergens)}`] : []),
  ].join('; ');
}

/** Ticks what the name of a thing calls for, and says so; whoever writes takes away what is wrong. */
export function Proposals() {
  const { getValues, setValue } = useFormContext();
  const [one, many] = useWatch({ name: ['one', 'many'] }) as [string, string];
  const [ticked, setTicked] = useState<readonly string[]>([]);
  const [known, setKnown] = useState<ReadonlySet<string>>(new Set());
  useEffect(() => {
    const timer = setTimeout(() => {
      const { traits, allergens } = proposedBy({ one: one ?? '', many: many ?? '' });
      const fresh = [...traits.map((rule) => `traits ${rule}`), ...allergens.map((name) => `allergens ${name}`)].filter(
        (name) => !known.has(name),
      );
      if (fresh.length === 0) return;
      // Each is ticked once: what was taken away again stays away.
      setKnown(new Set([...known, ...fresh]));
      for (const field of ['traits', 'allergens']) {
        const words = fresh.filter((name) => name.startsWith(`${field} `)).map((name) => name.slice(field.length + 1));
        const now = (getValues(field) as string[] | undefined) ?? [];
        if (words.length > 0) setValue(field, [...new Set([...now, ...words])], { shouldDirty: true });
      }
      setTicked([...ticked, ...fresh]);
    }, MS_AFTER_TYPING);
    return () => clearTimeout(timer);
  }, [one, many, known, ticked, getValues, setValue]);
  if (ticked.length === 0) return null;
  return (
    <p className="alert alert-warning mb-4" role="status">
      From its name we’ve ticked: {inWords(ticked)}. Take away what’s wrong, then say that you’ve looked.
    </p>
  );
}
