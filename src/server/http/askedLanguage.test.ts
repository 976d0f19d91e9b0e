import assert from 'node:assert/strict';
import { test } from 'node:test';
import { askedLanguage } from './askedLanguage.ts';

const asked = (accepted?: string) =>
  askedLanguage(new Headers(accepted === undefined ? {} : { 'accept-language': accepted }));

test('of our languages the one that a browser likes best is taken, English where it likes none', () => {
  const answers: [string | undefined, string][] = [
    ['fr-FR,es;q=0.8,en;q=0.5', 'es'],
    ['en;q=0.5,es;q=0.8', 'es'],
    ['es;q=0,en', 'en'],
    ['es-MX,es;q=0.9', 'es'],
    ['ar', 'ar'],
    ['est', 'en'],
    ['arn,enm', 'en'],
    ['*', 'en'],
    ['', 'en'],
    [undefined, 'en'],
    ['constructor', 'en'],
    [`${'x,'.repeat(5000)}es`, 'en'],
  ];
  for (const [accepted, language] of answers) assert.equal(asked(accepted), language, accepted?.slice(0, 40));
});
