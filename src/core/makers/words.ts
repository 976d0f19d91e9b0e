const ONES = [
  'zero',
  'one',
  'two',
  'three',
  'four',
  'five',
  'six',
  'seven',
  'eight',
  'nine',
  'ten',
  'eleven',
  'twelve',
  'thirteen',
  'fourteen',
  'fifteen',
  'sixteen',
  'seventeen',
  'eighteen',
  'nineteen',
];
const TENS = ['', '', 'twenty', 'thirty', 'forty', 'fifty', 'sixty', 'seventy', 'eighty', 'ninety'];

/** The spoken name of a whole number from 0 to 199. */
export function numberName(number: number): string {
  if (number >= 100) return number === 100 ? 'one hundred' : `one hundred and ${numberName(number - 100)}`;
  if (number < 20) return ONES[number]!;
  const ones = number % 10;
  return ones === 0 ? TENS[number / 10]! : `${TENS[Math.floor(number / 10)]}-${ONES[ones]}`;
}

const IRREGULAR: Readonly<Record<string, string>> = {
  one: 'first',
  two: 'second',
  three: 'third',
  five: 'fifth',
  eight: 'eighth',
  nine: 'ninth',
  twelve: 'twelfth',
};

/** "first", "twenty-third": the place in a row, from 1 to 199. */
export function ordinalName(number: number): string {
  return numberName(number).replace(
    /[a-z]+$/,
    (last) => IRREGULAR[last] ?? (last.endsWith('y') ? `${last.slice(0, -1)}ieth` : `${last}th`),
  );
}

/** "1 cup", "3 cups". */
export function count(number: number, one: string, many = `${one}s`): string {
  return `${number} ${number === 1 ? one : many}`;
}

/** A list in a sentence: "2, 3 and 5"; an empty one gives nothing. */
export function listWords(items: readonly (string | number)[]): string {
  return items.length < 2 ? items.join('') : `${items.slice(0, -1).join(', ')} and ${items.at(-1)}`;
}
