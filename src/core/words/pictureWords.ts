/** A noun that a child can name from its picture. */
export interface PictureWord {
  readonly word: string;
  /** The name of its picture. */
  readonly picture: string;
  /** A thing that is found in many homes, so that it can be fetched. */
  readonly isInHouse: boolean;
  /** Words of one group share or blur a picture: never two of them on a sheet. */
  readonly group?: string | undefined;
  readonly category: string;
}

/**
 * Chosen and looked at by hand, by what it is. `word:picture` where the picture has another name; `*` is found in many homes;
 * `~group` is easily taken for others of that group.
 */
const TABLE: Readonly<Record<string, string>> = {
  animal:
    'ant badger bat~bat bear beaver bee:honeybee beetle~bug bird bison~cattle boar bug~bug butterfly camel cat chick:baby-chick~hen chicken~hen chipmunk~squirrel ' +
    'cow crab cricket crocodile deer dodo dog dolphin donkey dove dragon duck eagle elephant fish flamingo fly fox frog giraffe goat ' +
    'goose gorilla~ape hamster~mouse hedgehog hen:chicken~hen hippo:hippopotamus horse jellyfish kangaroo koala ladybird:lady-beetle leopard lion lizard llama lobster ' +
    'mammoth monkey~ape moose mosquito mouse~mouse octopus orangutan~ape otter owl ox~cattle oyster panda parrot peacock penguin pig poodle~dog ' +
    'rabbit raccoon ram~sheep rat~mouse rhino:rhinoceros rooster~hen scorpion seal shark sheep:ewe~sheep shrimp skunk sloth snail snake spider squid squirrel:chipmunk~squirrel ' +
    'swan tiger turkey turtle unicorn whale wolf worm zebra',
  body: 'bone ear eye foot hand:raised-hand leg lip:mouth~mouth mouth~mouth nose thumb:thumbs-up tongue tooth brain arm:flexed-biceps wing feather* paw:paw-prints skull ',
  food:
    'apple:red-apple* avocado bacon bagel banana* bean:beans* berry:blueberries~berry blueberry:blueberries~berry bread* broccoli burger:hamburger butter* cake:shortcake~cake candy carrot* cheese:cheese-wedge* cherry:cherries ' +
    'chestnut coconut cookie* corn:ear-of-corn cracker:rice-cracker croissant cucumber* cupcake custard doughnut dumpling egg* garlic* grape:grapes ham:meat-on-bone~meat herb* honey:honey-pot* ' +
    'juice:beverage-box jam:jar~jar kiwi:kiwi-fruit lemon* lettuce:leafy-green~leaf lime lollipop mango meat:cut-of-meat~meat melon milk:glass-of-milk~glass* mushroom noodle:steaming-bowl nut:chestnut~chestnut olive onion* orange:tangerine* ' +
    'pancake:pancakes pasta:spaghetti* pea:pea-pod peach peanut:peanuts pear* pepper:bell-pepper* pie pineapple pizza popcorn potato* pretzel pumpkin:jack-o-lantern rice:cooked-rice* salad:green-salad ' +
    'salt* sandwich soup:pot-of-food~pot strawberry steak:cut-of-meat~meat sushi sweet:candy~candy taco tea:teacup-without-handle~cup* tomato* waffle water:pouring-liquid~glass watermelon chocolate:chocolate-bar loaf:bread~bread ',
  kitchen:
    'fork:fork-and-knife~fork* plate:fork-and-knife-with-plate~fork* bottle:baby-bottle* bowl:bowl-with-spoon* chopstick:chopsticks cup:teacup-without-handle~cup* glass:glass-of-milk~glass* jar* jug:pouring-liquid~glass* knife:kitchen-knife* mug:hot-beverage~cup* ' +
    'pan:cooking* pot:pot-of-food~pot* spoon* straw:cup-with-straw tin:canned-food* can:canned-food~tin* teapot~pot ',
  house:
    'bag:shopping-bags* balloon* basket* bath:bathtub~bath bathtub~bath battery* bed* bell* bin:wastebasket* book:closed-book* box:package* brick* broom* brush:toothbrush~brush* bucket* bulb:light-bulb~lamp calendar camera candle* ' +
    ' chair* clock:mantelpiece-clock* comb:hair-pick* computer:laptop~screen couch:couch-and-lamp~seat crayon* crutch cushion:seat~seat door* drum envelope* fan:folding-hand-fan flower:blossom* frame:framed-picture gift:wrapped-gift ' +
    'hammer* hook house* jigsaw:puzzle-piece* key* ladder lamp:light-bulb~lamp* laptop~screen letter:love-letter light:light-bulb~lamp list:memo lock:locked magnet map:world-map mirror* needle:sewing-needle ' +
    'newspaper* notebook* paper:page-facing-up* parcel:package~box pen* pencil* phone:mobile-phone* photo:framed-picture~frame picture:framed-picture~frame pin:pushpin* plant:potted-plant* plug:electric-plug postcard:envelope~envelope purse* puzzle:puzzle-piece~jigsaw* radio ' +
    'razor ribbon* ring rope:knot* ruler:straight-ruler* sack:money-bag* saw:carpentry-saw scissors* screw:nut-and-bolt screwdriver shell:spiral-shell* shower soap* sofa:couch-and-lamp~seat sponge* spanner:wrench stool:chair~chair string:yarn~yarn* syringe ' +
    'tap:potable-water teddy:teddy-bear* television~screen tent thermometer thread* ticket toilet toolbox toothbrush~brush* torch:flashlight* toy:teddy-bear~teddy trumpet umbrella:closed-umbrella* vase:amphora violin wall:brick~brick watch* wheel whistle:postal-horn window* wool:yarn~yarn* yarn~yarn yoyo:yo-yo ',
  clothes:
    ' boot:hiking-boot* bow:ribbon~ribbon cap:billed-cap* coat* crown dress* glasses* glove:gloves* hat:top-hat* jacket:coat~coat jeans* mitten:gloves~glove pants:jeans~jeans sandal:thong-sandal scarf* shirt:t-shirt* shoe:running-shoe* shorts* sock:socks* ' +
    'tie:necktie trousers:jeans~jeans vest:running-shirt goggles helmet:rescue-workers-helmet backpack*',
  play: 'ball:soccer-ball* bat:cricket-game~bat card:joker~card dice:game-die* doll:nesting-dolls* guitar kite piano:musical-keyboard robot skate:roller-skate sled slide:playground-slide trophy banjo flute accordion ',
  outside:
    '  bridge:bridge-at-night cactus castle church cloud comet desert fire flag:triangular-flag fog:foggy fountain garden:house-with-garden hill:mountain~hill hole hut ice island:desert-island ' +
    'leaf:fallen-leaf~leaf* lightning:high-voltage log:wood~wood moon:crescent-moon mountain~hill nest:nest-with-eggs rain:cloud-with-rain rainbow road:motorway~road rock~stone rose sand:beach-with-umbrella sea:water-wave~wave ' +
    'seed:seedling* shed:hut~hut snow:snowflake snowflake~snow snowman spiderweb:spider-web star stone:rock~stone* storm:tornado~wind sun sunflower tornado~wind tree:deciduous-tree~tree tulip volcano wave:water-wave~wave web:spider-web~spiderweb wind:wind-face wood~wood ',
  go:
    'ambulance anchor bicycle~bike bike:bicycle~bike boat:sailboat~boat bus canoe car:automobile engine:locomotive~train ferry helicopter jet:airplane~plane lorry:articulated-lorry~truck motorbike:motorcycle parachute plane:airplane~plane raft:canoe~canoe rocket sail:sailboat~boat scooter:kick-scooter ' +
    'ship~boat skateboard taxi~car tractor train tram truck:delivery-truck~truck van:minibus yacht:sailboat~boat',
  people:
    'baby boy cook~cook chef:cook~cook dancer:woman-dancing dad:man~man detective doctor:health-worker~doctor farmer girl ghost grandma:old-woman grandpa:old-man man~man mum:woman~woman pilot prince~prince princess~princess teacher woman~woman clown:clown-face giant:troll~giant ',
};

const ENTRY = /^([a-z]+)(?::([a-z0-9-]+))?(?:~([a-z]+))?(\*?)$/;

function read(category: string, text: string): PictureWord[] {
  return text
    .trim()
    .split(/\s+/)
    .map((entry) => {
      const [, word, picture, group, star] = ENTRY.exec(entry)!;
      return { word: word!, picture: picture ?? word!, isInHouse: star === '*', group, category };
    });
}

/** Every noun with a picture, by what it is. A word stands here once. */
export const PICTURE_WORDS: readonly PictureWord[] = withSharedGroups(
  uniqueByWord(Object.entries(TABLE).flatMap(([category, text]) => read(category, text))),
);

function uniqueByWord(words: readonly PictureWord[]): PictureWord[] {
  const seen = new Set<string>();
  return words.filter(({ word }) => !seen.has(word) && seen.add(word));
}

/** Words that share a picture are a group, whether or not the table says so. */
function withSharedGroups(words: readonly PictureWord[]): PictureWord[] {
  const groupOf = new Map<string, string>();
  for (const { picture, group } of words) if (group !== undefined) groupOf.set(picture, group);
  return words.map((entry) => ({ ...entry, group: groupOf.get(entry.picture) ?? entry.group }));
}

/** Nouns with a picture, by their word. */
export const PICTURE_WORD: ReadonlyMap<string, PictureWord> = new Map(
  PICTURE_WORDS.map((entry) => [entry.word, entry]),
);
