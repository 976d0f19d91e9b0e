import { note, harmless } from './entryKinds.ts';
import type { WordEntry } from './wordList.ts';

/** What only needs a line of care in the guide. */
export const NOTES: readonly WordEntry[] = [
  note(
    'dark',
    'In the dark a lamp stays within reach and the floor is clear.',
    `in the dark!; dark! room; darkened! room; darkness; lights! out; lights! off; turn* … light/lights off; turn* off the light; turn* off the lights; switch* off the light; switch* … light/lights off; curtains! closed; close* … curtain; draw* … curtain; make* it dark!; pitch! dark; after dark!`,
  ),
  note(
    'light',
    'Light goes on to the wall, never into a face.',
    `torch; flashlight; lamp; spotlight; head! torch; mirror; light! beam; projector`,
  ),
  note(
    'batteries',
    'The lid of anything with batteries is screwed shut.',
    `battery; batteries!; fairy! lights!; remote! control; electronic! toy; kitchen! scales!; head! torch`,
  ),
  note(
    'carrying',
    'Heavy, long or breakable loads are carried close, with a clear way.',
    `carry* … heavy/glass/jug/bowl/tray/chair/plate/box/bucket/water/egg/pan/backwards/long/big/pile/tower/stack/basket/suitcase/log; lift* … heavy/box/chair; heavy! box; heavy! bag; heavy! load; drag* … chair/table; push* … chair/table/box; walk* backwards; walking! backwards; backwards! across; egg! and spoon; in your mouth while; balance* … on … head`,
  ),
  note(
    'slips',
    'Wet feet, paper, cloth and socks slide.',
    `wet! floor; slippery; slip*; in … socks!; sock! slide; slide* across; slide* along; skate*; step* on … paper/newspaper/page/cushion/cloth/towel/card/sheet; stepping! stone; island of paper; newspaper! island; soapy! floor; spilt! water; ice! outside; bare! feet; barefoot`,
  ),
  note(
    'soil',
    'Hands are washed after soil, sand and what is found outside.',
    `soil; mud; muddy; compost; garden; flower! bed; flowerbed; sandpit; sand! pit; dig*; earthworm; worm; snail; slug; beetle; woodlouse; woodlice!; minibeast; bug! hunt; feather; leaf; leaves!; twig; pine! cone; fir! cone; pine! needle; moss; bark! of; puddle; park; woods!; forest! walk; stick! from; stones! from; plant* … seed/bean/bulb; plant! pot; allotment; hedge; grass; nature! walk; bird! feeder`,
  ),
  note(
    'glass',
    'Glass stays in an adult’s hands; clear plastic will do.',
    `glass; glass! jar; jam! jar; glass! bottle; wine! glass; light! bulb; vase; china! cup; porcelain; ceramic; mirror; picture! frame; snow! globe; test! tube; bottle! of glass; crystal! glass`,
  ),
  note(
    'dyes',
    'Paint, glue and glitter are made for children and wash off.',
    `paint*; glue*; glitter; food! colouring; food! coloring; dye*; ink; felt! tip; felt! pen; marker! pen; permanent! marker; marker; ink! pad; stamp! pad; pva; beetroot! juice; face! paint; henna`,
  ),
  note(
    'food-in-art',
    'Food that touched paint or glue is thrown away, not eaten.',
    `potato! print; potato! stamp; vegetable! print; print* … potato/apple/celery/vegetable; glue* … pasta/rice/bean/lentil/cereal; paint* … pasta/potato/apple/vegetable; macaroni! necklace`,
  ),
  note(
    'sound',
    'Loud things stay away from ears.',
    `whistle; drum; cymbal; pan! lid; saucepan! lid; saucepan! lids!; bang* … pan/pot/lid/saucepan/tin/drum; clash*; crash* … lid/cymbal/together; trumpet; horn; recorder; megaphone; headphone; earphone; loudspeaker; shout* … ear; scream*; alarm! clock; siren; triangle! beater; gong`,
  ),
  note(
    'pinching',
    'Pegs, hangers, doors and elastic pinch.',
    `clothes! peg; peg; coat! hanger; hanger; elastic! band; rubber! band; elastic; door! hinge; slam*; drawer; deck! chair; deckchair; folding! chair; ironing! board legs; mousetrap; zip! up; umbrella; stapler`,
  ),
  note(
    'movement',
    'The floor is cleared first, and socks come off.',
    `jump*; dance*; hop*; gallop*; spin*; twirl*; skip! round; skip! across; skip! along; skipping!; run! to; run! and; run! round; run! around; run! across; run! back; running!; race*; chase*; cartwheel; somersault; blindfold; eyes! closed; eyes! shut; close* … eyes; shut* … eyes; crawl*; leap*; obstacle! course; musical! statues; tag!; stamp* … feet; march*`,
  ),
  note(
    'screens',
    'Minutes at a screen count.',
    `video; television; telly; tv; computer; laptop; on … phone; on … tablet; screen; app! on; online; website; film! on`,
  ),
  note(
    'cords',
    'Long cords stay away from necks and are put away afterwards.',
    `string; rope; ribbon; wool; yarn; shoelace; shoe! lace; lace; cord; scarf; scarves!; tape! measure; skipping! rope; thread*; washing! line; clothes! line; twine`,
  ),
  harmless(
    'Only the sound or the look of it.',
    `dark! blue; dark! green; dark! brown; dark! red; dark! hair; dark! one; dark! colour; light! and dark; darker! than; glass! of milk pretend; looking! glass; magnifying! glass; hour! glass; paint* … with water; paint* … picture in; leaf! through; string! of letters; string! of words; string! of numbers; string! quartet; rope! in; ribbon! of paper; paper! ribbon; drawer! of the; chest of drawers; top drawer; horn! of a; drum! roll on; park! the; parking! space of; car! park of; garden! of paper; thread* … needle pretend; thread of; lace! up; peg! number; hop! the word; hop* the words; mark! the; triangle; square; spin! of the; dance! of the letters; march! of; month of march!; in march!; on … march!; march! 1; march! 2; may and march!; run* out; run! your finger; run* … finger; running! order; in the long run!; zip! it; screen! print; tin! drum; jump! the line; skip! the; leap! year; film! star`,
  ),
];
