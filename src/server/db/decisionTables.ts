import { DataTypes, Model } from 'sequelize';
import { maybe, moment, text, uuid, uuidKey, whole } from './columns.ts';
import type { Define } from './soundTables.ts';

export class SessionDecisionRow extends Model {
  declare id: string;
  declare sessionId: string;
  declare programmeId: string;
  declare segment: string;
  declare rule: string;
  declare subject: string;
  /** The words it is about, a line each. */
  declare words: string;
  declare text: string;
  declare decided: 'fine' | 'caution' | 'left-out' | 'real';
  declare why: string;
  declare youngestMonths: number;
  declare allergens: string[];
  declare decidedBy: string | null;
  declare decidedByName: string;
  declare decidedAt: Date;
}

/** What was decided about what the words of sessions call for. */
export function defineDecisions(define: Define): void {
  define(SessionDecisionRow, 'session_decisions', {
    id: uuidKey(),
    sessionId: uuid(),
    programmeId: uuid(),
    segment: text(),
    rule: text(),
    subject: text(),
    words: text(),
    text: text(),
    decided: text(),
    why: text(),
    youngestMonths: whole(),
    allergens: { type: DataTypes.ARRAY(DataTypes.TEXT), allowNull: false },
    decidedBy: maybe(DataTypes.UUID),
    decidedByName: text(),
    decidedAt: moment(),
  });
}
