import assert from 'node:assert/strict';
import { test } from 'node:test';
import { CALCULATIONS } from '../../src/cli/calc/calculations.ts';
import { demoEntries } from '../support/demoFile.ts';

/** What is planted into entries of the demo, as loosely as a file is written. */
type Loose = Record<string, any>; // eslint-disable-line @typescript-eslint/no-explicit-any
type Plant = (activity: Loose, session: Loose, file: Loose) => void;

const findings = CALCULATIONS.get('findings')!;
const sections = ['things', 'activities', 'books', 'songs'] as const;
const demo = Object.fromEntries(sections.map((section) => [section, demoEntries<Loose>(section)]));

/** A session with one activity of the demo, after something is planted; gives the rules found and where. */
async function planted(key: string, plant: Plant = () => undefined) {
  const file = structuredClone({
    format: 'footstool',
    version: 1,
    homes: [],
    sessions: [] as Loose[],
    ...demo,
    // Reading the whole shelf takes longer than all checks.
    activities: demo.activities!.filter((entry) => entry.key === key),
  }) as Loose;
  const activity = file.activities.find((entry: Loose) => entry.key === key) as Loose;
  const parts = [{ kind: 'song', key: 'carry-it-on' }, ...(activity ? [{ kind: 'activity', key }] : [])];
  const session: Loose = { title: 'T', on: '2027-03-18', ages: { fromMonths: 48, toMonths: 71 }, aim: '', parts };
  file.sessions.push(session);
  plant(activity, session, file);
  const said = (await findings({ file, session: 'T' })) as { findings: { rule: string; line: number | null }[] };
  return said.findings.map(({ rule, line }) => [rule, line] as const);
}

const line = (kind: string, text: string, answer?: string) => ({
  id: `new-${text.length}`,
  kind,
  text,
  ...(answer && { answer }),
});
const at =
  (index: number, text: string, answer?: string): Plant =>
  (activity) =>
    Object.assign(activity.lines[index], { text, ...(answer && { answer }) });
const adding =
  (...added: Loose[]): Plant =>
  (activity) =>
    void activity.lines.push(...added);
const without =
  (kind: string): Plant =>
  (activity) =>
    void (activity.lines = activity.lines.filter((entry: Loose) => entry.kind !== kind));
const fetching =
  (item: string): Plant =>
  (activity) =>
    void activity.needs.push({ id: 'planted', item, qty: 1, per: 'home', use: 'lasting', swaps: [] });

/** A rule, the activity it is planted in, how, and the line (from 0) that it is found at. */
const PLANTS: readonly (readonly [string, string, Plant, (number | null)?])[] = [
  ['placeholder', 'carts-and-lids', at(3, 'TODO what if they grab them?'), 3],
  ['placeholder', 'tea-for-the-carrier', at(1, 'Hand over the plates [how many?].'), 1],
  ['typed-number', 'carts-and-lids', at(5, 'Go on until all 4 {@boxes} have their wheels.'), 5],
  ['typed-number', 'tea-for-the-carrier', at(0, '“We need {places} places. Here are the 4 places.”'), 0],
  ['numbers-disagree', 'wheel-hunt', at(1, 'Lay out 5 cushions: one for what rolls, one for what only slides.'), 1],
  [
    'numbers-disagree',
    'shadow-guess',
    adding(line('do', 'Put 6 spoons in a row.'), line('do', 'Now take the 9 spoons away.')),
    8,
  ],
  ['not-listed', 'wheel-hunt', at(3, 'Fetch a saucepan and put each thing into it.'), 3],
  ['not-listed', 'shadow-guess', adding(line('do', 'Get some pencils and tell the story again.')), 7],
  ['unnamed-thing', 'carts-and-lids', fetching('saucepan'), null],
  ['unnamed-thing', 'shadow-guess', fetching('egg-carton'), null],
  ['no-tool', 'wheel-hunt', adding(line('do', 'Cut a road out of the newspaper.')), 7],
  ['no-tool', 'tea-for-the-carrier', at(1, 'Draw a face for each guest.'), 1],
  [
    'before-made',
    'shadow-guess',
    adding(line('do', 'Give out the tickets at the door.'), line('do', 'Make the tickets from newspaper.')),
    7,
  ],
  [
    'before-made',
    'wheel-hunt',
    adding(line('do', 'Fly your kite to the sofa.'), line('do', 'Fold a kite out of paper.')),
    7,
  ],
  ['no-place', 'carts-and-lids', (activity) => Object.assign(activity, { where: '', surface: '', seating: '' }), null],
  [
    'no-place',
    'pegs-along-the-chair',
    (activity) => {
      at(0, 'Peg {@pegs|count} in a row along it.')(activity, {}, {});
      Object.assign(activity, { where: '', surface: '', seating: '', needs: activity.needs.slice(0, 1) });
    },
    null,
  ],
  ['group-words', 'wheel-hunt', at(3, 'Sit in a circle and pass each thing round.'), 3],
  ['group-only', 'tea-for-the-carrier', (activity) => Object.assign(activity, { size: 'group' }), null],
  ['only-closed', 'shadow-guess', at(3, '“Is it the bear?”', 'yes'), 4],
  ['only-closed', 'wheel-hunt', at(2, '“Does it roll?”', 'yes'), 4],
  ['no-other-answer', 'carts-and-lids', without('if'), 2],
  ['no-other-answer', 'tea-for-the-carrier', without('if'), 2],
  ['level-not-easier', 'carts-and-lids', (activity) => (activity.levels.easier = { text: '', dials: { boxes: 4 } }), 0],
  [
    'level-not-easier',
    'wheel-hunt',
    (activity) => (activity.levels.easier = { text: '', dials: {}, lines: activity.lines }),
    0,
  ],
  ['title-unborne', 'carts-and-lids', (activity) => (activity.title = 'The whale in the bath'), null],
  ['title-unborne', 'wheel-hunt', (activity) => (activity.title = 'Dragons at dawn'), null],
  ['false-rhyme', 'shadow-guess', adding(line('say', '“Cat rhymes with dog.”')), 7],
  ['false-rhyme', 'wheel-hunt', adding(line('ask', '“Which one rhymes with star?”', 'the moon')), 7],
  ['unread-word', 'shadow-guess', adding(line('do', 'Your child reads the sign: “yacht”.')), 7],
  ['unread-word', 'wheel-hunt', adding(line('ask', 'Point to “knight”. What does it say?', 'knight')), 7],
  [
    'long-line',
    'carts-and-lids',
    at(
      5,
      'Go on cart by cart and keep counting aloud together while you move the bowl a little further along the table each time so that nobody has to reach too far.',
    ),
    5,
  ],
  [
    'long-line',
    'tea-for-the-carrier',
    at(
      4,
      'Give the missing one and then put one of the cups at each of the places and two of the spoons beside each of the plates on the left and on the right.',
    ),
    4,
  ],
  ['hard-words', 'wheel-hunt', at(6, 'Do they differentiate the objects subsequently?'), 6],
  ['hard-words', 'shadow-guess', at(6, 'Do they demonstrate an understanding of two-dimensionality?'), 6],
  ['stops-at-ten', 'shadow-guess', adding(line('do', 'Count to 10 together before the light goes on.')), 7],
  ['stops-at-ten', 'wheel-hunt', adding(line('say', '“Count with me: one, two, three, all the way to ten!”')), 7],
  [
    'verse-tune',
    '',
    (_, __, file) => (file.songs.find((song: Loose) => song.key === 'carry-it-on').verses[0][0] = 'Carry'),
    1,
  ],
  ['repeated', 'wheel-hunt', (_, session) => session.parts.push({ kind: 'activity', key: 'wheel-hunt' }), null],
  [
    'repeated',
    'wheel-hunt',
    (_, __, file) => file.sessions.push({ ...file.sessions[0], title: 'Before', on: '2027-03-11' }),
    null,
  ],
  ['over-minutes', 'wheel-hunt', (activity) => (activity.minutes.together = [40, 60, 90]), null],
  ['over-minutes', 'carts-and-lids', (_, session) => (session.minutes = 8), null],
  ['costly-setup', 'wheel-hunt', (activity) => (activity.minutes.setup = [20, 30, 40]), null],
  [
    'seated-too-long',
    'pegs-along-the-chair',
    (activity) =>
      Object.assign(activity, { posture: 'seated', minutes: { ...activity.minutes, together: [20, 30, 40] } }),
    null,
  ],
  ['nothing-moves', 'carts-and-lids', (_, session) => session.parts.shift(), null],
];

for (const [rule, key, plant, where] of PLANTS)
  test(`${rule} is found in ${key || 'a song'}, at its line (${where})`, async () => {
    const found = await planted(key, plant);
    assert.ok(
      found.some(([name, line]) => name === rule && line === where),
      `found ${JSON.stringify(found)}`,
    );
    const before = key === '' ? [] : await planted(key);
    assert.equal(
      before.some(([name, line]) => name === rule && line === where),
      false,
      'it is not there before',
    );
  });
