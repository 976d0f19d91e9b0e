import { DataTypes, Model, type Sequelize } from 'sequelize';
import type { Guide } from '../../core/script/guide.ts';
import type { Segment, Session } from '../../core/script/session.ts';
import type { ProgrammeSettings } from '../../contracts/programme.ts';
import { database } from './connection.ts';

// Sequelize writes into the objects that describe columns, so each column gets its own.
const uuidKey = () => ({ type: DataTypes.UUID, primaryKey: true, allowNull: false }) as const;
const text = () => ({ type: DataTypes.TEXT, allowNull: false }) as const;
const uuid = () => ({ type: DataTypes.UUID, allowNull: false }) as const;
const whole = () => ({ type: DataTypes.INTEGER, allowNull: false }) as const;
const json = () => ({ type: DataTypes.JSONB, allowNull: false }) as const;
const moment = () => ({ type: DataTypes.DATE, allowNull: false }) as const;
const maybe = (type: typeof DataTypes.TEXT | typeof DataTypes.DATE | typeof DataTypes.UUID) =>
  ({ type, allowNull: true }) as const;
/** numeric columns come back from the driver as text. */
const numeric = (name: string, allowNull = false) => ({
  type: DataTypes.DECIMAL,
  allowNull,
  get(this: Model): number | null {
    const value = this.getDataValue(name) as string | number | null;
    return value === null || value === undefined ? null : Number(value);
  },
});

export class ProgrammeRow extends Model {
  declare id: string;
  declare slug: string;
  declare name: string;
  declare settings: ProgrammeSettings;
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
}

export class SignInRow extends Model {
  declare tokenHash: string;
  declare userId: string;
  declare programmeId: string;
  declare expiresAt: Date;
  declare user?: UserRow;
  declare programme?: ProgrammeRow;
}

export class ShelfItemRow extends Model {
  declare id: string;
  declare programmeId: string;
  declare kind: 'book' | 'song' | 'activity' | 'thing';
  declare key: string;
  declare title: string;
  declare body: Record<string, unknown>;
  declare retiredAt: Date | null;
  /** Replies up to then are already in its minutes. */
  declare minutesCorrectedAt: Date | null;
}

export class HomeRow extends Model {
  declare id: string;
  declare programmeId: string;
  declare nickname: string;
  declare contact: string;
  declare language: 'en' | 'es' | 'ar';
  declare allergens: string[];
  declare children?: ChildRow[];
  declare things?: HomeThingRow[];
}

export class ChildRow extends Model {
  declare id: string;
  declare homeId: string;
  declare nickname: string;
  declare birthMonth: string;
  declare loves: string;
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
  declare script: { segments: Segment[]; accepted: string[] };
  declare revision: number;
  declare keptAt: Date;
  declare keptBy: string | null;
}

export class SendingRow extends Model {
  declare id: string;
  declare sessionId: string;
  declare programmeId: string;
  declare edition: number;
  declare sentAt: Date;
  declare sentBy: string | null;
  declare session: Session;
}

export class GuideLinkRow extends Model {
  declare id: string;
  declare programmeId: string;
  declare sessionId: string;
  declare homeId: string;
  declare tokenHash: string;
  declare createdAt: Date;
  declare revokedAt: Date | null;
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
  declare language: 'en' | 'es' | 'ar';
  declare sentAt: Date;
}

export class MessageRow extends Model {
  declare id: string;
  declare programmeId: string;
  declare linkId: string;
  declare sendingId: string;
  declare recipient: string;
  declare subject: string;
  declare state: 'waiting' | 'sent' | 'failed';
  declare mailId: string | null;
  declare sentAt: Date | null;
}

export class ReplyRow extends Model {
  declare id: string;
  declare linkId: string;
  declare edition: number;
  declare replyKey: string;
  declare outcome: 'done' | 'partly' | 'not';
  declare note: string;
  declare repliedAt: Date;
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
}

let readyFor: Sequelize | undefined;

/** Ties the models to the connection, once for each connection; gives the connection for transactions. */
export function tables(): Sequelize {
  const sequelize = database();
  if (readyFor === sequelize) return sequelize;
  const define = (model: typeof Model, tableName: string, columns: object) =>
    (model as unknown as { init: (columns: object, options: object) => void }).init(columns, {
      sequelize,
      tableName,
      modelName: tableName,
    });
  define(ProgrammeRow, 'programmes', { id: uuidKey(), slug: text(), name: text(), settings: json() });
  define(UserRow, 'users', { id: uuidKey(), email: text(), name: text(), passwordHash: text() });
  define(MembershipRow, 'memberships', { userId: uuidKey(), programmeId: uuidKey(), role: text() });
  define(SignInRow, 'sign_ins', {
    tokenHash: { ...text(), primaryKey: true },
    userId: uuid(),
    programmeId: uuid(),
    expiresAt: moment(),
  });
  define(ShelfItemRow, 'shelf_items', {
    id: uuidKey(),
    programmeId: uuid(),
    kind: text(),
    key: text(),
    title: text(),
    body: json(),
    retiredAt: maybe(DataTypes.DATE),
    minutesCorrectedAt: maybe(DataTypes.DATE),
  });
  define(HomeRow, 'homes', {
    id: uuidKey(),
    programmeId: uuid(),
    nickname: text(),
    contact: text(),
    language: text(),
    allergens: { type: DataTypes.ARRAY(DataTypes.TEXT), allowNull: false },
  });
  define(ChildRow, 'children', {
    id: uuidKey(),
    homeId: uuid(),
    nickname: text(),
    birthMonth: text(),
    loves: text(),
    position: whole(),
  });
  define(HomeThingRow, 'home_things', {
    homeId: uuidKey(),
    thingId: uuidKey(),
    programmeId: uuid(),
    qty: numeric('qty'),
  });
  define(SessionRow, 'sessions', {
    id: uuidKey(),
    programmeId: uuid(),
    title: text(),
    heldOn: { type: DataTypes.DATEONLY, allowNull: false },
    heldAt: maybe(DataTypes.TEXT),
    ageFromMonths: whole(),
    ageToMonths: whole(),
    aim: text(),
    script: json(),
    revision: whole(),
    keptAt: moment(),
    keptBy: maybe(DataTypes.UUID),
  });
  define(SendingRow, 'sendings', {
    id: uuidKey(),
    sessionId: uuid(),
    programmeId: uuid(),
    edition: whole(),
    sentAt: moment(),
    sentBy: maybe(DataTypes.UUID),
    session: json(),
  });
  define(GuideLinkRow, 'guide_links', {
    id: uuidKey(),
    programmeId: uuid(),
    sessionId: uuid(),
    homeId: uuid(),
    tokenHash: text(),
    createdAt: moment(),
    revokedAt: maybe(DataTypes.DATE),
  });
  define(GuideCopyRow, 'guide_copies', {
    linkId: uuidKey(),
    edition: { ...whole(), primaryKey: true },
    sendingId: uuid(),
    guide: json(),
    language: text(),
    sentAt: moment(),
  });
  define(MessageRow, 'messages', {
    id: uuidKey(),
    programmeId: uuid(),
    linkId: uuid(),
    sendingId: uuid(),
    recipient: text(),
    subject: text(),
    state: text(),
    mailId: maybe(DataTypes.TEXT),
    sentAt: maybe(DataTypes.DATE),
  });
  define(ReplyRow, 'replies', {
    id: uuidKey(),
    linkId: uuid(),
    edition: whole(),
    replyKey: uuid(),
    outcome: text(),
    note: text(),
    repliedAt: moment(),
  });
  define(ReplyPartRow, 'reply_parts', {
    replyId: uuidKey(),
    segment: { ...text(), primaryKey: true },
    shelfKey: maybe(DataTypes.TEXT),
    title: text(),
    plannedMinutes: numeric('plannedMinutes'),
    minutes: numeric('minutes', true),
    ease: maybe(DataTypes.TEXT),
  });
  MembershipRow.belongsTo(ProgrammeRow, { as: 'programme', foreignKey: 'programmeId' });
  SignInRow.belongsTo(UserRow, { as: 'user', foreignKey: 'userId' });
  SignInRow.belongsTo(ProgrammeRow, { as: 'programme', foreignKey: 'programmeId' });
  HomeRow.hasMany(ChildRow, { as: 'children', foreignKey: 'homeId' });
  HomeRow.hasMany(HomeThingRow, { as: 'things', foreignKey: 'homeId' });
  HomeThingRow.belongsTo(ShelfItemRow, { as: 'thing', foreignKey: 'thingId' });
  GuideLinkRow.belongsTo(HomeRow, { as: 'home', foreignKey: 'homeId' });
  GuideLinkRow.hasMany(GuideCopyRow, { as: 'copies', foreignKey: 'linkId' });
  GuideLinkRow.hasMany(MessageRow, { as: 'messages', foreignKey: 'linkId' });
  GuideLinkRow.hasOne(ReplyRow, { as: 'reply', foreignKey: 'linkId' });
  ReplyRow.hasMany(ReplyPartRow, { as: 'parts', foreignKey: 'replyId' });
  ReplyRow.belongsTo(GuideLinkRow, { as: 'link', foreignKey: 'linkId' });
  readyFor = sequelize;
  return sequelize;
}
