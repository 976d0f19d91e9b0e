import { useEffect, useRef, useState } from 'react';
import { LONGEST_SONG, songAddress, type SongQuestion } from '../../contracts/song.ts';
import { songLine } from '../../core/page/index.ts';
import { findTune, type PlacedLine, readMelodyLine, TUNES } from '../../core/songs/index.ts';
import type { Accent } from '../../core/sounds/index.ts';
import { sayScreen } from '../../messages/screenWords.ts';
import { lineVerdict } from '../../messages/tunes.ts';
import { DrawingView } from '../drawing/DrawingView.tsx';
import { playTune } from './playTune.ts';

interface TuneRoomProps {
  readonly start: { readonly tune: string; readonly words: string; readonly names: SongQuestion['names'] };
  /** The words as they stand on the tune at first. */
  readonly first: readonly PlacedLine[];
  readonly accent: Accent;
  readonly mayWrite: boolean;
}

/** Words set to a traditional tune: the syllables under the notes, what to hold, split or change, to hear and to print. */
export function TuneRoom({ start, first, accent, mayWrite }: TuneRoomProps) {
  const { song, lines, fault, change } = useSong({ start, first, accent });
  const address = songAddress(song);
  return (
    <div className="grid grid-cols-[minmax(17rem,24rem)_minmax(0,1fr)] gap-x-8 px-6 py-4 max-[1000px]:grid-cols-[1fr]">
      <section aria-label="Tune and words" className="grid content-start gap-3">
        <TuneAndWords {...{ song }} onChange={change} />
        <SayAs
          guessed={guessedIn(lines, song.names)}
          names={song.names}
          onTell={(names) => change({ ...song, names })}
        />
      </section>
      <section aria-label="Words on the tune">
        <p role="status" className="font-heading font-semibold">
          {howManyFit(lines)}
        </p>
        <p role="alert" className={fault ? 'alert alert-warning my-2' : ''}>
          {fault}
        </p>
        <ol className="grid gap-4 my-3">
          {lines.map((line, index) => (
            <li key={index}>
              <SungLine line={line} />
            </li>
          ))}
        </ol>
        <p className="text-sm text-soft">
          A mark above a note is a strong beat. A syllable underlined in red is stressed in its word and falls on a weak
          beat.
        </p>
        <p className="flex flex-wrap gap-2 my-4">
          <a className="btn btn-outline btn-sm" href={`/makers/words-to-a-tune/print.pdf?${address}`}>
            Print it
          </a>
          {mayWrite && (
            <a className="btn btn-outline btn-sm" href={`/shelf/new/song?${address}`}>
              Put it on the shelf as a song
            </a>
          )}
        </p>
      </section>
    </div>
  );
}

type Song = TuneRoomProps['start'];

/** The song as it is written, and its words on the tune, which a worker places; the newest answer counts. */
function useSong({ start, first, accent }: Omit<TuneRoomProps, 'mayWrite'>) {
  const [song, setSong] = useState(start);
  const [lines, setLines] = useState(first);
  const [fault, setFault] = useState('');
  const worker = useRef<Worker | null>(null);
  const asked = useRef(0);
  useEffect(() => () => worker.current?.terminate(), []);
  const change = (next: Song) => {
    setSong(next);
    worker.current ??= new Worker(new URL('../../workers/tune.ts', import.meta.url), { type: 'module' });
    asked.current += 1;
    const mine = asked.current;
    worker.current.onmessage = ({ data }: MessageEvent<{ asked: number; lines: PlacedLine[] }>) => {
      if (data.asked !== mine) return;
      setFault('');
      setLines(data.lines);
    };
    worker.current.onerror = () => {
      setFault('The words could not be set just now. They stand as you wrote them; change something to try again.');
      worker.current?.terminate();
      worker.current = null;
    };
    worker.current.postMessage({ asked: mine, ...next, accent });
  };
  return { song, lines, fault, change };
}

function howManyFit(lines: readonly PlacedLine[]): string {
  const sung = lines.filter(({ kind }) => kind === 'sung').length;
  const fitting = lines.filter((line) => line.kind === 'sung' && line.fit.verdict === 'fits').length;
  if (sung === 0) return 'No words yet.';
  return sayScreen('count.lines-fit', { fitting, lines: sayScreen('count.lines', { count: sung }) });
}

/** Which tune, the words as they are written, and the tune to hear; it stops when either changes. */
function TuneAndWords({ song, onChange }: { song: Song; onChange: (song: Song) => void }) {
  const { isPlaying, play, stop } = usePlaying();
  const tune = findTune(song.tune)!;
  const change = (to: Partial<Song>) => {
    stop();
    onChange({ ...song, ...to });
  };
  return (
    <>
      <label className="grid gap-1 font-heading font-semibold text-sm">
        Tune
        <select
          className="select select-sm w-full"
          value={song.tune}
          onChange={({ target }) => change({ tune: target.value })}
        >
          {TUNES.map(({ key, name }) => (
            <option key={key} value={key}>
              {name}
            </option>
          ))}
        </select>
      </label>
      <label className="grid gap-1 font-heading font-semibold text-sm">
        Words, a line for each line of the tune
        <textarea
          className="textarea w-full h-64 font-normal text-base leading-7"
          value={song.words}
          maxLength={LONGEST_SONG}
          onChange={({ target }) => change({ words: target.value })}
        />
      </label>
      <p className="text-sm text-soft">
        A line in (brackets) is spoken between two lines. The tune has {tune.lines.length} lines; more words begin it
        again.
      </p>
      <div className="flex flex-wrap gap-2">
        <button
          type="button"
          className="btn btn-outline btn-sm"
          onClick={() => change({ words: tune.verse.join('\n') })}
        >
          Use our verse
        </button>
        <button
          type="button"
          className="btn btn-outline btn-sm"
          onClick={() => (isPlaying ? stop() : play(tune.lines.map(readMelodyLine)))}
        >
          {isPlaying ? 'Stop' : 'Hear the tune'}
        </button>
      </div>
    </>
  );
}

function SungLine({ line }: { line: PlacedLine }) {
  const drawing = songLine(line);
  const isFine = line.kind === 'spoken' || line.fit.verdict === 'fits';
  return (
    <div className="border-t border-line pt-2">
      <div className="overflow-x-auto">
        <div className="min-w-[24rem]" style={{ maxWidth: `${drawing.width * 0.33}rem` }}>
          <DrawingView drawing={drawing} label={`Notes with the words: ${line.text}`} className="w-full p-1.5" />
        </div>
      </div>
      <p className={isFine ? 'text-sm text-soft' : 'text-sm font-semibold'}>{lineVerdict(line)}</p>
    </div>
  );
}

/** Names and rare words whose syllables were guessed, or were told: how many each has. */
function SayAs({
  guessed,
  names,
  onTell,
}: {
  guessed: readonly { word: string; count: number }[];
  names: SongQuestion['names'];
  onTell: (names: SongQuestion['names']) => void;
}) {
  if (guessed.length === 0) return null;
  return (
    <fieldset className="grid gap-2">
      <legend className="font-heading font-semibold text-sm">Say it as</legend>
      <p className="text-sm text-soft">
        We can’t find these in our word list: how many syllables do they have when you sing them?
      </p>
      {guessed.map(({ word, count }) => (
        <label key={word} className="flex items-center gap-2">
          <input
            type="number"
            className="input input-sm w-16"
            min={1}
            max={8}
            value={count}
            onChange={({ target }) => {
              const told = target.valueAsNumber;
              if (Number.isInteger(told) && told >= 1 && told <= 8) onTell({ ...names, [word.toLowerCase()]: told });
            }}
          />
          <span>{word}</span>
        </label>
      ))}
    </fieldset>
  );
}

/** Words that are guessed or told, with the syllables they stand for now. */
function guessedIn(lines: readonly PlacedLine[], names: SongQuestion['names']): { word: string; count: number }[] {
  const counts = new Map<string, number>();
  for (const line of lines) {
    if (line.kind !== 'sung') continue;
    for (const { word, count, isGuessed } of line.words)
      if (isGuessed || word.toLowerCase() in names) counts.set(word, count);
  }
  return [...counts].map(([word, count]) => ({ word, count }));
}

function usePlaying() {
  const [isPlaying, setPlaying] = useState(false);
  const ending = useRef<(() => void) | null>(null);
  const stop = () => {
    ending.current?.();
    ending.current = null;
  };
  useEffect(() => stop, []);
  const play = (lines: Parameters<typeof playTune>[0]) => {
    stop();
    setPlaying(true);
    ending.current = playTune(lines, () => setPlaying(false));
  };
  return { isPlaying, play, stop };
}
