import type { Versioned } from '../../core/contentVersion.ts';
import type { GuideLanguage } from '../../core/languages.ts';
import { Model } from 'sequelize';
import type { Audience } from '../../contracts/audience.ts';
import type { KeptDecision } from '../../contracts/keptDecision.ts';
import type { Guide } from '../../core/guide/index.ts';
import type { Session, StoredScript } from '../../core/session/index.ts';
import type { TermBody } from '../../core/terms/index.ts';
import type { TrayChoice } from '../../contracts/tray.ts';
import type { ProgrammeSettings } from '../../contracts/programme.ts';

export class ProgrammeRow extends Model {
  declare id: string;
  declare slug: string;
  declare name: string;
  declare settings: ProgrammeSettings;
  declare revision: number;
  /** The version of the starter collection that it last took something from; null: nothing yet. */
  declare starterVersion: number | null;
}

export class UserRow extends Model {
  declare id: string;
  declare email: string;
  declare name: string;
  declare passwordHash: string;
}

export class MembershipRow extends Model {
  declare userId: string;
  declare programmeId: string;
  declare role: 'owner' | 'author' | 'reader';
  declare programme?: ProgrammeRow;
  declare user?: UserRow;
}

export class SignInRow extends Model {
  declare tokenHash: string;
  declare userId: string;
  declare programmeId: string;
  declare expiresAt: Date;
  declare signedInAt: Date;
  declare user?: UserRow;
  declare programme?: ProgrammeRow;
}

export class ShelfItemRow extends Model {
  declare id: string;
  declare programmeId: string;
  declare kind: 'book' | 'song' | 'activity' | 'thing';
  declare key: string;
  declare title: string;
  /** The entry as its schema in `contracts/shelfFile.ts` has it, by `kind`. */
  declare body: object;
  declare retiredAt: Date | null;
  /** Replies up to then are already in its minutes. */
  declare minutesCorrectedAt: Date | null;
  declare revision: number;
  /** What planned minutes were multiplied by in all corrections so far. */
  declare correctedFactor: number | null;
}

export class HomeRow extends Model {
  declare id: string;
  declare programmeId: string;
  declare nickname: string;
  declare contact: string;
  declare language: GuideLanguage;
  declare allergens: string[];
  declare revision: number;
  /** When it was taken out; it may come back. */
  declare takenOutAt: Date | null;
  declare children?: ChildRow[];
  declare things?: HomeThingRow[];
}

export class ChildRow extends Model {
  declare id: string;
  declare homeId: string;
  declare nickname: string;
  declare birthMonth: string;
  declare loves: string;
  declare mouthing: boolean;
  declare leftHanded: boolean;
  declare needs: string;
  declare position: number;
}

export class HomeThingRow extends Model {
  declare homeId: string;
  declare thingId: string;
  declare programmeId: string;
  declare qty: number;
  declare thing?: ShelfItemRow;
}

export class SessionRow extends Model {
  declare id: string;
  declare programmeId: string;
  declare title: string;
  declare heldOn: string;
  declare heldAt: string | null;
  declare ageFromMonths: number;
  declare ageToMonths: number;
  declare aim: string;
  declare script: StoredScript;
  declare revision: number;
  declare keptAt: Date;
  declare keptBy: string | null;
  /** When it was deleted; it may come back. */
  declare deletedAt: Date | null;
}

export class SendingRow extends Model {
  declare id: string;
  declare sessionId: string;
  declare programmeId: string;
  declare edition: number;
  declare sentAt: Date;
  declare sentBy: string | null;
  declare session: Session;
  /** One press of Send: the same press again is the same sending. */
  declare sendKey: string | null;
  /** Where the homes of this sending reach Footstool. */
  declare address: string;
  /** What was decided about what its words call for, as it went out. */
  declare decisions: KeptDecision[];
  /** Whom it was for, as it was asked; empty in those from before. */
  declare audience: Audience | Record<string, never>;
}

export class GuideLinkRow extends Model {
  declare id: string;
  declare programmeId: string;
  declare sessionId: string;
  declare homeId: string;
  declare tokenHash: string;
  declare createdAt: Date;
  declare revokedAt: Date | null;
  /** When the home said that the book is not at hand. */
  declare withoutBookAt: Date | null;
  declare home?: HomeRow;
  declare copies?: GuideCopyRow[];
  declare reply?: ReplyRow | null;
  declare messages?: MessageRow[];
}

export class GuideCopyRow extends Model {
  declare linkId: string;
  declare sendingId: string;
  declare edition: number;
  declare guide: Guide;
  declare language: GuideLanguage;
  declare sentAt: Date;
}

export class MessageRow extends Model {
  declare id: string;
  declare programmeId: string | null;
  declare linkId: string | null;
  declare sendingId: string | null;
  declare personLinkId: string | null;
  declare recipient: string;
  declare subject: string;
  declare state: 'waiting' | 'posting' | 'sent' | 'failed' | 'unclear';
  /** What the letter is written from when it is posted. */
  declare facts: object;
  declare tries: number;
  declare changedAt: Date;
  /** When it is tried again; null: at once. */
  declare nextTryAt: Date | null;
  declare firstTriedAt: Date | null;
  declare mailId: string | null;
  declare sentAt: Date | null;
}

export class ReplyRow extends Model {
  declare id: string;
  declare linkId: string;
  declare edition: number;
  declare outcome: 'done' | 'partly' | 'not';
  declare note: string;
  declare repliedAt: Date;
  /** Digests of the presses it was made of, the last ones. */
  declare taken: string[];
  declare parts?: ReplyPartRow[];
  declare link?: GuideLinkRow;
}

export class ReplyPartRow extends Model {
  declare replyId: string;
  declare segment: string;
  declare shelfKey: string | null;
  declare title: string;
  declare plannedMinutes: number;
  declare minutes: number | null;
  declare ease: 'too-easy' | 'right' | 'too-hard' | null;
  declare level: 'easier' | 'right' | 'harder' | null;
}

export class TermRow extends Model {
  declare id: string;
  declare programmeId: string;
  declare title: string;
  declare startsOn: string;
  declare endsOn: string;
  declare body: TermBody & Versioned;
  declare revision: number;
  declare keptAt: Date;
  declare keptBy: string | null;
}

export class ReservationRow extends Model {
  declare id: string;
  declare programmeId: string;
  declare bookKey: string;
  declare title: string;
  declare copy: string;
  declare leadWorkingDays: number;
  declare reservedOn: string;
  declare arrivesOn: string;
  declare neededOn: string;
  declare cancelledAt: Date | null;
}

export class SwapRulingRow extends Model {
  declare programmeId: string;
  declare wanted: string;
  declare item: string;
  declare verdict: 'use' | 'never';
  declare fit: number;
  declare why: string;
  declare ruledBy: string | null;
  declare ruledAt: Date;
}

export class CalendarFeedRow extends Model {
  declare id: string;
  declare programmeId: string;
  declare tokenHash: string;
  declare createdAt: Date;
  declare revokedAt: Date | null;
}

export class PrintJobRow extends Model {
  declare id: string;
  declare programmeId: string;
  declare sessionId: string | null;
  declare title: string;
  declare state: 'waiting' | 'done' | 'failed';
  declare pages: number;
  declare bytes: number;
  declare choice: TrayChoice | null;
  declare done: number;
  declare total: number;
  /** When the file was deleted. */
  declare removedAt: Date | null;
  declare createdAt: Date;
  declare createdBy: string | null;
  /** When somebody was last at work on it. */
  declare workedAt: Date | null;
}

/** A copy of a title that the catalogue stand-in has given away. */
export class CatalogueReservedRow extends Model {
  declare copy: string;
  declare reservedAt: Date;
}

/** A link by which somebody joins a programme or chooses a new password. */
export class PersonLinkRow extends Model {
  declare id: string;
  declare kind: 'invite' | 'reset' | 'forget';
  declare homeId: string | null;
  declare tokenHash: string;
  declare programmeId: string | null;
  declare userId: string | null;
  declare email: string;
  declare name: string;
  declare role: MembershipRow['role'] | null;
  declare createdAt: Date;
  declare createdBy: string | null;
  declare expiresAt: Date;
  declare usedAt: Date | null;
}
