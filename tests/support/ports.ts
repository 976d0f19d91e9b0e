import { freePort } from '../../src/cli/postgres.ts';

/** Ports that a test listens on lie below those that outgoing connections are given, so that none of these takes one between a stop and the next start. */
const FIRST = 20_000;
const COUNT = 12_000;
/** Steps through the ports; shares no factor with their count. */
const STEP = 7;

let asked = 0;

/** A port on loopback that nobody listens on, another for each process and each call; fails when a hundred in a row are taken. */
export async function testPort(): Promise<number> {
  for (let tries = 0; tries < 100; tries++) {
    const port = FIRST + ((process.pid * 101 + asked++ * STEP) % COUNT);
    try {
      return await freePort(port);
    } catch (error) {
      if ((error as NodeJS.ErrnoException).code !== 'EADDRINUSE') throw error;
    }
  }
  throw new Error('no port is free for a test');
}
