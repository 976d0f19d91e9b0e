import { askServer } from '../ui/askServer.ts';
import { useState } from 'react';
import { SoundPlayer } from './SoundPlayer.tsx';
import { useRecorder, type RecorderProblem } from './useRecorder.ts';

/** A sound as its row shows it. */
interface SoundRow {
  readonly sound: string;
  readonly letters: readonly string[];
  readonly spoken: string;
  readonly word?: string | undefined;
  readonly milliseconds: number | null;
}

const PROBLEMS: Readonly<Record<RecorderProblem, string>> = {
  'no-microphone': 'No microphone was found. Plug one in and try again, or bring a file below.',
  'not-allowed': 'The browser was told not to let this page hear. Allow the microphone for this page, then try again.',
  unreadable: 'Nothing came of that recording. Try again, a little longer.',
  'not-here': 'This browser records only where the address starts with https. Bring a file below instead.',
};

/** The sounds of a programme in a list: each recorded with a press, heard, recorded again or taken out. */
export function SoundRecorder({ sounds, mayWrite }: { sounds: readonly SoundRow[]; mayWrite: boolean }) {
  const { rows, takes, current, said, isRecording, start, stop, takeOut } = useSounds(sounds);
  const count = rows.filter(({ milliseconds }) => milliseconds !== null).length;
  return (
    <>
      <p aria-live="polite" className="mt-3 font-semibold">
        {count} of {rows.length} are recorded.
      </p>
      <table className="table [&_td]:align-middle">
        <thead>
          <tr>
            <th scope="col">Letters</th>
            <th scope="col">Say it</th>
            <th scope="col">Recording</th>
          </tr>
        </thead>
        <tbody>
          {rows.map((row) => (
            <tr key={row.sound}>
              <th scope="row" className="drawn-text [&&]:text-xl [&&]:text-ink font-normal whitespace-nowrap">
                {row.letters.map((letters) => letters.replace('_', '–')).join(', ')}
              </th>
              <td>
                <b>{row.spoken}</b>
                {row.word && <span className="text-soft"> as in {row.word}</span>}
              </td>
              <td>
                <div className="flex flex-wrap items-center gap-2">
                  {row.milliseconds !== null && (
                    <SoundPlayer sound={row.sound} letters={row.letters[0]!} take={takes} />
                  )}
                  {mayWrite && (
                    <RowButtons
                      {...{ row, isRecording: isRecording && current === row.sound, isBusy: current !== null }}
                      onStart={() => void start(row)}
                      onStop={stop}
                      onTakeOut={() => void takeOut(row)}
                    />
                  )}
                </div>
                <p role={said?.isWrong ? 'alert' : 'status'} className="text-sm">
                  {said?.sound === row.sound ? said.text : ''}
                </p>
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </>
  );
}

/** The recordings as they are kept: what is being recorded, and what is to be said of the last press. */
function useSounds(sounds: readonly SoundRow[]) {
  const [rows, setRows] = useState(sounds);
  const [takes, setTakes] = useState(0);
  const [current, setCurrent] = useState<string | null>(null);
  const [said, setSaid] = useState<{ sound: string; text: string; isWrong: boolean } | null>(null);
  const { isRecording, record, stop } = useRecorder();
  const put = (sound: string, milliseconds: number | null) => {
    setRows((before) => before.map((row) => (row.sound === sound ? { ...row, milliseconds } : row)));
    setTakes((count) => count + 1);
  };
  const start = async ({ sound, letters, milliseconds }: SoundRow) => {
    setCurrent(sound);
    setSaid(null);
    const recorded = await record();
    setCurrent(null);
    if (typeof recorded === 'string') return setSaid({ sound, text: PROBLEMS[recorded], isWrong: true });
    const answer = await ask(sound, {
      method: 'PUT',
      file: { body: new Uint8Array(recorded), kind: 'audio/wav' },
    });
    if (answer.problem === null) put(sound, answer.milliseconds);
    const stays = milliseconds === null ? '' : ' The one from before stays.';
    setSaid(
      answer.problem === null
        ? { sound, text: `“${letters[0]}” is kept. Listen to it once.`, isWrong: false }
        : { sound, text: `${answer.problem}${stays}`, isWrong: true },
    );
  };
  const takeOut = async ({ sound, letters }: SoundRow) => {
    const answer = await ask(sound, { method: 'DELETE' });
    if (answer.problem === null) put(sound, null);
    setSaid(
      answer.problem === null
        ? { sound, text: `The recording of “${letters[0]}” was taken out.`, isWrong: false }
        : { sound, text: answer.problem, isWrong: true },
    );
  };
  return { rows, takes, current, said, isRecording, start, stop, takeOut };
}

interface RowButtonsProps {
  readonly row: SoundRow;
  readonly isRecording: boolean;
  /** While another one is being recorded. */
  readonly isBusy: boolean;
  readonly onStart: () => void;
  readonly onStop: () => void;
  readonly onTakeOut: () => void;
}

function RowButtons({ row, isRecording, isBusy, onStart, onStop, onTakeOut }: RowButtonsProps) {
  const name = `${row.letters[0]}`;
  if (isRecording)
    return (
      <button type="button" className="btn btn-primary btn-sm" onClick={onStop}>
        Stop: {name} is being recorded
      </button>
    );
  return (
    <>
      <button type="button" className="btn btn-outline btn-sm" disabled={isBusy} onClick={onStart}>
        {row.milliseconds === null ? `Record ${name}` : `Record ${name} again`}
      </button>
      {row.milliseconds !== null && (
        <button type="button" className="btn btn-ghost btn-sm" disabled={isBusy} onClick={onTakeOut}>
          Take {name} out
        </button>
      )}
    </>
  );
}

type Answer = { readonly problem: null; readonly milliseconds: number } | { readonly problem: string };

async function ask(sound: string, asking: Parameters<typeof askServer>[1]): Promise<Answer> {
  const asked = await askServer<{ milliseconds?: number }>(`/api/sounds/${sound}`, asking);
  if (asked.ok) return { problem: null, milliseconds: asked.answer.milliseconds ?? 0 };
  return {
    problem:
      asked.error?.message ?? 'Footstool cannot be reached at the moment, so this was not kept. Try again in a minute.',
  };
}
