import type { FieldProblem } from '../../contracts/fieldProblem.ts';
import { hiddenRuleForm, isAlwaysStop, ownRuleForm, stricterRuleForm } from '../../contracts/cautionForms.ts';
import { checkForm } from '../../contracts/problems.ts';
import type { CautionLevel, CautionPolicy } from '../../core/cautions/index.ts';
import type { Schema } from 'yup';
import { today } from '../clock.ts';
import { readShelf } from '../db/repositories/shelf.ts';
import { EdgeError } from '../http/errors.ts';
import type { Person } from './person.ts';
import { changeSettings } from './programme.ts';

const MOST = { own: 40, stricter: 60, hidden: 60 } as const;

/** The things of the shelf by name, for a rule about some of them. One query. */
export async function readThingNames(person: Person): Promise<{ key: string; many: string }[]> {
  const { things } = await readShelf(person.programmeId, ['thing']);
  return things
    .map(({ key, many }) => ({ key, many }))
    .sort((left, right) => left.many.localeCompare(right.many, 'en'));
}

/** Adds, hides, says again or takes out a programme's rule about cautions, by the form's `do`; only an owner may. */
export async function changeCautions(person: Person, form: URLSearchParams): Promise<CautionPolicy> {
  const change = CHANGES[form.get('do') ?? ''];
  if (!change) throw new EdgeError('wrong-form');
  const things = new Set((await readThingNames(person)).map(({ key }) => key));
  const settings = await changeSettings(person, (now) => {
    const cautions = change(now.cautions, form, { things, day: today(now) });
    for (const list of ['own', 'stricter', 'hidden'] as const)
      if (cautions[list].length > MOST[list]) refuse(`At most ${MOST[list]} of these are kept`);
    return { ...now, cautions };
  });
  return settings.cautions;
}

interface Around {
  readonly things: ReadonlySet<string>;
  /** Today, where the programme is. */
  readonly day: string;
}
type Change = (policy: CautionPolicy, form: URLSearchParams, around: Around) => CautionPolicy;

const CHANGES: Readonly<Record<string, Change>> = {
  'add-own': (policy, form, { things }) => {
    const lists = ['things', 'traits', 'actions', 'allergens'] as const;
    const rule = read(ownRuleForm, {
      ...Object.fromEntries(form),
      ...Object.fromEntries(lists.map((list) => [list, form.getAll(list)])),
    });
    const unknown = rule.things.filter((key) => !things.has(key));
    if (unknown.length > 0) refuse(`“${unknown[0]!}” is not among the things of the shelf`);
    const { words, level, underMonths } = rule;
    const own = {
      name: freeName(policy),
      ...Object.fromEntries(lists.filter((list) => rule[list].length > 0).map((list) => [list, rule[list]])),
      level: level as CautionLevel,
      ...(underMonths !== undefined && { underMonths }),
      words: words.trim(),
    };
    return { ...policy, own: [...policy.own, own] };
  },
  'drop-own': (policy, form) => ({
    ...policy,
    own: policy.own.filter(({ name }) => name !== form.get('name')),
  }),
  'add-stricter': (policy, form) => {
    const { rule, level, underMonths } = read(stricterRuleForm, Object.fromEntries(form));
    const stricter = { rule, level: level as CautionLevel, ...(underMonths !== undefined && { underMonths }) };
    const others = policy.stricter.filter((other) => other.rule !== rule || other.underMonths !== underMonths);
    return { ...policy, stricter: [...others, stricter] };
  },
  'drop-stricter': (policy, form) => ({
    ...policy,
    stricter: policy.stricter.filter(
      ({ rule, underMonths }) => rule !== form.get('rule') || String(underMonths ?? '') !== (form.get('under') ?? ''),
    ),
  }),
  hide: (policy, form, { day }) => {
    const { rule, by, why } = read(hiddenRuleForm, Object.fromEntries(form));
    if (isAlwaysStop(rule)) refuse('That is left out for everybody, and what is left out cannot be hidden');
    const others = policy.hidden.filter((other) => other.rule !== rule);
    return { ...policy, hidden: [...others, { rule, by: by.trim(), on: day, why: why.trim() }] };
  },
  show: (policy, form) => ({ ...policy, hidden: policy.hidden.filter(({ rule }) => rule !== form.get('rule')) }),
};

function freeName({ own }: CautionPolicy): string {
  for (let number = 1; ; number++) if (!own.some(({ name }) => name === `own-${number}`)) return `own-${number}`;
}

function read<Shape>(schema: Schema<Shape>, fields: unknown): Shape {
  const checked = checkForm(schema, fields as Record<string, unknown>);
  if (!checked.ok) throw new EdgeError('wrong-input', { problems: checked.problem });
  return checked.value;
}

function refuse(message: string): never {
  const problems: FieldProblem[] = [{ path: '$', message }];
  throw new EdgeError('wrong-input', { problems });
}
