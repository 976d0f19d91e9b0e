import { namesOf } from '../../materials/index.ts';
import { own } from '../../message.ts';
import { isAuthored } from '../authored.ts';
import type { Check, CheckedPart, Noticed } from '../check.ts';

interface Work {
  /** The work as a line asks for it, where a sentence or one of its parts begins. */
  readonly verbs: string;
  /** What it may be done with, by its name. */
  readonly tools: RegExp;
  readonly traits?: readonly string[];
  /** The tool to put on the list, by the key it has in the starter collection. */
  readonly tool: string;
  readonly name: 'cut' | 'stick' | 'draw' | 'paint' | 'stir' | 'tie' | 'thread' | 'pour' | 'weigh' | 'roll-dice';
}

/** What work is done with. */
const WORKS: readonly Work[] = [
  { name: 'cut', verbs: 'cut|snip', tools: /scissor|knife|cutter|peeler/, tool: 'scissors' },
  {
    name: 'stick',
    verbs: 'glue|stick|paste',
    tools: /glue|tape|paste|sticker|dough|plaster|label|blu|flour/,
    tool: 'glue-stick',
  },
  {
    name: 'draw',
    verbs: 'draw|trace|colour(?: in)?|write|mark|sketch',
    tools: /pen|crayon|chalk|felt|marker|brush|paint|charcoal|stick|flour|sand|tray|finger|water|steam/,
    traits: ['draws'],
    tool: 'crayon',
  },
  { name: 'paint', verbs: 'paint', tools: /brush|paint|sponge|water|finger|cotton/, tool: 'paintbrush' },
  { name: 'stir', verbs: 'stir|whisk', tools: /spoon|fork|whisk|stick|spatula|hand|straw/, tool: 'wooden-spoon' },
  {
    name: 'tie',
    verbs: 'tie',
    tools: /string|ribbon|wool|lace|yarn|cord|rope|scarf|belt|band|thread|sock|towel/,
    tool: 'string',
  },
  {
    name: 'thread',
    verbs: 'thread',
    tools: /string|ribbon|wool|lace|yarn|cord|straw|pipe|needle|skewer|spaghetti/,
    tool: 'string',
  },
  {
    name: 'pour',
    verbs: 'pour',
    tools:
      /jug|cup|bottle|bowl|jar|glass|can|mug|tub|spoon|carton|beaker|pot|box|pan|tin|tray|bucket|basin|bath|lid|sieve|funnel/,
    traits: ['container'],
    tool: 'measuring-jug',
  },
  { name: 'weigh', verbs: 'weigh', tools: /scale|balance|hanger|bag|bucket/, tool: 'kitchen-scales' },
  { name: 'roll-dice', verbs: 'roll (?:the|a) (?:dice|die)', tools: /dice|die|cube/, tool: 'die' },
];

/** Where the line says that it is done without. */
const WITHOUT =
  /\b(?:cards?|a line|lots|breath|(?:card|lot|name|one) out of the|the curtains?|tear|torn|in the air|with (?:your|a|one|their|her|his) finger|on (?:your|their|her|his|each other.s|my) (?:back|palm|hand|arm)|pretend|ready.cut|close to|together on|to the|with nothing|out your|out their|up your|at it|your hand|their hand)\b/i;

/** Work in a line whose tool nobody is told to have there. */
export const missingTool: Check = (looked) => {
  if (looked.segment.kind !== 'activity' || !isAuthored(looked.segment)) return [];
  return WORKS.flatMap((work): Noticed[] => {
    const line = looked.said.find(({ line, text }) => line.kind === 'do' && !line.says && asksFor(text, work));
    if (!line || isThere(looked, work)) return [];
    const { segment, things } = looked;
    const tool = Object.hasOwn(things, work.tool) ? work.tool : undefined;
    return [
      {
        id: `tool:${segment.id}/${work.name}`,
        weight: 'warning',
        line: line.line.id,
        values: { work: work.name, tools: tool ? 1 : 0, ...(tool && { tool: own(namesOf(tool, things).many) }) },
        remedy: tool ? { do: 'add-need', segment: segment.id, item: tool, qty: 1 } : undefined,
      },
    ];
  });
};

function asksFor(text: string, { verbs }: Work): boolean {
  const asks = new RegExp(
    `(?:^|[.!?:;“] ?|, | and | then |help (?:them|her|him) |child )(?:${verbs})s?(?=[ ,.])([^.!?]*)`,
    'gi',
  );
  return [...text.matchAll(asks)].some(({ 1: rest }) => !WITHOUT.test(rest!));
}

function isThere({ segment, things, said }: CheckedPart, { tools, traits = [] }: Work): boolean {
  const isTool = (item: string) =>
    tools.test(item) ||
    tools.test(namesOf(item, things).one.toLowerCase()) ||
    (Object.hasOwn(things, item) && traits.some((trait) => things[item]!.traits.includes(trait)));
  return (
    segment.needs.some(({ item }) => isTool(item)) ||
    said.some(({ text }) =>
      new RegExp(`\\b(?:with|use|using|your|the) (?:\\w+ ){0,2}(?:${tools.source})`, 'i').test(text),
    )
  );
}
