import { formatPieces, roundUp, type TemplateScope } from '../expressions/index.ts';
import { fetchOf, type FittedPart, type HomeFit } from '../homes/index.ts';
import { namesOf, type ThingsByKey } from '../materials/index.ts';
import type { Speech } from '../message.ts';
import { roundTo } from '../numbers/index.ts';
import { type LevelName, type MakerSource, valuesAt } from '../session/index.ts';
import { spreadOf } from '../time/index.ts';
import { type ComposedLine, composeSegment, writeNote } from './composition.ts';
import { nameFor } from './fetchList.ts';
import type { GuideLevel, GuideLine, GuidePicture, GuideSegment } from './guide.ts';

/** A home and what its guide is said with. */
export interface HomeContext {
  readonly fit: HomeFit;
  readonly things: ThingsByKey;
  /** The child that the session is for; absent: nobody named one. */
  readonly child: { readonly nickname: string; readonly loves?: string | undefined } | undefined;
  readonly speech: Speech;
  readonly authorLanguage: string;
  /** Whether there are two children or more, so that one can do this and another that. */
  readonly hasTwo: boolean;
  readonly pictureOf: ((source: MakerSource) => GuidePicture | undefined) | undefined;
  readonly soundsOf: ((source: MakerSource) => GuideSegment['sounds']) | undefined;
  /** What the home said it has not got and a part cannot do without, by the part's id. */
  readonly lacked: ReadonlyMap<string, readonly string[]>;
  /** Whether there is a smaller child than the session is for, beside another. */
  readonly hasLittleOne: boolean;
}

/** What lines may refer to at this home: its own things by name and number, and the dials as its swaps set them. */
export function homeScope(part: FittedPart, level: LevelName, { fit, things, child }: HomeContext): TemplateScope {
  const amounts = new Map(amountsAt(part, level, fit));
  return {
    values: { ...valuesAt(part.segment, level), ...part.sets },
    things: Object.fromEntries(
      part.served.map(({ need, item, id }) => [
        need.id,
        { ...namesOf(item ?? need.item, things), qty: roundUp(amounts.get(id) ?? 0) },
      ]),
    ),
    loves: child?.loves,
    child: child?.nickname,
  };
}

/** How many of what serves each need a level asks for, by the need's id in the session. */
function amountsAt(part: FittedPart, level: LevelName, { household }: HomeFit): [string, number][] {
  return part.served.map((served) => {
    const alone = { household, parts: [{ ...part, isLeftOut: false, served: [served] }] };
    const [total] = fetchOf(alone, new Map([[part.segment.id, level]]));
    return [served.id, total?.qty ?? 0];
  });
}

/** A part written whole at one level, as a home does it. */
export function guideLevel(part: FittedPart, level: LevelName, context: HomeContext): GuideLevel {
  const { segment } = part;
  const scope = homeScope(part, level, context);
  const { lines, together, alone, wait } = composeSegment(segment, scope, level);
  const spared = sparedIn(part);
  return {
    lines: withWait(
      lines.filter((line) => !isOnlyAbout(line, spared)).map((line) => ({ line, said: guideLine(line, context) })),
      { after: segment.waitAfter, minutes: Math.round(spreadOf(wait ?? [0, 0, 0]).mean) },
    ),
    note: level === 'right' ? undefined : writeNote(segment.levels[level], scope),
    more: moreFor(part, level, context),
    minutes: roundTo(spreadOf(together).mean + spreadOf(alone).mean, 1),
  };
}

/** Lines with the minutes that something waits behind the line that it waits after, or behind the last that is done where that one is not said. */
function withWait(
  lines: readonly { readonly line: ComposedLine; readonly said: readonly GuideLine[] }[],
  { after, minutes }: { readonly after: string | undefined; readonly minutes: number },
): GuideLine[] {
  const told = lines.filter(({ said }) => said.length > 0);
  const waiting =
    told.find(({ line }) => line.line.id === after) ?? told.findLast(({ line }) => line.line.kind === 'do');
  return told.flatMap(({ line, said }) =>
    minutes > 0 && line === waiting?.line ? said.map((one) => ({ ...one, wait: minutes })) : said,
  );
}

/** Needs that this home does the part without, because it can be done so. */
function sparedIn({ served }: FittedPart): ReadonlySet<string> {
  return new Set(served.filter(({ item, need }) => item === null && need.optional).map(({ need }) => need.id));
}

/** Whether a line speaks of things, and of none but these. */
function isOnlyAbout({ text, answer }: ComposedLine, needs: ReadonlySet<string>): boolean {
  const named = [text, answer].flatMap((said) =>
    said?.ok ? said.value.flatMap((piece) => (piece.kind === 'thing' ? [piece.need] : [])) : [],
  );
  return named.length > 0 && named.every((need) => needs.has(need));
}

/** A line in the home's language where it was said from a message, otherwise in the author's words; none where it cannot be written out. */
function guideLine({ line, text, answer }: ComposedLine, context: HomeContext): GuideLine[] {
  const { speech, authorLanguage, hasTwo } = context;
  const { kind, why, says, role } = line;
  if (role && !hasTwo) return [];
  const whose = role && { role };
  const said = says && speech.language !== authorLanguage ? speech.find(says.key, says.values) : null;
  if (says && said !== null) {
    const ownWords = (why && speech.find('framing/own', { text: { own: why } })) ?? why;
    const part = (name: string) => speech.find(`${says.key}.${name}`, says.values) ?? undefined;
    return [
      { kind, text: said, answer: part('answer'), why: part('why') ?? ownWords, lang: speech.language, ...whose },
    ];
  }
  if (!text.ok || formatPieces(text.value).trim() === '') return [];
  const expected = answer?.ok ? formatPieces(answer.value) : undefined;
  return [{ kind, text: formatPieces(text.value), answer: expected, why, lang: authorLanguage, ...whose }];
}

/** What the fetch list grows by if only this part changes to a level. */
function moreFor(part: FittedPart, level: LevelName, { fit, things }: HomeContext): GuideLevel['more'] {
  if (part.isLeftOut || level === part.segment.level) return [];
  const now = new Map(fetchOf(fit).map(({ item, qty }) => [item, qty]));
  return fetchOf(fit, new Map([[part.segment.id, level]])).flatMap(({ item, qty }) => {
    const more = qty - (now.get(item) ?? 0);
    return more > 0 ? [{ item, name: nameFor(item, more, things), qty: more }] : [];
  });
}
