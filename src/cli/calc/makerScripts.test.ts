import assert from 'node:assert/strict';
import { test } from 'node:test';
import { MAKERS } from '../../makers/index.ts';
import { CALCULATIONS } from './calculations.ts';

interface Listed {
  readonly makers: readonly {
    readonly id: string;
    readonly title: string;
    readonly scripts: readonly { readonly id: string; readonly title: string }[];
    readonly dials: readonly { readonly name: string; readonly value: number | string }[];
  }[];
}
interface Level {
  readonly lines: readonly { readonly id: string; readonly text: string }[];
  readonly fetch: readonly { readonly item: string; readonly qty: number }[];
  readonly minutes: readonly [number, number, number];
}
interface Written {
  readonly title: string;
  readonly levels: Readonly<Record<'easier' | 'right' | 'harder', Level>>;
  readonly facts: readonly string[];
}

const list = async (input: object) => (await CALCULATIONS.get('scripts')!(input)) as Listed;
const write = async (input: object) => (await CALCULATIONS.get('script')!(input)) as Written;

test('every maker is listed with its ways, and each of them can be had at three levels, with finished words', async () => {
  const { makers } = await list({});
  assert.deepEqual(
    makers.map(({ id }) => id),
    MAKERS.map(({ id }) => id),
  );
  for (const { id, scripts, dials } of makers) {
    assert.ok(scripts.length > 1, id);
    const values = Object.fromEntries(dials.map(({ name, value }) => [name, value]));
    const { levels } = await write({ maker: id, script: scripts[1]!.id, values });
    for (const { lines, minutes } of Object.values(levels)) {
      assert.ok(lines.length > 0, id);
      assert.equal(new Set(lines.map((line) => line.id)).size, lines.length, id);
      for (const { text } of lines) assert.doesNotMatch(text, /[{}\u2068\u2069]/, id);
      assert.ok(minutes[0] <= minutes[1] && minutes[1] <= minutes[2], id);
    }
  }
  assert.equal((await list({ maker: 'place-settings' })).makers.length, 1);
});

test('what is for one of two children is said to homes with two; a language it is not written in is refused', async () => {
  const children = [
    { nickname: 'Ilvo', ageMonths: 70 },
    { nickname: 'Tam', ageMonths: 40 },
  ];
  const alone = await write({ maker: 'place-settings', script: 'cafe' });
  const both = await write({ maker: 'place-settings', script: 'cafe', children });
  assert.ok(both.levels.right.lines.length > alone.levels.right.lines.length);
  await assert.rejects(() => write({ maker: 'place-settings', language: 'ar' }), /language: “place-settings”/);
});

test('what is refused is refused at its path, with the sentence of the screen', async () => {
  const refused: readonly [object, RegExp][] = [
    [{ maker: 'nothing' }, /^maker: no maker/],
    [{ maker: 'place-settings', values: { people: 9999 } }, /^values\.people: /],
    [{ maker: 'place-settings', values: { constructor: 1 } }, /^values: .*constructor/],
    [{ maker: 'place-settings', script: 'on-the-moon' }, /^script: /],
    [{ maker: 'place-settings', story: 'a-ship' }, /^story: /],
  ];
  for (const [input, sentence] of refused)
    await assert.rejects(
      () => write(input),
      (problem: Error) => sentence.test(problem.message),
    );
});
