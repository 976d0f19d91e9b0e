import { ValidationError, type ObjectSchema } from 'yup';
import { findOutOfBounds } from '../../contracts/bounds.ts';
import { findOverlong } from '../../contracts/problems.ts';

/** Input to a calculation that does not fit: the JSON path at fault and what is wrong there. */
export class CalcInputError extends Error {
  constructor(
    readonly path: string,
    readonly reason: string,
  ) {
    super(`${path || '$'}: ${reason}`);
    this.name = 'CalcInputError';
  }
}

/** One entry of the core contract: checks its input and answers, at once or by promise. */
export type Calculation = (input: unknown) => unknown;

/** Joins a schema to the core function that answers; the schema's type is what the function takes. */
export function calculation<Input extends object>(
  schema: ObjectSchema<Input>,
  answer: (input: Input) => unknown,
): Calculation {
  return (input) => answer(checkInput(schema, input));
}

function checkInput<Input extends object>(schema: ObjectSchema<Input>, input: unknown): Input {
  if (typeof input !== 'object' || input === null || Array.isArray(input)) {
    throw new CalcInputError('', 'must be a JSON object');
  }
  const outside = findOutOfBounds(input);
  if (outside) throw new CalcInputError(outside.path === '$' ? '' : outside.path, outside.message);
  const [overlong] = findOverlong(schema, input);
  if (overlong) throw new CalcInputError(overlong.path, overlong.message);
  try {
    return schema.validateSync(input, { strict: true, abortEarly: true, disableStackTrace: true }) as Input;
  } catch (error) {
    if (!(error instanceof ValidationError)) throw error;
    const path = error.path ?? '';
    const reason = error.message.startsWith(`${path} `) ? error.message.slice(path.length + 1) : error.message;
    throw new CalcInputError(path, reason.split('\n')[0]!.replace(/^this /, ''));
  }
}
