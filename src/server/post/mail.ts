import { mkdir, readFile, writeFile } from 'node:fs/promises';
import { join } from 'node:path';
import { randomUUID } from 'node:crypto';
import { createTransport } from 'nodemailer';

export interface Letter {
  readonly to: string;
  readonly subject: string;
  readonly text: string;
}

/** What sends letters to homes. `send` gives an id under which the letter can be asked for again, if it can. */
export interface Mail {
  send(letter: Letter): Promise<string>;
  read(id: string): Promise<Letter | null>;
}

/** The mail stand-in: letters are put as JSON files into a folder, where the author can read what was sent. */
class FolderMail implements Mail {
  constructor(private readonly folder: string) {}

  async send(letter: Letter): Promise<string> {
    const id = randomUUID();
    const composed = await createTransport({ jsonTransport: true }).sendMail({ from: sender(), ...letter });
    await mkdir(this.folder, { recursive: true, mode: 0o700 });
    await writeFile(join(this.folder, `${id}.json`), String(composed.message), { mode: 0o600 });
    return id;
  }

  async read(id: string): Promise<Letter | null> {
    if (!/^[0-9a-f-]{36}$/.test(id)) return null;
    try {
      const kept = JSON.parse(await readFile(join(this.folder, `${id}.json`), 'utf8')) as {
        to: { address: string }[];
        subject: string;
        text: string;
      };
      return { to: kept.to[0]?.address ?? '', subject: kept.subject, text: kept.text };
    } catch (error) {
      if ((error as NodeJS.ErrnoException).code === 'ENOENT') return null;
      throw error;
    }
  }
}

/** A real mail server, by SMTP. */
class ServerMail implements Mail {
  constructor(private readonly url: string) {}

  async send(letter: Letter): Promise<string> {
    const sent = await createTransport(this.url).sendMail({ from: sender(), ...letter });
    return sent.messageId;
  }

  read(): Promise<Letter | null> {
    return Promise.resolve(null);
  }
}

/** FOOTSTOOL_SMTP names a mail server; without it the stand-in keeps letters in FOOTSTOOL_DATA/mail. */
export function mail(): Mail {
  const server = process.env.FOOTSTOOL_SMTP;
  return server ? new ServerMail(server) : new FolderMail(join(process.env.FOOTSTOOL_DATA ?? '.data', 'mail'));
}

function sender(): string {
  return process.env.FOOTSTOOL_SENDER ?? 'Footstool <sessions@footstool.invalid>';
}
