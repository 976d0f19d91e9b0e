import assert from 'node:assert/strict';
import { spawn, type ChildProcess } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join, resolve } from 'node:path';
import { after, before, test } from 'node:test';
import { SMTPServer } from 'smtp-server';
import { onlyTo } from '../../src/contracts/audience.ts';
import { findUnwrittenChunks } from '../../src/server/db/repositories/sendingChunks.ts';
import { readPost } from '../../src/server/services/post.ts';
import { sendSession } from '../../src/server/services/sending.ts';
import { writeQueuedChunk } from '../../src/server/services/sendingChunks.ts';
import { testEnvironment } from '../support/app.ts';
import { haveHomes } from '../support/manyHomes.ts';
import { testPort } from '../support/ports.ts';
import { helpersFor, startProgrammes, type TestProgrammes } from './programme.ts';

const FOOTSTOOL = resolve(import.meta.dirname, '../../bin/footstool');
const isSoak = process.env.FOOTSTOOL_SOAK === '1';
/** A thousand letters and ten kills in the soak; enough of both to fail with the other tests. */
const HOMES = isSoak ? 1000 : 30;
const KILLS = isSoak ? 10 : 2;
/** The mail server is away until so long after the first try, on the clock that each new worker is started with. */
const MINUTES_AWAY = 120;
const MINUTES_A_ROUND = isSoak ? 15 : 50;

let at: TestProgrammes;
let folder: string;
before(async () => {
  at = await startProgrammes();
  folder = mkdtempSync(join(tmpdir(), 'footstool-many-'));
});
after(async () => {
  await at.remove();
  rmSync(folder, { recursive: true, force: true });
});
const { rows, sessionNamed, settleAll } = helpersFor(() => at);

/** A mail server that is away at first, puts off every second address once, and writes down what it took from whom. */
async function mailServer() {
  let isAway = true;
  const taken = new Map<string, number>();
  const putOff = new Set<string>();
  const later = () => Object.assign(new Error('try later'), { responseCode: 451 });
  const server = new SMTPServer({
    authOptional: true,
    disabledCommands: ['STARTTLS'],
    onConnect: (_session, done) => done(isAway ? Object.assign(new Error('away'), { responseCode: 421 }) : undefined),
    onRcptTo: ({ address }, _session, done) => {
      if (!/[02468]@/.test(address) || putOff.has(address)) return done();
      putOff.add(address);
      done(later());
    },
    onData: (stream, session, done) => {
      stream.resume();
      stream.on('end', () => {
        for (const { address } of session.envelope.rcptTo) taken.set(address, (taken.get(address) ?? 0) + 1);
        setTimeout(done, 20);
      });
    },
  });
  server.on('error', () => undefined);
  const port = await testPort();
  await new Promise<void>((ready) => server.listen(port, '127.0.0.1', ready));
  return {
    url: `smtp://127.0.0.1:${port}`,
    taken,
    comesBack: () => void (isAway = false),
    end: () => new Promise<void>((gone) => server.close(gone)),
  };
}

const killed = (child: ChildProcess) =>
  new Promise<void>((gone) => {
    child.once('exit', () => gone());
    process.kill(-child.pid!, 'SIGKILL');
  });

const states = async () =>
  Object.fromEntries(
    (
      await rows<{ state: string; count: number }>(
        `SELECT state, count(*)::int AS count FROM messages WHERE sending_id IS NOT NULL GROUP BY state`,
      )
    ).map(({ state, count }) => [state, count]),
  );

test(`${HOMES} letters by two workers, ${KILLS} kills, a server away for two hours and one that puts off: at most one letter a home, none given up`, async (context) => {
  await haveHomes(process.env.DATABASE_URL!, HOMES + 12);
  const began = Date.parse(process.env.FOOTSTOOL_NOW!);
  const { id: sessionId, revision } = await sessionNamed('A parcel for Nim');
  await settleAll(sessionId);
  // To all of them: a list of homes is a page of a hundred.
  const audience = { ...onlyTo([]), to: 'all' as const };
  await sendSession(at.owner, { sessionId, audience, revision, address: 'https://homes.example' });
  // Of a large sending only the first chunk is written with the answer; the others are jobs of their own.
  for (const { sendingId, position } of await findUnwrittenChunks(HOMES))
    await writeQueuedChunk(`${sendingId}/${position}`);
  const letters = Object.values(await states()).reduce((sum, count) => sum + count, 0);
  assert.ok(letters >= HOMES);
  const server = await mailServer();
  // Also where something fails: what listens would hold up the end.
  context.after(() => server.end());
  const work = (minutes: number) =>
    spawn(FOOTSTOOL, ['worker'], {
      env: {
        ...testEnvironment(process.env.DATABASE_URL!, folder, 4321),
        FOOTSTOOL_SMTP: server.url,
        FOOTSTOOL_LETTERS_A_SECOND: '40',
        FOOTSTOOL_NOW: new Date(began + minutes * 60_000).toISOString(),
      },
      stdio: ['ignore', 'ignore', 'inherit'],
      detached: true,
    });
  let most = 0;
  const watch = async () => {
    const [{ live }] = (await rows<{ live: number }>(
      `SELECT count(*)::int AS live FROM queue.job WHERE name = 'letters' AND state < 'completed'`,
    )) as [{ live: number }];
    most = Math.max(most, live);
    await new Promise((next) => setTimeout(next, 50));
  };
  const tries = async () =>
    (await rows<{ tries: number }>(`SELECT sum(tries)::int AS tries FROM messages WHERE sending_id IS NOT NULL`))[0]!
      .tries;
  const isSettled = () => !unsettled.waiting && !unsettled.posting;
  let unsettled: Record<string, number> = await states();
  let minutes = 0;
  for (let round = 0; !isSettled(); round++) {
    assert.ok(round < 40, JSON.stringify(unsettled));
    if (minutes >= MINUTES_AWAY) server.comesBack();
    const workers = [work(minutes), work(minutes)];
    const before = await tries();
    const isCut = round < KILLS;
    // A kill comes in the middle of the tries; the rounds after them go on until nothing is due any more.
    const goal = before + (isCut ? Math.max(3, Math.floor(letters / 10)) : Infinity);
    const later = new Date(began + minutes * 60_000).toISOString();
    const due = async () =>
      (
        await rows<{ count: number }>(
          `SELECT count(*)::int AS count FROM messages WHERE sending_id IS NOT NULL AND (state = 'posting' OR (state = 'waiting' AND next_try_at <= '${later}'))`,
        )
      )[0]!.count;
    for (let looks = 0; looks < 4000 && (await tries()) < goal && (await due()) > 0; looks++) await watch();
    await Promise.all(workers.map(killed));
    // What was cut off is nobody's after a minute.
    minutes += MINUTES_A_ROUND;
    unsettled = await states();
  }
  assert.ok(most <= letters, `${most} live jobs for ${letters} letters`);
  const settled = await states();
  const doubts = settled.unclear ?? 0;
  assert.deepEqual(settled, { sent: letters - doubts, ...(doubts > 0 && { unclear: doubts }) });
  assert.ok(
    [...server.taken.values()].every((times) => times === 1),
    'a home got two',
  );
  assert.ok(server.taken.size >= letters - doubts, 'none is called sent that was not');
  assert.ok(doubts <= KILLS * 2 * 20, `${doubts} in doubt`);
  const { counts } = await readPost(at.owner, sessionId);
  assert.equal(counts.unclear, doubts);
  console.log(`${letters} letters, ${doubts} in doubt, at most ${most} live jobs`);
});
