import type { APIRoute } from 'astro';
import { asEntryKind } from '../../../../contracts/shelfEntries.ts';
import { takeAction } from '../../../../server/http/actions.ts';
import { pathTo } from '../../../../server/http/next.ts';
import { EdgeError } from '../../../../server/http/errors.ts';
import { duplicateEntry, retireEntry } from '../../../../server/services/shelfEntries.ts';

/** Duplicates an entry, takes it off the shelf or puts it back; leads to where it then is. */
export const POST: APIRoute = async ({ locals, params, request, redirect }) => {
  const kind = asEntryKind(params.kind);
  if (!kind) throw new EdgeError('not-found');
  const person = locals.person!;
  const key = params.key!;
  const retiring = (isRetired: boolean) => async () => {
    await retireEntry(person, kind, key, isRetired);
    return pathTo('shelf', kind, key);
  };
  const taken = await takeAction(
    { request, redirect, response: {} },
    {
      duplicate: async () => pathTo('shelf', kind, await duplicateEntry(person, kind, key), 'edit'),
      retire: retiring(true),
      restore: retiring(false),
    },
  );
  if (!(taken instanceof Response)) throw new EdgeError('wrong-method');
  return taken;
};
