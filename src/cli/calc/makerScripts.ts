import { mixed } from 'yup';
import { dialsOf, generatedParts, type Maker, runMaker, waysOf } from '../../core/makers/index.ts';
import { GUIDE_LANGUAGE_IDS, type GuideLanguage } from '../../core/languages.ts';
import { amountFor } from '../../core/materials/index.ts';
import { type LevelName, LEVELS, type Line, type MakerValues, USUAL_SETTINGS } from '../../core/session/index.ts';
import { parseContent } from '../../core/expressions/index.ts';
import { withoutMarks } from '../../messages/ownWords.ts';
import { evaluateMinutes } from '../../core/time/index.ts';
import { numberSettings } from '../../contracts/numberSettings.ts';
import { findMaker, MAKERS } from '../../makers/index.ts';
import { choiceWord, describeMakerProblem, makerTitle } from '../../messages/makers.ts';
import { LANGUAGE_WORDS } from '../../messages/languageWords.ts';
import { guideLanguage } from '../../messages/guideLanguages.ts';
import { CalcInputError, calculation } from './calculation.ts';
import { ageMonths, array, name, object, string } from './fields.ts';

const MOST_CHILDREN = 12;
const VARIANT = 'variant';
const STORY = 'story';

/** The makers, or one of them: the ways each is played, its stories, its dials. */
export const calcScripts = calculation(object({ maker: string().max(40) }), ({ maker: id }) => ({
  makers: (id === undefined ? MAKERS : [makerCalled(id)]).map((maker) => ({
    id: maker.id,
    title: makerTitle(maker.id),
    scripts: waysOf(maker).map((way) => ({ id: way, title: choiceWord(maker.id, way) })),
    stories: storiesOf(maker).map((story) => ({ id: story, title: choiceWord(maker.id, story) })),
    dials: dialsOf(maker)
      .filter((dial) => dial.name !== VARIANT && dial.name !== STORY)
      .map((dial) => ({
        name: dial.name,
        kind: dial.kind,
        min: dial.kind === 'number' ? dial.min : null,
        max: dial.kind === 'number' ? dial.max : null,
        ...(dial.kind === 'choice' && { choices: dial.choices }),
        value: dial.value,
      })),
  })),
}));

/** What a maker says and needs at each level, for values of its dials. */
export const calcScript = calculation(
  object({
    maker: name(),
    language: string().oneOf(GUIDE_LANGUAGE_IDS, `must be one of ${GUIDE_LANGUAGE_IDS.join(', ')}`),
    script: string().max(40),
    story: string().max(40),
    values: mixed<MakerValues>().test('values', 'must be dials by their names, with numbers or words', isValues),
    children: array()
      .of(object({ nickname: name(), ageMonths: ageMonths() }).required())
      .max(MOST_CHILDREN, `must be at most ${MOST_CHILDREN} children`),
    settings: object({ ...numberSettings() }).default(undefined),
  }),
  ({ maker: id, language = 'en', script, story, values = {}, children = [], settings = USUAL_SETTINGS }) => {
    const maker = makerCalled(id);
    const stories = storiesOf(maker);
    if (story !== undefined && !stories.includes(story))
      throw new CalcInputError(
        'story',
        stories.length > 0
          ? `“${id}” has these stories: ${stories.join(', ')}`
          : `“${id}” has no stories to choose from`,
      );
    if (script !== undefined && !waysOf(maker).includes(script))
      throw new CalcInputError('script', `“${id}” is played in these ways: ${waysOf(maker).join(', ')}`);
    const known = dialsOf(maker).map((dial) => dial.name);
    const unknown = Object.keys(values).find((dial) => !known.includes(dial));
    if (unknown !== undefined) throw new CalcInputError(`values.${unknown}`, `“${id}” has no dial of that name`);
    if (!Object.hasOwn(LANGUAGE_WORDS[language as GuideLanguage].makers, id))
      throw new CalcInputError('language', `“${id}” is not written in “${language}” yet`);
    const { speech } = guideLanguage(language as GuideLanguage);
    const given = {
      ...values,
      ...(script !== undefined && { [VARIANT]: script }),
      ...(story !== undefined && { [STORY]: story }),
    };
    const answer = runMaker(maker, given, { settings, speech });
    if (!answer.ok) {
      const { problem } = answer;
      throw new CalcInputError('dial' in problem ? `values.${problem.dial}` : 'values', describeMakerProblem(problem));
    }
    const parts = generatedParts({ maker: id, values: given, settings }, { findMaker: () => maker, speech });
    if (!parts.ok) throw new CalcInputError('values', describeMakerProblem(parts.problem));
    const { lines, needs, minutes } = parts.value;
    const { together } = evaluateMinutes({ minutes, dials: [] });
    const fetch = needs.map(({ item, qty, per }) => {
      const amount = amountFor({ qty, per }, Math.max(1, children.length), {});
      return { item, qty: amount.ok ? amount.value : 0 };
    });
    const at = (level: LevelName) => ({ lines: saidTo(lines[level], children.length), fetch, minutes: together });
    return {
      title: speech.say(`${id}/title`),
      levels: Object.fromEntries(LEVELS.map((level) => [level, at(level)])),
      facts: answer.value.facts,
    };
  },
);

/** What a maker writes is text: a brace in it is a brace. */
const plain = (written: string) =>
  withoutMarks(
    parseContent(written)
      .map((node) => (node.kind === 'text' ? node.text : ''))
      .join(''),
  );

/** Lines for one of two children are for homes with two. */
function saidTo(lines: readonly Line[], children: number) {
  return lines
    .filter(({ role }) => role === undefined || children > 1)
    .map(({ id, kind, text, answer }) => ({
      id,
      kind,
      text: plain(text),
      answer: answer === undefined ? null : plain(answer),
    }));
}

function makerCalled(id: string): Maker {
  const maker = findMaker(id);
  if (!maker) throw new CalcInputError('maker', `no maker is called “${id}”`);
  return maker;
}

function storiesOf(maker: Maker): readonly string[] {
  const dial = maker.dials.find(({ name: of }) => of === STORY);
  return dial?.kind === 'choice' ? dial.choices : [];
}

function isValues(value: unknown): boolean {
  if (value === undefined) return true;
  if (typeof value !== 'object' || value === null || Array.isArray(value)) return false;
  const entries = Object.entries(value);
  return entries.length <= 60 && entries.every(([, entry]) => typeof entry === 'number' || typeof entry === 'string');
}
