import { useEffect, useRef, useState } from 'react';
import { type Maker, type MakerOutput, runMaker } from '../../core/makers/index.ts';
import type { Outcome } from '../../core/outcome.ts';
import type { MakerProblem, MakerSettings, MakerValues } from '../../core/session/index.ts';
import { describeMakerProblem } from '../../messages/makers.ts';
import { authorSpeech } from '../../messages/speeches.ts';

type Answer = Outcome<MakerOutput, MakerProblem>;

/**
 * A maker whose dials are turned: what it makes follows in the same frame, or, where it takes long, from a worker; meanwhile what
 * stood before still stands. A refused value is said, and changes nothing.
 */
export function useMaker(
  maker: Maker,
  settings: MakerSettings,
  { start, first }: { readonly start: MakerValues; readonly first: MakerOutput | undefined },
) {
  const run = (values: MakerValues): Answer => runMaker(maker, values, { settings, speech: authorSpeech });
  const [values, setValues] = useState<MakerValues>(start);
  /** What is written in the dials; lists may only come out together, so each change is tried with all the others. */
  const [written, setWritten] = useState<MakerValues>(values);
  const [refusal, setRefusal] = useState('');
  const [made, setMade] = useState<MakerOutput | null>(() => {
    if (first) return first;
    const answer = run(values);
    return answer.ok ? answer.value : null;
  });
  const [isWorking, setIsWorking] = useState(false);
  const worker = useRef<Worker | null>(null);
  const turns = useRef(0);
  useEffect(() => () => worker.current?.terminate(), []);
  const take = (next: MakerValues, answer: Answer) => {
    if (answer.ok) {
      setValues(next);
      setMade(answer.value);
    }
    setRefusal(answer.ok ? '' : `${describeMakerProblem(answer.problem)} What stood before still stands.`);
  };
  const turn = (name: string, value: number | string) => {
    const next = { ...written, [name]: value };
    setWritten(next);
    if (!maker.isHeavy) return take(next, run(next));
    worker.current ??= new Worker(new URL('../../workers/maker.ts', import.meta.url), { type: 'module' });
    turns.current += 1;
    const asked = turns.current;
    setIsWorking(true);
    // An answer to an earlier turn is out of date.
    worker.current.onmessage = ({ data }: MessageEvent<{ turn: number; answer: Answer }>) => {
      if (data.turn !== asked) return;
      setIsWorking(false);
      take(next, data.answer);
    };
    worker.current.onerror = () => {
      setIsWorking(false);
      setRefusal('This could not be worked out just now. What stood before still stands; turn the dial again.');
      worker.current?.terminate();
      worker.current = null;
    };
    worker.current.postMessage({ turn: asked, id: maker.id, values: next, settings });
  };
  return { values, made, refusal, isWorking, turn };
}
