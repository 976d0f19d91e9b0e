import { DataTypes, Model, type Sequelize } from 'sequelize';
import { database } from './connection.ts';
import {
  ProgrammeRow,
  UserRow,
  MembershipRow,
  SignInRow,
  ShelfItemRow,
  HomeRow,
  ChildRow,
  HomeThingRow,
  SessionRow,
  SendingRow,
  GuideLinkRow,
  GuideCopyRow,
  MessageRow,
  ReplyRow,
  ReplyPartRow,
  TermRow,
  ReservationRow,
  SwapRulingRow,
  CalendarFeedRow,
  PrintJobRow,
} from './models.ts';

// Sequelize writes into the objects that describe columns, so each column gets its own.
const uuidKey = () => ({ type: DataTypes.UUID, primaryKey: true, allowNull: false }) as const;
const text = () => ({ type: DataTypes.TEXT, allowNull: false }) as const;
const uuid = () => ({ type: DataTypes.UUID, allowNull: false }) as const;
const whole = () => ({ type: DataTypes.INTEGER, allowNull: false }) as const;
const flag = () => ({ type: DataTypes.BOOLEAN, allowNull: false }) as const;
const json = () => ({ type: DataTypes.JSONB, allowNull: false }) as const;
const day = () => ({ type: DataTypes.DATEONLY, allowNull: false }) as const;
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
    revision: whole(),
    correctedFactor: numeric('correctedFactor', true),
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
    mouthing: flag(),
    leftHanded: flag(),
    needs: text(),
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
    withoutBookAt: maybe(DataTypes.DATE),
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
    level: maybe(DataTypes.TEXT),
  });
  define(TermRow, 'terms', {
    id: uuidKey(),
    programmeId: uuid(),
    title: text(),
    startsOn: day(),
    endsOn: day(),
    body: json(),
    revision: whole(),
    keptAt: moment(),
    keptBy: maybe(DataTypes.UUID),
  });
  define(ReservationRow, 'reservations', {
    id: uuidKey(),
    programmeId: uuid(),
    bookKey: text(),
    title: text(),
    copy: text(),
    leadWorkingDays: whole(),
    reservedOn: day(),
    arrivesOn: day(),
    neededOn: day(),
    cancelledAt: maybe(DataTypes.DATE),
  });
  define(SwapRulingRow, 'swap_rulings', {
    programmeId: uuidKey(),
    wanted: { ...text(), primaryKey: true },
    item: { ...text(), primaryKey: true },
    verdict: text(),
    fit: numeric('fit'),
    why: text(),
    ruledBy: maybe(DataTypes.UUID),
    ruledAt: moment(),
  });
  define(CalendarFeedRow, 'calendar_feeds', {
    id: uuidKey(),
    programmeId: uuid(),
    tokenHash: text(),
    createdAt: moment(),
    revokedAt: maybe(DataTypes.DATE),
  });
  define(PrintJobRow, 'print_jobs', {
    id: uuidKey(),
    programmeId: uuid(),
    sessionId: maybe(DataTypes.UUID),
    title: text(),
    state: text(),
    pages: whole(),
    bytes: whole(),
    createdAt: moment(),
    createdBy: maybe(DataTypes.UUID),
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
