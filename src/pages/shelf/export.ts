import type { APIRoute } from 'astro';
import { asEntryKind, SECTION_OF } from '../../contracts/shelfEntries.ts';
import { writeCsv } from '../../contracts/csvEntries.ts';
import { exportFile } from '../../server/services/exportShelf.ts';

/** The programme's shelf as a file of our open format; `?kind=` gives one kind, `&as=csv` as CSV. */
export const GET: APIRoute = async ({ locals, url }) => {
  const file = await exportFile(locals.person!, { homes: false });
  const kind = asEntryKind(url.searchParams.get('kind'));
  const section = kind && (file[SECTION_OF[kind]] as Record<string, unknown>[]);
  if (kind && section && url.searchParams.get('as') === 'csv')
    return download(writeCsv(section, kind), { type: 'text/csv', name: `${SECTION_OF[kind]}.csv` });
  const content = kind ? { format: file.format, version: file.version, [SECTION_OF[kind]]: section } : file;
  return download(JSON.stringify(content, null, 2), {
    type: 'application/json',
    name: `footstool-${kind ? SECTION_OF[kind] : 'shelf'}.json`,
  });
};

function download(text: string, { type, name }: { type: string; name: string }): Response {
  return new Response(text, {
    headers: { 'content-type': `${type}; charset=utf-8`, 'content-disposition': `attachment; filename="${name}"` },
  });
}
