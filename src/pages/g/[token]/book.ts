import type { APIRoute } from 'astro';
import { readForm } from '../../../server/http/answers.ts';
import { markBook } from '../../../server/services/guides.ts';

/** A home says, by a button without script, that it has no book at hand, or that it has one after all. */
export const POST: APIRoute = async ({ params, request, redirect }) => {
  const fields = await readForm(request);
  await markBook(params.token!, fields.get('book') === 'here');
  return redirect(`/g/${encodeURIComponent(params.token!)}#fetch`, 303);
};
