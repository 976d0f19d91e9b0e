import { useEffect, useRef, useState } from 'react';
import type { Edit, Line, Segment } from '../../core/session/index.ts';
import { type Accent, SOUND_UNITS } from '../../core/sounds/index.ts';
import {
  type CheckedLine,
  type TaughtOn,
  withWordReplaced,
  WORD_AIMS,
  type WordAim,
  type WordFinding,
} from '../../core/words/index.ts';
import { describeWordFinding } from '../../messages/findings.ts';
import { AIM_WORDS, describeCheckedWords } from '../../messages/lineWords.ts';

/** What words are checked by: the day of the session, what is taught when, and how words are said. */
export interface WordChecks {
  readonly on: string;
  readonly steps: readonly TaughtOn[];
  readonly accent: Accent;
}

interface WordCheckProps {
  readonly line: Line;
  /** The line as it is read, with its numbers. */
  readonly text: string;
  readonly segment: Segment;
  readonly checks: WordChecks;
  readonly onEdit: (edit: Edit) => void;
  readonly onClose: () => void;
}

const STARTS = SOUND_UNITS.filter(({ place }) => place === 'start').map(({ grapheme }) => grapheme);

/** What the words of one line are meant to do, and whether they do it; a word that does not is changed on press. */
export function WordCheck({ line, text, segment, checks, onEdit, onClose }: WordCheckProps) {
  const [aim, setAim] = useState<WordAim>(() => likelyAim(segment));
  const [sound, setSound] = useState(() => likelySound(segment, text));
  const { checked, fault } = useCheckedWords(text, { aim, sound }, checks);
  return (
    <div
      className="my-1.5 border-l-3 border-teal bg-paper px-3 py-2 text-sm"
      role="group"
      aria-label="Words of this line"
    >
      <p className="flex flex-wrap items-center gap-2">
        <label className="inline-flex items-center gap-1.5">
          In this line
          <select
            className="select select-xs w-auto"
            value={aim}
            onChange={({ target }) => setAim(target.value as WordAim)}
          >
            {WORD_AIMS.map((name) => (
              <option key={name} value={name}>
                {AIM_WORDS[name]}
              </option>
            ))}
          </select>
        </label>
        {aim === 'starts' && (
          <select
            className="select select-xs w-auto"
            aria-label="sound"
            value={sound}
            onChange={({ target }) => setSound(target.value)}
          >
            {STARTS.map((grapheme) => (
              <option key={grapheme}>{grapheme}</option>
            ))}
          </select>
        )}
        <button type="button" className="ml-auto underline underline-offset-3 text-teal" onClick={onClose}>
          Close
        </button>
      </p>
      <div role="status">
        {fault && <p>{fault}</p>}
        {checked && (
          <>
            <p className="text-soft">{describeCheckedWords(checked, aim)}</p>
            <ul>
              {checked.findings.map((finding, index) => (
                <li key={index} className="flex flex-wrap items-baseline gap-x-3">
                  <span>{describeWordFinding(finding).text}</span>
                  <Remedy {...{ finding, line, segment, onEdit }} />
                </li>
              ))}
            </ul>
          </>
        )}
      </div>
    </div>
  );
}

function Remedy({
  finding,
  line,
  segment,
  onEdit,
}: { finding: WordFinding } & Pick<WordCheckProps, 'line' | 'segment' | 'onEdit'>) {
  const { remedy } = describeWordFinding(finding);
  if (finding.instead === null || remedy === null) return null;
  // A word that a dial or a thing brings stands in no source, and is changed there.
  const text = withWordReplaced(line.text, finding.word, finding.instead);
  if (text === null) return null;
  return (
    <button
      type="button"
      className="border border-ink rounded px-2 font-heading font-semibold cursor-pointer hover:bg-teal-ground"
      onClick={() => onEdit({ do: 'change-line', segment: segment.id, line: line.id, change: { text } })}
    >
      {remedy}
    </button>
  );
}

function likelyAim({ skills }: Segment): WordAim {
  if (skills.includes('rhyme')) return 'rhyme';
  return skills.some((skill) =>
    ['letter-sound', 'build-words', 'two-letters', 'common-words', 'sentences'].includes(skill),
  )
    ? 'readable'
    : 'starts';
}

function likelySound({ made }: Segment, text: string): string {
  const said = /\b(?:starts?|begins?)\b.{0,20}?\bwith\b[^a-z]*([a-z]{1,2})\b/i.exec(text)?.[1]?.toLowerCase();
  return [said, String(made?.values.sound ?? '')].find((sound) => sound && STARTS.includes(sound)) ?? 's';
}

/** The answer to a question about a line; while it is worked out, the one before stands. */
function useCheckedWords(
  text: string,
  { aim, sound }: { aim: WordAim; sound: string },
  { on, steps, accent }: WordChecks,
): { checked: CheckedLine | null; fault: string } {
  const [checked, setChecked] = useState<CheckedLine | null>(null);
  const [fault, setFault] = useState('');
  const worker = useRef<Worker | null>(null);
  const asked = useRef(0);
  useEffect(
    () => () => {
      worker.current?.terminate();
      worker.current = null;
    },
    [],
  );
  useEffect(() => {
    worker.current ??= new Worker(new URL('../../workers/words.ts', import.meta.url), { type: 'module' });
    asked.current += 1;
    const mine = asked.current;
    worker.current.onmessage = ({ data }: MessageEvent<{ asked: number; checked: CheckedLine }>) => {
      if (data.asked !== mine) return;
      setFault('');
      setChecked(data.checked);
    };
    worker.current.onerror = () => {
      setFault('The words could not be checked just now. Your line is kept; close this and try again.');
      worker.current?.terminate();
      worker.current = null;
    };
    worker.current.postMessage({ asked: mine, text, question: { aim, sound, on, steps }, accent });
  }, [text, aim, sound, on, steps, accent]);
  return { checked, fault };
}
