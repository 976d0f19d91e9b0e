import { access, link, mkdir, readFile, rm, unlink, writeFile } from 'node:fs/promises';
import { join } from 'node:path';
import { randomUUID } from 'node:crypto';
import { createTransport } from 'nodemailer';

export interface Letter {
  readonly to: string;
  readonly subject: string;
  readonly text: string;
}

/** What sends letters. `send` gives an id under which the letter can be asked for again, if it can. */
export interface Mail {
  /** Whether a letter that is handed over twice under one key goes out once. */
  readonly takesKeyOnce: boolean;
  send(letter: Letter, key: string): Promise<string>;
  read(id: string): Promise<Letter | null>;
  /** Forgets a letter that was kept to be read again. */
  remove(id: string): Promise<void>;
}

/** The mail stand-in: letters are put as JSON files into a folder, each key once, where the author can read what was sent. */
class FolderMail implements Mail {
  readonly takesKeyOnce = true;

  constructor(
    private readonly folder: string,
    private readonly slownessMs: number,
  ) {}

  async send(letter: Letter, key: string): Promise<string> {
    const kept = this.pathOf(key);
    const composed = await createTransport({ jsonTransport: true }).sendMail({ from: sender(), ...letter });
    await new Promise((next) => setTimeout(next, this.slownessMs));
    await mkdir(this.folder, { recursive: true, mode: 0o700 });
    const written = join(this.folder, `.${randomUUID()}`);
    await writeFile(written, String(composed.message), { mode: 0o600 });
    // A name that is there already was sent already; a file that a crash cut short never gets its name.
    await link(written, kept).catch((error: NodeJS.ErrnoException) => {
      if (error.code !== 'EEXIST') throw error;
    });
    await unlink(written);
    await access(kept);
    return key;
  }

  async read(id: string): Promise<Letter | null> {
    if (!UUID.test(id)) return null;
    try {
      const kept = JSON.parse(await readFile(this.pathOf(id), 'utf8')) as {
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

  async remove(id: string): Promise<void> {
    if (UUID.test(id)) await rm(this.pathOf(id), { force: true });
  }

  private pathOf(key: string): string {
    if (!UUID.test(key)) throw new Error(`not the key of a letter: ${key}`);
    return join(this.folder, `${key}.json`);
  }
}

const UUID = /^[0-9a-f-]{36}$/;

/** A real mail server, by SMTP. It may take a letter and the word of it be lost, so nothing is handed to it twice. */
class ServerMail implements Mail {
  readonly takesKeyOnce = false;

  constructor(private readonly url: string) {}

  async send(letter: Letter, key: string): Promise<string> {
    const transport = createTransport({
      url: this.url,
      connectionTimeout: 8000,
      greetingTimeout: 8000,
      socketTimeout: 20_000,
    });
    const sent = await transport.sendMail({ from: sender(), messageId: `<${key}@footstool.invalid>`, ...letter });
    return sent.messageId;
  }

  read(): Promise<Letter | null> {
    return Promise.resolve(null);
  }

  remove(): Promise<void> {
    return Promise.resolve();
  }
}

/** What became of a letter that could not be sent: refused for good, not taken at this moment, or nobody knows. */
export type MailFailure = 'refused' | 'not-now' | 'unclear';

/** What is said to a server before a letter is handed over. */
const BEFORE_THE_LETTER = /^(EHLO|HELO|LHLO|STARTTLS|AUTH|MAIL|RCPT)\b/;

/** Reads from an error whether the letter may have gone out all the same. */
export function readFailure(error: unknown): MailFailure {
  const {
    code = '',
    responseCode,
    syscall,
    message = '',
    command = '',
  } = error as {
    code?: string;
    responseCode?: number;
    syscall?: string;
    message?: string;
    command?: string;
  };
  // The server does not know us: a setting to be put right, and no letter's fault.
  if (code === 'EAUTH') return 'not-now';
  if (responseCode) return responseCode >= 500 ? 'refused' : 'not-now';
  if (['EDNS', 'ENOTFOUND', 'ECONNREFUSED', 'ENOENT', 'EACCES', 'ENOSPC'].includes(code)) return 'not-now';
  if (code === 'EENVELOPE') return 'refused';
  // Before the letter itself was handed over, nothing can have been taken.
  if (BEFORE_THE_LETTER.test(command)) return 'not-now';
  // Before there was a connection nothing can have been taken; one that broke may have.
  if (syscall === 'connect' || /^connect E|Connection timeout|Greeting never received|getaddrinfo/.test(message))
    return 'not-now';
  return 'unclear';
}

/** FOOTSTOOL_SMTP names a mail server; without it the stand-in keeps letters in FOOTSTOOL_DATA/mail. */
export function mail(): Mail {
  const { FOOTSTOOL_SMTP: server, FOOTSTOOL_DATA: data = '.data', FOOTSTOOL_MAIL_SLOWNESS_MS: slowness } = process.env;
  return server ? new ServerMail(server) : new FolderMail(join(data, 'mail'), Number(slowness ?? 0));
}

function sender(): string {
  return process.env.FOOTSTOOL_SENDER ?? 'Footstool <sessions@footstool.invalid>';
}
