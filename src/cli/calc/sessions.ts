import { composeGuide, type Guide, type GuideLevel, type GuideSegment } from '../../core/guide/index.ts';
import { guideLanguage } from '../../messages/guideLanguages.ts';
import type { Home } from '../../core/homes/index.ts';
import type { CautionPolicy } from '../../core/cautions/index.ts';
import { judgeSession, type Surroundings } from '../../core/checks/index.ts';
import { knownWords } from '../../core/makers/index.ts';
import { notesOfTune } from '../../core/songs/index.ts';
import { linesAt, type Segment, type Session } from '../../core/session/index.ts';
import { frameSegments, segmentFor } from '../../core/shelf/index.ts';
import { authorMakers } from '../../messages/authorMakers.ts';
import { authorSpeech } from '../../messages/speeches.ts';
import { describeFileProblem } from '../../messages/fileProblems.ts';
import { describeFinding } from '../../messages/findings.ts';
import { describeMakerProblem } from '../../messages/makers.ts';
import { checkContents, sourcesOf, thingsOf, withSections, type FileSections } from '../../contracts/fileContents.ts';
import { readSettings, type ProgrammeSettings } from '../../contracts/programme.ts';
import type { SessionEntry } from '../../contracts/sessionEntry.ts';
import { shelfFile, type HomeEntry } from '../../contracts/shelfFile.ts';
import { calculation, CalcInputError } from './calculation.ts';
import { boolean, name, object } from './fields.ts';

/** What a home receives for a session of a file, as data. */
export const calcGuide = calculation(
  object({ file: shelfFile.required(), session: name(), home: name(), assumeCommon: boolean() }),
  ({ file: given, session: title, home: nickname, assumeCommon }) => {
    const { file, session, settings, things, policy } = readSessionOf(given, title);
    const home = file.homes.find((candidate) => candidate.nickname === nickname);
    if (!home) throw new CalcInputError('home', `no home of the file is called "${nickname}"`);
    const guide = composeGuide({
      session,
      home: homeOf(home),
      things,
      programme: '',
      policy,
      books: file.books,
      assumeCommon,
      openDays: { weekend: settings.weekend, closed: settings.closed },
      ...guideLanguage('en'),
    });
    return describeGuide(guide);
  },
);

/** What the checks say of a session of a file, for all homes of the file: the rule, its place, and what would mend it. */
export const calcFindings = calculation(
  object({ file: shelfFile.required(), session: name() }),
  ({ file: given, session: title }) => {
    const { file, session, settings, things, policy } = readSessionOf(given, title);
    const { seatedMinutesPerYear } = settings;
    const around = aroundIn(file, session, settings);
    const against = { things, homes: file.homes.map(homeOf), policy, decisions: [], seatedMinutesPerYear, around };
    const { findings } = judgeSession(session, against);
    return {
      findings: findings.map((finding) => {
        const part = session.segments.find(({ id }) => id === finding.segment)!;
        const line = linesAt(part, part.level).findIndex(({ id }) => id === finding.line);
        const { title: said, text, remedy } = describeFinding(finding);
        return {
          rule: finding.code,
          segment: part.title,
          line: line < 0 ? null : line,
          weight: finding.weight,
          title: said,
          text,
          remedies: remedy === null ? [] : [remedy],
        };
      }),
    };
  },
);

/** What lies around a session in its file: what other sessions play before it, the tunes of its songs, how words are said. */
function aroundIn(file: FileSections, { on, title }: Session, { numbers }: ProgrammeSettings): Surroundings {
  const lately: Record<string, string> = {};
  for (const other of file.sessions) {
    if (other.title === title || other.on >= on) continue;
    const used = [
      ...(other.parts ?? []).flatMap((part) => (part.kind === 'activity' ? [part.key] : [])),
      ...(other.segments ?? []).flatMap(({ kind, from, title: own }) => (kind === 'activity' ? [from ?? own] : [])),
    ];
    for (const key of used) if ((lately[key] ?? '') < other.on) lately[key] = other.on;
  }
  const tunes = Object.fromEntries(file.songs.map((song) => [song.key, notesOfTune(song)]));
  return { lately, tunes, ...knownWords(numbers) };
}

type GivenFile = Partial<FileSections> & { readonly programme?: { settings?: unknown; cautions?: CautionPolicy } };

/** A session of a file with what it is judged by; a file that is not sound, or lacks it, is refused at its path. */
function readSessionOf(given: GivenFile, title: string) {
  const file = withSections(given);
  const [problem] = checkContents(file, []);
  if (problem) throw new CalcInputError(`file.${problem.path}`, describeFileProblem(problem).message);
  const entry = file.sessions.find((candidate) => candidate.title === title);
  if (!entry) throw new CalcInputError('session', `no session of the file is called "${title}"`);
  const settings = readSettings(given.programme?.settings);
  const policy = given.programme?.cautions ?? settings.cautions;
  return { file, session: sessionOf(entry, file, settings), settings, policy, things: thingsOf(file.things) };
}

function sessionOf(entry: SessionEntry, file: FileSections, settings: ProgrammeSettings): Session {
  const { title, on, at, ages, aim, minutes } = entry;
  return { title, on, at, ages, aim, minutes, segments: segmentsOf(entry, file, settings), accepted: [] };
}

function segmentsOf(
  { parts, segments, title }: SessionEntry,
  file: FileSections,
  settings: ProgrammeSettings,
): Segment[] {
  if (segments) return [...segments];
  const index = file.sessions.findIndex((session) => session.title === title);
  const middle = (parts ?? []).map((part, at) => {
    const made = segmentFor(part, sourcesOf(file), {
      id: `part-${at + 1}`,
      pace: settings.pace,
      ...authorMakers,
      numbers: settings.numbers,
    });
    if (made.ok) return made.value;
    const path = `file.sessions[${index}].parts[${at}]`;
    if (made.problem.code === 'not-there')
      throw new CalcInputError(`${path}.key`, `"${made.problem.key}" is not in the file`);
    throw new CalcInputError(`${path}.values`, describeMakerProblem(made.problem.problem));
  });
  return frameSegments(middle, { opening: 'opening', closing: 'closing', speech: authorSpeech });
}

function homeOf({ nickname, allergens, children, things, hasNot = [] }: HomeEntry): Home {
  return {
    id: nickname,
    nickname,
    allergens,
    children: children.map((child) => ({ ...child, loves: child.loves || undefined })),
    stock: things.filter(({ qty }) => qty > 0),
    hasNot: [...hasNot, ...things.filter(({ qty }) => qty === 0).map(({ item }) => item)],
  };
}

function describeGuide(guide: Guide) {
  return {
    state: guide.state,
    proved: guide.isProved ?? false,
    fetch: guide.fetch.map(({ item, qty, insteadOfItem, source }) => ({
      item,
      qty,
      insteadOf: insteadOfItem ?? null,
      kit: source === 'kit',
      ...(source === 'missing' && { missing: true }),
    })),
    book: guide.books[0]?.title ?? null,
    segments: guide.segments.map(describeSegment),
  };
}

function describeSegment({ title, kind, leftOut, withheld, cautions, dials, levels }: GuideSegment) {
  const describe = (level: GuideLevel | undefined) =>
    level
      ? {
          lines: level.lines.map((line) => ({ kind: line.kind, text: line.text, answer: line.answer ?? null })),
          fetch: level.more.map(({ item, qty }) => ({ item, qty })),
          note: level.note ?? null,
        }
      : null;
  return {
    title,
    kind,
    leftOut,
    withheld: withheld.map(({ item }) => item),
    cautions: cautions.map(({ rule, level }) => ({ rule, level })),
    dials,
    levels: { easier: describe(levels.easier), right: describe(levels.right), harder: describe(levels.harder) },
  };
}
