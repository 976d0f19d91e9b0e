import type { LineKind } from './line.ts';

/** Words that open a line of a kind, where they are followed by what is to be done. */
const OPENINGS: readonly (readonly [LineKind, RegExp])[] = [
  ['if', /^(?:if|when) (?:they|your child|the child|he|she|somebody|someone|nobody|it|that|this|you)\b/iu],
  ['notice', /^(?:notice|watch|look (?:out )?for|see (?:if|whether|how)|listen (?:out )?for)\b/iu],
  ['sing', /^(?:sing|hum)\b/iu],
  ['read', /^(?:read)\b/iu],
];

/**
 * The kind that a line's words suggest: what is in quotation marks is said, a question in them is asked; “if they”, “notice”,
 * “sing” and “read” say it themselves. Anything else, and an empty line, is something to do.
 */
export function guessKind(text: string): LineKind {
  const words = text.trim();
  const quoted = /^[“"‘']\s*(.+?)\s*[”"’']?[.!]?$/su.exec(words)?.[1];
  if (quoted !== undefined) return /\?[”"’']?$/u.test(words) || quoted.endsWith('?') ? 'ask' : 'say';
  const opening = OPENINGS.find(([, pattern]) => pattern.test(words));
  if (opening) return opening[0];
  return /\?$/u.test(words) ? 'ask' : 'do';
}
