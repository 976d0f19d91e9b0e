import type { ProgrammeSettings } from '../contracts/programme.ts';
import { schoolOf } from '../core/session/index.ts';

/** A setting with a few ways, the one that holds, and why the usual one is usual. */
interface SettingChoice {
  readonly name: string;
  readonly label: string;
  readonly why: string;
  readonly value: string;
  readonly options: readonly (readonly [string, string])[];
}

/** The settings of a programme that are one of a few ways. */
export function programmeChoices(settings: ProgrammeSettings): readonly SettingChoice[] {
  return [
    ...learningChoices(settings),
    ...letterChoices(settings),
    ...homeChoices(settings),
    ...thingChoices(settings),
  ];
}

function learningChoices({ numbers }: ProgrammeSettings): SettingChoice[] {
  return [
    {
      name: 'school',
      label: 'How something new begins',
      why: 'Free hands first: who has handled the things has room in the head for the task.',
      value: schoolOf(numbers),
      options: [
        ['hands-first', 'with free play, then the task'],
        ['small-steps', 'shown in small steps: show, find, tell'],
        ['daily-life', 'inside what the day asks for anyway'],
      ],
    },
    {
      name: 'stage',
      label: 'How far from things to signs',
      why: 'Things first: a hand knows before a sign does.',
      value: numbers.stage,
      options: [
        ['objects', 'things'],
        ['pictures', 'pictures of things'],
        ['signs', 'signs'],
      ],
    },
  ];
}

function letterChoices({ numbers }: ProgrammeSettings): SettingChoice[] {
  return [
    {
      name: 'accent',
      label: 'How words are said',
      why: 'Rhymes, first sounds and readable words go by it: bath, four and chair sound different elsewhere.',
      value: numbers.accent ?? 'gb',
      options: [
        ['gb', 'as in southern Britain'],
        ['us', 'as in North America'],
      ],
    },
    {
      name: 'letters',
      label: 'Letters met first',
      why: 'Small ones first: nearly all letters on a page are small.',
      value: numbers.letters ?? 'small',
      options: [
        ['small', 'small letters'],
        ['capitals', 'capitals'],
      ],
    },
    {
      name: 'firstSaid',
      label: 'A letter is met by',
      why: 'Its sound first: that is what one reads with. The name comes by itself.',
      value: numbers.firstSaid ?? 'sounds',
      options: [
        ['sounds', 'its sound'],
        ['names', 'its name, then its sound'],
      ],
    },
  ];
}

function homeChoices({ screens, numbers }: ProgrammeSettings): SettingChoice[] {
  return [
    {
      name: 'screens',
      label: 'Screens at home',
      why: 'A sound that is heard beats one that is described; the child looks at a face meanwhile.',
      value: screens,
      options: [
        ['listen', 'guides may play our recorded sounds'],
        ['none', 'none: nothing in a guide plays'],
      ],
    },
    {
      name: 'wordGames',
      label: 'A game with words is over',
      why: 'Luck decides who wins; the reading decides when it is over.',
      value: numbers.wordGames ?? 'enough',
      options: [
        ['enough', 'when every word was read three times'],
        ['chance', 'when somebody was lucky first'],
      ],
    },
  ];
}

function thingChoices({ paper, numbers }: ProgrammeSettings): SettingChoice[] {
  return [
    {
      name: 'currency',
      label: 'Coins',
      why: 'Whole small units; nothing is written in two ways.',
      value: numbers.currency,
      options: [
        ['pence', 'pence and pounds'],
        ['cents', 'cents and euros'],
        ['dollars', 'cents and dollars'],
        ['tokens', 'tokens of our own'],
      ],
    },
    {
      name: 'paper',
      label: 'Paper',
      why: 'The sheets at hand.',
      value: paper,
      options: [
        ['a4', 'A4'],
        ['letter', 'Letter'],
      ],
    },
  ];
}
