import { type Measure, measureMessage } from '../core/numbers/index.ts';
import { authorSpeech } from './speeches.ts';

/** An amount as a kitchen measures it, in words: "1½ cups and 2 teaspoons". */
export function describeMeasure(measure: Measure): string {
  const { key, values } = measureMessage(measure);
  return authorSpeech.say(key, values);
}
