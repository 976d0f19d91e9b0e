import assert from 'node:assert/strict';
import { firstValues, type MakerOutput, runMaker } from '../../src/core/makers/index.ts';
import { findMaker } from '../../src/makers/index.ts';
import { type MakerSettings, type MakerValues, USUAL_SETTINGS } from '../../src/core/session/index.ts';
import { authorSpeech } from '../../src/messages/speeches.ts';

/** Runs a maker from where its dials start, with some of them set otherwise. */
export function make(id: string, values: MakerValues = {}, settings: Partial<MakerSettings> = {}) {
  const maker = findMaker(id)!;
  return runMaker(
    maker,
    { ...firstValues(maker), ...values },
    { settings: { ...USUAL_SETTINGS, ...settings }, speech: authorSpeech },
  );
}

/** As `make`, where nothing is refused. */
export function made(id: string, values: MakerValues = {}, settings: Partial<MakerSettings> = {}): MakerOutput {
  const answer = make(id, values, settings);
  assert.ok(answer.ok, JSON.stringify(answer));
  return answer.value;
}
