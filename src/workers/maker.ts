import { runMaker } from '../core/makers/index.ts';
import { findMaker } from '../makers/index.ts';
import type { MakerSettings, MakerValues } from '../core/session/index.ts';
import { authorSpeech } from '../messages/speeches.ts';

interface MakerQuestion {
  /** Which turn of a dial it answers. */
  readonly turn: number;
  readonly id: string;
  readonly values: MakerValues;
  readonly settings: MakerSettings;
}

/** Runs a maker that takes long away from the screen. */
self.onmessage = ({ data: { turn, id, values, settings } }: MessageEvent<MakerQuestion>) =>
  self.postMessage({ turn, answer: runMaker(findMaker(id)!, values, { settings, speech: authorSpeech }) });
