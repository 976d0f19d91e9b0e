import { useMemo, useState } from 'react';
import { decodeText } from '../../contracts/decodeText.ts';
import { FAMILIES_AT_ONCE, readTable } from '../../contracts/familyTable.ts';
import { type ColumnRole, guessColumns, readFamilies } from '../../core/families/index.ts';
import { listOf } from '../../core/message.ts';
import { sayScreen } from '../../messages/screenWords.ts';
import { askServer } from '../ui/askServer.ts';

/** A thing as a table names it. */
export interface CountableThing {
  readonly key: string;
  readonly one: string;
  readonly many: string;
  readonly usualQty: number;
}

/** A table as it is being put right. */
export interface TableDraft {
  readonly headings: readonly string[] | undefined;
  readonly rows: readonly (readonly string[])[];
  readonly roles: readonly ColumnRole[];
}

const NOT_REACHED = 'Footstool can’t be reached just now. Everything you put in is still here; try again in a moment.';

/** A table of families as it is pasted, put right and brought in, what is ready before the rest. */
export function useFamilyTable(today: string, things: readonly CountableThing[]) {
  const [text, setText] = useState('');
  const [draft, setDraft] = useState<TableDraft | null>(null);
  const [word, setWord] = useState('');
  const [report, setReport] = useState('');
  const [isSending, setIsSending] = useState(false);
  const reading = useMemo(
    () => draft && readFamilies(draft.rows, draft.roles, { today, things, nameFor, headings: draft.headings }),
    [draft, today, things],
  );
  const look = (given: string) => {
    setReport('');
    const table = readTable(given);
    if (!table.ok) return setWord(sayScreen(`table.${table.code}`));
    const { hasHeadings, roles } = guessColumns(table.rows, today);
    setWord('');
    setDraft({
      headings: hasHeadings ? table.rows[0] : undefined,
      rows: hasHeadings ? table.rows.slice(1) : table.rows,
      roles,
    });
    // What has to be put right comes first.
    requestAnimationFrame(() => document.querySelector<HTMLElement>('td [aria-invalid="true"]')?.focus());
  };
  const choose = async (file: File | undefined) => {
    if (!file) return;
    const given = decodeText(new Uint8Array(await file.arrayBuffer())).text;
    setText(given);
    look(given);
  };
  const bringIn = async () => {
    if (isSending) return;
    setIsSending(true);
    const ready = reading!.families.filter(({ isReady }) => isReady);
    const answer = await send(ready.map(({ family }) => family));
    setIsSending(false);
    setWord(answer.word);
    setReport(answer.report);
    // What somebody put right meanwhile stays: only rows as they were sent go.
    const gone = new Set(ready.slice(0, answer.sent).flatMap(({ rows }) => rows.map((row) => draft!.rows[row])));
    setDraft((now) => now && { ...now, rows: now.rows.filter((row) => !gone.has(row)) });
    if (gone.size === draft!.rows.length) setText('');
  };
  return { text, setText, draft, setDraft, reading, word, report, look, choose, bringIn, isSending };
}

const nameFor = (children: readonly string[]) =>
  children.length === 0 ? '' : sayScreen('table.name-for-children', { names: listOf([...children]) });

/** Sends homes by parts; gives how many arrived and what to say. */
async function send(families: readonly object[]): Promise<{ sent: number; report: string; word: string }> {
  let [sent, added, changed] = [0, 0, 0];
  let word = '';
  while (sent < families.length && word === '') {
    const part = families.slice(sent, sent + FAMILIES_AT_ONCE);
    const asked = await askServer<{ added: number; changed: number }>('/api/homes/table', { json: { families: part } });
    if (asked.ok) {
      sent += part.length;
      added += asked.answer.added;
      changed += asked.answer.changed;
    } else word = whatIsWrong(asked.error, part as { nickname: string }[]);
  }
  return { sent, word, report: sent > 0 ? sayScreen('table.added', { added, changed }) : '' };
}

function whatIsWrong(
  error: { message: string; problems?: readonly { path: string; message: string }[] | undefined } | null,
  part: readonly { nickname: string }[],
): string {
  const [problem] = error?.problems ?? [];
  const at = Number(/^families\[(\d+)\]/.exec(problem?.path ?? '')?.[1] ?? NaN);
  const home = part[at]?.nickname;
  if (problem && home) return `${home}${problem.path.endsWith('nickname') ? ': the name' : ''} ${problem.message}.`;
  return error?.message ?? NOT_REACHED;
}
