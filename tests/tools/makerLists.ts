import { existsSync, readdirSync } from 'node:fs';
import { join } from 'node:path';
import { GUIDE_LANGUAGE_IDS, type GuideLanguage } from '../../src/core/languages.ts';

export const MAKERS_FOLDER = join(import.meta.dirname, '../../src/makers');

export const LANGUAGE_WORDS_FILE = join(import.meta.dirname, '../../src/messages/languageWords.ts');

const AUTHORS = GUIDE_LANGUAGE_IDS[0];

/** What stands in a folder of `src/makers`, by name. */
const namesIn = (folder: string) => (existsSync(folder) ? readdirSync(folder).sort() : []);

/** The ids of makers: folders with a `maker.ts`. */
const makerIds = (folder: string) => namesIn(folder).filter((id) => existsSync(join(folder, id, 'maker.ts')));

/**
 * The files of `src/makers` that follow from its folders, by name: the registry of makers, and for each language the scripts
 * of all makers that are written in it. A folder `clock` with a `maker.ts` is the maker `clock`, its `scripts.es.ts` are its
 * Spanish words; `sentences/makers.es.ts` are the Spanish sentences that many makers share, under the name `makers`.
 */
export function makerLists(folder = MAKERS_FOLDER): ReadonlyMap<string, string> {
  return new Map([
    ['index.ts', registry(makerIds(folder))],
    ...GUIDE_LANGUAGE_IDS.map((language) => [`scripts.${language}.ts`, scriptList(folder, language)] as const),
  ]);
}

function registry(ids: readonly string[]): string {
  return [
    `import type { FindMaker, Maker } from '../core/makers/index.ts';`,
    ...ids.map((id) => `import { maker as ${camel(id)} } from './${id}/maker.ts';`),
    '',
    '/** Every maker, in the order in which a child meets what they are about. Written by `npm run generate` from the folders beside. */',
    `export const MAKERS: readonly Maker[] = [${ids.map(camel).join(', ')}].sort((one, other) => one.place - other.place);`,
    '',
    '/** A maker by its name; undefined when there is none. */',
    'export const findMaker: FindMaker = (id) => MAKERS.find((maker) => maker.id === id);',
  ].join('\n');
}

function scriptList(folder: string, language: GuideLanguage): string {
  const ofMakers = makerIds(folder)
    .filter((id) => existsSync(join(folder, id, `scripts.${language}.ts`)))
    .map((id) => ({ id, file: `./${id}/scripts.${language}.ts` }));
  const shared = namesIn(join(folder, 'sentences'))
    .filter((file) => file.endsWith(`.${language}.ts`))
    .map((file) => ({ id: file.slice(0, -`.${language}.ts`.length), file: `./sentences/${file}` }));
  const all = [...shared, ...ofMakers];
  const { about, type } = describeList(language);
  return [
    ...(type ? [`import type { Catalogues } from '../core/message.ts';`] : []),
    ...all.map(({ id, file }) => `import { scripts as ${camel(id)} } from '${file}';`),
    '',
    '/**',
    ` * ${about}`,
    ' * Written by `npm run generate` from the folders beside.',
    ' */',
    `export const scripts${type} = { ${all.map(({ id }) => (camel(id) === id ? id : `'${id}': ${camel(id)}`)).join(', ')} };`,
  ].join('\n');
}

/** What the list of a language says of itself. The authors' language is complete, and typed by what it holds. */
function describeList(language: GuideLanguage): { about: string; type: string } {
  const name = new Intl.DisplayNames('en', { type: 'language' }).of(language)!;
  if (language === AUTHORS)
    return { about: `${name} is complete: every maker has its scripts here, under its name.`, type: '' };
  return {
    about: `Makers whose scripts are written in ${name}; a part of another maker keeps its English words in a guide.`,
    type: ': Catalogues',
  };
}

/** The file that brings the words of all languages together, as it follows from their list. */
export function languageList(): string {
  const named = (from: (language: string) => string) => GUIDE_LANGUAGE_IDS.map(from).join('\n');
  return [
    named((language) => `import * as ${language} from './languages/${language}.ts';`),
    named((language) => `import { scripts as ${language}Makers } from '../makers/scripts.${language}.ts';`),
    `import type { Catalogues } from '../core/message.ts';`,
    `import type { NumberNames } from './speech.ts';`,
    `import type { GuideLanguage } from '../core/languages.ts';`,
    '',
    '/** What a language of guides is made of: a file of `languages/` and the scripts of its makers. */',
    'interface LanguageWords {',
    'readonly guide: en.GuideCatalogue;',
    'readonly framing: en.FramingCatalogue;',
    'readonly numberNames: NumberNames;',
    'readonly makers: Catalogues;',
    '}',
    '',
    '/** Every language by its name. Written by `npm run generate` from the list in `core/languages.ts`. */',
    'export const LANGUAGE_WORDS: Readonly<Record<GuideLanguage, LanguageWords>> = {',
    named(
      (language) =>
        `${language}: { guide: ${language}.guide, framing: ${language}.framing, numberNames: ${language}.numberNames, makers: ${language}Makers },`,
    ),
    '};',
  ].join('\n');
}

function camel(id: string): string {
  return id.replace(/-(.)/g, (_, letter: string) => letter.toUpperCase());
}
