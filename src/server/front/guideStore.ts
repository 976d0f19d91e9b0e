import { createHash } from 'node:crypto';
import { gzipSync } from 'node:zlib';

/** A guide's page as it is served again and again. */
export interface StoredPage {
  /** The strong validator of its text. */
  readonly etag: string;
  readonly plain: Buffer;
  readonly gzipped: Buffer;
  readonly headers: Readonly<Record<string, string>>;
}

/** Permission to store what was rendered; worthless once the guide has changed meanwhile. */
export type RenderTicket = symbol;

/** Where rendered guides are kept between visits. Keys are hashes of tokens. */
export interface GuideStore {
  find(key: string): StoredPage | null;
  /** Says that a page is being rendered. */
  begin(key: string): RenderTicket;
  /** Keeps what was rendered, unless the guide has changed since `begin`. Gives the page either way. */
  keep(
    key: string,
    ticket: RenderTicket,
    page: { html: string; headers: Readonly<Record<string, string>> },
  ): StoredPage;
  /** A guide has changed, was revoked or replaced. */
  forget(key: string): void;
  /** Nothing is served from the store until `resume`: nobody would say if a guide changed. */
  pause(): void;
  resume(): void;
}

const MOST_BYTES = 192 * 1024 * 1024;

const sizeOf = ({ plain, gzipped }: StoredPage) => plain.length + gzipped.length;

/** Rendered guides in the memory of this process, the ones asked for longest ago dropped first. */
export class MemoryGuideStore implements GuideStore {
  readonly #pages = new Map<string, StoredPage>();
  readonly #rendering = new Map<string, RenderTicket>();
  #bytes = 0;
  #isPaused = true;

  find(key: string): StoredPage | null {
    return this.#isPaused ? null : (this.#pages.get(key) ?? null);
  }

  begin(key: string): RenderTicket {
    const ticket = Symbol(key);
    this.#rendering.set(key, ticket);
    return ticket;
  }

  keep(key: string, ticket: RenderTicket, { html, headers }: Parameters<GuideStore['keep']>[2]): StoredPage {
    const page: StoredPage = {
      etag: createHash('sha256').update(html).digest('base64url'),
      plain: Buffer.from(html),
      gzipped: gzipSync(html, { level: 9 }),
      headers,
    };
    const isCurrent = this.#rendering.get(key) === ticket;
    if (isCurrent) this.#rendering.delete(key);
    if (isCurrent && !this.#isPaused) this.#put(key, page);
    return page;
  }

  forget(key: string): void {
    this.#rendering.delete(key);
    const page = this.#pages.get(key);
    if (!page) return;
    this.#bytes -= sizeOf(page);
    this.#pages.delete(key);
  }

  pause(): void {
    this.#isPaused = true;
    this.#pages.clear();
    this.#rendering.clear();
    this.#bytes = 0;
  }

  resume(): void {
    this.#isPaused = false;
  }

  #put(key: string, page: StoredPage): void {
    const before = this.#pages.get(key);
    if (before) this.#bytes -= sizeOf(before);
    this.#pages.delete(key);
    this.#pages.set(key, page);
    this.#bytes += sizeOf(page);
    for (const [oldest, dropped] of this.#pages) {
      if (this.#bytes <= MOST_BYTES) break;
      this.#pages.delete(oldest);
      this.#bytes -= sizeOf(dropped);
    }
  }
}

export interface PageAnswer {
  readonly status: 200 | 304;
  readonly headers: Readonly<Record<string, string>>;
  readonly body: Buffer | null;
}

/** What a visit gets of a stored page: nothing anew when it has it already, compressed when it can read that. */
export function answerWith(page: StoredPage, asked: { ifNoneMatch?: string; acceptEncoding?: string }): PageAnswer {
  const isCompressed = /\bgzip\b(?!\s*;\s*q=0(?:\.0+)?\b)/.test(asked.acceptEncoding ?? '');
  const etag = `"${page.etag}${isCompressed ? '-gz' : ''}"`;
  const headers = { ...page.headers, etag, vary: 'accept-encoding' };
  if (asked.ifNoneMatch?.includes(page.etag)) return { status: 304, headers, body: null };
  const body = isCompressed ? page.gzipped : page.plain;
  return {
    status: 200,
    headers: {
      ...headers,
      'content-length': String(body.length),
      ...(isCompressed && { 'content-encoding': 'gzip' }),
    },
    body,
  };
}
