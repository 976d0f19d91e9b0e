import { randomUUID } from 'node:crypto';
import { mkdir, readFile, rename, rm, writeFile } from 'node:fs/promises';
import { join } from 'node:path';

/** What puts sheets on paper. A real one would hand the file to a print queue. */
export interface Printer {
  print(jobId: string, pdf: Buffer): Promise<void>;
  /** What came out, if it still can be shown. */
  read(jobId: string): Promise<Buffer | null>;
  /** Forgets what came out of a job. */
  remove(jobId: string): Promise<void>;
}

/** The printer stand-in: it keeps what it was given as files, so that one can see what would have come out. */
class FolderPrinter implements Printer {
  constructor(private readonly folder: string) {}

  async print(jobId: string, pdf: Buffer): Promise<void> {
    await mkdir(this.folder, { recursive: true, mode: 0o700 });
    // A file that is cut short never gets its name.
    const written = `${this.pathOf(jobId)}.${randomUUID()}`;
    await writeFile(written, pdf, { mode: 0o600 });
    await rename(written, this.pathOf(jobId));
  }

  async read(jobId: string): Promise<Buffer | null> {
    try {
      return await readFile(this.pathOf(jobId));
    } catch (error) {
      if ((error as NodeJS.ErrnoException).code === 'ENOENT') return null;
      throw error;
    }
  }

  async remove(jobId: string): Promise<void> {
    await rm(this.pathOf(jobId), { force: true });
  }

  private pathOf(jobId: string): string {
    if (!/^[0-9a-f-]{36}$/.test(jobId)) throw new Error(`not the id of a print job: ${jobId}`);
    return join(this.folder, `${jobId}.pdf`);
  }
}

/** The printer of this installation. */
export function printer(): Printer {
  return new FolderPrinter(join(process.env.FOOTSTOOL_DATA ?? '.data', 'printer'));
}
