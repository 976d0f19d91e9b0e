/** Things that authors name in their own words, in the plural, and the shelf's keys for them. What is not here is taken as typed. */
const SHELF_KEYS: Readonly<Record<string, string>> = {
  apples: 'apple',
  blocks: 'building-block',
  bowls: 'bowl',
  buttons: 'button',
  carrots: 'carrot',
  coins: 'coin',
  crayons: 'crayon',
  cups: 'cup',
  cushions: 'cushion',
  feathers: 'feather',
  forks: 'fork',
  hats: 'hat',
  leaves: 'leaf',
  lemons: 'lemon',
  lids: 'bottle-lid',
  mittens: 'mitten',
  napkins: 'paper-napkin',
  pebbles: 'pebble',
  pegs: 'clothes-peg',
  pencils: 'pencil',
  'pine cones': 'pine-cone',
  plates: 'plate',
  potatoes: 'potato',
  ribbons: 'ribbon',
  saucepans: 'saucepan',
  scarves: 'scarf',
  shoes: 'shoe',
  socks: 'sock',
  spoons: 'spoon',
  teaspoons: 'teaspoon',
  'toy animals': 'toy-animal',
  'toy cars': 'toy-car',
  twigs: 'twig',
};

/** The shelf's key of a thing that is named in the plural; null where it is taken as typed. */
export function shelfKeyOf(plural: string): string | null {
  const word = plural.toLowerCase();
  return Object.hasOwn(SHELF_KEYS, word) ? SHELF_KEYS[word]! : null;
}
