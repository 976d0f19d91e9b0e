import pg from 'pg';
import { log } from '../log.ts';

/** Who is told what the database says, and when nothing of it can be heard. */
interface Follower {
  /** What is done with the words that come on each channel. */
  readonly on: Readonly<Record<string, (words: string) => void>>;
  /** Nothing is heard until `back`: what was known before may be wrong by now. */
  readonly lost: () => void;
  readonly back: () => void;
}

const HEARTBEAT_MS = 1000;
const SILENCE_MS = 2500;
const AGAIN_MS = 1000;

/** Hears from the database what any process did, on the channels it is asked to, over a connection of its own. Gives what ends it. */
export function followNews(databaseUrl: string, { on, lost: deaf, back }: Follower): () => Promise<void> {
  let isEnded = false;
  let client: pg.Client | null = null;
  let again: NodeJS.Timeout | undefined;

  const lose = (lost: pg.Client, cause?: unknown) => {
    if (client !== lost) return;
    client = null;
    deaf();
    if (isEnded) return;
    log.warn({ err: cause }, 'changes are not heard of; guides are rendered for each visit, windows ask for news');
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
    current.on('notification', ({ channel, payload }) => payload && on[channel]?.(payload));
    try {
      await current.connect();
      for (const channel of Object.keys(on)) await current.query(`LISTEN ${current.escapeIdentifier(channel)}`);
      if (client !== current) return;
      back();
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
