import { existsSync, readdirSync } from 'node:fs';
import { join } from 'node:path';

/** The languages that guides speak, each with what its list of makers' words says of itself. */
const LANGUAGES = {
  en: { about: 'English is complete: every maker has its catalogue here, under its name.', type: '' },
  es: {
    about: 'Makers whose words are written in Spanish; a part of another maker keeps its English words in a guide.',
    type: ': Catalogues',
  },
  ar: {
    about: 'Makers whose words are written in Arabic; a part of another maker keeps its English words in a guide.',
    type: ': Catalogues',
  },
} as const;

export const MAKER_WORDS = join(import.meta.dirname, '../../src/messages/makers');

/**
 * The lists of makers' words, by the file that each stands in, as they follow from the folders of the languages:
 * `es/clock.ts` exports `clock`, which the Spanish list holds as `clock`; `es/diceMoves.ts` is `dice-moves`.
 */
export function makerWordLists(folder = MAKER_WORDS): ReadonlyMap<string, string> {
  return new Map(
    Object.entries(LANGUAGES).map(([language, { about, type }]) => {
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

function kebab(name: string): string {
  return name.replace(/[A-Z]/g, (letter) => `-${letter.toLowerCase()}`);
}
