import { EdgeError } from '../http/errors.ts';

/** What windows of a session are told: that it was kept under a revision, or where somebody is in it. */
type News = { readonly event: 'kept' | 'here'; readonly data: string };

interface Listening {
  readonly userId: string;
  readonly controller: ReadableStreamDefaultController<Uint8Array>;
  readonly ends: NodeJS.Timeout;
}

/** So many windows of one person, and of all, hear by this process; more ask every few seconds instead. */
const MOST_OF_ONE = 20;
const MOST_IN_ALL = 2000;
/** A window that takes nothing for so many messages is given up; it begins anew by itself. */
const MOST_WAITING = 100;
/** Who listens is looked at anew after so long: somebody may have left the programme. */
const MS_AT_MOST = 5 * 60_000;
const MS_BETWEEN_SIGNS = 20_000;

/** Those windows of sessions that this process tells at once what is kept and who is there. */
export class SessionNews {
  readonly #bySession = new Map<string, Set<Listening>>();
  readonly #words = new TextEncoder();
  readonly #signs: NodeJS.Timeout;
  #count = 0;
  #isOpen = false;

  constructor() {
    this.#signs = setInterval(() => this.#all((listening) => this.#send(listening, ':\n\n')), MS_BETWEEN_SIGNS);
    this.#signs.unref();
  }

  /** What somebody is told of a session from now on, as server-sent events, until the window goes. */
  listen(sessionId: string, userId: string): ReadableStream<Uint8Array> {
    if (!this.#isOpen || this.#count >= MOST_IN_ALL || this.#countOf(userId) >= MOST_OF_ONE)
      throw new EdgeError('busy');
    let mine: Listening | undefined;
    return new ReadableStream<Uint8Array>({
      start: (controller) => {
        const ends = setTimeout(() => mine && this.#end(sessionId, mine), MS_AT_MOST);
        ends.unref();
        mine = { userId, controller, ends };
        const others = this.#bySession.get(sessionId) ?? new Set();
        this.#bySession.set(sessionId, others.add(mine));
        this.#count += 1;
        this.#send(mine, 'retry: 2000\n\n');
      },
      cancel: () => mine && this.#forget(sessionId, mine),
    });
  }

  /** Tells all windows of a session. */
  tell(sessionId: string, { event, data }: News): void {
    for (const listening of this.#bySession.get(sessionId) ?? [])
      this.#send(listening, `event: ${event}\ndata: ${data}\n\n`, sessionId);
  }

  /** Nothing is heard of other processes any more, or it is again: windows ask by themselves until then. */
  setOpen(isOpen: boolean): void {
    this.#isOpen = isOpen;
    if (isOpen) return;
    for (const [sessionId, all] of [...this.#bySession])
      for (const listening of [...all]) this.#end(sessionId, listening);
  }

  /** Ends all that listen, and takes no more. */
  close(): void {
    clearInterval(this.#signs);
    this.setOpen(false);
  }

  #countOf(userId: string): number {
    let count = 0;
    this.#all((listening) => (count += Number(listening.userId === userId)));
    return count;
  }

  #all(work: (listening: Listening) => void): void {
    for (const all of this.#bySession.values()) for (const listening of all) work(listening);
  }

  #send(listening: Listening, text: string, sessionId?: string): void {
    const { controller } = listening;
    if (sessionId !== undefined && (controller.desiredSize ?? 0) < -MOST_WAITING)
      return this.#end(sessionId, listening);
    controller.enqueue(this.#words.encode(text));
  }

  #end(sessionId: string, listening: Listening): void {
    this.#forget(sessionId, listening);
    listening.controller.close();
  }

  #forget(sessionId: string, listening: Listening): void {
    clearTimeout(listening.ends);
    const all = this.#bySession.get(sessionId);
    if (!all?.delete(listening)) return;
    this.#count -= 1;
    if (all.size === 0) this.#bySession.delete(sessionId);
  }
}
