/** What was not kept yet, on this device, until it is. */
export interface Draft<Delta> {
  readonly read: () => Delta | null;
  /** Whether it could be written. */
  readonly write: (delta: Delta) => boolean;
  readonly drop: () => void;
}

const MOST_CHARACTERS = 2_000_000;

/** A draft under a name of this device’s own; what cannot be read is none. */
export function draftNamed<Delta>(name: string): Draft<Delta> {
  return {
    read: () => {
      try {
        return JSON.parse(localStorage.getItem(name) ?? 'null') as Delta | null;
      } catch {
        return null;
      }
    },
    write: (delta) => {
      try {
        const text = JSON.stringify(delta);
        if (text.length > MOST_CHARACTERS) return false;
        localStorage.setItem(name, text);
        return true;
      } catch {
        return false;
      }
    },
    drop: () => {
      try {
        localStorage.removeItem(name);
      } catch {
        // There was nowhere to keep it either.
      }
    },
  };
}
