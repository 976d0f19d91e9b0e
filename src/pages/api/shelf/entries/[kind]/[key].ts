import type { APIRoute } from 'astro';
import { asEntryKind } from '../../../../../contracts/shelfEntries.ts';
import { answering, BYTES, jsonAnswer, readJsonObject } from '../../../../../server/http/answers.ts';
import { EdgeError } from '../../../../../server/http/errors.ts';
import { keepEntry } from '../../../../../server/services/shelfEntries.ts';

/** Keeps an entry of the shelf under its key; `new` in the place of the key adds one. */
export const PUT: APIRoute = ({ locals, params, request }) =>
  answering(async () => {
    const kind = asEntryKind(params.kind);
    if (!kind) throw new EdgeError('not-found');
    const body = (await readJsonObject(request, BYTES.entry)) as {
      entry?: { key?: unknown } | null;
      revision?: unknown;
    };
    const isNew = params.key === 'new';
    if (!isNew && body.entry?.key !== params.key) throw new EdgeError('wrong-form');
    const key = await keepEntry(locals.person!, { kind, value: body.entry, isNew, revision: body.revision });
    return jsonAnswer({ key, href: `/shelf/${kind}/${key}` });
  });
