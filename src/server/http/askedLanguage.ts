import Negotiator from 'negotiator';
import { GUIDE_LANGUAGE_IDS, type GuideLanguage } from '../../core/languages.ts';

/** Further than this no header is read. */
const MOST_LETTERS = 200;

/** The language of guides that a browser likes best; the authors' where it likes none of them or says nothing. */
export function askedLanguage(headers: Headers): GuideLanguage {
  const accepted = (headers.get('accept-language') ?? '').slice(0, MOST_LETTERS);
  const [best] = new Negotiator({ headers: { 'accept-language': accepted } }).languages(GUIDE_LANGUAGE_IDS);
  return (best as GuideLanguage | undefined) ?? GUIDE_LANGUAGE_IDS[0]!;
}
