import { Model } from 'sequelize';

/** A place from which somebody has signed in before. */
export class KnownPlaceRow extends Model {
  declare userId: string;
  declare placeHash: string;
  declare lastAt: Date;
}

/** A task of Today that somebody ticked off. */
export class TickRow extends Model {
  declare programmeId: string;
  declare task: string;
  declare dueOn: string;
  declare tickedAt: Date;
  declare tickedBy: string | null;
}
