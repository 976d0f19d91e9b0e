/**
 * A speech sound by its symbol in the list of 39 that English pronunciations are commonly written in (ARPAbet), such as `SH` or
 * `IH`. Three are ours and are kept apart until a word is shown: `OH`, the short sound of hot; `EHR` and `IHR`, the vowels of
 * chair and ear where no r is said.
 */
export type Phone = string;

/** The vowels; `ER` is a vowel and its r in one. */
export const VOWELS: ReadonlySet<Phone> = new Set([
  'AA',
  'AE',
  'AH',
  'AO',
  'AW',
  'AY',
  'EH',
  'ER',
  'EY',
  'IH',
  'IY',
  'OH',
  'OW',
  'EHR',
  'IHR',
  'OY',
  'UH',
  'UW',
]);

/** The consonants. */
export const CONSONANTS: ReadonlySet<Phone> = new Set(
  [
    'B',
    'CH',
    'D',
    'DH',
    'F',
    'G',
    'HH',
    'JH',
    'K',
    'L',
    'M',
    'N',
    'NG',
    'P',
    'R',
    'S',
    'SH',
    'T',
    'TH',
    'V',
    'W',
    'Y',
    'Z',
  ].concat('ZH'),
);

const SHOWN: Readonly<Record<Phone, Phone>> = { OH: 'AA', EHR: 'EH', IHR: 'IH' };

/** A sound by its symbol in the common list. */
export const shown = (phone: Phone): Phone => SHOWN[phone] ?? phone;

/** True for a vowel. */
export const isVowel = (phone: Phone): boolean => VOWELS.has(phone);

/** A way to say a word: its sounds, and how each vowel is stressed (0 none, 1 main, 2 second; 0 for consonants). */
export interface Reading {
  readonly phones: readonly Phone[];
  readonly stress: readonly number[];
}

/** Reads a pronunciation such as `S AH1 N`; what is no sound is left out. Empty text has no sounds. */
export function readReading(text: string): Reading {
  const written = text.split(/\s+/).flatMap((part) => {
    const match = /^([A-Z]{1,2})([012])?$/.exec(part);
    return match && (VOWELS.has(match[1]!) || CONSONANTS.has(match[1]!))
      ? [[match[1]!, Number(match[2] ?? 0)] as const]
      : [];
  });
  return evenR({ phones: written.map(([phone]) => phone), stress: written.map(([, stress]) => stress) });
}

/** Ear and deer are written with two vowels in the source; both get the short one before r. */
function evenR({ phones, stress }: Reading): Reading {
  return { phones: phones.map((phone, index) => (phone === 'IY' && phones[index + 1] === 'R' ? 'IH' : phone)), stress };
}

/** How many syllables a way of saying a word has: its vowels. */
export function syllablesIn({ phones }: Reading): number {
  return phones.filter(isVowel).length;
}
