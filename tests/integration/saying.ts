import { onlyTo } from '../../src/contracts/audience.ts';
import { type Line, plainSegment, type Segment } from '../../src/core/session/index.ts';
import type { EdgeError } from '../../src/server/http/errors.ts';
import { keepHome } from '../../src/server/services/homes.ts';
import { previewGuide, readSendPage } from '../../src/server/services/sendPage.ts';
import { sendSession } from '../../src/server/services/sending.ts';
import { findSession, keepSession, startSession } from '../../src/server/services/sessions.ts';
import type { TestProgrammes } from './programme.ts';

/** Sessions that say something, and homes that must not have something. */
export function sayingFor(programmes: () => TestProgrammes) {
  /** A session of one part with these lines and needs; gives its id. */
  async function sessionSaying(lines: readonly (readonly [Line['kind'], string])[], change: Partial<Segment> = {}) {
    const id = await startSession(programmes().owner, {
      title: `Says ${Math.random()}`,
      on: '2027-03-18',
      fromYears: 3,
      toYears: 6,
      aim: '',
      book: '',
      activity: '',
      song: '',
      pattern: '',
      begin: '',
      end: '',
      at: undefined,
    });
    await write(id, lines, change);
    return id;
  }

  async function write(id: string, lines: readonly (readonly [Line['kind'], string])[], change: Partial<Segment> = {}) {
    const { session, revision } = await findSession(programmes().owner, id);
    const part: Segment = {
      ...plainSegment('said', 'activity', 'The part', [3, 5, 8]),
      lines: lines.map(([kind, text], index) => ({ id: `l${index}`, kind, text })),
      ...change,
    };
    await keepSession(programmes().owner, id, { revision, session: { ...session, segments: [part] } });
  }

  let count = 0;
  /** A home with a child so old and what it must not have; gives its id. */
  async function homeWith(birthMonth: string | null, avoids: { allergens?: string[]; alsoAvoids?: string[] } = {}) {
    const nickname = `Test home ${(count += 1)}`;
    const children = birthMonth ? [{ nickname: 'Kit', birthMonth, loves: '', needs: '' }] : [];
    const home = {
      nickname,
      contact: '',
      language: 'en',
      allergens: [],
      alsoAvoids: [],
      children,
      things: [],
      ...avoids,
    };
    return keepHome(programmes().owner, 'new', { home });
  }

  async function send(sessionId: string, homeIds: readonly string[]) {
    const { revision } = await findSession(programmes().owner, sessionId);
    return sendSession(programmes().owner, {
      sessionId,
      audience: onlyTo(homeIds),
      revision,
      address: 'https://homes.example',
    });
  }

  const guideOf = async (sessionId: string, homeId: string) =>
    (await previewGuide(programmes().owner, { sessionId, homeId })).guide;
  const questionsOf = async (sessionId: string) => (await readSendPage(programmes().owner, sessionId)).questions;
  const asked = (error: EdgeError) =>
    error.code === 'wrong-input' &&
    /have a look|Is “|mean here|Not checked|language/.test(error.details.problems?.[0]?.message ?? '');
  return { sessionSaying, write, homeWith, send, guideOf, questionsOf, asked };
}
