import { createCipheriv, createDecipheriv, createHash, randomBytes, scrypt, type Hash } from 'node:crypto';
import { createReadStream, createWriteStream } from 'node:fs';
import { open, rename, rm, stat } from 'node:fs/promises';
import { Transform, type Readable } from 'node:stream';
import { pipeline } from 'node:stream/promises';

/** What a backup says of itself, in its second line, readable by anybody. */
export interface BackupHead {
  readonly madeAt: string;
  /** The schema of the database in it. */
  readonly schema: string;
  readonly encrypted: boolean;
  /** Said to whoever opens the file in an editor. */
  readonly note: string;
  /** For the key: both base64. */
  readonly salt?: string;
  readonly iv?: string;
}

/** What is in a backup beside the dump: the secret that links are made with, only ever in one that is encrypted. */
export interface BackupInside {
  readonly secret: string | null;
}

/** Why a file is not taken for a backup. */
export class NotABackup extends Error {}

const FIRST_LINE = 'footstool-backup 1';
const TAG_BYTES = 16;
const DIGEST_BYTES = 32;
/** A head is a few hundred bytes; what has none within this is no backup. */
const MOST_HEAD_BYTES = 8192;

const WITH_SECRET = 'Encrypted. Holds everything, the secret that the links of homes are made with too.';
const WITHOUT_SECRET =
  'Not encrypted: keep it where only you can read it. The secret that the links of homes are made with is NOT in it; without that secret (FOOTSTOOL_SECRET, or the file named secret) links sent before do not open after a restore.';

/** scrypt (RFC 7914) with a cost of 2^15, as is usual for what is kept on a disk. */
function keyFrom(passphrase: string, salt: Buffer): Promise<Buffer> {
  return new Promise((done, failed) =>
    scrypt(passphrase.normalize('NFC'), salt, 32, { N: 2 ** 15, r: 8, p: 1, maxmem: 64 * 1024 * 1024 }, (error, key) =>
      error ? failed(error) : done(key),
    ),
  );
}

const linesOf = (head: BackupHead) => Buffer.from(`${FIRST_LINE}\n${JSON.stringify(head)}\n`);

/**
 * Writes a backup: two lines of head, then the dump, with a digest (SHA-256) at its end, or encrypted with a passphrase
 * (AES-256-GCM, its tag at the end, the head authenticated with it). The file gets its name once it is whole.
 */
export async function writeBackup(
  path: string,
  dump: Readable,
  {
    schema,
    madeAt,
    secret,
    passphrase,
  }: { readonly schema: string; readonly madeAt: Date; readonly secret: string | null; readonly passphrase?: string },
): Promise<BackupHead> {
  const salt = randomBytes(16);
  const iv = randomBytes(12);
  const encrypted = passphrase !== undefined;
  const head: BackupHead = {
    madeAt: madeAt.toISOString(),
    schema,
    encrypted,
    note: encrypted ? WITH_SECRET : WITHOUT_SECRET,
    ...(encrypted && { salt: salt.toString('base64'), iv: iv.toString('base64') }),
  };
  const lines = linesOf(head);
  const inside: BackupInside = { secret: encrypted ? secret : null };
  const beside = `${path}.${process.pid}.new`;
  try {
    const out = createWriteStream(beside, { mode: 0o600, flags: 'wx' });
    out.write(lines);
    const body = withLine(inside);
    if (encrypted) {
      const cipher = createCipheriv('aes-256-gcm', await keyFrom(passphrase, salt), iv);
      cipher.setAAD(lines);
      await pipeline(
        dump,
        body,
        cipher,
        endingWith(() => cipher.getAuthTag()),
        out,
      );
    } else {
      const hash = createHash('sha256').update(lines);
      await pipeline(
        dump,
        body,
        digesting(hash),
        endingWith(() => hash.digest()),
        out,
      );
    }
    await rename(beside, path);
  } catch (error) {
    await rm(beside, { force: true });
    throw error;
  }
  return head;
}

/** The head of a backup, and where its body begins; throws `NotABackup` for anything else. */
export async function readBackupHead(path: string): Promise<{ head: BackupHead; begins: number; size: number }> {
  const { size } = await stat(path);
  const file = await open(path, 'r');
  try {
    const { buffer, bytesRead } = await file.read(Buffer.alloc(MOST_HEAD_BYTES), 0, MOST_HEAD_BYTES, 0);
    const [first, second, rest] = buffer.subarray(0, bytesRead).toString('latin1').split('\n', 3);
    if (first !== FIRST_LINE || second === undefined || rest === undefined)
      throw new NotABackup('is not a backup of Footstool');
    const begins = first.length + second.length + 2;
    let head: BackupHead;
    try {
      head = JSON.parse(buffer.subarray(first.length + 1, begins - 1).toString('utf8')) as BackupHead;
    } catch {
      throw new NotABackup('has a head that cannot be read: it is damaged');
    }
    if (typeof head?.schema !== 'string' || typeof head.encrypted !== 'boolean')
      throw new NotABackup('has a head that cannot be read: it is damaged');
    return { head, begins, size };
  } finally {
    await file.close();
  }
}

/**
 * Unpacks a backup: the dump goes into a file, whole or not at all, and what is inside beside it is given. A wrong
 * passphrase, a missing end or a changed byte is told before anything is used.
 */
export async function unpackBackup(
  path: string,
  dumpPath: string,
  passphrase: string | undefined,
): Promise<{ head: BackupHead; inside: BackupInside }> {
  const { head, begins, size } = await readBackupHead(path);
  const endBytes = head.encrypted ? TAG_BYTES : DIGEST_BYTES;
  const ends = size - endBytes;
  if (ends <= begins) throw new NotABackup('is not whole: its end is missing');
  const end = await readAt(path, ends, endBytes);
  const raw = createReadStream(path, { start: begins, end: ends - 1 });
  const { reading, inside } = withoutLine();
  const out = createWriteStream(dumpPath, { mode: 0o600 });
  const lines = await readAt(path, 0, begins);
  if (head.encrypted) {
    if (!passphrase) throw new NotABackup('is encrypted: its passphrase is needed');
    const { salt = '', iv = '' } = head;
    const key = await keyFrom(passphrase, Buffer.from(salt, 'base64'));
    const decipher = createDecipheriv('aes-256-gcm', key, Buffer.from(iv, 'base64'));
    decipher.setAAD(lines);
    decipher.setAuthTag(end);
    await pipeline(raw, decipher, reading, out).catch(() => {
      throw new NotABackup('cannot be opened: the passphrase is another one, or the file is damaged');
    });
  } else {
    const hash = createHash('sha256').update(lines);
    await pipeline(raw, digesting(hash), reading, out);
    if (!hash.digest().equals(end)) throw new NotABackup('is damaged or not whole');
  }
  return { head, inside: inside() };
}

async function readAt(path: string, from: number, bytes: number): Promise<Buffer> {
  const file = await open(path, 'r');
  try {
    return (await file.read(Buffer.alloc(bytes), 0, bytes, from)).buffer;
  } finally {
    await file.close();
  }
}

/** Puts a line before what flows through. */
function withLine(inside: BackupInside): Transform {
  let isFirst = true;
  const line = Buffer.from(`${JSON.stringify(inside)}\n`);
  return new Transform({
    transform(chunk: Buffer, _encoding, done) {
      done(null, isFirst ? Buffer.concat([line, chunk]) : chunk);
      isFirst = false;
    },
    flush(done) {
      done(null, isFirst ? line : null);
    },
  });
}

/** Takes the first line off what flows through, and gives it once all has flown. */
function withoutLine(): { reading: Transform; inside: () => BackupInside } {
  let head: Buffer | null = Buffer.alloc(0);
  let inside: BackupInside = { secret: null };
  const reading = new Transform({
    transform(chunk: Buffer, _encoding, done) {
      if (head === null) return done(null, chunk);
      head = Buffer.concat([head, chunk]);
      const at = head.indexOf('\n');
      if (at < 0) return done(head.length > MOST_HEAD_BYTES ? new NotABackup('is damaged') : null);
      const rest = head.subarray(at + 1);
      try {
        inside = JSON.parse(head.subarray(0, at).toString('utf8')) as BackupInside;
      } catch {
        return done(new NotABackup('is damaged'));
      }
      head = null;
      done(null, rest);
    },
  });
  return { reading, inside: () => inside };
}

function digesting(hash: Hash): Transform {
  return new Transform({
    transform(chunk: Buffer, _encoding, done) {
      hash.update(chunk);
      done(null, chunk);
    },
  });
}

function endingWith(end: () => Buffer): Transform {
  return new Transform({
    transform: (chunk: Buffer, _encoding, done) => done(null, chunk),
    flush(done) {
      done(null, end());
    },
  });
}
