import { boolean, type InferType, object, string } from 'yup';

/** Where in a session somebody is, as the window says it: a line, if the caret stands in one. */
export const whereabouts = object({
  /** Names the window for as long as it is open. */
  window: string()
    .required()
    .matches(/^[A-Za-z0-9-]{1,60}$/),
  part: string().max(80),
  line: string().max(80),
  /** Has just come, and asks the others to say where they are. */
  isNew: boolean(),
  /** Goes. */
  isLeaving: boolean(),
}).required();

export type Whereabouts = InferType<typeof whereabouts>;

/** The same as other windows hear of it. */
export interface ToldWhereabouts extends Whereabouts {
  readonly name: string;
  /** Whose window it is: somebody may have two. */
  readonly person: string;
}
