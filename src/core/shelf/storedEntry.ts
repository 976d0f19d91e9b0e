import { partWithChoiceIds } from '../session/index.ts';
import { type Upgrade, upgradeFrom, type Versioned, withVersion } from '../contentVersion.ts';

/** Choices of makers were the words that stood on the screen. */
const choiceIds: Upgrade = (stored: object) => partWithChoiceIds(stored);

const UPGRADES: readonly Upgrade[] = [choiceIds];

/** An entry of the shelf in today's shape, whenever it was stored. */
export function readStoredEntry<Entry extends object>(stored: Versioned): Entry {
  return upgradeFrom<Entry>(stored, UPGRADES);
}

/** An entry of the shelf as it is stored. A file from before choices had ids may still bring their words. */
export function writeStoredEntry<Entry extends object>(entry: Entry): Entry & Versioned {
  return withVersion(partWithChoiceIds(entry), UPGRADES);
}
