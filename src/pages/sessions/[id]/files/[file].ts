import type { APIRoute } from 'astro';
import { EdgeError } from '../../../../server/http/errors.ts';
import { readScriptFile, SCRIPT_FILES } from '../../../../server/services/scriptFiles.ts';

/** A session to be taken along: its script as text or as a page, captions and chapters for a film. */
export const GET: APIRoute = async ({ locals, params }) => {
  const file = SCRIPT_FILES.find((name) => name === params.file);
  if (!file) throw new EdgeError('not-found');
  const { body, kind, name } = await readScriptFile(locals.person!, params.id!, file);
  return new Response(body, {
    headers: {
      'content-type': `${kind}; charset=utf-8`,
      'content-disposition': `attachment; filename*=UTF-8''${encodeURIComponent(name)}`,
    },
  });
};
