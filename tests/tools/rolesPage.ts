import { ROUTES, type Who } from '../../src/server/http/roles.ts';

const WHO_WORDS: Readonly<Record<Who, string>> = {
  anybody: 'anybody',
  holder: 'whoever holds the link',
  reader: 'readers, authors, owners',
  author: 'authors, owners',
  owner: 'owners',
  nobody: '–',
};

const TASKS: readonly [task: string, who: 'reader' | 'author' | 'owner' | 'nobody'][] = [
  ['look at sessions, the shelf, homes at a glance, the term, and what came back', 'reader'],
  ['take the shelf along as a file (it holds nothing about homes)', 'reader'],
  ['write sessions, activities, things, books, songs and the term; delete them and bring them back', 'author'],
  ['open and change a home, take it out and bring it back, delete it for good', 'author'],
  ['decide on a line with a caution in it', 'author'],
  ['send, call a sending back, take back a link, read a letter with its link, try a letter again', 'author'],
  ['print', 'author'],
  ['change how the programme works and its own cautions', 'owner'],
  ['ask somebody to join, change what they may do, take them out (never the last owner)', 'owner'],
  ['delete the whole programme', 'owner'],
  ['take the homes along as a file, back up, restore: by command, on the machine itself', 'nobody'],
];

/** The page of who may do what, from the table that the door goes by. */
export function rolesPage(): string {
  const tick = (is: boolean) => (is ? 'yes' : '');
  const ranks = ['reader', 'author', 'owner'] as const;
  const tasks = TASKS.map(([task, who]) => {
    const least = who === 'nobody' ? ranks.length : ranks.indexOf(who);
    return `| ${task} | ${ranks.map((_, rank) => tick(rank >= least)).join(' | ')} |`;
  });
  const routes = Object.entries(ROUTES).map(
    ([route, { see, change }]) => `| \`${route}\` | ${WHO_WORDS[see]} | ${WHO_WORDS[change]} |`,
  );
  return [
    '# Who may do what',
    'Written by `npm run generate` from `src/server/http/roles.ts`, the table that every request is held against before its page is asked. `tests/integration/routes.test.ts` asks every address as a stranger, a reader, an author and an owner, and fails when a page is missing from the table. Nobody sees or changes anything of another programme, whatever their part in their own.',
    ['| | readers | authors | owners |', '| --- | --- | --- | --- |', ...tasks].join('\n'),
    'A home has no part: it has a link, which opens one guide and takes its answer, until it is taken back. At a shared desk a sign-in ends after a day, at one’s own after fourteen.',
    '## Every address',
    ['| address | may open it | may send something to it |', '| --- | --- | --- |', ...routes].join('\n'),
    '',
  ].join('\n\n');
}
