import { spawn } from 'node:child_process';
import { existsSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import type { LocalPostgres } from './postgres.ts';

const MS_BETWEEN_LOOKS = 100;
const MOST_LOOKS = 150;

/**
 * Stops a database that this process started once this process is gone, however it went: a small shell reads from it until
 * nothing more can come. `end` is for whoever stops the database himself.
 */
export function guardDatabase(folder: string, { stopCommand }: LocalPostgres): { end(): void } {
  const guard = spawn('sh', ['-c', 'cat > /dev/null; exec "$@"', 'sh', ...stopCommand], {
    cwd: folder,
    // Out of reach of the Ctrl-C that ends us.
    detached: true,
    stdio: ['pipe', 'ignore', 'ignore'],
  });
  guard.unref();
  guard.stdin.on('error', () => undefined);
  (guard.stdin as unknown as { unref(): void }).unref();
  const file = join(folder, 'guard');
  writeFileSync(file, `${process.pid} ${guard.pid}`);
  return {
    end: () => {
      guard.kill('SIGKILL');
      rmSync(file, { force: true });
    },
  };
}

/** Waits while the guard of a start that was killed is still stopping the database of a folder. */
export async function whileGuardStops(folder: string): Promise<void> {
  const file = join(folder, 'guard');
  if (!existsSync(file)) return;
  const [starter = 0, guard = 0] = readFileSync(file, 'utf8').split(' ').map(Number);
  if (isAlive(starter)) return;
  for (let look = 0; look < MOST_LOOKS && isAlive(guard); look++)
    await new Promise((next) => setTimeout(next, MS_BETWEEN_LOOKS));
}

function isAlive(pid: number): boolean {
  if (pid <= 0) return false;
  try {
    process.kill(pid, 0);
    return true;
  } catch (error) {
    return (error as NodeJS.ErrnoException).code === 'EPERM';
  }
}
