import assert from 'node:assert/strict';
import { after, before, test } from 'node:test';
import { CALCULATIONS } from '../../src/cli/calc/calculations.ts';
import { readBench } from '../../src/server/services/benchPage.ts';
import { listHomes } from '../../src/server/services/homes.ts';
import { previewGuide, readSendPage } from '../../src/server/services/sendPage.ts';
import { listSessions } from '../../src/server/services/sessions.ts';
import { startProgrammes, type TestProgrammes } from './programme.ts';
import { demoEntries } from '../support/demoFile.ts';

let at: TestProgrammes;
before(async () => {
  at = await startProgrammes();
});
after(() => at.remove());

const SECTIONS = ['things', 'books', 'songs', 'activities', 'homes', 'sessions'] as const;
type Section = (typeof SECTIONS)[number];
interface Entry {
  readonly key?: string;
  readonly title?: string;
  readonly nickname?: string;
  readonly parts?: readonly { readonly key?: string }[];
}

const demo = (section: Section) => demoEntries<Entry>(section);

/** The demo with one session, one home, and what of the shelf that session is made of. */
function fileFor(whole: Record<Section, Entry[]>, title: string, nickname: string) {
  const session = whole.sessions.find((one) => one.title === title)!;
  const used = new Set(session.parts!.map(({ key }) => key));
  const of = (section: Section) => whole[section].filter(({ key }) => used.has(key));
  return {
    format: 'footstool',
    version: 1,
    things: whole.things,
    books: of('books'),
    songs: of('songs'),
    activities: of('activities'),
    homes: whole.homes.filter((home) => home.nickname === nickname),
    sessions: [session],
  };
}

interface CalcGuide {
  readonly state: string;
  readonly fetch: { item: string; qty: number; insteadOf: string | null; kit: boolean; missing?: boolean }[];
  readonly segments: { kind: string; leftOut: boolean; dials: unknown }[];
}

test('calc says of every home and session of the demo what the session room, the send page and the guide say', async () => {
  const whole = Object.fromEntries(SECTIONS.map((name) => [name, demo(name)])) as Record<Section, Entry[]>;
  const calc = CALCULATIONS.get('guide')!;
  const { homes } = await listHomes(at.owner);
  const states = new Set<string>();
  for (const { id, session } of await listSessions(at.owner)) {
    const [{ judgement }, { fits }] = await Promise.all([readBench(at.owner, id), readSendPage(at.owner, id)]);
    for (const [index, home] of homes.entries()) {
      if (!process.env.FOOTSTOOL_SOAK && index % 2 === 1) continue;
      const file = fileFor(whole, session.title, home.nickname);
      const said = (await calc({ file, session: session.title, home: home.nickname })) as CalcGuide;
      const about = `${session.title}, ${home.nickname}`;
      const { guide } = await previewGuide(at.owner, { sessionId: id, homeId: home.id });
      assert.equal(guide.state, said.state, about);
      assert.deepEqual(
        guide.fetch.map(({ item, qty, insteadOfItem, source }) => [item, qty, insteadOfItem ?? null, source]),
        said.fetch.map(({ item, qty, insteadOf, kit, missing }) => [
          ...[item, qty, insteadOf],
          kit ? 'kit' : missing ? 'missing' : 'home',
        ]),
        about,
      );
      assert.deepEqual(
        guide.segments.map(({ kind, leftOut, dials }) => ({ kind, leftOut, dials })),
        said.segments.map(({ kind, leftOut, dials }) => ({ kind, leftOut, dials })),
        about,
      );
      const verdict = judgement.homes.find((one) => one.id === home.id)!;
      assert.equal(verdict.state, said.state, about);
      assert.equal(fits.find((fit) => fit.home.id === home.id)!.answer.state, said.state, about);
      const lacking = (wanted: 'kit' | 'missing') => [
        ...new Set(verdict.differences.flatMap((one) => (one.code === wanted ? [one.item] : []))),
      ];
      for (const wanted of ['kit', 'missing'] as const)
        assert.deepEqual(
          lacking(wanted).sort(),
          [
            ...new Set(said.fetch.filter((one) => (wanted === 'kit' ? one.kit : one.missing)).map(({ item }) => item)),
          ].sort(),
          `${about}: ${wanted}`,
        );
      states.add(said.state);
    }
  }
  assert.ok(states.size >= (process.env.FOOTSTOOL_SOAK ? 3 : 2), [...states].join());
});
