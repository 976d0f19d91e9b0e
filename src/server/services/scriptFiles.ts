import { keyFromTitle } from '../../contracts/keyFromTitle.ts';
import {
  captionsOf,
  chaptersOf,
  composeSession,
  htmlOf,
  markdownOf,
  materialsOrNone,
  rehearsalOf,
  scriptPage,
} from '../../core/guide/index.ts';
import { agesInYears } from '../../core/session/index.ts';
import { wholeMinutes } from '../../core/time/index.ts';
import { dayInWords } from '../../messages/dates.ts';
import { countThing } from '../../messages/fits.ts';
import { sayScreen } from '../../messages/screenWords.ts';
import { readThings } from '../db/repositories/shelf.ts';
import type { Person } from './person.ts';
import { findSession } from './sessions.ts';

/** The files that a session can be taken along as. */
export const SCRIPT_FILES = ['script.md', 'script.html', 'captions.vtt', 'chapters.vtt'] as const;
export type ScriptFile = (typeof SCRIPT_FILES)[number];

const KINDS: Readonly<Record<ScriptFile, string>> = {
  'script.md': 'text/markdown',
  'script.html': 'text/html',
  'captions.vtt': 'text/vtt',
  'chapters.vtt': 'text/vtt',
};

/** A session as a file, with its kind and the name to keep it under. Two queries. */
export async function readScriptFile(
  person: Person,
  id: string,
  file: ScriptFile,
): Promise<{ body: string; kind: string; name: string }> {
  const [{ session }, things] = await Promise.all([findSession(person, id), readThings(person.programmeId)]);
  const composed = composeSession(session, things, {
    seatedMinutesPerYear: person.settings.seatedMinutesPerYear,
    youngestMonths: session.ages.fromMonths,
  });
  const { title, on, at, aim, ages } = session;
  const { fromYears: from, toYears: to } = agesInYears(ages);
  const minutes = wholeMinutes(composed.tape.total.mean);
  const fetched = materialsOrNone(composed.materials).map(({ item, qty }) => countThing(item, qty, things));
  const page = () =>
    scriptPage(composed.segments, {
      title,
      about: [
        sayScreen('script.when', { day: dayInWords(on, 'en-GB'), at: at ?? 'none', from, to, minutes }),
        ...(aim ? [sayScreen('script.aim', { aim })] : []),
        ...(fetched.length > 0 ? [sayScreen('script.fetch', { things: fetched.join(', ') })] : []),
      ],
      heading: (part, likely) => sayScreen('script.heading', { title: part, minutes: likely }),
    });
  const { lines, parts } = rehearsalOf(composed);
  const end = parts.reduce((sum, { planned }) => sum + planned, 0);
  const bodies: Readonly<Record<ScriptFile, () => string>> = {
    'script.md': () => markdownOf(page()),
    'script.html': () => htmlOf(page(), { title, language: 'en-GB' }),
    'captions.vtt': () => captionsOf(lines, end),
    'chapters.vtt': () => chaptersOf(lines, end),
  };
  return { body: bodies[file](), kind: KINDS[file], name: `${keyFromTitle(title) || 'session'}-${file}` };
}
