import { uuidKey, text, uuid, whole, counted, flag, json, day, moment, maybe, numeric } from './columns.ts';
import { DataTypes, literal, type Sequelize } from 'sequelize';
import { database } from './connection.ts';
import { defineDecisions } from './decisionTables.ts';
import { defineLettersAndReplies } from './letterTables.ts';
import { defineSoundsAndWords, type Define } from './soundTables.ts';
import {
  MessageRow,
  ReplyPartRow,
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
  ReplyRow,
  TermRow,
  ReservationRow,
  SwapRulingRow,
  CalendarFeedRow,
  CatalogueReservedRow,
  PrintJobRow,
  PersonLinkRow,
} from './models.ts';
import { KnownPlaceRow, TickRow } from './tickModels.ts';

let readyFor: Sequelize | undefined;

/** Ties the models to the connection, once for each connection; gives the connection for transactions. */
export function tables(): Sequelize {
  const sequelize = database();
  if (readyFor === sequelize) return sequelize;
  const define: Define = (model, tableName, columns) =>
    (model as unknown as { init: (columns: object, options: object) => void }).init(columns, {
      sequelize,
      tableName,
      modelName: tableName,
    });
  definePeople(define);
  defineShelf(define);
  defineHomes(define);
  defineSessions(define);
  definePrinting(define);
  defineSendings(define);
  defineLettersAndReplies(define);
  defineSoundsAndWords(define);
  defineDecisions(define);
  tieTogether();
  readyFor = sequelize;
  return sequelize;
}

function definePeople(define: Define): void {
  define(ProgrammeRow, 'programmes', {
    id: uuidKey(),
    slug: text(),
    name: text(),
    settings: json(),
    revision: counted(),
    starterVersion: maybe(DataTypes.INTEGER),
  });
  define(UserRow, 'users', { id: uuidKey(), email: text(), name: text(), passwordHash: text() });
  define(MembershipRow, 'memberships', { userId: uuidKey(), programmeId: uuidKey(), role: text() });
  define(SignInRow, 'sign_ins', {
    tokenHash: { ...text(), primaryKey: true },
    userId: uuid(),
    programmeId: uuid(),
    expiresAt: moment(),
    signedInAt: moment(),
  });
  define(PersonLinkRow, 'person_links', {
    id: uuidKey(),
    kind: text(),
    tokenHash: text(),
    programmeId: maybe(DataTypes.UUID),
    userId: maybe(DataTypes.UUID),
    email: text(),
    name: text(),
    role: maybe(DataTypes.TEXT),
    createdAt: moment(),
    createdBy: maybe(DataTypes.UUID),
    expiresAt: moment(),
    usedAt: maybe(DataTypes.DATE),
    homeId: maybe(DataTypes.UUID),
  });
  define(KnownPlaceRow, 'known_places', {
    userId: uuidKey(),
    placeHash: { ...text(), primaryKey: true },
    lastAt: moment(),
  });
}

function defineShelf(define: Define): void {
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
}

function defineHomes(define: Define): void {
  define(HomeRow, 'homes', {
    id: uuidKey(),
    programmeId: uuid(),
    nickname: text(),
    contact: text(),
    language: text(),
    allergens: { type: DataTypes.ARRAY(DataTypes.TEXT), allowNull: false },
    revision: counted(),
    takenOutAt: maybe(DataTypes.DATE),
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
}

function defineSessions(define: Define): void {
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
    deletedAt: maybe(DataTypes.DATE),
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
  define(TickRow, 'ticks', {
    programmeId: uuidKey(),
    task: { ...text(), primaryKey: true },
    dueOn: day(),
    tickedAt: moment(),
    tickedBy: maybe(DataTypes.UUID),
  });
  define(CalendarFeedRow, 'calendar_feeds', {
    id: uuidKey(),
    programmeId: uuid(),
    tokenHash: text(),
    createdAt: moment(),
    revokedAt: maybe(DataTypes.DATE),
  });
}

function definePrinting(define: Define): void {
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
    choice: { type: DataTypes.JSONB, allowNull: true },
    done: { ...whole(), defaultValue: 0 },
    total: { ...whole(), defaultValue: 0 },
    removedAt: maybe(DataTypes.DATE),
    workedAt: maybe(DataTypes.DATE),
  });
  define(CatalogueReservedRow, 'catalogue_reserved', {
    copy: { type: DataTypes.TEXT, primaryKey: true },
    reservedAt: { ...moment(), defaultValue: literal('now()') },
  });
}

function defineSendings(define: Define): void {
  define(SendingRow, 'sendings', {
    id: uuidKey(),
    sessionId: uuid(),
    programmeId: uuid(),
    edition: whole(),
    sentAt: moment(),
    sentBy: maybe(DataTypes.UUID),
    session: json(),
    sendKey: maybe(DataTypes.UUID),
    address: text(),
    decisions: { ...json(), defaultValue: [] },
    audience: { ...json(), defaultValue: {} },
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
}

function tieTogether(): void {
  MembershipRow.belongsTo(ProgrammeRow, { as: 'programme', foreignKey: 'programmeId' });
  MembershipRow.belongsTo(UserRow, { as: 'user', foreignKey: 'userId' });
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
}
