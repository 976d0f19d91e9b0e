import type { OpenedGuide } from './openedGuide.ts';

const MOST_RECALLED = 200;

/** The guides opened last, so that a reply that cannot be saved at the moment can still be shown with what was written. */
export class RecalledGuides {
  readonly #guides = new Map<string, OpenedGuide>();

  /** Remembers a guide by its link. */
  remember(token: string, guide: OpenedGuide): void {
    this.#guides.delete(token);
    this.#guides.set(token, guide);
    if (this.#guides.size > MOST_RECALLED) this.#guides.delete(this.#guides.keys().next().value!);
  }

  /** A guide that was opened lately; null when it was not. */
  recall(token: string): OpenedGuide | null {
    return this.#guides.get(token) ?? null;
  }
}
