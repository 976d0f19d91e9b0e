import { knownWords } from '../core/makers/index.ts';
import { findTune, placeWords } from '../core/songs/index.ts';
import type { Accent } from '../core/sounds/index.ts';

interface TuneQuestion {
  readonly asked: number;
  readonly tune: string;
  readonly words: string;
  readonly names: Readonly<Record<string, number>>;
  readonly accent: Accent;
}

/** Sets words to a tune away from the screen: it holds the everyday words, so that their first load stops nobody from typing. */
self.onmessage = ({ data: { asked, tune, words, names, accent } }: MessageEvent<TuneQuestion>) => {
  const { known } = knownWords({ accent });
  self.postMessage({ asked, lines: placeWords(findTune(tune)!, words, { known, accent, names }) });
};
