import { dialSettings, line, partId } from './line.ts';
import { exactly, key } from './fields.ts';
import { needChange, segmentNeed } from './need.ts';
import { mixed, array, number, string } from 'yup';
import { LEVELS, type Line, type MakerSource } from '../core/session/index.ts';
import { numberSettings } from './numberSettings.ts';

/** What answers may make of planned minutes, at the least and at the most. */
export const LEAST_PACE = 0.1;
/** See `LEAST_PACE`. */
export const MOST_PACE = 10;

/** What a part was made from: a maker, its values and settings, and what the author changed since. */
export const makerSource = () =>
  exactly({
    maker: string().required().max(40),
    values: dialSettings(),
    settings: exactly(numberSettings()).required(),
    edition: number().integer().min(1).max(1000),
    paces: paces(),
    changes: makerChanges(),
  })
    .default(undefined)
    .meta({ def: 'maker' });

const MOST_WAYS = 12;

/** What minutes are multiplied by, by the ways of playing: each maker has its own. */
const paces = () =>
  mixed<NonNullable<MakerSource['paces']>>()
    .default(undefined)
    .test(
      'paces',
      `must be numbers from ${LEAST_PACE} to ${MOST_PACE} by ways of playing, ${MOST_WAYS} at most`,
      arePaces,
    )
    .meta({
      jsonSchema: {
        type: 'object',
        maxProperties: MOST_WAYS,
        propertyNames: { pattern: WAY_ID.source },
        additionalProperties: { type: 'number', minimum: LEAST_PACE, maximum: MOST_PACE },
      },
    });

const WAY_ID = /^[a-z][a-z0-9-]{0,39}$/;

function arePaces(value: unknown): boolean {
  if (value === undefined) return true;
  if (typeof value !== 'object' || value === null || Array.isArray(value)) return false;
  const entries = Object.entries(value);
  return (
    entries.length <= MOST_WAYS &&
    entries.every(
      ([way, pace]) => WAY_ID.test(way) && typeof pace === 'number' && pace >= LEAST_PACE && pace <= MOST_PACE,
    )
  );
}

const MOST_LINES = 60;

/** Lines by the ids of those they stand in the place of. */
const rewrittenLines = () =>
  mixed<Readonly<Record<string, Line>>>()
    .required()
    .test('lines', `must be an object of at most ${MOST_LINES} lines`, areLines)
    .meta({ jsonSchema: { type: 'object', maxProperties: MOST_LINES } });

function areLines(value: unknown): boolean {
  if (typeof value !== 'object' || value === null || Array.isArray(value)) return false;
  const lines = Object.values(value);
  return lines.length <= MOST_LINES && lines.every((entry) => line.isValidSync(entry, { strict: true }));
}

const makerChanges = () =>
  exactly({
    lines: array()
      .of(
        exactly({
          level: string().required().oneOf(LEVELS),
          rewritten: rewrittenLines(),
          removed: array().of(string().required().max(80)).required().max(80),
          added: array()
            .of(exactly({ after: string().defined().nullable(), line }))
            .required()
            .max(MOST_LINES),
          order: array().of(string().required().max(80)).max(120),
        }),
      )
      .max(3),
    needs: array()
      .of(exactly({ need: partId(), item: key() }))
      .max(20),
    changedNeeds: array()
      .of(exactly({ need: partId(), change: needChange().required() }))
      .max(20),
    removedNeeds: array().of(partId()).max(40),
    addedNeeds: array().of(segmentNeed).max(20),
  }).default(undefined);
