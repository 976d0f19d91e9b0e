/** A number with a range, both ends included, turned by ones. */
export interface NumberDial {
  readonly name: string;
  readonly label: string;
  readonly min: number;
  readonly max: number;
  readonly value: number;
}

/** A choice among words. */
export interface ChoiceDial {
  readonly name: string;
  readonly label: string;
  readonly choices: readonly string[];
  /** What a choice is called, where that is not what it is. */
  readonly words?: Readonly<Record<string, string>> | undefined;
  readonly value: string;
}

/** A number or choice that an activity exposes. Number dials turn by ones. */
export type Dial = NumberDial | ChoiceDial;

/** Tells a number dial from a choice. */
export function isNumberDial(dial: Dial): dial is NumberDial {
  return !('choices' in dial);
}

/** What a choice is called. */
export function choiceWord({ words = {} }: ChoiceDial, choice: string): string {
  return Object.hasOwn(words, choice) ? words[choice]! : choice;
}

/** The values of the dials of a segment by name. */
export function dialValues(dials: readonly Dial[]): Record<string, number | string> {
  return Object.fromEntries(dials.map((dial) => [dial.name, dial.value]));
}
