import { expect, type Locator, type Page } from '@playwright/test';

/** Does what a person does, by mouse, by touch or by keys alone, and counts clicks and control keys; text is counted apart. */
export abstract class Hand {
  clicks = 0;
  keys = 0;
  characters = 0;
  constructor(readonly page: Page) {}

  /** Goes to a control without using it. */
  abstract reach(target: Locator): Promise<void>;
  /** Presses a button, follows a link, ticks a box. */
  abstract use(target: Locator): Promise<void>;
  abstract choose(target: Locator, label: string): Promise<void>;
  abstract goToSending(): Promise<void>;

  async press(key: string): Promise<void> {
    this.keys += 1;
    await this.page.keyboard.press(key);
  }

  async type(text: string): Promise<void> {
    this.characters += text.length;
    await this.page.keyboard.type(text);
  }

  async fill(target: Locator, text: string): Promise<void> {
    await this.reach(target);
    await this.type(text);
  }

  /** Writes over what a field holds. */
  async replace(target: Locator, text: string): Promise<void> {
    await this.reach(target);
    await this.press('Control+a');
    await this.type(text);
  }

  async paste(text: string): Promise<void> {
    await this.page.context().grantPermissions(['clipboard-read', 'clipboard-write']);
    await this.page.evaluate((words) => navigator.clipboard.writeText(words), text);
    await this.press('Control+v');
  }
}

export class Mouse extends Hand {
  override async reach(target: Locator) {
    const isThere = await target.evaluate((element) => element === document.activeElement);
    if (!isThere) await this.use(target);
  }

  override async use(target: Locator) {
    this.clicks += 1;
    await target.click();
  }

  override async choose(target: Locator, label: string) {
    // One press opens the list, one takes the choice.
    this.clicks += 2;
    await target.selectOption({ label });
  }

  override async goToSending() {
    await this.use(this.page.getByRole('link', { name: /^Send to 9/ }));
  }
}

/** A finger: everything is tapped, and words come from the keys that a tablet shows. */
export class Finger extends Mouse {
  override async use(target: Locator) {
    this.clicks += 1;
    await target.tap();
  }
}

const MOST_TABS = 120;

export class Keys extends Hand {
  /** Goes the shorter way, as somebody does who sees where they are. */
  override async reach(target: Locator) {
    await target.waitFor();
    const isThere = () => target.evaluate((element) => element === document.activeElement);
    if (await isThere()) return;
    const forward = await this.steps(target);
    const key = forward > 0 ? 'Tab' : 'Shift+Tab';
    for (let tabs = 0; tabs < MOST_TABS; tabs += 1) {
      await this.press(key);
      if (await isThere()) return;
    }
    throw new Error(`not reached by ${key}: ${String(target)}`);
  }

  /** How many stops a control lies ahead of where the focus is, or behind. */
  private steps(target: Locator): Promise<number> {
    return target.evaluate((wanted) => {
      const stops = [
        ...document.querySelectorAll<HTMLElement>('a[href], button, input, select, textarea, summary, [tabindex]'),
      ].filter((element) => element.tabIndex >= 0 && !element.hasAttribute('disabled') && element.checkVisibility());
      const to = stops.indexOf(wanted as HTMLElement);
      const from = stops.indexOf(document.activeElement as HTMLElement);
      // From nowhere the end of the page is one step back.
      if (from < 0) return to < stops.length / 2 ? 1 : -1;
      return to - from;
    });
  }

  override async use(target: Locator) {
    await this.reach(target);
    const isBox = await target.evaluate((element) => element instanceof HTMLInputElement);
    await this.press(isBox ? 'Space' : 'Enter');
  }

  override async choose(target: Locator, label: string) {
    await this.reach(target);
    await this.type(label.slice(0, 12));
    await expect(target.locator('option:checked')).toHaveText(label);
  }

  override async goToSending() {
    await this.press('Control+Enter');
    await expect(this.page.getByRole('link', { name: /^Send to 9/ })).toBeFocused();
    await this.press('Enter');
  }
}
