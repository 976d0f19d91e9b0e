import { DataTypes } from 'sequelize';
import { json, maybe, moment, numeric, text, uuid, uuidKey, whole } from './columns.ts';
import { MessageRow, ReplyPartRow, ReplyRow } from './models.ts';
import type { Define } from './soundTables.ts';

/** The tables of letters and of what homes answer. */
export function defineLettersAndReplies(define: Define): void {
  define(MessageRow, 'messages', {
    id: uuidKey(),
    programmeId: maybe(DataTypes.UUID),
    linkId: maybe(DataTypes.UUID),
    sendingId: maybe(DataTypes.UUID),
    personLinkId: maybe(DataTypes.UUID),
    facts: json(),
    tries: { ...whole(), defaultValue: 0 },
    changedAt: { ...moment(), defaultValue: DataTypes.NOW },
    recipient: text(),
    subject: text(),
    state: text(),
    nextTryAt: maybe(DataTypes.DATE),
    firstTriedAt: maybe(DataTypes.DATE),
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
    taken: { type: DataTypes.ARRAY(DataTypes.TEXT), allowNull: false, defaultValue: [] },
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
}
