import type { PartQuestion } from '../../core/homes/index.ts';

type QuestionName = PartQuestion['kind'] | 'ask-allergen';

/** What is asked about a part before it goes anywhere: what caught our eye, and what it may mean. */
export const questions: Readonly<Record<`${QuestionName}.${'title' | 'text'}` | 'quoted' | 'own', string>> = {
  quoted: '“{word}”',
  own: '{words}',
  'thing.title': 'Not checked yet: {thing}',
  'thing.text':
    'Nobody has said what {thing} is like or what it may hold. We went by its name. Have a look at its ticks.',
  'unread.title': 'We can’t read this language',
  'unread.text': 'We only look for dangers in English. Read it through yourself before it goes out.',
  'check.title': '{words}: have a look',
  'check.text': 'It may be about {about}.',
  'ask.title': 'What does {words} mean here?',
  'ask.text': 'If it’s real, it’s about {about}. If it’s only played or talked about, say so.',
  'ask-allergen.title': 'Is {words} really there?',
  'ask-allergen.text': 'If it is, homes that mustn’t have {allergens} go without this part.',
};
