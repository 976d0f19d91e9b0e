import assert from 'node:assert/strict';
import { firstValues, runMaker } from '../../src/core/makers/maker.ts';
import type { MakerOutput } from '../../src/core/makers/makerOutput.ts';
import { findMaker } from '../../src/makers/index.ts';
import { USUAL_SETTINGS, type MakerSettings, type MakerValues } from '../../src/core/session/makerSource.ts';
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
