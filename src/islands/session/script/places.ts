import type { LineKind } from '../../../core/session/index.ts';

/** Somewhere in the editor that something is drawn into. */
export type Place =
  | {
      readonly is: 'line';
      readonly id: string;
      readonly kind: LineKind;
      readonly line: HTMLElement;
      readonly gutter: HTMLElement;
      readonly after: HTMLElement;
    }
  | { readonly is: 'block'; readonly source: string; readonly at: HTMLElement };

/** Where lines and blocks of the editor stand, for what draws into them. Each is named by the object that stands there. */
export class Places {
  private readonly byOwner = new Map<object, Place & { readonly key: string }>();
  private listed: readonly (Place & { readonly key: string })[] = [];
  private readonly listeners = new Set<() => void>();
  private count = 0;
  /** Puts the caret at a place of the text; set by whoever holds the editor. */
  caretTo: (at: number) => void = () => undefined;

  put(owner: object, place: Place): void {
    this.count += 1;
    this.byOwner.set(owner, { ...place, key: this.byOwner.get(owner)?.key ?? String(this.count) });
    this.tell();
  }

  remove(owner: object): void {
    if (this.byOwner.delete(owner)) this.tell();
  }

  readonly list = () => this.listed;

  readonly subscribe = (listener: () => void) => {
    this.listeners.add(listener);
    return () => this.listeners.delete(listener);
  };

  private tell(): void {
    this.listed = [...this.byOwner.values()];
    for (const listener of this.listeners) listener();
  }
}
