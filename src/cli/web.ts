import type { Server } from 'node:http';
import { join } from 'node:path';
import { pathToFileURL } from 'node:url';
import { closeDatabase, isDatabaseAway } from '../server/db/connection.ts';
import { followNews } from '../server/db/followNews.ts';
import { requireFittingSchema } from '../server/db/migrations/migrate.ts';
import { startBeside } from '../server/front/beside.ts';
import { createFront, type PageHandler } from '../server/front/front.ts';
import { MemoryGuideStore } from '../server/front/guideStore.ts';
import { firstOwnerCode } from '../server/http/secrets.ts';
import { isWithoutOwner } from '../server/services/firstOwner.ts';
import { SessionNews } from '../server/services/sessionNews.ts';
import { isBuilt, ROOT } from '../threads/root.ts';
import { untilEnd } from './untilEnd.ts';

const DIST = join(ROOT, 'dist');
/** A request under way may take so long to come to its end. */
const MS_TO_FINISH = 15_000;
const MS_TO_CLOSE = 3000;

/** `footstool web`: the built application at HOST and PORT. Any number of them work on one database. */
export async function runWeb(): Promise<number> {
  const { DATABASE_URL: databaseUrl, HOST: host = '127.0.0.1', PORT: port = '4321' } = process.env;
  if (!databaseUrl) throw new Error('DATABASE_URL is not set; bin/start sets it');
  if (!isBuilt) throw new Error('nothing was built from this source yet; run npm run build, or bin/start');
  // While the database is away, pages say so; `/ready` tells when it is back.
  await requireFittingSchema().catch((error: unknown) => {
    if (!isDatabaseAway(error)) throw error;
  });
  const entry = (await import(/* @vite-ignore */ pathToFileURL(join(DIST, 'server/entry.mjs')).href)) as {
    handler: PageHandler;
  };
  const guides = new MemoryGuideStore();
  const sessionNews = new SessionNews();
  const endFollowing = follow(databaseUrl, guides, sessionNews);
  const front = createFront({
    pages: entry.handler,
    guides,
    sessionNews,
    beside: startBeside(join(DIST, 'server/thread-beside.mjs')),
    clientFolder: join(DIST, 'client'),
    proxy: process.env.FOOTSTOOL_PROXY,
  });
  await new Promise<void>((listening, failed) => {
    front.once('error', failed);
    front.listen(Number(port), host, listening);
  });
  await showFirstOwnerCode(port);
  await untilEnd();
  // Windows that listen begin anew with whoever serves next.
  sessionNews.close();
  await finish(front);
  // Nothing that still waits for a database that is gone keeps this process.
  setTimeout(() => process.exit(0), MS_TO_CLOSE);
  await endFollowing();
  await closeDatabase();
  process.exit(0);
}

/** What any process changed is known here at once: guides that are stored, and windows that are open. */
function follow(databaseUrl: string, guides: MemoryGuideStore, sessionNews: SessionNews): () => Promise<void> {
  return followNews(databaseUrl, {
    on: {
      guide_changed: (key) => guides.forget(key),
      session_kept: (words) => {
        const [sessionId = '', revision = ''] = words.split(' ');
        sessionNews.tell(sessionId, { event: 'kept', data: revision });
      },
      session_here: (words) => {
        const { session, ...whereabouts } = JSON.parse(words) as { session: string };
        sessionNews.tell(session, { event: 'here', data: JSON.stringify(whereabouts) });
      },
    },
    // A page that may have been revoked is not served.
    lost: () => {
      guides.pause();
      sessionNews.setOpen(false);
    },
    back: () => {
      guides.resume();
      sessionNews.setOpen(true);
    },
  });
}

/** Takes nothing new; what is under way comes to its end, or is given up after a while. */
function finish(front: Server): Promise<void> {
  return new Promise((gone) => {
    const late = setTimeout(() => front.closeAllConnections(), MS_TO_FINISH);
    front.close(() => {
      clearTimeout(late);
      gone();
    });
    front.closeIdleConnections();
  });
}

/** While nobody works here, says how the first owner begins. */
async function showFirstOwnerCode(port: string): Promise<void> {
  if (process.env.FOOTSTOOL_DEMO === '1' || !(await isWithoutOwner().catch(() => false))) return;
  const address = process.env.FOOTSTOOL_ADDRESS || `http://localhost:${port}`;
  process.stdout.write(
    `footstool: no account has been made yet. Begin at ${address}/begin with the code ${firstOwnerCode()}\n`,
  );
}
