import { FOODS } from './enFoods.ts';
import { NOTES } from './enNotes.ts';
import { WATER } from './enWater.ts';
import { ask, check, harmless, note } from './entryKinds.ts';
import type { WordEntry, WordList } from './wordList.ts';

const HEAT: readonly WordEntry[] = [
  check(
    'heat',
    'Scalds from hot water and drinks are the commonest burns of small children.',
    `kettle; boil*; bubbling! water; pan of bubbling; bubbling pan; drain* … spaghetti/pasta/rice/potato; simmer*; scald*; steaming!; hot! water; hot! tap; very hot!; piping hot!; carry* … soup/tea/coffee/kettle/pan; stir* … soup/stew/jam/gravy/porridge; soup … bubble*; hot! cup; hot! mug; hot! jug; red hot!; hot! drink; hot! tea; hot! coffee;
     hot! chocolate; hot! milk; hot! soup; hot! food; hot! bath; cup/mug of coffee; boiler; hot! water bottle; steam! iron; steamer; over the steam;
     hot! wax; melted wax; hot! oil; hot! fat; hot! sugar; caramel on the hob; freshly boiled; straight from the kettle; teapot of hot`,
  ),
  check(
    'heat',
    'Cookers, ovens and their pans burn long after they are off.',
    `oven; hob; stove; cooker; microwave; grill; toaster; air fryer; fryer; deep fry*; fry*; frying pan; roast*; bake*; barbecue; bbq; griddle; waffle iron;
     hot! pan; hot! plate; hotplate; hot! tray; hot! pot; hot! dish; pan on the; saucepan on the; pot on the heat; on the heat; over the heat; turn on the gas; gas ring;
     melt* … chocolate/butter/wax/sugar/cheese/marshmallow/crayon; toast* … over; toasted marshmallow; cook* … pan/hob/stove/cooker/oven/pancake/egg/pasta/rice; boiled! water`,
  ),
  check(
    'heat',
    'What warms a room or dries hair burns skin that touches it; mains electricity burns too.',
    `radiator; heater; fan heater; hairdryer; hair dryer; hair straightener; curling iron; tumble dryer; electric blanket; glue gun; hot! glue; soldering iron; hot! lamp; hot! bulb;
     hot! stone; hot! coal; ember; hot! ash; ironing!; ironing board; hot! iron; iron! the; plug* … in/into/socket; socket; power point; extension lead; electric wire; mains; live wire`,
  ),
  check(
    'flame',
    'A flame sets hair, sleeves and paper alight in a second.',
    `candle; tealight; tea light; night light candle; flame; naked flame; bonfire; campfire; camp fire; open fire; log fire; wood burner; fireplace; fireside; fire pit; firework; sparkler; blowtorch;
     torch of fire; burn*; burnt!; set fire; set light; set alight; light* … candle/fire/match/stick/wick/lantern/lamp/barbecue/firework/stove/gas; strike* … match; box of matches; matches! and; lit! match; with matches;
     cigarette lighter; gas lighter; with a lighter; use* a/the lighter; flick … lighter; incense; joss stick; oil lamp; petrol; lighter fluid; blow* out the candle; fire! basket; smouldering!`,
  ),
  ask(
    'heat',
    'A cup of tea is hot, or it is played.',
    `cup/mug/pot of tea; cook*; iron; hot! potato; hot! dog; warm* … up; heat* … up`,
  ),
  ask(
    'flame',
    'Fire and light burn, or are in a story.',
    `fire; a match; the match; matches!; matchstick; matchbox; lantern; rocket; volcano; smoke`,
  ),
  harmless(
    'Nothing is hot or burns there.',
    `fire engine; fire station; fire truck; fire fighter; fire drill; fire alarm; fire exit; hot! air balloon; boiling mad; hot! pink; hot! and cold; hot! or cold; too hot!; is it hot!; warmer and hotter;
     match* the; match* up; match* … card/colour/pair/sock/picture/lid/shape/number/word/sound; matching!; a match!; do they match!; they match!; which match!; match! with; football match; tennis match;
     find … match!; light! blue; light! green; light! box; iron! gate; iron! bar; lighter than; is lighter; which is lighter; the lighter one; lighter or heavier; heavier or lighter; feel* lighter; light* up;
     steam! train; steam! engine; steamboat; steam! roller; oven! glove; oven! mitt; baking! paper; baking! tray; baking! powder; rocket! leaf; rocket! ship; space rocket; pretend! fire; half baked!; cook* up a; cook book;
     bread oven game; rolling boil; hot! on the trail; burn* off energy; burn* through the story/book/page/list; plug* in the sink/bath/basin/plughole; bath plug`,
  ),
];

const BLADES: readonly WordEntry[] = [
  check(
    'blades',
    'Blades cut small fingers before anybody can reach them.',
    `sharp! knife; kitchen knife; bread knife; craft knife; penknife; pocket knife; carving knife; vegetable knife; steak knife; paring knife; fruit knife; chef knife; palette knife blade; knife block; box cutter; cutter blade;
     cut* … with/using a/the/your knife; with a knife; use* a/the/your knife; using a/the knife; take* a/the knife; hold* the knife; hand* … knife; razor; razor blade; blade; scalpel; secateurs; shear; axe; hatchet; chisel; cleaver; sword of metal; dagger;
     hand saw; hacksaw; saw* through; with a saw; sawing!; power tool; electric drill; drill; lawn mower; mower; strimmer; chainsaw; machete; penknives; pizza cutter; pizza wheel; mandoline; sharp! edge; sharp! point; sharp! stick; sharp! thing; sharp! tool; very sharp!; sharp! scissors`,
  ),
  check(
    'blades',
    'Cutting up food is done with a knife, a grater or a peeler.',
    `chop*; slice the; slice a; slice up; slice it; slice them; slicing!; dice the; cut* … apple/carrot/potato/pumpkin/bread/cheese/fruit/vegetable/sausage/onion/cucumber/melon/tomato/banana/grape/cake/sandwich/lemon/orange/strawberry/pepper into/in;
     cut* up the fruit; grater; grate*; peeler; peel* … potato/carrot/apple/cucumber/pumpkin/vegetable; carve*; whittle*; core the apple; apple corer; blender; food processor; mixer blade; hand blender; mincer; tin opener; can opener; open* a/the tin; open* a/the can; tin lid; rim of the tin; rim of a tin; tin rim; jagged!`,
  ),
  check(
    'blades',
    'Points go into eyes and mouths, most of all on the move.',
    `needle; sewing needle; knitting needle; darning needle; pin; safety pin; drawing pin; push pin; thumbtack; tack; hat pin; skewer; kebab stick; cocktail stick; toothpick; nail! and; hammer*; hammer … nail; nail* … wood; screwdriver; awl; staple*; stapler; fish hook; barbed wire; wire cutter; pliers;  shard; splinter; barbecue fork; thorn; stick in … mouth; pencil in … mouth; scissors in … hand; run*/walk*/jump* with … scissors/knife/pencil/stick/fork; broken! glass/plate/cup/shell/china/jar/bottle/bulb/toy; break*/smash*/shatter* … glass/bulb/jar/bottle/window/mirror/plate/vase/lamp/mug; compass point; dart; arrow head; catapult`,
  ),
  ask(
    'blades',
    'A table knife lies beside a fork, or it cuts.',
    `knife; knives; sword; saw; spear; nail; needle and thread`,
  ),
  note(
    'scissors',
    'Scissors suit the hand and are used sitting down.',
    `scissors; snip*; cut* out; cut* … paper/card/string/strip/shape/line/ribbon/wool/tape/fabric/cloth/felt; cut* along; cut* round; cut* around`,
  ),
  harmless(
    'Nothing there cuts or pricks.',
    `chop! chop!; karate chop; chopstick; chopping! board; pork chop; lamb chop; rolling! pin; rolling! pins; pin! number; pins! and needles; bowling pin; clothes pin; pin! drop; pin! the tail; pine needle; jigsaw; see saw; seesaw; saw! a; saw! the; saw! that; saw! it; saw! you; saw! me; saw! them; we saw!; i saw!; you saw!; they saw!; she saw!; he saw!; who saw!;
     finger nail; fingernail; toe nail; nail varnish; nail! clipper; slice of bread; slice of toast; slice of cake; slice of pizza; slice of apple; slice of melon; blade of grass; razor shell; shoulder blade; sharp! ear; sharp! eyes; look sharp!; f sharp!; c sharp!; sharp! left; sharp! right; sharp! turn; sharp! bend; sharp! at;
     tin! box; tin! whistle; biscuit tin; cake tin; baking tin; cake! tin; tin! foil; grateful; great; hammer toe; toy hammer; drill a; spelling drill; fire drill; hook and eye; coat hook; hook! on; drop needle; axes of; tack* on; peel* … banana/orange/satsuma/mandarin/sticker/clementine; peel* off; knife! fork; fork! and knife; knife! and fork; knives! and forks; knives! forks; table knife; butter knife; spoon! and knife; knives! and spoons; nail* it; dart* about; arrow! key; arrow! points; draw an arrow; follow the arrow; cut* corners; short cut; hair cut`,
  ),
];

const OUTSIDE: readonly WordEntry[] = [
  check(
    'road',
    'Children under about nine cannot judge traffic, and are quicker than a hand that is not holding theirs.',
    `cross* … road/street; across the road; across the street; over the road; busy! road; main! road; side of the road; in/into/onto/on/near/by/beside/down the road; roadside; road! side; roadworks; kerb; curb; pavement; traffic; zebra crossing; pelican crossing; level crossing; crossing! point; lollipop lady; car park; parking! lot; driveway; in/into/onto/across/along/down the street; junction; roundabout! where;
     motorway; dual carriageway; bypass; lay by; crossroads; crossroad; bus stop; bus station; wait* for the bus; railway; train! station; train! track; station! platform; tram; walk* to the shop/park/post/library/school/corner/station/letterbox/postbox/bakery/market/nursery/playground; walk* round/around the block; round the block; go* for a walk; out for a walk; on a walk; on your walk; on the way to school; on the way home; house number; door number; numbers! on … doors; count* … cars; watch* the cars; cars! go/going/drive/pass/passing; passing cars; parked! car; behind … car/cars/van/bus/lorry; behind a car; between the cars; number! plate; street sign; traffic light; post box; postbox; letterbox on the corner; ride* … bike/bicycle/scooter; cycle* to; scooter! ride; skateboard; roller skate; chase* … ball/car; ball … into the road; trip to town`,
  ),
  ask(
    'road',
    'A road of tape is played on; a real one has cars.',
    `road!; street!; walk* outside; go* outside; outdoors; front door; garden gate`,
  ),
  check(
    'heights',
    'Falls from furniture, windows and stairs are the commonest reason for a child to be in hospital.',
    `up/on/climb* … ladder; lean* … ladder; stepladder; step ladder; stand* on … chair/stool/table/sofa/box/bed/shelf/worktop/bench/windowsill/tower/bucket; climb* … chair/stool/table/sofa/tree/wall/fence/shelf/shelves/bookcase/wardrobe/cupboard/window/bed/gate/frame/rock/bars/drawers/worktop/roof/railing;
     jump* off; jump* down; jump* from; leap* from; leap* off; open! window; open* … window; lean* out; out of the window; upstairs! window; drop*/throw*/hang*/reach* … window; sit*/stand*/lean*/kneel*/climb* … windowsill/sill; window! ledge; on the ledge; balcony; roof! terrace; rooftop; on the roof; up a tree; in the tree; tree! house; over the banister; over the bannister; banister; bannister; railing; stair! gate; stairgate; bunk! bed; bunk; top bunk; top shelf; high! shelf; from a height; cliff; scaffold; on your/my/his/her/their shoulders; piggyback; trampoline; swing* … by the arms; swing* on the gate/door/curtain/rope/branch; upside down from; hang* from … tree/bar/branch/door/beam/rope/rail; sit*/walk*/stand* on the wall; walk* along the top of; climb* it; tower … climb*; walk* along the kerb/edge; balance* on … wall/sofa/arm/beam/back/rail; top of the slide; climbing! frame; monkey bars; zip wire; abseil; tip* back on … chair; wobbly chair; rocking chair on`,
  ),
  ask('heights', 'A window is looked through, or opened.', `ladder; lean* … window; up to the window; climb* … tower`),
  check(
    'movement',
    'What rolls, flies or is swung cannot be stopped by a child.',
    `let* go of the pram/buggy/pushchair; pram/buggy/pushchair … hill; ride*/sit* … trolley; trolley … ramp/hill/down; throw* … stone/rock/brick/stick/knife/fork; swing* … round/around … head; pull* … tablecloth; rug … from under; down the stairs on/in; slide* down the banister/stairs`,
  ),
  note(
    'climbing',
    'On steps an adult stays one below.',
    `stair; staircase; upstairs; downstairs; up the steps; down the steps; on the steps; bottom step; top step; front step; doorstep; climb*; each step; stepping stool; escalator`,
  ),
  harmless(
    'Nobody is near traffic or high up.',
    `road! of; tape road; road! on the carpet; road! on the floor; road! of tape; toy road; paper road; road! map; draw* a road; road! with tape; road! for the; roads! on; tape* … road; mask* tape road; off road; on the road to reading; look* out of the window; look* through the window; look* from the window; sit* by the window; at the window; window! of the house; pocket lane; memory lane; street! dance; toy car; little car; toy bus; toy lorry; toy! bike; shopping! street game; wall! of blocks; tower! of; block tower; build* a tower; tall tower; tree! of; family tree; christmas tree; swing* … arms; slide* … finger/counter/lid/card/bead/paper/coin; snakes! and ladders!; ladder! of; word! ladder; number! ladder; climb*/up/on … number/word/letter/paper ladder; rope ladder game; high! five; high! number; high! voice; high! note; step* over; step* by step; outside! of; the outside!; outside in; inside outside; bus! stops; wheels! on the bus; car! boot; car! mat; cliffhanger; jump* down the line; jump* down the row; jump* from square; jump* from number; jump* from cushion; jump* from one`,
  ),
];

const MOUTH: readonly WordEntry[] = [
  check(
    'choking-food',
    'Round, hard or sticky food is what small children choke on; paediatric first aid has it cut lengthways up to five.',
    `grape; cherry! tomato; cherry! tomatoes!; cherry; blueberry; popcorn; pop corn; boiled! sweet; hard! sweet; sweet! jar; sweets!; sweetie; candy; lollipop; lolly; toffee; mint! sweet; peppermint; gobstopper; chewing! gum; bubble! gum; jelly! baby; jelly! babies!; jelly! bean; jelly! cube; gummy; wine! gum; marshmallow; raw! carrot; carrot! stick; carrot! round; carrot! coin; raw! apple; apple! chunk; chunk of apple; chunk of cheese; cheese! cube; cube of cheese;
     sausage; hot! dogs!; frankfurter; chipolata; olive; raisin; sultana; dried! fruit; pumpkin! seed; sunflower! seed; melon! ball; lychee; longan; plum! stone; cherry! stone; date! stone; pip; pretzel; crisps!; tortilla! chip; sugar! cube; sugar! lump; cough! sweet; cough! drop; chocolate! egg; chocolate! button; chocolate! coin; mini! egg; ice! lolly stick; whole! nut; chickpea; raw! pea; frozen! pea; raw! celery; celery! stick; cucumber! round; radish; fish! bone; chicken! bone; eat* … lying; eat* … running; run* … eat/mouth; mouth full; throw* … into … mouth; catch* … mouth; suck* … ice/cube/sweet/stone/pebble/coin/button/marble/bead/lid; in/into your/his/her/their/the/our mouth`,
  ),
  check(
    'choking-food',
    'Whole nuts choke, whoever is allergic or not.',
    `nut; peanut; almond; hazelnut; walnut; cashew; pecan; pistachio; brazil nut; macadamia; monkey nut; mixed nuts; conker in … mouth`,
  ),
  check(
    'balloons',
    'A burst or uninflated balloon is sucked in and cannot be got out again.',
    `balloon; water bomb; latex glove; rubber glove blown; blow* up a glove`,
  ),
  check(
    'magnets-cells-beads',
    'Two strong magnets or one button cell that are swallowed burn through the bowel; water beads swell inside.',
    `magnet; magnetic; fridge magnet; button! cell; button! battery; coin! cell; coin! battery; watch! battery; hearing aid battery; battery flap/cover/compartment/lid/door/hatch; open*/undo*/unscrew*/prise* … battery; water! bead; expanding! bead; swelling! bead; jelly! ball; neodymium; battery out; take* out the battery; musical card; old watch battery; lick*/taste*/suck*/swallow* … battery/coin/button/bead/marble/magnet`,
  ),
  check(
    'cords',
    'A loop round a neck tightens when it catches.',
    `round/around … neck; necklace; string! of beads; lanyard; noose; lasso; leash; lead! round; blind! cord; curtain! cord; dressing! gown cord; skipping! rope round; tie* … to the chair; tie* … wrist/hands/feet/waist/child; tie* yourself; tie* … tooth; string … tooth; rope! swing; swing* on/from … rope/line/cord/string/curtain/rail/branch/bar; make*/tie*/hang* a swing; hammock; hang* the rope; tug of war; scarf! round; scarf! around; cape; tied! cloak; medal; harness; dog! lead; reins; cable; phone! charger`,
  ),
  check(
    'bags',
    'Film and bags cling to a face; a closed chest or machine has no air.',
    `plastic! bag; bin! bag; bin! liner; carrier! bag; nappy! bag; sandwich! bag; freezer! bag; polythene; cling! film; clingfilm; shrink! wrap; bubble! wrap; bag! over; over … head; over … face; over … mouth; over … nose; cover* … face; dry cleaning! bag; beanbag filling; polystyrene bead; washing! machine; hide* … fridge/freezer/dryer/chest/trunk/suitcase/oven/machine/cupboard; shut* … in the cupboard/box/chest/suitcase; lock* … in; lock* … cupboard/wardrobe/shed/bathroom/brother/sister/child/yourself; climb* into the suitcase; inside the fridge; inside the freezer; duvet cover; bury* … sand/legs/other/child/brother/sister`,
  ),
  check(
    'honey',
    'Honey can hold spores that harm babies under one.',
    `honey … baby/dummy/bottle/teat; baby … honey; dip* … dummy`,
  ),
  note('honey', 'Honey can hold spores that harm babies under one.', `honey; honeycomb`),
  check(
    'raw-dough',
    'Raw egg and raw flour can carry germs, so nobody tastes the mixture.',
    `raw! egg; raw! flour; taste* … dough/batter/mixture/mix; lick* … spoon/bowl/whisk/finger/dough/batter; eat* … dough; cookie! dough; cake! mixture; cake! batter; cake! mix; raw! meat; raw! chicken; raw! fish; raw! mince`,
  ),
  check(
    'small-balls',
    'Balls under about 45 mm block a throat.',
    `marble; bouncy! ball; ping pong ball; table tennis ball; ball! bearing; small! ball; tiny! ball; super ball; golf ball`,
  ),
  check(
    'small-parts',
    'What is put up a nose or into an ear has to be taken out by a doctor.',
    `put*/push*/poke*/stick*/stuff* … in/into/up your/his/her/their/the/our nose/ear/ears/nostril; up your nose`,
  ),
  note(
    'small-parts',
    'What fits a tube of about 32 mm can be swallowed; under three it is not given.',
    `button; bead; small! part; small! stone; plastic! counter; coloured! counter; counters! out; sequin; googly eye; paper! clip; paperclip; rubber! band; elastic! band; loom! band; bottle! top; bottle! lid; pen! lid; pen! top; pompom; pom pom; dried! bean; dried! pea; lentil; pebble; seed; acorn; conker; screw; nuts! and bolts; bolt; washer; domino; die!; dice!; brooch; hair! grip; hair! clip; bobby pin; eraser; rubber! top; bell! off; peg! doll; tiny! brick; small! brick; jewel; gem; thimble; cork; marble! run; bean`,
  ),
  note(
    'handled',
    'Coins go through many hands, and are small.',
    `coin; penny; pennies!; pence; 1p; 2p; 5p; 10p; 20p; 50p; pound coin; purse of coins; money; small change`,
  ),
  note(
    'food-counters',
    'Hard food and ice lie about as counters and end in mouths.',
    `ice! cube; ice! chip; crushed! ice; cereal! hoop; dried! corn; popping corn; sweetcorn; pea`,
  ),
  note(
    'not-for-eating',
    'It looks like food or feels like it, and is not for mouths.',
    `salt! dough; play! dough; playdough; cotton! wool; soap; bar of soap; shaving! foam; bubble! mixture; bath! bomb; dry! rice; dried! rice; dry! pasta; dried! pasta; dry! bean; slime; clay; plasticine; glue! stick; toothpaste; shampoo; wallpaper! paste; bird! seed; cat! food; dog! food; pet! food`,
  ),
  note(
    'powder',
    'Fine powder gets into noses, eyes and lungs.',
    `flour; salt; cinnamon; cocoa; talc; talcum; icing! sugar; chalk! dust; ground pepper; pepper pot; curry! powder; baby! powder; fine! sand; sand; sandpit; plaster! of paris; cornflour; paprika; chilli! powder`,
  ),
  ask(
    'choking-food',
    'A sweet is eaten, or it is a word for nice.',
    `sweet; swallow*; dates!; pea! pod; egg! hunt; treat; berry`,
  ),
  ask(
    'bags',
    'A bag of cloth or paper does no harm; one of plastic does.',
    `bag! on … head; tent of sheets; blanket over; blanket/sheet/towel/cloth/scarf/hat/pillowcase over … head/face/heads/faces; carrier! bags`,
  ),
  harmless(
    'It is not what goes into a mouth or round a neck.',
    `large/big/chunky pebble/stone/bead/button/counter/shell; with buttons!; grapefruit; grapevine; cherry! blossom; cherry! red; cherry! tree; sweet! dreams; sweet! song; sweet! voice; how sweet!; sweet! pea; sweet! potato; sweet! little; short and sweet!; up to date!; date of; what date!; the date! today; date! today; today … date!; birth date; save the date!; calendar date!; nut! brown; nutmeg; nutcracker; go nuts!; a tough nut; button! up; button! nose; press* the button; push* the button; belly button; tummy button; on/of your coat button; buttons! on your; buttons! on … coat/shirt/cardigan/jacket; do* up … button; hot! air balloon; speech balloon; paper! bag; cloth! bag; school! bag; hand! bag; shopping! bag; post! bag; book! bag; gift! bag; sleeping! bag; bean! bag; beanbag; bag! of flour; canvas! bag; rucksack; swimming! bag; necklace of daisies drawn; neck and neck; v neck; head over heels; over the top; over your head the sky; pea! green; ring! the bell; ring* the bell; ring! a ring; ring! finger; earring drawn; seed! packet; bean! stalk; beanstalk; jack and the beanstalk; full of beans; money! box; pip* me; pip! squeak; sausage! of dough; roll* … sausage; sausage! shape; sausage! dog; dough! sausage; counter! top; shop counter; behind the counter; post counter; bead! frame; medal! of paper; paper! medal; apple! of my eye; cat! nap; bury* … treasure; marble! cake; marble! floor; marbled paper; jelly! fish; ice! cream van; cable! car; cable! knit; counter! clockwise; salt! and pepper pots; a pinch of salt; sand! paper; sandpaper; sand! castle picture; swallow! bird`,
  ),
];

const POISONS: readonly WordEntry[] = [
  check(
    'cleaning',
    'Cleaning products burn mouths, eyes and skin, and some are coloured like sweets.',
    `bleach; detergent; washing! powder; washing! capsule; laundry! pod; laundry! capsule; laundry! liquid; fabric! softener; dishwasher! tablet; dishwasher! salt; disinfectant; toilet! cleaner; oven! cleaner; drain! cleaner; bathroom! cleaner; floor! cleaner; window! cleaner spray; cleaning! spray; cleaning! product; cleaning! fluid; limescale; descaler; furniture! polish; shoe! polish; silver! polish; stain! remover; caustic; ammonia; borax; slime! activator; contact! lens solution; essential! oil; eucalyptus! oil; tea! tree oil; hand! sanitiser; hand! sanitizer; hand! gel; antibacterial! wipe; washing! soda; cleaning! cupboard; under the sink; spray! bottle of cleaner`,
  ),
  ask(
    'cleaning',
    'A little washing-up liquid makes bubbles; the bottle itself is out of reach.',
    `washing! up liquid; dish! soap; bubble! bath; polish; spray; cleaner`,
  ),
  check(
    'poison',
    'Swallowed or breathed in, these harm a child quickly; call the poisons line or an ambulance.',
    `poison; poisonous; toxic; antifreeze; white! spirit; turpentine; turps; paint! thinner; paint! stripper; varnish; nail! varnish remover; nail! polish remover; acetone; superglue; super! glue; solvent; weed! killer; weedkiller; pesticide; insecticide; fly! spray; ant! powder; slug! pellet; rat! poison; mouse! bait; mothball; fertiliser; plant! food; screen! wash; engine! oil; petrol; paraffin; methylated; lamp! oil; glow! stick; cigarette; vape; e cigarette; tobacco; nicotine; ashtray; alcohol; wine! glass of; vodka; whisky; beer; mouthwash; perfume; aftershave; hair! dye; mercury thermometer; lead! paint; lead! weight; spray! paint; aerosol; carbon monoxide; exhaust; chlorine; fireworks powder; foxglove; deadly nightshade; laburnum; oleander; yew; hemlock; daffodil! bulb; bulb! of a daffodil; lily! pollen; holly! berry; mistletoe! berry; sniff*/smell* … glue/pen/marker/petrol/paint/varnish; bathroom! cabinet; potion from; taste* … plant/leaf/leaves/flower/soil/paint/soap`,
  ),
  check(
    'poison',
    'What is mixed to be played with is not drunk.',
    `drink* … mixture/paint/soap/ink/shampoo/dye/slime; drink* the/a potion`,
  ),
  check(
    'medicine',
    'Medicine looks like sweets, and a dose for one person harms another.',
    `medicine; medication; pill; paracetamol; ibuprofen; aspirin; painkiller; cough! syrup; cough! mixture; cough! medicine; vitamin; gummy! vitamin; iron! tablet; sleeping! tablet; antibiotic; antihistamine; inhaler; insulin; syringe; injection; eye! drop; ear! drop; nose! drop; ointment; steroid; prescription; medicine! cabinet; first aid box; tablets! from; blister! pack; thermometer under; dose; herbal! remedy; homeopathic; teething! gel`,
  ),
  ask('medicine', 'A tablet is a medicine, or a screen.', `tablet; cream for; bandage`),
  check(
    'wild-food',
    'Berries, fungi and leaves from outside may be poisonous, and look like those that are not.',
    `wild! berry; wild! fruit; wild! food; wild! mushroom; wild! garlic; berries! from; berries! off; pick* … berry/berries/mushroom/fungi/fruit/leaves to eat; pick* and eat; pick* and taste; eat* … berry/berries/leaf/leaves/petal/flower/grass/seed/acorn/conker/snow/icicle; taste* … berry/berries/rain/snow/grass/petal; toadstool; fungi; fungus; forage*; hedgerow; elderberry; elderflower; rowan; sloe; rose! hip; hawthorn; nettle; blackberry picking; blackberries! from; bramble; horse chestnut; puffball; lick* … leaf/leaves/flower/stone/window/metal; drink* from the stream/river/puddle/pond; rain! water to drink`,
  ),
  ask(
    'wild-food',
    'Mushrooms and berries come from a shop, or from outside.',
    `mushroom; blackberry; acorn; conker; seaweed`,
  ),
  check(
    'strange-animals',
    'Animals you don’t know bite, scratch or sting when they are touched.',
    `strange! dog; stray! dog; stray! cat; stray; unknown! dog; dog! you don't know; somebody's dog; someone's dog; neighbour's dog; hold*/cuddle* … dog/cat/rabbit/squirrel/hedgehog/rat/mouse/bird/bee/wasp/spider/snake/bat/frog/toad/newt/caterpillar/lizard/puppy/kitten/hamster/parrot; stroke*/pat/patting/pet/petting/touch*/feed*/catch*/chase*/tease*/approach*/hug*/kiss*/ride* … dog/cat/duck/goose/geese/swan/pigeon/horse/pony/cow/sheep/goat/rabbit/squirrel/hedgehog/fox/rat/mouse/bird/bee/wasp/hornet/spider/snake/bat/frog/toad/newt/caterpillar/beetle/lizard/seagull/donkey/pig/puppy/kitten/hamster/parrot/fish/crab/jellyfish;
     pick* up … dog/cat/worm/snail/slug/spider/bee/wasp/caterpillar/beetle/ant/woodlouse/woodlice/frog/toad/bird/hedgehog/snake/crab/insect/bug; wasp nest; wasps! nest; bee! hive; beehive; bird's nest; nest! in; give* the horse/pony/goat/cow/duck/dog/cat/pig/sheep/rabbit a/an/some; dead! bird; dead! animal; dead! mouse; injured! bird; droppings; cat! litter; litter! tray; dog! bowl; while … dog/cat eats; pull* … tail; hand/finger/arm in/into … hole/nest/burrow/den/hive/kennel/cage/hedge; petting! zoo; petting! farm; hairy caterpillar; adder; hornet; tick! bite; sting! nettle; wild! animal; farm! animals!`,
  ),
  ask(
    'strange-animals',
    'An animal of cloth or in a book is no danger.',
    `bee; wasp; real dog; real cat; snail; spider; caterpillar`,
  ),
  check(
    'sun',
    'Looking at the sun, most of all through a lens, burns the eye without pain.',
    `look* … at/into the sun; look* up at the sun; stare* … sun; looking! at the sun; straight at the sun; at the sun!; into the sun!; bright sky; stare* at the sky; eclipse; sun! through; binoculars; telescope; magnif* … sun; focus* the sun; lens … sun; hot! sun; midday! sun; noon! sun; full! sun; sunbathe*; sunburn; sunburnt!; mirror … sun; sun! … mirror; heat! wave; burning! glass`,
  ),
  ask('sun', 'A magnifying glass looks closely, or gathers the sun.', `magnifying! glass; lens; prism`),
  check(
    'light',
    'A laser or a bright beam harms eyes.',
    `laser; laser! pointer; strobe; flash! in … eyes; in/into the/your/their/his/her/my/its/each eye/eyes; into … eye/eyes; shine* … face/eye/eyes; point* … torch/light … eyes/face; torch! in … face; camera flash`,
  ),
  harmless(
    'Nobody takes or touches it there.',
    `cat! and mouse; dog! tired; cat! walk; feed* the … with; toy! dog; bee! line; spelling! bee; busy! bee; bumble! bee song; worm! of dough; book! worm; bookworm; spider! web; snail! mail; snail's pace; slow as a snail; duck! down; duck* under; duck! your; doctor! who; plaster! wall; drop! it; poison! ivy game; stroke! by; brush! stroke; pat! it flat; pat* … flat; pat* the dough; pat! a cake; ink! drops; drops! the; drops! it; drops! of rain; rain! drop; raindrop; gum! drop; sun! hat; sun! cream; sun! flower; sunflower; sun! rise; sun! set; the sun! comes; the sun! is; the sun! and the; the sun! shines; draw* the sun; paint* the sun; sun! of; in the eyes! of; eye! of the needle; spot in the eye; look* … in the eye; eye! to eye; hold* hands; catch* … ball; feed* … toy/teddy/doll/dinosaur/puppet/monster/robot; vet! game; close* … eyes; open* … eyes; polish! your; spray! of flowers; mushroom! cloud; herb! garden`,
  ),
];

/** English, as it is spoken in Britain. */
export const en: WordList = {
  language: 'en',
  entries: [...HEAT, ...BLADES, ...WATER, ...OUTSIDE, ...MOUTH, ...POISONS, ...NOTES, ...FOODS],
  likenesses:
    'paper card cardboard felt! toy plastic wooden pretend drawn painted imaginary knitted cuddly fabric cloth rubber foam model printed picture origami clay dough sand! mud! invisible play! make-believe stuffed soft inflatable! chalk!',
  stories:
    'in the story; in the picture; in the book; in the song; in the rhyme; in the poem; on the page; on the card; on the picture; picture/drawing/photo/photograph/painting of; story/song/book/rhyme/poem about/of; sing* about; draw* a/an/the/your; colour* in the; word for; the word; says the; letter; starts with; rhymes with; rhyme with; start/starts like; sound/sounds like; sound/sounds the same; end/ends like; begin/begins so; begin/begins with; say each; say the word; take turns; which word; spell*',
  meals:
    'eat eats eating ate taste tastes tasting bite bites lunch dinner supper breakfast snack meal cook cooks cooked cooking fry fried grilled baked smoked fillet pie sandwich sauce soup salad plate! fork! tin! tinned fresh raw recipe serve served sushi battered stew picnic! feed food nibble swallow lick chew portion ring! rings! cake! cakes! finger! fingers! paste stock oil',
  commonWords:
    'the a an and to of in on it is you your we i he she they with for at up out put one two this that are can do what who how now then all let go has have not no yes be my me as by from into if so there here them their its our',
  foreignWords:
    'el la los las un una de del y que en con por para es son su al se lo como muy pero más der die das und ist nicht ein eine mit auf für von zu den dem le les des du et est une dans pour avec sur il elle qui ne pas ils vous nous je tu che di il gli per non sono della con uma não com os as um em ou mais bir ve bu için ile da olarak jest się nie na to z do w i że jak het een van niet voor met zijn en av som och att det är på inte var ett ti to kai na',
};
