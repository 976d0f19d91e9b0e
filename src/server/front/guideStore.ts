import { createHash } from 'node:crypto';
import { gzipSync } from 'node:zlib';
import { LRUCache } from 'lru-cache';

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
  /** What was begun came to nothing: there is no such guide, or it could not be shown. */
  giveUp(key: string, ticket: RenderTicket): void;
  /** A guide has changed, was revoked or replaced. */
  forget(key: string): void;
  /** Nothing is served from the store until `resume`: nobody would say if a guide changed. */
  pause(): void;
  resume(): void;
}

const MOST_BYTES = 192 * 1024 * 1024;
/** So many pages are being rendered at once at most; one that was begun before them is not kept. */
const MOST_RENDERED = 2000;

/** Rendered guides in the memory of this process, the ones asked for longest ago dropped first. */
export class MemoryGuideStore implements GuideStore {
  readonly #pages: LRUCache<string, StoredPage>;
  readonly #rendering = new LRUCache<string, RenderTicket>({ max: MOST_RENDERED });
  #isPaused = true;

  constructor({ mostBytes = MOST_BYTES }: { mostBytes?: number } = {}) {
    this.#pages = new LRUCache<string, StoredPage>({
      maxSize: mostBytes,
      sizeCalculation: ({ plain, gzipped }) => Math.max(1, plain.length + gzipped.length),
    });
  }

  find(key: string): StoredPage | null {
    return this.#isPaused ? null : (this.#pages.get(key) ?? null);
  }

  begin(key: string): RenderTicket {
    const ticket = Symbol('a page that is being rendered');
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
    if (isCurrent && !this.#isPaused) this.#pages.set(key, page);
    return page;
  }

  giveUp(key: string, ticket: RenderTicket): void {
    if (this.#rendering.get(key) === ticket) this.#rendering.delete(key);
  }

  forget(key: string): void {
    this.#rendering.delete(key);
    this.#pages.delete(key);
  }

  pause(): void {
    this.#isPaused = true;
    this.#clear();
  }

  resume(): void {
    // What was begun while nobody heard of changes may show a guide as it was before one.
    this.#clear();
    this.#isPaused = false;
  }

  /** How many guides it holds, and how many are being rendered. */
  get counts(): { readonly kept: number; readonly rendering: number } {
    return { kept: this.#pages.size, rendering: this.#rendering.size };
  }

  #clear(): void {
    this.#pages.clear();
    this.#rendering.clear();
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
