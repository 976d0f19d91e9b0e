import { createHash } from 'node:crypto';
import { openCopy } from '../db/repositories/guideLinks.ts';
import { withReply, writeReply, type StoredReply } from '../db/repositories/replies.ts';
import type { OpenedGuide } from './openedGuide.ts';
import type { ReplyForm } from '../../contracts/reply.ts';
import { type Guide, readGuideCopy } from '../../core/guide/index.ts';
import { now } from '../clock.ts';
import { EdgeError } from '../http/errors.ts';
import { hashToken } from '../http/secrets.ts';
import type { RecalledGuides } from './recalledGuides.ts';

/** The newest copy behind a link, in one query, or that of an edition; null when the link was revoked or never was. */
export async function openGuide(
  token: string,
  recalled?: RecalledGuides,
  ofEdition?: number,
): Promise<OpenedGuide | null> {
  if (!/^[A-Za-z0-9_-]{43}$/.test(token)) return null;
  const row = await openCopy(hashToken(token), ofEdition);
  if (!row) return null;
  const { reply, ...opened } = row;
  const guide = {
    ...opened,
    guide: readGuideCopy(opened.guide),
    reply: reply && { ...reply, repliedAt: new Date(reply.repliedAt) },
  };
  recalled?.remember(token, guide);
  return guide;
}

/**
 * Keeps what a home answers, under the edition that the form stood in. A home has one reply for a guide: one that says the same is kept once, another one takes
 * the place of the first. What was written without the first in sight adds to it: fields left empty keep what they
 * had. Gives what was answered before this.
 */
export async function keepReply(token: string, form: ReplyForm): Promise<'kept' | 'changed' | 'same'> {
  const opened = await openGuide(token, undefined, form.edition);
  if (!opened) throw new EdgeError('not-found');
  return withReply(opened.linkId, async (before, transaction) => {
    const wasSeen = before !== null && form.answered === before.repliedAt.toISOString();
    const answer = answerFrom(opened.guide, form, wasSeen ? null : before);
    const press = pressOf(form);
    if (before && ((form.key && before.taken.includes(press)) || isSameAnswer(answer, before))) return 'same';
    const parts = answer.parts.map((part) => ({ ...part, ...partFacts(opened.guide, part) }));
    await writeReply(
      opened.linkId,
      {
        edition: opened.edition,
        outcome: answer.outcome,
        note: answer.note,
        repliedAt: now(),
        parts,
        taken: [...(before?.taken ?? []), press].slice(-MOST_PRESSES),
      },
      { replaces: before?.id, transaction },
    );
    return before ? 'changed' : 'kept';
  });
}

/** So many presses are remembered of a reply, the last ones. */
const MOST_PRESSES = 20;

/** A press of a form by its key and its content: the same again, however late, is no new answer. */
function pressOf({ key, ...said }: ReplyForm): string {
  return createHash('sha256')
    .update(JSON.stringify([key, said]))
    .digest('hex')
    .slice(0, 32);
}

type Answer = Pick<StoredReply, 'outcome' | 'note' | 'parts'>;

/** What a form answers; where it was written without an earlier reply in sight, its empty fields keep what that one said. */
function answerFrom(guide: Guide, form: ReplyForm, earlier: StoredReply | null): Answer {
  // Of parts that share an id, in copies from before that was refused, the first is the one that was answered.
  const segments = guide.segments.filter(({ id }, index, all) => all.findIndex((other) => other.id === id) === index);
  const parts = segments.flatMap((segment) => {
    const given = form.parts.find((part) => part.segment === segment.id);
    const known = earlier?.parts.find((part) => part.segment === segment.id);
    const minutes = given?.minutes ?? known?.minutes ?? null;
    const ease = given?.ease ?? known?.ease ?? null;
    if (minutes === null && ease === null) return [];
    const level =
      given?.minutes != null || given?.ease ? (given.level ?? null) : (known?.level ?? given?.level ?? null);
    return [{ segment: segment.id, minutes, ease, level: level ?? segment.level }];
  });
  return { outcome: form.outcome, note: form.note.trim() || (earlier?.note ?? ''), parts };
}

function isSameAnswer(answer: Answer, before: StoredReply): boolean {
  const parts = (list: Answer['parts']) =>
    list
      .map(({ segment, minutes, ease, level }) => [segment, minutes, ease, level].join())
      .sort()
      .join(';');
  return (
    answer.outcome === before.outcome && answer.note === before.note && parts(answer.parts) === parts(before.parts)
  );
}

/** What is kept beside an answered part: its name, where it came from, and what was planned at the level it was done at. */
function partFacts(guide: Guide, { segment: id, level }: Answer['parts'][number]) {
  const segment = guide.segments.find((candidate) => candidate.id === id)!;
  return {
    shelfKey: segment.kind === 'activity' ? (segment.from ?? null) : null,
    title: segment.title,
    plannedMinutes: (level && segment.levels[level]?.minutes) ?? segment.minutes,
  };
}
