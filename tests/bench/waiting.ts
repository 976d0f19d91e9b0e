import { addProgramme } from '../../src/cli/seed.ts';
import { DEMO } from '../../src/server/demo.ts';
import { signInByPost } from '../support/signIn.ts';
import { demoEntries } from '../support/demoFile.ts';

type Report = (name: string, text: string) => void;

/** How long a page of another programme waits while one programme has the most to do that is permitted. */
export async function waiting(report: Report, address: string, { homes }: { homes: number }): Promise<void> {
  const other = { name: 'Wren', email: 'wren@millrace.example', password: 'over-the-weir', role: 'owner' as const };
  await addProgramme({ slug: 'millrace', name: 'Millrace' }, [other]);
  const theirs = await signInByPost(address, other);
  const cookie = await signInByPost(address, DEMO.people[0]);
  const ask = (path: string, init: RequestInit = {}) =>
    fetch(address + path, {
      redirect: 'manual',
      ...init,
      headers: { cookie, origin: address, ...(init.headers as Record<string, string>) },
    });
  const longest = async (work: Promise<Response>) => {
    let isDone = false;
    let worst = 0;
    const began = performance.now();
    const done = work.then((answer) => {
      isDone = true;
      return answer;
    });
    while (!isDone) {
      const asked = performance.now();
      await (await fetch(`${address}/sessions`, { headers: { cookie: theirs } })).text();
      worst = Math.max(worst, performance.now() - asked);
      await new Promise((next) => setTimeout(next, 5));
    }
    return { worst, took: performance.now() - began, status: (await done).status };
  };
  const say = (name: string, { worst, took, status }: Awaited<ReturnType<typeof longest>>) =>
    report(
      name,
      `another programme’s page waited ${Math.round(worst)} ms at most; it answered ${status} after ${(took / 1000).toFixed(2)} s`,
    );
  const json = (body: string, method = 'PUT') => ({ method, body, headers: { 'content-type': 'application/json' } });
  const file = (text: string) => {
    const form = new FormData();
    form.set('file', new Blob([text]), 'file.json');
    return { method: 'POST', body: form };
  };
  const activities = demoEntries<{ key: string; title: string }>('activities');
  const many = Array.from({ length: 2000 }, (_, index) => {
    const entry = activities[index % activities.length]!;
    return { ...entry, key: `${entry.key.slice(0, 60)}-${index}`, title: `${entry.title} ${index}` };
  });
  const whole = JSON.stringify({ format: 'footstool', version: 1, activities: many });
  report('the largest import', `${(whole.length / 1e6).toFixed(1)} MB`);
  say('while it is taken in', await longest(ask('/shelf/import', file(whole))));
  const million = (open: string, item: string, close: string) =>
    open +
    Array(Math.floor(900_000 / (item.length + 1)))
      .fill(item)
      .join() +
    close;
  const bench = /\/sessions\/([0-9a-f-]{36})/.exec(await (await ask('/sessions')).text())![1]!;
  const term = /\/term\/([0-9a-f-]{36})/.exec((await ask('/term')).headers.get('location') ?? '')![1]!;
  const tries: [string, () => Promise<Response>][] = [
    [
      '1 MB of empty parts',
      () => ask(`/api/sessions/${bench}`, json(million('{"revision":1,"session":{"segments":[', '{}', ']}}'))),
    ],
    [
      '1 MB of empty weeks',
      () => ask(`/api/terms/${term}`, json(million('{"revision":1,"term":{"weeks":[', '{}', ']}}'))),
    ],
    ['1 MB of empty rows', () => ask('/api/shelf/rows', json(million('{"kind":"thing","rows":[', '{}', ']}'), 'POST'))],
    [
      '1 MB of empty things',
      () => ask('/shelf/import', file(million('{"format":"footstool","version":1,"things":[', '{}', ']}'))),
    ],
    ['1 MB of brackets', () => ask(`/api/sessions/${bench}`, json('['.repeat(900_000)))],
    [
      '1 MB of fields',
      () =>
        ask('/programme', {
          method: 'POST',
          body: 'a=1&'.repeat(60_000),
          headers: { 'content-type': 'application/x-www-form-urlencoded' },
        }),
    ],
  ];
  for (const [name, work] of tries) say(name, await longest(work()));
  say('while a tray is printed for all', await longest(printed(ask, bench)));
  // A plan is worked out in the browser of whoever asks for it; what the server has of it is to keep the fullest term.
  const kept = (await (await ask(`/api/terms/${term}`)).json()) as { revision: number; term: FullTerm };
  say('while the fullest term is kept', await longest(ask(`/api/terms/${term}`, json(fullest(kept)))));
  say('while the term’s room is read', await longest(ask(`/term/${term}`)));
  say(`while a session is read, ${homes} homes`, await longest(ask(`/sessions/${bench}`)));
  say('while its page of sending is read', await longest(ask(`/sessions/${bench}/send`)));
  say('while it is sent to all', await longest(sent(ask, bench)));
  say('while the homes are read', await longest(ask('/homes')));
}

/** A tray for all homes, from the press until it came out or was refused. */
async function printed(
  ask: (path: string, init?: RequestInit) => Promise<Response>,
  session: string,
): Promise<Response> {
  const started = await ask(`/api/printer/${session}`, {
    method: 'POST',
    body: JSON.stringify({ for: 'all', version: 'usual' }),
    headers: { 'content-type': 'application/json' },
  });
  if (!started.ok) return started;
  const { job } = (await started.json()) as { job: string };
  for (;;) {
    const answer = await ask(`/api/printer/${job}`);
    const { state } = (await answer.clone().json()) as { state: string };
    if (state !== 'waiting') return answer;
    await new Promise((next) => setTimeout(next, 100));
  }
}

/** A session sent to every home, as its form sends it. */
async function sent(ask: (path: string, init?: RequestInit) => Promise<Response>, session: string): Promise<Response> {
  const page = await (await ask(`/sessions/${session}/send?tick=all`)).text();
  const field = (name: string) => new RegExp(`name="${name}" value="([^"]*)"`).exec(page)![1]!;
  const form = new URLSearchParams(['revision', 'key', 'seen'].map((name) => [name, field(name)]));
  for (const [, home] of page.matchAll(/name="homes" value="([^"]+)"/g)) form.append('homes', home!);
  return ask(`/sessions/${session}/send`, { method: 'POST', body: form });
}

interface FullTerm {
  readonly weeks: readonly { readonly sessions: readonly Record<string, unknown>[] }[];
}

/** A term with a session on every day of every week, as full of activities as it may be. */
function fullest({ revision, term }: { revision: number; term: FullTerm }): string {
  const weeks = term.weeks.map((week, index) => ({
    ...week,
    sessions: Array.from({ length: 7 }, (_, day) => ({
      ...(week.sessions[0] ?? { time: '10:00', minutes: 60, book: null, song: null }),
      id: `full-${index}-${day}`,
      weekday: day + 1,
      benchId: null,
      activities: Array.from({ length: 12 }, (__, place) => ({ key: `activity-${day}-${place}`, isPinned: false })),
    })),
  }));
  return JSON.stringify({ revision, term: { ...term, weeks } });
}
