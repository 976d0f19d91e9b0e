import type { APIRoute } from 'astro';
import { publicAddress } from '../../server/http/address.ts';
import { writeCalendar } from '../../server/services/calendar.ts';

/** Everything due, as a file for a calendar program. */
export const GET: APIRoute = async ({ locals, request }) =>
  new Response(await writeCalendar(locals.person!, publicAddress(request)), {
    headers: {
      'content-type': 'text/calendar; charset=utf-8',
      'content-disposition': 'attachment; filename="footstool.ics"',
    },
  });
