import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { onlyTo } from '../../src/contracts/audience.ts';
import assert from 'node:assert/strict';
import { QueryTypes } from 'sequelize';
import { replyForm } from '../../src/contracts/reply.ts';
import { EdgeError } from '../../src/server/http/errors.ts';
import { postWaiting } from '../../src/server/services/letters.ts';
import { listHomes } from '../../src/server/services/homes.ts';
import { decide } from '../../src/server/services/safety.ts';
import { readSendPage } from '../../src/server/services/sendPage.ts';
import { sendSession } from '../../src/server/services/sending.ts';
import { listSessions } from '../../src/server/services/sessions.ts';
import { addProgramme } from '../../src/cli/seed.ts';
import { closeDatabase, database } from '../../src/server/db/connection.ts';
import { migrate } from '../../src/server/db/migrations/migrate.ts';
import { importFile } from '../../src/server/services/importShelf.ts';
import type { Person } from '../../src/server/services/person.ts';
import { SECRET, startTestDatabase } from '../support/app.ts';
import { demoFile } from '../support/demoFile.ts';

/** A database of its own with two programmes: Quillbrook with the demo's shelf, homes and sessions, and a stranger's. */
export interface TestProgrammes {
  readonly owner: Person;
  readonly reader: Person;
  readonly stranger: Person;
  readonly mailFolder: string;
  remove(): Promise<void>;
}

/** A link's secret that differs from this one in its first character: nobody has it, whatever it was. */
export const wrongToken = (token: string): string => `${token.startsWith('x') ? 'y' : 'x'}${token.slice(1)}`;

export async function startProgrammes(): Promise<TestProgrammes> {
  const folder = mkdtempSync(join(tmpdir(), 'footstool-mail-'));
  Object.assign(process.env, {
    FOOTSTOOL_SECRET: SECRET,
    FOOTSTOOL_DATA: folder,
    FOOTSTOOL_NOW: '2027-03-08T09:00:00Z',
    FOOTSTOOL_TIME_ZONE: 'Europe/London',
    FOOTSTOOL_UNDO_SECONDS: '0',
    LOG_LEVEL: 'silent',
  });
  const database = await startTestDatabase({ name: 'programmes', fill: fillProgrammes });
  process.env.DATABASE_URL = database.url;
  const { owner, stranger } = database.state;
  return {
    owner,
    reader: { ...owner, role: 'reader' },
    stranger,
    mailFolder: join(folder, 'mail'),
    remove: async () => {
      await closeDatabase();
      await database.remove();
      rmSync(folder, { recursive: true, force: true });
    },
  };
}

async function fillProgrammes(url: string): Promise<{ owner: Person; stranger: Person }> {
  process.env.DATABASE_URL = url;
  await migrate();
  const owner = await addPeople('quillbrook', 'owner');
  for (const file of ['things', 'books', 'songs', 'activities', 'homes', 'sessions'])
    await importFile(owner, demoFile(file));
  const stranger = await addPeople('millrace', 'owner');
  await closeDatabase();
  return { owner, stranger };
}

function addPeople(slug: string, role: Person['role']): Promise<Person> {
  return addProgramme({ slug, name: slug }, [
    { name: slug, email: `${slug}@test.example`, password: 'test-password', role },
  ]);
}

/** What tests do with a programme again and again. */
export function helpersFor(programmes: () => TestProgrammes) {
  /** Answers every question about a session: for tests that are about something else. */
  const settleAll = async (sessionId: string) => {
    const { questions } = await readSendPage(programmes().owner, sessionId);
    for (const { name: question } of questions)
      await decide(programmes().owner, sessionId, { question, decided: 'fine', why: 'Looked at.' });
  };
  const sessionNamed = async (title: string) =>
    (await listSessions(programmes().owner)).find(({ session }) => session.title === title)!;
  /** Sends the newest state of a session to every home and leaves its letters in the queue; gives its id. */
  const sendQueued = async (title: string) => {
    const kept = await sessionNamed(title);
    await settleAll(kept.id);
    const homeIds = (await listHomes(programmes().owner)).homes.map(({ id }) => id);
    await sendSession(programmes().owner, {
      sessionId: kept.id,
      audience: onlyTo(homeIds),
      revision: kept.revision,
      address: 'https://homes.example',
    });
    return kept.id;
  };
  return {
    sendQueued,
    sessionNamed,
    settleAll,
    /** The same, and posts them. */
    sendToAll: async (title: string) => {
      const id = await sendQueued(title);
      await postWaiting();
      return id;
    },
    reply: (change: object = {}) => replyForm.validateSync({ outcome: 'done', note: '', parts: [], ...change }),
    refuses: (work: Promise<unknown>, code: string) =>
      assert.rejects(work, (error: unknown) => error instanceof EdgeError && error.code === code),
    rows: <Row extends object>(sql: string) => database().query<Row>(sql, { type: QueryTypes.SELECT }),
  };
}
