import { keepOnServer, type Kept, type Newer } from './keepOnServer.ts';
import { newId } from './newId.ts';
import type { NewsStream } from './newsStream.ts';

export type Keeping<Value = unknown> =
  | Exclude<Kept<Value>, { state: 'kept' }>
  | { readonly state: 'kept'; readonly at: string }
  | { readonly state: 'keeping' };

/** Changes under a name that the server knows again: they may be sent twice. */
export interface SentChanges {
  readonly key: string;
  readonly changes: readonly unknown[];
}

/** What is done where others may keep the same thing meanwhile. */
interface Sharing<Value> {
  /** Tells at once what others keep. */
  readonly news: NewsStream;
  readonly changesBetween: (before: Value, after: Value) => readonly unknown[];
  /** More changes are not sent as such: the value goes whole. */
  readonly mostChanges: number;
  /** What is not known to be kept lies on this device: what was sent without an answer, and what was changed after it. */
  readonly draft: {
    readonly write: (sent: SentChanges | null, more: readonly unknown[]) => boolean;
    readonly drop: () => void;
  };
  /** Makes edits of words at once, as the page may be gone the next moment. */
  readonly flushNow: () => void;
  /** Puts what was changed here since `kept` onto what somebody else kept. */
  readonly onOthers: (kept: Value, theirs: Value) => void;
}

/** A value as this window shows it, and where it is kept. */
export interface Shown<Value> {
  /** Where it is kept, by PUT. */
  readonly address: string;
  /** The name it has in what is sent. */
  readonly name: string;
  readonly value: Value;
  readonly revision: number;
  readonly keptAt: string;
  /** How two who keep at once go on; absent: one is asked to choose. */
  readonly sharing?: Sharing<Value> | undefined;
}

/** What is being kept: a value, and what is sent of it. */
interface Underway<Value> extends SentChanges {
  readonly value: Value;
}

/** What the server has of a value, as far as this window knows, and what is on its way there. */
export class ServerCopy<Value> {
  readonly #latest: { readonly current: Shown<Value> };
  /** What was sent and not answered. It is sent again as it is, so that it is kept once. */
  #underway: Underway<Value> | null = null;
  #revision: number;
  #refused: Value | undefined;
  kept: Value;
  isBusy = false;
  triesAway = 0;

  constructor(latest: { readonly current: Shown<Value> }) {
    this.#latest = latest;
    this.kept = latest.current.value;
    this.#revision = latest.current.revision;
  }

  /** The revision that this window goes on from. */
  readonly revision = (): number => this.#revision;

  /** Whether something was sent and not answered yet. */
  waits(): boolean {
    return this.#underway !== null;
  }

  isBehind(): boolean {
    return this.#latest.current.value !== this.kept || this.waits();
  }

  /** Whether something is to be sent now: what was refused as it stands would be refused again. */
  mayKeep(): boolean {
    return !this.isBusy && this.isBehind() && this.#latest.current.value !== this.#refused;
  }

  /** Sends what was not answered, or what was changed since. */
  async keep(): Promise<Keeping<Value>> {
    const { address, name, sharing } = this.#latest.current;
    this.isBusy = true;
    const sent = this.#underway ?? this.#begin();
    const revision = this.#revision;
    const asChanges = sharing !== undefined && sent.changes.length <= sharing.mostChanges;
    const body = asChanges ? { revision, key: sent.key, changes: sent.changes } : { revision, [name]: sent.value };
    const answer = await keepOnServer<Value>({ address, name }, body);
    this.isBusy = false;
    this.#refused = answer.state === 'refused' ? sent.value : undefined;
    this.triesAway = answer.state === 'away' ? this.triesAway + 1 : 0;
    if (answer.state !== 'away' || !sharing) this.#underway = null;
    if (answer.state === 'kept') this.#goOn(answer.revision, sent.value);
    if (answer.state !== 'newer' || !sharing) return answer;
    const { newer } = answer;
    this.#takeTheirs(newer, newer.hasArrived ? sent.value : this.kept);
    // What of ours is not in it yet is kept next; nothing may be.
    return { state: 'kept', at: newer.keptAt };
  }

  /** Takes in what somebody else kept. */
  readonly takeTheirs = (revision: number, value: Value): void => this.#takeTheirs({ revision, value }, this.kept);

  /** Goes on from what somebody else kept, whatever stands here. */
  goOnFrom({ revision, value }: Pick<Newer<Value>, 'revision' | 'value'>): void {
    this.#revision = revision;
    this.kept = value;
  }

  /** Writes down what is not known to be kept; whether that worked, null where there is nothing. */
  readonly writeDraft = (): boolean | null => {
    const { value, sharing } = this.#latest.current;
    if (!sharing || !this.isBehind()) return null;
    const underway = this.#underway;
    return sharing.draft.write(
      underway && { key: underway.key, changes: underway.changes },
      sharing.changesBetween(underway?.value ?? this.kept, value),
    );
  };

  #begin(): Underway<Value> {
    const { value, sharing } = this.#latest.current;
    this.#underway = { key: newId(), value, changes: sharing?.changesBetween(this.kept, value) ?? [] };
    this.writeDraft();
    return this.#underway;
  }

  #goOn(revision: number, value: Value): void {
    this.goOnFrom({ revision, value });
    const { sharing, value: shown } = this.#latest.current;
    if (shown === value) sharing?.draft.drop();
  }

  #takeTheirs(theirs: Pick<Newer<Value>, 'revision' | 'value'>, former: Value): void {
    this.goOnFrom(theirs);
    this.#latest.current.sharing?.onOthers(former, theirs.value);
  }
}
