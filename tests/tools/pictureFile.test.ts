import assert from 'node:assert/strict';
import { readFileSync } from 'node:fs';
import { test } from 'node:test';
import { PICTURE_WORDS } from '../../src/core/words/index.ts';
import { pictureSvg } from '../../src/server/pictures/pictures.ts';
import { PICTURE_FILE, plainPath } from './pictureFile.ts';

test('numbers of a path that stand without a gap are told apart, flags of arcs too', () => {
  assert.equal(plainPath('M1.5.5-2L3-4z'), 'M1.5 .5 -2L3 -4z');
  assert.equal(plainPath('a1 1 0 011.5-.5'), 'a1 1 0 0 1 1.5 -.5');
  assert.equal(plainPath('A2,2,0,1,0,3,4'), 'A2 2 0 1 0 3 4');
});

test('every picture word has a picture of plain filled paths, and no other name has one', () => {
  for (const { word, picture } of PICTURE_WORDS)
    assert.match(pictureSvg(picture) ?? '', /^<svg .*<path d="M[^"]+" fill="#/i, word);
  for (const name of ['', '__proto__', 'constructor', '../cat', 'unknown']) assert.equal(pictureSvg(name), undefined);
  const written = JSON.parse(readFileSync(PICTURE_FILE, 'utf8')) as Record<string, [string, string][]>;
  for (const [name, paths] of Object.entries(written))
    for (const [d, fill] of paths) {
      assert.doesNotMatch(d, /[aA][^a-zA-Z]*\s[01]{2}\d/, name);
      assert.match(fill, /^#[0-9a-f]{3,6}$/i, name);
    }
});
