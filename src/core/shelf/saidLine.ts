import { escapeBraces } from '../expressions/index.ts';
import type { Message, Speech } from '../message.ts';
import type { Line, LineKind } from '../session/index.ts';

/** A line said from a message in one language, which a guide can say again in another. Its reason is `<key>.why`. */
export function saidLine(id: string, kind: LineKind, says: Message, speech: Speech): Line {
  const why = speech.find(`${says.key}.why`, says.values);
  return { id, kind, text: escapeBraces(speech.say(says.key, says.values)), ...(why && { why }), says };
}
