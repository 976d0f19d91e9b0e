import assert from 'node:assert/strict';
import { type ChildProcess, spawn } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join, resolve } from 'node:path';
import { test } from 'node:test';
import fc from 'fast-check';
import {
  applyChanges,
  applyEdit,
  type Change,
  changesBetween,
  type Edit,
  mergeSessions,
  MOST_CHANGES,
  type Session,
} from '../../src/core/session/index.ts';
import { regenerateIn } from '../../src/core/makers/index.ts';
import { type SentChanges, ServerCopy, type Shown } from '../../src/islands/autosave/serverCopy.ts';
import { authorMakers } from '../../src/messages/authorMakers.ts';
import { DEMO } from '../../src/server/demo.ts';
import { endProcess, startDemoDatabase, testEnvironment, untilUp } from '../support/app.ts';
import { testPort } from '../support/ports.ts';
import { signInByPost } from '../support/signIn.ts';

/**
 * Two windows write one session while the network is cut and the server is killed: what was acknowledged stays, no line is
 * lost, and in the end both hold what the server holds. A few hundred steps; some thousands in the soak.
 */
const isSoak = process.env.FOOTSTOOL_SOAK === '1';
const STEPS = isSoak ? 4000 : 150;
const KILLS = isSoak ? 25 : 1;
const FOOTSTOOL = resolve(import.meta.dirname, '../../bin/footstool');

/** How the next request fares: it is answered, never arrives, or arrives and its answer is lost. */
type Fate = 'answered' | 'cut' | 'answer lost';

/** A window without its page: what it shows, what it knows to be kept, and what lies on its device. */
class Window {
  session: Session;
  server!: ServerCopy<Session>;
  #draft: { sent: SentChanges | null; more: readonly Change[] } | null = null;

  constructor(
    readonly address: string,
    { session, revision }: { session: Session; revision: number },
  ) {
    this.session = session;
    this.open(session, revision);
  }

  open(session: Session, revision: number): void {
    this.session = session;
    const shown = (): Shown<Session> => ({
      address: this.address,
      name: 'session',
      value: this.session,
      revision,
      keptAt: '',
      sharing: {
        news: { on: () => () => undefined, isOpen: () => false },
        changesBetween,
        mostChanges: MOST_CHANGES,
        draft: {
          write: (sent, more) => {
            this.#draft = JSON.parse(JSON.stringify({ sent, more })) as { sent: SentChanges | null; more: Change[] };
            return true;
          },
          drop: () => (this.#draft = null),
        },
        flushNow: () => undefined,
        onOthers: (before, theirs) => (this.session = mergeSessions({ before, ours: this.session, theirs })),
      },
    });
    this.server = new ServerCopy({
      get current() {
        return shown();
      },
    });
  }

  edit(edit: Edit): boolean {
    const answer = applyEdit(this.session, edit, regenerateIn(authorMakers));
    if (answer.ok) this.session = answer.value;
    this.server.writeDraft();
    return answer.ok;
  }

  /** The tab is closed, and opened again with what the server has and what lies on the device. */
  async reopen(ask: <Answer>(path: string) => Promise<Answer>): Promise<void> {
    const draft = this.#draft;
    const { session, revision } = await ask<{ session: Session; revision: number }>('');
    const { arrivedAs } = draft?.sent
      ? await ask<{ arrivedAs: number | null }>(`?edit=${draft.sent.key}`)
      : { arrivedAs: null };
    this.open(session, revision);
    const isIn = arrivedAs !== null && arrivedAs <= revision;
    const sent = (draft?.sent?.changes ?? []) as readonly Change[];
    this.session = applyChanges(session, isIn ? draft!.more : [...sent, ...(draft?.more ?? [])]);
    this.server.writeDraft();
  }
}

const wordsOf = (session: Session) =>
  session.segments.flatMap(({ lines }) => lines.flatMap(({ text, other }) => [text, other?.text ?? ''])).join('\n');

test('two windows, cuts and kills: both end in the same text, and nothing that was written is lost', async (context) => {
  const records = await startDemoDatabase();
  const folder = mkdtempSync(join(tmpdir(), 'footstool-windows-'));
  const port = await testPort();
  const address = `http://127.0.0.1:${port}`;
  let web: ChildProcess;
  const start = async () => {
    web = spawn(FOOTSTOOL, ['web'], {
      env: { ...testEnvironment(records.url, folder, port), LOG_LEVEL: 'silent' },
      stdio: ['ignore', 'ignore', 'inherit'],
    });
    await untilUp(address, web);
  };
  await start();
  const given = globalThis.fetch;
  context.after(async () => {
    globalThis.fetch = given;
    await endProcess(web, 'SIGTERM');
    await records.remove();
    rmSync(folder, { recursive: true, force: true });
  });
  const cookie = await signInByPost(address, DEMO.people[0]);
  const page = await (await given(`${address}/sessions`, { headers: { cookie } })).text();
  const place = `${address}/api/sessions/${/\/sessions\/([0-9a-f-]{36})/.exec(page)![1]!}`;
  let fate: Fate = 'answered';
  globalThis.fetch = async (url, init) => {
    const headers = { ...(init?.headers as Record<string, string>), cookie, origin: address };
    if (fate === 'cut') throw new TypeError('the network is cut');
    const answer = await given(url, { ...init, headers });
    if (fate === 'answer lost') throw new TypeError('the answer is lost');
    return answer;
  };
  const ask = async <Answer>(path: string) =>
    (await (await given(place + path, { headers: { cookie } })).json()) as Answer;
  const first = await ask<{ session: Session; revision: number }>('');
  const windows = [new Window(place, first), new Window(place, first)] as const;

  const steps = fc.sample(
    fc.record({
      who: fc.nat(1),
      what: fc.constantFrom('write', 'write', 'write', 'change', 'move', 'keep', 'keep', 'keep', 'close'),
      fate: fc.constantFrom<Fate>('answered', 'answered', 'answered', 'cut', 'answer lost'),
      part: fc.nat(),
      line: fc.nat(),
      to: fc.nat(6),
    }),
    { numRuns: STEPS, seed: 24 },
  );
  /** Words that nobody else writes: each must stand somewhere in the end. */
  const written: string[] = [];
  for (const [number, step] of steps.entries()) {
    const mine = windows[step.who]!;
    const segment = mine.session.segments[step.part % mine.session.segments.length]!;
    const line = segment.lines[step.line % Math.max(1, segment.lines.length)];
    if (step.what === 'write' && segment.lines.length < 50) {
      const text = `Written in step ${number} by ${step.who}.`;
      const id = `step-${number}`;
      if (mine.edit({ do: 'add-line', segment: segment.id, line: { id, kind: 'do', text }, at: step.to }))
        written.push(text);
    } else if (step.what === 'change' && line && !line.other && !line.text.includes('{')) {
      const marker = `Added in step ${number}.`;
      const change = { text: `${line.text} ${marker}` };
      if (line.text.length < 300 && mine.edit({ do: 'change-line', segment: segment.id, line: line.id, change }))
        written.push(marker);
    } else if (step.what === 'move') mine.edit({ do: 'move-segment', segment: segment.id, to: step.to });
    else if (step.what === 'keep' && mine.server.isBehind()) {
      ({ fate } = step);
      await mine.server.keep();
      fate = 'answered';
    } else if (step.what === 'close') await mine.reopen(ask);
    if (number % Math.ceil(STEPS / (KILLS + 1)) === 7 && number > 7) {
      // One keeping is under way as the server dies.
      const underway = mine.server.isBehind() ? mine.server.keep() : Promise.resolve();
      await Promise.all([underway, endProcess(web!, 'SIGKILL')]);
      await start();
    }
  }
  // Everybody is reached again.
  for (let round = 0; round < 6; round++)
    for (const mine of windows) {
      if (mine.server.isBehind()) await mine.server.keep();
      const now = await ask<{ session: Session; revision: number }>('');
      if (!mine.server.waits() && now.revision > mine.server.revision())
        mine.server.takeTheirs(now.revision, now.session);
    }
  const kept = (await ask<{ session: Session }>('')).session;
  for (const mine of windows) assert.deepEqual(JSON.parse(JSON.stringify(mine.session)), kept);
  const words = wordsOf(kept);
  assert.deepEqual(
    written.filter((text) => !words.includes(text)),
    [],
    `of ${written.length} that were written`,
  );
});
