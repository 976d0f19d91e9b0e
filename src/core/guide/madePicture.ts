import { type MakersInWords, runMaker } from '../makers/index.ts';
import type { Speech } from '../message.ts';
import type { MakerSource } from '../session/index.ts';
import type { GuidePicture } from './guide.ts';

/**
 * What a maker's part looks like, with words in the home's language where its maker speaks it, otherwise in the author's.
 * Undefined where there is nothing to see: no such maker any more, values it refuses, or an empty drawing.
 */
export function madePicture(
  { maker: id, values, settings }: MakerSource,
  { speech, makers: { findMaker, speech: authorSpeech } }: { speech: Speech; makers: MakersInWords },
): GuidePicture | undefined {
  const maker = findMaker(id);
  const made = maker && runMaker(maker, values, { settings, speech: authorSpeech });
  if (!made?.ok || made.value.picture.shapes.length === 0) return undefined;
  const { picture, pictureWords, values: facts } = made.value;
  const said = speech.language === authorSpeech.language ? null : speech.find(`${id}/picture`, facts);
  return said === null
    ? { drawing: picture, words: pictureWords, lang: authorSpeech.language }
    : { drawing: picture, words: said, lang: speech.language };
}
