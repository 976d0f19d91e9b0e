import { existsSync, readdirSync } from 'node:fs';
import { join } from 'node:path';
import { GUIDE_LANGUAGE_IDS, type GuideLanguage } from '../../src/core/languages.ts';
import { AUTHOR_LANGUAGE } from '../../src/messages/speeches.ts';

export const MAKER_WORDS = join(import.meta.dirname, '../../src/messages/makers');

export const LANGUAGE_WORDS_FILE = join(import.meta.dirname, '../../src/messages/languageWords.ts');

/**
 * The lists of makers' words, by the file that each stands in, as they follow from the folders of the languages:
 * `es/clock.ts` exports `clock`, which the Spanish list holds as `clock`; `es/diceMoves.ts` is `dice-moves`.
 */
export function makerWordLists(folder = MAKER_WORDS): ReadonlyMap<string, string> {
  return new Map(
    GUIDE_LANGUAGE_IDS.map((language) => {
      const { about, type } = describeList(language);
      const names = existsSync(join(folder, language))
        ? readdirSync(join(folder, language))
            .filter((file) => file.endsWith('.ts'))
            .map((file) => file.slice(0, -3))
            .sort()
        : [];
      const imports = names.map((name) => `import { ${name} } from './${language}/${name}.ts';`);
      const entries = names.map((name) => (kebab(name) === name ? name : `'${kebab(name)}': ${name}`));
      const text = [
        ...(type ? [`import type { Catalogues } from '../speech.ts';`] : []),
        ...imports,
        '',
        '/**',
        ` * ${about}`,
        ' * Written by `npm run generate` from the folder beside.',
        ' */',
        `export const ${language}${type} = { ${entries.join(', ')} };`,
      ].join('\n');
      return [`${language}.ts`, text];
    }),
  );
}

/** What the list of a language says of itself. The authors' language is complete, and typed by what it holds. */
function describeList(language: GuideLanguage): { about: string; type: string } {
  const name = new Intl.DisplayNames('en', { type: 'language' }).of(language)!;
  if (language === AUTHOR_LANGUAGE)
    return { about: `${name} is complete: every maker has its catalogue here, under its name.`, type: '' };
  return {
    about: `Makers whose words are written in ${name}; a part of another maker keeps its English words in a guide.`,
    type: ': Catalogues',
  };
}

/** The file that brings the words of all languages together, as it follows from their list. */
export function languageList(): string {
  const named = (from: (language: string) => string) => GUIDE_LANGUAGE_IDS.map(from).join('\n');
  return [
    named((language) => `import * as ${language} from './languages/${language}.ts';`),
    named((language) => `import { ${language} as ${language}Makers } from './makers/${language}.ts';`),
    `import type { Catalogues, NumberNames } from './speech.ts';`,
    `import type { GuideLanguage } from '../core/languages.ts';`,
    '',
    '/** What a language of guides is made of: a file of `languages/` and the words of its makers. */',
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

function kebab(name: string): string {
  return name.replace(/[A-Z]/g, (letter) => `-${letter.toLowerCase()}`);
}
