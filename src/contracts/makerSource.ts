import { dialSettings, line, partId } from './line.ts';
import { exactly, key } from './fields.ts';
import { needChange, segmentNeed } from './need.ts';
import { mixed, array, number, string } from 'yup';
import { VARIANTS } from '../core/makers/variant.ts';
import { LEVELS } from '../core/session/levelName.ts';
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
    paces: exactly(
      Object.fromEntries(VARIANTS.map((variant) => [variant, number().min(LEAST_PACE).max(MOST_PACE)])),
    ).default(undefined),
    changes: makerChanges(),
  })
    .default(undefined)
    .meta({ def: 'maker' });

const makerChanges = () =>
  exactly({
    lines: array()
      .of(
        exactly({
          level: string().required().oneOf(LEVELS),
          rewritten: mixed<Record<string, unknown>>()
            .required()
            .meta({ jsonSchema: { type: 'object' } }),
          removed: array().of(string().required().max(80)).required().max(80),
          added: array()
            .of(exactly({ after: string().defined().nullable(), line }))
            .required()
            .max(60),
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
