import { onlyTo } from '../contracts/audience.ts';
import {
  addUser,
  changeUser,
  findUserByEmail,
  removeUsersWithoutProgramme,
  setRole,
} from '../server/db/repositories/people.ts';
import {
  addProgrammeRow,
  countProgrammes,
  findProgrammeBy,
  removeProgrammeRow,
} from '../server/db/repositories/programmes.ts';
import { readInstallation, writeInstallation } from '../server/db/repositories/installation.ts';
import { holdingInstallation } from '../server/db/hold.ts';
import { firstSteps } from '../messages/steps.ts';
import { readFile } from 'node:fs/promises';
import { randomUUID } from 'node:crypto';
import { join } from 'node:path';
import { programmeSettings } from '../contracts/programme.ts';
import { replyForm } from '../contracts/reply.ts';
import { addDays, daysBetween, weekdayOf } from '../core/calendar/index.ts';
import { frameTerm, sessionDate, type Term, type TermDay, type TermFrame } from '../core/terms/index.ts';
import { today } from '../server/clock.ts';
import { closeDatabase } from '../server/db/connection.ts';
import { backUpBeforeChange } from '../server/backup/backups.ts';
import { migrate } from '../server/db/migrations/migrate.ts';
import { readHomes } from '../server/db/repositories/homes.ts';
import { readSessions } from '../server/db/repositories/sessions.ts';
import { addTerm } from '../server/db/repositories/terms.ts';
import { importFile } from '../server/services/importShelf.ts';
import { keepReply } from '../server/services/guides.ts';
import { postWaiting } from '../server/services/letters.ts';
import { tapWord } from '../server/services/knownWords.ts';
import { listLinks } from '../server/services/postLinks.ts';
import { takeStarter } from '../server/services/starter.ts';
import { sendSession } from '../server/services/sending.ts';
import { hashPassword, isPassword } from '../server/services/signIn.ts';
import type { Person } from '../server/services/person.ts';
import { DEMO } from '../server/demo.ts';
import { ROOT } from '../threads/root.ts';

const DEMO_SLUG = 'quillbrook';

/** `footstool seed`: brings the schema up to date and, on an empty database, loads the demo. */
export async function runSeed(words: readonly string[]): Promise<number> {
  try {
    await holdingInstallation(async () => {
      await migrate({ beforeChange: backUpBeforeChange });
      if (!words.includes('--bare')) await bringDemo();
    });
    return 0;
  } finally {
    await closeDatabase();
  }
}

/** Loads the demo into an empty database; what a start that was cut short left of it is taken away first. */
async function bringDemo(): Promise<void> {
  if ((await readInstallation('demo')) === 'loading') await removeDemo();
  if ((await countProgrammes()) > 0) return renewDemoPasswords();
  await writeInstallation('demo', 'loading');
  await loadDemo(process.env.FOOTSTOOL_ADDRESS ?? 'http://localhost:4321');
  await writeInstallation('demo', 'loaded');
}

/** Takes a half-loaded demo away. Nobody can have worked in it: a start serves nothing before it is whole. */
async function removeDemo(): Promise<void> {
  const programme = await findProgrammeBy({ slug: DEMO_SLUG });
  if (programme) await removeProgrammeRow(programme.id);
  await removeUsersWithoutProgramme(DEMO.people.map(({ email }) => email));
}

/** Loads the demo programme, the starter collection and Quillbrook's own, through the same import, sending and replying as anybody's. */
export async function loadDemo(address: string): Promise<void> {
  const owner = await addProgramme(
    { slug: DEMO_SLUG, name: 'Quillbrook children’s room and the Lantern Room' },
    DEMO.people.map((person, index) => ({ ...person, password: demoPassword(index) })),
  );
  await takeStarter(owner, 'all');
  for (const file of ['books', 'activities', 'homes', 'sessions']) {
    await importFile(owner, shiftDays(await readDemo(`${file}.json`), daysToShift()));
  }
  await addDemoTerm(owner);
  await sendAndAnswer(owner, address);
  await addDemoReadings(owner);
}

/** The demo's own passwords are known to everybody; another one is used where others can reach this machine. */
function demoPassword(index: number): string {
  const made = process.env.FOOTSTOOL_DEMO_PASSWORD;
  const known = DEMO.people[index]!.password;
  return made && made !== DEMO.people[0].password ? made : known;
}

/** A demo whose passwords everybody knows gets the one made up at the start; one that somebody chose stays. */
async function renewDemoPasswords(): Promise<void> {
  for (const [index, { email, password: known }] of DEMO.people.entries()) {
    const user = await findUserByEmail(email);
    const wanted = demoPassword(index);
    if (!user || (await isPassword(wanted, user.passwordHash))) continue;
    if (await isPassword(known, user.passwordHash))
      await changeUser(user.id, { passwordHash: await hashPassword(wanted) });
  }
}

interface NewPerson {
  readonly name: string;
  readonly email: string;
  readonly password: string;
  readonly role: Person['role'];
}

/** Adds a programme with its people; gives the first of them. */
export async function addProgramme(
  { slug, name }: { slug: string; name: string },
  people: readonly NewPerson[],
): Promise<Person> {
  const settings = programmeSettings.getDefault();
  const programmeId = await addProgrammeRow({ slug, name, settings });
  const added: Person[] = [];
  for (const person of people) {
    const { email, role, password } = person;
    const userId = await addUser({ email, name: person.name, passwordHash: await hashPassword(password) });
    await setRole({ userId, programmeId, role });
    added.push({
      userId,
      name: person.name,
      email: person.email,
      programmeId,
      programme: name,
      role: person.role,
      settings,
      settingsRevision: 1,
    });
  }
  return added[0]!;
}

/** The demo is written for a spring; it is moved so that its second session is on the next Thursday, and the first one is over. */
function daysToShift(): number {
  const earliest = addDays(today(), 1);
  const thursday = addDays(earliest, (4 - weekdayOf(earliest) + 7) % 7);
  return daysBetween(DEMO.secondSession, thursday);
}

const DAY_FIELDS = ['on', 'startsOn', 'endsOn', 'from', 'to'];

function shiftDays<Content>(file: Content, days: number): Content {
  const months = Math.round(days / 30.44);
  return JSON.parse(JSON.stringify(file), (name, value: unknown) => {
    if (DAY_FIELDS.includes(name) && typeof value === 'string') return addDays(value, days);
    if (name === 'birthMonth' && typeof value === 'string') return addMonths(value, months);
    return value;
  }) as Content;
}

function addMonths(month: string, months: number): string {
  const [year, ofYear] = month.split('-').map(Number) as [number, number];
  const count = year * 12 + (ofYear - 1) + months;
  return `${Math.floor(count / 12)}-${String((count % 12) + 1).padStart(2, '0')}`;
}

interface DemoTerm extends Omit<TermFrame, 'steps'> {
  readonly days: readonly Omit<TermDay, 'id'>[];
  readonly weeks: readonly { book?: string; activities?: readonly string[] }[];
}

/** The demo's term, with the sessions that are already on the bench in their weeks. */
async function addDemoTerm(owner: Person): Promise<void> {
  const demo = shiftDays(await readDemo<DemoTerm>('term/spring.json'), daysToShift());
  const framed = frameTerm({ ...demo, steps: firstSteps(demo.school) }, randomUUID);
  if (!framed.ok) throw new Error('the demo term does not fit its own dates');
  const sessions = await readSessions(owner.programmeId);
  const term: Term = {
    ...framed.value,
    days: demo.days.map((day) => ({ ...day, id: randomUUID() })),
    weeks: framed.value.weeks.map((week, index) => ({
      ...week,
      sessions: week.sessions.map((session) => {
        const on = sessionDate(week, session);
        const bench = sessions.find((kept) => kept.session.on === on);
        const { book = null, activities = [] } = demo.weeks[index] ?? {};
        return {
          ...session,
          time: bench?.session.at ?? session.time,
          book,
          activities: activities.map((key) => ({ key, isPinned: true })),
          benchId: bench?.id ?? null,
        };
      }),
    })),
  };
  await addTerm(owner.programmeId, term, owner.userId);
}

/** What a child of the demo read in the last days: one word is sure and rests, one is hard. */
async function addDemoReadings(owner: Person): Promise<void> {
  const { home, child, days } = await readDemo<DemoReadings>('readings.json');
  const homes = await readHomes(owner.programmeId);
  const { id } = homes.find(({ nickname }) => nickname === home)!;
  for (const { ago, read, missed } of days)
    for (const [word, pressed] of [
      ...read.map((word) => [word, 'yes'] as const),
      ...missed.map((word) => [word, 'no'] as const),
    ])
      await tapWord(owner, id, { child, word, read: pressed, on: addDays(today(), -ago) });
}

interface DemoReadings {
  readonly home: string;
  readonly child: string;
  readonly days: readonly { readonly ago: number; readonly read: string[]; readonly missed: string[] }[];
}

interface DemoReplies {
  session: string;
  replies: {
    home: string;
    outcome: 'done' | 'partly' | 'not';
    note: string;
    minutes: Record<string, number>;
    ease: Record<string, string>;
  }[];
}

async function sendAndAnswer(owner: Person, address: string): Promise<void> {
  const { session: title, replies } = await readDemo<DemoReplies>('replies.json');
  const [homes, sessions] = await Promise.all([readHomes(owner.programmeId), readSessions(owner.programmeId)]);
  const kept = sessions.find(({ session }) => session.title === title)!;
  await sendSession(owner, {
    sessionId: kept.id,
    audience: onlyTo(homes.map(({ id }) => id)),
    revision: kept.revision,
    address,
  });
  const links = await listLinks(owner, kept.id);
  for (const { home, outcome, note, minutes, ease } of replies) {
    const parts = kept.session.segments.map(({ id, from = '' }) => ({
      segment: id,
      minutes: minutes[from] ?? '',
      ease: ease[from] ?? '',
    }));
    const form = replyForm.validateSync({ outcome, note, parts });
    await keepReply(links.find((link) => link.home === home)!.token, form);
  }
  await postWaiting();
}

async function readDemo<Content = Record<string, unknown>>(file: string): Promise<Content> {
  return JSON.parse(await readFile(join(ROOT, 'demo', file), 'utf8')) as Content;
}
