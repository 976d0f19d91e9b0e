import { askServer } from '../ui/askServer.ts';
import { useState } from 'react';
import { MOST_CSV_LINES, readCsv, type CsvRow } from '../../contracts/csvEntries.ts';
import { decodeText } from '../../contracts/decodeText.ts';
import { SECTION_OF, type EntryKind } from '../../contracts/shelfEntries.ts';

interface IntakeProblem {
  readonly line: number;
  readonly path: string;
  readonly message: string;
}

export interface Intake {
  readonly phase: 'idle' | 'working' | 'done' | 'refused';
  readonly done: number;
  readonly total: number;
  readonly added: number;
  readonly replaced: number;
  readonly problems: readonly IntakeProblem[];
  readonly message: string;
  readonly encoding: string;
}

const IDLE: Intake = {
  phase: 'idle',
  done: 0,
  total: 0,
  added: 0,
  replaced: 0,
  problems: [],
  message: '',
  encoding: 'utf-8',
};
const ROWS_AT_ONCE = 250;
const LARGEST_FILE = 64 * 1024 * 1024;

/** Reads a list in the browser and hands it over in parts, so that it can say how far it has come. */
export function useIntake() {
  const [intake, setIntake] = useState<Intake>(IDLE);
  const takeIn = async (file: File, kind: EntryKind) => {
    if (file.size > LARGEST_FILE)
      return setIntake({
        ...IDLE,
        phase: 'refused',
        message: 'The file is larger than 64 MB. Nothing was imported; send it in parts.',
      });
    const { text, encoding } = decodeText(new Uint8Array(await file.arrayBuffer()));
    const reading = readList(text, kind);
    if (!reading.ok) return setIntake({ ...IDLE, phase: 'refused', message: reading.message });
    const unread = reading.rows.filter(({ problems }) => problems.length > 0);
    const readable = reading.rows.filter(({ problems }) => problems.length === 0);
    let sofar: Intake = {
      ...IDLE,
      phase: 'working',
      encoding,
      total: reading.rows.length,
      done: unread.length,
      problems: unread.flatMap(({ line, problems }) => problems.map((problem) => ({ line, ...problem }))),
    };
    setIntake(sofar);
    for (let from = 0; from < readable.length; from += ROWS_AT_ONCE) {
      const part = readable.slice(from, from + ROWS_AT_ONCE);
      const answer = await sendPart(kind, part);
      if (!answer.ok) {
        const last = part[0]!.line - 1;
        return setIntake({
          ...sofar,
          phase: 'done',
          message: `It stopped before line ${part[0]!.line}: ${answer.message} What stood up to line ${last} is kept; send the rest again.`,
        });
      }
      sofar = {
        ...sofar,
        done: sofar.done + part.length,
        added: sofar.added + answer.report.added,
        replaced: sofar.replaced + answer.report.replaced,
        problems: [...sofar.problems, ...answer.report.problems],
      };
      setIntake(sofar);
    }
    setIntake({ ...sofar, phase: 'done', problems: [...sofar.problems].sort((left, right) => left.line - right.line) });
  };
  return { intake, takeIn };
}

type Reading = { ok: true; rows: readonly CsvRow[] } | { ok: false; message: string };

/** A list as CSV, or as JSON: our open format, or an array of entries. In JSON, "line" is the place in the list. */
function readList(text: string, kind: EntryKind): Reading {
  if (text.trim() === '') return { ok: false, message: 'The file is empty. Nothing was imported.' };
  if (!/^[\s\ufeff]*[[{]/.test(text)) return readCsv(text, kind);
  try {
    const content = JSON.parse(text.replace(/^\ufeff/, '')) as unknown;
    const list = Array.isArray(content) ? content : (content as Record<string, unknown>)[SECTION_OF[kind]];
    if (!Array.isArray(list))
      return { ok: false, message: `The file has no list named “${SECTION_OF[kind]}”. Nothing was added.` };
    if (list.length > MOST_CSV_LINES)
      return {
        ok: false,
        message: `The list has ${list.length} entries, and at most ${MOST_CSV_LINES} are taken at once. Nothing was imported; send it in parts.`,
      };
    return {
      ok: true,
      rows: list.map((value, index) => ({ line: index + 1, value: value as Record<string, unknown>, problems: [] })),
    };
  } catch (error) {
    return { ok: false, message: `This is not a JSON file: ${(error as Error).message}. Nothing was added.` };
  }
}

interface PartReport {
  readonly added: number;
  readonly replaced: number;
  readonly problems: readonly IntakeProblem[];
}

async function sendPart(
  kind: EntryKind,
  part: readonly CsvRow[],
): Promise<{ ok: true; report: PartReport } | { ok: false; message: string }> {
  const asked = await askServer<PartReport>('/api/shelf/rows', {
    json: { kind, rows: part.map(({ line, value }) => ({ line, value })) },
  });
  if (asked.ok) return { ok: true, report: asked.answer };
  return { ok: false, message: asked.error?.message ?? 'Footstool cannot be reached at the moment.' };
}
