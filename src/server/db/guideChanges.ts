import pg from 'pg';
import { log } from '../log.ts';

/** What is told of changes: a store of rendered guides. */
interface Listener {
  forget(key: string): void;
  pause(): void;
  resume(): void;
}

const HEARTBEAT_MS = 1000;
const SILENCE_MS = 2500;
const AGAIN_MS = 1000;

/**
 * Hears from the database which guides have changed, and drops them from the store. While it cannot hear, the store is
 * paused: a page that may have been revoked is not served. Gives what ends it.
 */
export function followGuideChanges(databaseUrl: string, store: Listener): () => Promise<void> {
  let isEnded = false;
  let client: pg.Client | null = null;
  let again: NodeJS.Timeout | undefined;

  const lose = (lost: pg.Client, cause?: unknown) => {
    if (client !== lost) return;
    client = null;
    store.pause();
    if (isEnded) return;
    log.warn({ err: cause }, 'changes of guides are not heard of; pages are rendered for each visit');
    void lost.end().catch(() => undefined);
    again = setTimeout(() => void listen(), AGAIN_MS);
  };

  const listen = async (): Promise<void> => {
    const current = new pg.Client({
      connectionString: databaseUrl,
      connectionTimeoutMillis: SILENCE_MS,
      query_timeout: SILENCE_MS,
      keepAlive: true,
    });
    client = current;
    current.on('error', (error) => lose(current, error));
    current.on('end', () => lose(current));
    current.on('notification', ({ payload }) => payload && store.forget(payload));
    try {
      await current.connect();
      await current.query('LISTEN guide_changed');
      if (client !== current) return;
      store.resume();
      beat(current);
    } catch (error) {
      lose(current, error);
    }
  };

  const beat = (current: pg.Client): void => {
    let isAsking = false;
    const timer = setInterval(() => {
      if (client !== current) return clearInterval(timer);
      if (isAsking) return;
      isAsking = true;
      current
        .query('SELECT 1')
        .catch((error: unknown) => lose(current, error))
        .finally(() => (isAsking = false));
    }, HEARTBEAT_MS);
    timer.unref();
  };

  void listen();
  return async () => {
    isEnded = true;
    clearTimeout(again);
    await client?.end().catch(() => undefined);
  };
}
