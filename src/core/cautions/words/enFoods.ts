import { animal, harmless, holds, ask } from './entryKinds.ts';
import type { WordEntry } from './wordList.ts';

/** Foods, what is in them, and names that only sound like food. */
export const FOODS: readonly WordEntry[] = [
  holds(
    'milk',
    'Milk and what is made of it.',
    `milk; butter; cheese; yoghurt; yogurt; cream; custard! powder; ice! milk; milkshake; milk! shake; buttermilk; ghee; whey; casein; lactose; fudge; caramel; toffee; mozzarella; cheddar; parmesan; feta; halloumi; ricotta; mascarpone; brie; camembert; cream! cheese; soft! cheese; cottage! cheese; sour! cream; creme! fraiche; fromage! frais; clotted! cream; whipped! cream; condensed! milk; evaporated! milk; milk! powder; formula! milk; baby! milk; latte; cappuccino; smoothie; rice! pudding; panna! cotta; dairy; lassi; kefir; milk! bottle; milk! carton; milk! jug; cheese! box; cream! pot; yoghurt! pot; yogurt! pot; butter! tub; margarine; paneer; raita; bechamel; white! sauce; hot! chocolate; mashed! potato; gratin`,
  ),
  holds(
    'milk soya',
    'Most chocolate is made with milk and soya lecithin.',
    `chocolate; choc; cocoa! drink; chocolate! bar; chocolate! button; chocolate! coin; chocolate! egg; easter! egg; chocolate! chip; advent! calendar chocolate; chocolate! sauce; brownie; chocolate! box`,
  ),
  holds(
    'milk tree-nuts soya',
    'Spreads of chocolate hold nuts as a rule.',
    `chocolate! spread; hazelnut! spread; praline; chocolate! truffle`,
  ),
  holds(
    'egg',
    'Egg and what is made with it.',
    `egg; eggs!; egg! white; egg! yolk; yolk; omelette; omelet; frittata; meringue; pavlova; egg! box; egg! carton; egg! tray; egg! shell; eggshell; scotch! egg; boiled! egg; fried! egg; poached! egg; scrambled! egg; hard! boiled egg; egg! sandwich; egg! hunt; easter! egg; eggnog; souffle; egg! noodle; egg! wash; nest! of eggs; beaten! egg`,
  ),
  holds(
    'egg mustard',
    'Mayonnaise is egg with mustard.',
    `mayonnaise; mayo; tartare; salad! cream; remoulade; coleslaw`,
  ),
  holds(
    'egg milk',
    'Made of egg and milk.',
    `custard; creme! caramel; creme! brulee; mousse; ice! cream; french! toast; trifle; egg! custard`,
  ),
  holds(
    'egg milk wheat',
    'A cake or a pancake holds egg, milk and wheat until somebody says otherwise.',
    `cake; cupcake; fairy! cake; birthday! cake; sponge! cake; muffin; pancake; waffle; crepe; scone; biscuit; cookie; gingerbread; shortbread; doughnut; donut; pastry; croissant; pain! au chocolat; quiche; batter; yorkshire! pudding; pudding; flapjack; brioche; tart; eclair; profiterole; cheesecake; lasagne; carbonara; macaroni! cheese; hot! cross bun; panettone; tiramisu; cake! mixture; cake! mix; cookie! dough; apple! crumble; fruit! crumble; crumble! topping; pie; fritter; toad! in the hole; swiss! roll; jam! tart; mince! pie; wafer; ice! cream cone; cornet`,
  ),
  holds(
    'wheat',
    'Wheat and the cereals beside it that hold gluten.',
    `wheat; flour; bread; toast; breadstick; bread! stick; breadcrumb; bun; bagel; baguette; pitta; pita; naan; chapati; roti; tortilla; cracker; crispbread; crumpet; teacake; pasta; spaghetti; macaroni; penne; fusilli; noodle; ravioli; couscous; bulgur; semolina; cereal; cereal! box; cereal! packet; cornflake; barley; rye; oat; oats!; oatmeal; porridge; spelt; malt; seitan; dumpling; pretzel; play! dough; playdough; salt! dough; papier! mache; flour! paste; gluten; bread! roll; crust; crouton; stuffing; gravy; pizza! base; pizza! dough; dough; samosa; spring! roll; wonton; burger; burger! bun; nugget; pasta! shape; rusk; matzo; wheat! bag; oat! milk; beer`,
  ),
  holds(
    'wheat milk',
    'Bread or dough with butter or cheese.',
    `pizza; sandwich; toastie; cheese! straw; garlic! bread; bread! and butter; naan! bread; cheese! on toast; wrap! with cheese; welsh! rarebit; lasagna`,
  ),
  holds(
    'wheat sulphites',
    'Sausages are filled with rusk and kept with sulphites.',
    `sausage; sausage! roll; chipolata; hot! dog`,
  ),
  holds(
    'wheat tree-nuts',
    'Breakfast mixtures hold cereals and nuts.',
    `muesli; granola; cereal! bar; trail! mix; baklava; bakewell; stollen; nut! roast`,
  ),
  holds(
    'fish',
    'Fish and what is made of it.',
    `tuna; salmon; cod; haddock; sardine; anchovy; mackerel; kipper; trout; plaice; pilchard; herring; halibut; sea! bass; caviar; roe; fish! sauce; fish! oil; cod! liver oil; worcester! sauce; fish! paste; smoked! fish; tin! of fish; fish! pie; fish! fillet; fish! cake; fish! soup; isinglass; caesar! dressing; fish! bone; fish! skin; fish! tank water; fish! food`,
  ),
  holds(
    'fish wheat',
    'Fish in crumbs or batter.',
    `fish! finger; fish! and chips; battered! fish; breaded! fish; fish! burger`,
  ),
  holds('fish soya sesame', 'Sushi comes with fish, soya and sesame.', `sushi; sashimi; teriyaki`),
  holds(
    'shellfish',
    'Crustaceans, and what is made of them.',
    `prawn; shrimp; scampi; crayfish; langoustine; crab! stick; crab! meat; crabmeat; dressed! crab; lobster! tail; prawn! cracker; shellfish; seafood; bisque; shrimp! paste; krill; paella`,
  ),
  holds(
    'molluscs',
    'Molluscs, and what is made of them.',
    `mussel; oyster; clam; cockle; whelk; scallop; calamari; squid! ring; cuttlefish; octopus! salad; escargot; winkle; oyster! sauce; abalone; chowder; mussel! shell; oyster! shell; seafood`,
  ),
  holds(
    'tree-nuts peanuts',
    'Nuts, of whatever kind until somebody says which.',
    `nut; nuts!; mixed! nuts; nut! butter; nut! bar; chopped! nuts; nut! shell; nutty; nut! mix; nougat`,
  ),
  holds(
    'tree-nuts',
    'Nuts that grow on trees.',
    `almond; hazelnut; walnut; cashew; pecan; pistachio; brazil! nut; macadamia; marzipan; frangipane; amaretti; almond! milk; ground! almonds; walnut! shell; almond! butter; filbert; cob! nut; pine! nut; korma; turron; nut! milk; tree! nut`,
  ),
  holds('tree-nuts milk', 'Pesto holds nuts and cheese.', `pesto`),
  holds(
    'peanuts',
    'Peanuts are pulses; their allergy is among the gravest.',
    `peanut; peanuts!; groundnut; peanut! butter; monkey! nut; satay; peanut! shell; bird! seed peanut; fat! ball; peanut! brittle; peanut! oil; arachis`,
  ),
  holds(
    'soya',
    'Soya and what is made of it.',
    `soy; soya; tofu; edamame; miso; tempeh; soya! milk; soy! milk; lecithin; soya! bean; textured! protein; veggie! mince; bean! curd; soya! yoghurt`,
  ),
  holds('soya wheat', 'Soy sauce is brewed with wheat.', `soy! sauce; soya! sauce; hoisin; stir! fry sauce`),
  holds(
    'sesame',
    'Sesame and pastes of it.',
    `sesame; tahini; hummus; houmous; humous; halva; sesame! seed; sesame! oil; gomashio; za'atar; zaatar; falafel`,
  ),
  holds(
    'celery',
    'Celery and celeriac, also in stock cubes.',
    `celery; celeriac; stock! cube; bouillon; vegetable! stock; celery! salt; waldorf`,
  ),
  holds(
    'mustard',
    'Mustard, its seeds and its leaves.',
    `mustard; mustard! seed; mustard! and cress; piccalilli; vinaigrette; honey! mustard`,
  ),
  holds('lupin', 'Lupin, in some flours and as a garden flower.', `lupin; lupine; lupin! flour; lupin! seed`),
  holds(
    'sulphites',
    'Sulphites keep dried fruit and wine.',
    `sulphite; sulfite; dried! apricot; dried! mango; dried! apple; dried! fruit; sultana; raisin; wine; cider; wine! vinegar; glace! cherry; dried! banana; mixed! peel; currant; prune`,
  ),
  ask(
    'allergens',
    'A carton, a box or a shell that held food may still do harm.',
    `egg! carton; egg! box; egg! tray; egg! shell; eggshell; milk! carton; milk! bottle; cereal! box; cereal! packet; food! box; food! packet; pizza! box; chocolate! box; biscuit! tin; yoghurt! pot; yogurt! pot; butter! tub; cheese! box; walnut! shell; mussel! shell; oyster! shell`,
  ),
  animal('fish', `fish; fishes!`),
  animal('shellfish', `crab; lobster`),
  animal('molluscs', `octopus; octopuses!; squid; oyster`),
  harmless(
    'A name that holds no food.',
    `butterfly; buttercup; butter! bean; butter! fingers; cocoa! butter; shea! butter; coconut! milk; coconut! cream; rice! milk; coconut; milk! tooth; milk! teeth; milk! float; milk! crate; milkman; milky! way; cream! paper; cream! coloured; cream! card; sun! cream; hand! cream; face! cream; shaving! cream; cold! cream; say cheese!; cheese! plant; cake! of soap; rice! cake; pat! a cake; patty! cake; cake! tin; cake! stand; muffin! tray; muffin! tin; muffin! case; bun! tin; cupcake! case; bread! tin; mud! pie; mud! cake; sand! pie; sand! cake; pie! chart; egg! timer; egg! cup; egg! spoon; egg! whisk; egg! shaped; egg! shape; nest! egg; eggplant; piece of cake; take the biscuit; biscuit! cutter; cookie! cutter; cookie! jar label; bread! bin; bread! board; breadboard; buckwheat; corn! flour; cornflour; potato! starch; nutmeg; butternut; doughnut! shape; chestnut; nuts! and bolts; nut! and bolt; starfish; star! fish; jellyfish; jelly! fish; goldfish; gold! fish; fish! tank; fishing! rod; fishing! game; fishing! net; go fish!; fish! for; cat! fish; silver! fish; crab! walk; crab! apple; walk* like a crab; mussel! man; snail! shell; snail's pace; mustard! yellow; mustard! coloured; wine! red; wine! gum colour; chocolate! brown; cream! tea towel; rye! grass; oat! coloured; open sesame!; pepper! pot; date! palm; dough! ball of clay; toast! rack; butter! wouldn't melt; peanut! shaped; fish! out; fish! shape;  cod! piece; plaice name; shrimp! pink; salmon! pink; roe! deer; egg! race; toast! to; bun! in … hair; hair! in a bun; tart! up; pudding! basin; crust! of the earth; earth's crust; cereal! bowl; pancake! race; pancake! flat; noodle! pool; pool! noodle; ticket! stub`,
  ),
];
