import type { CautionLevel, CautionRule } from '../core/cautions/index.ts';
import type { GuideLanguage } from '../core/languages.ts';

/** What a caution says; at a level that is named it says that instead. */
type Words = string | ({ readonly [level in CautionLevel]?: string } & { readonly otherwise: string });

/** A caution in words: the name that an author knows it by, and what a guide says of it in each language. */
type CautionWords = { readonly name: string } & Readonly<Record<GuideLanguage, Words>>;

/** Every usual caution in words. */
export const CAUTION_WORDS: Readonly<Record<CautionRule, CautionWords>> = {
  'small-parts': {
    name: 'Small parts',
    en: {
      stop: 'Small enough to swallow. Use something larger.',
      otherwise: 'Small parts: count them out, and count them back in.',
    },
    es: {
      stop: 'Es tan pequeño que se puede tragar. Usen algo más grande.',
      otherwise: 'Piezas pequeñas: cuéntenlas al sacarlas y al guardarlas.',
    },
    ar: {
      stop: 'صغير بحيث يمكن ابتلاعه. استخدموا شيئًا أكبر.',
      otherwise: 'قطع صغيرة: عُدّوها عند إخراجها وعند إعادتها.',
    },
  },
  'small-balls': {
    name: 'Small balls',
    en: 'Balls this small can block a throat. Use a larger one.',
    es: 'Una pelota tan pequeña puede tapar la garganta. Usen una mayor.',
    ar: 'كرة بهذا الصغر قد تسد الحلق. استخدموا أكبر منها.',
  },
  balloons: {
    name: 'Balloons',
    en: 'No balloons: uninflated or burst ones choke.',
    es: 'Sin globos: desinflados o rotos pueden ahogar.',
    ar: 'لا بالونات: المنفجرة أو غير المنفوخة قد تخنق.',
  },
  'magnets-cells-beads': {
    name: 'Strong magnets, button cells, swelling beads',
    en: 'Strong magnets, button cells and swelling beads are not used at all.',
    es: 'No se usan imanes fuertes, pilas de botón ni bolitas que crecen con agua.',
    ar: 'لا تُستخدم المغناطيسات القوية ولا بطاريات الأزرار ولا الحبات المنتفخة أبدًا.',
  },
  cords: {
    name: 'Cords and loops',
    en: {
      stop: 'Long cords and loops can go round a neck. Leave them out.',
      otherwise: 'Keep cords away from necks, and put them away afterwards.',
    },
    es: {
      stop: 'Los cordones largos pueden rodear el cuello. No los usen.',
      otherwise: 'Los cordones, lejos del cuello, y guardados al terminar.',
    },
    ar: {
      stop: 'الحبال الطويلة قد تلتف حول العنق. لا تستخدموها.',
      otherwise: 'أبعدوا الحبال عن العنق وارفعوها بعد الانتهاء.',
    },
  },
  bags: {
    name: 'Bags and film',
    en: { stop: 'No bags or film: they cling to a face.', otherwise: 'Bags and film stay in your hand.' },
    es: {
      stop: 'Sin bolsas ni plástico fino: se pegan a la cara.',
      otherwise: 'Las bolsas y el plástico fino se quedan en su mano.',
    },
    ar: { stop: 'لا أكياس ولا غلاف رقيق: قد تلتصق بالوجه.', otherwise: 'الأكياس والغلاف الرقيق تبقى في يدكم.' },
  },
  'choking-food': {
    name: 'Round or hard food, to eat',
    en: 'Round or hard food can choke. Cut it lengthways, or count with something else.',
    es: 'La comida redonda o dura puede ahogar. Córtenla a lo largo o cuenten con otra cosa.',
    ar: 'الطعام المستدير أو الصلب قد يخنق. قطّعوه بالطول أو عُدّوا بشيء آخر.',
  },
  'food-counters': {
    name: 'Round or hard food, to count with',
    en: {
      stop: 'Round or hard food and ice can choke. Count with something larger.',
      otherwise: 'Count this food out and back in. It is not eaten during the game, and ice is not sucked.',
    },
    es: {
      stop: 'La comida redonda o dura y el hielo pueden ahogar. Cuenten con algo más grande.',
      otherwise: 'Cuenten esta comida al sacarla y al guardarla. No se come durante el juego, y el hielo no se chupa.',
    },
    ar: {
      stop: 'الطعام المستدير أو الصلب والثلج قد يخنق. عُدّوا بشيء أكبر.',
      otherwise: 'عُدّوا هذا الطعام عند إخراجه وعند إعادته. لا يؤكل أثناء اللعب، ولا يُمصّ الثلج.',
    },
  },
  honey: {
    name: 'Honey',
    en: 'No honey in the first year.',
    es: 'Nada de miel durante el primer año.',
    ar: 'لا عسل في السنة الأولى.',
  },
  'raw-dough': {
    name: 'Raw flour and egg',
    en: 'Raw flour and egg are not tasted. Wash hands after.',
    es: 'La harina y el huevo crudos no se prueban. Lávense las manos.',
    ar: 'الطحين والبيض النيئان لا يُذاقان. اغسلوا الأيدي بعدها.',
  },
  allergens: {
    name: 'Allergens',
    en: 'Think of allergies, for touching and smelling too, and of boxes that held food.',
    es: 'Piensen en las alergias, también al tocar y al oler, y en las cajas que tuvieron comida.',
    ar: 'تذكّروا الحساسية، عند اللمس والشم أيضًا، وفي العلب التي كان فيها طعام.',
  },
  'food-in-art': {
    name: 'Food in paint or glue',
    en: 'Food that touched paint or glue is thrown away, not eaten.',
    es: 'La comida que tocó pintura o pegamento se tira, no se come.',
    ar: 'الطعام الذي لمس الطلاء أو الغراء يُرمى ولا يؤكل.',
  },
  powder: {
    name: 'Powder and dust',
    en: 'Keep powder away from nose and eyes. Smell from a hand’s breadth away, through a cloth.',
    es: 'El polvo, lejos de la nariz y los ojos. Huelan a un palmo, a través de una tela.',
    ar: 'أبعدوا المسحوق عن الأنف والعينين. شمّوا من مسافة كف وعبر قماش.',
  },
  'not-for-eating': {
    name: 'Not for eating',
    en: {
      stop: 'This is not for mouths, so it is not for a child who still mouths things.',
      otherwise: 'This is not for eating: keep it out of mouths, and put it away afterwards.',
    },
    es: {
      stop: 'Esto no es para la boca: no es para quien todavía se lleva cosas a la boca.',
      otherwise: 'Esto no se come: lejos de la boca, y guardado al terminar.',
    },
    ar: {
      stop: 'هذا ليس للفم، فهو ليس لطفل ما زال يضع الأشياء في فمه.',
      otherwise: 'هذا ليس للأكل: أبعدوه عن الفم وارفعوه بعد الانتهاء.',
    },
  },
  water: {
    name: 'Water',
    en: 'Stay within reach of any water, and empty it straight after.',
    es: 'Junto al agua, siempre al alcance de la mano; vacíenla al terminar.',
    ar: 'ابقوا بقرب الماء دائمًا وأفرغوه فورًا بعد الانتهاء.',
  },
  heat: {
    name: 'Heat',
    en: 'Anything hot is for your hands only.',
    es: 'Lo caliente es solo para manos adultas.',
    ar: 'كل ما هو ساخن لأيدي الكبار فقط.',
  },
  blades: {
    name: 'Blades and points',
    en: 'Cutting and pointed things are for your hands only.',
    es: 'Lo que corta o pincha es solo para manos adultas.',
    ar: 'كل ما يقطع أو يخز لأيدي الكبار فقط.',
  },
  scissors: {
    name: 'Scissors',
    en: 'Scissors that fit the hand, sitting down. Tearing is just as good.',
    es: 'Tijeras a la medida de la mano, y sentados. Rasgar vale igual.',
    ar: 'مقص يناسب اليد، مع الجلوس. التمزيق باليد جيد أيضًا.',
  },
  glass: {
    name: 'Glass',
    en: 'Glass stays in your hands. Clear plastic will do.',
    es: 'El vidrio se queda en sus manos. Sirve el plástico transparente.',
    ar: 'الزجاج يبقى في أيديكم. يكفي بلاستيك شفاف.',
  },
  dyes: {
    name: 'Paint, glue and glitter',
    en: 'Use paint and glue that wash off and are made for children.',
    es: 'Usen pintura y pegamento lavables, hechos para niños.',
    ar: 'استخدموا طلاء وغراء يُغسلان ومصنوعين للأطفال.',
  },
  cleaning: {
    name: 'Cleaning products',
    en: 'Cleaning products are not used at all.',
    es: 'No se usan productos de limpieza.',
    ar: 'لا تُستخدم مواد التنظيف أبدًا.',
  },
  soil: {
    name: 'Soil, found things, animals',
    en: 'Wash hands after. Leave berries, fungi and droppings; look at animals, do not hold them.',
    es: 'Lávense las manos. Dejen bayas, setas y excrementos; los animales se miran, no se cogen.',
    ar: 'اغسلوا الأيدي بعدها. اتركوا التوت والفطر والفضلات، وانظروا إلى الحيوانات دون إمساكها.',
  },
  handled: {
    name: 'Coins and well-handled things',
    en: { stop: 'Coins are small parts. Use large lids instead.', otherwise: 'Wash hands after handling coins.' },
    es: {
      stop: 'Las monedas son piezas pequeñas. Usen tapas grandes.',
      otherwise: 'Lávense las manos después de tocar monedas.',
    },
    ar: { stop: 'النقود قطع صغيرة. استخدموا أغطية كبيرة.', otherwise: 'اغسلوا الأيدي بعد لمس النقود.' },
  },
  batteries: {
    name: 'Batteries',
    en: 'Check that the battery lid is screwed shut.',
    es: 'Comprueben que la tapa de las pilas está atornillada.',
    ar: 'تأكدوا أن غطاء البطارية مثبت بالبرغي.',
  },
  light: {
    name: 'Light in eyes',
    en: 'Shine it on to the wall, never into a face. Nobody looks at the sun.',
    es: 'La luz, hacia la pared y nunca a la cara. Nadie mira al sol.',
    ar: 'وجّهوا الضوء إلى الحائط لا إلى الوجه. لا أحد ينظر إلى الشمس.',
  },
  dark: {
    name: 'A darkened room',
    en: 'Keep a lamp within reach, and clear the floor first.',
    es: 'Tengan una lámpara a mano y despejen antes el suelo.',
    ar: 'أبقوا مصباحًا في متناول اليد وأخلوا الأرض أولًا.',
  },
  slips: {
    name: 'Slippery floors and feet',
    en: 'Wet feet, socks, paper and cloth slide. Walk, do not run; tape paper down.',
    es: 'Los pies mojados, los calcetines, el papel y la tela resbalan. Caminen sin correr y peguen el papel.',
    ar: 'الأقدام المبللة والجوارب والورق والقماش تنزلق. امشوا ولا تركضوا، وثبّتوا الورق بشريط.',
  },
  road: {
    name: 'Near traffic',
    en: 'Walk hand in hand, with your child on the side away from the road.',
    es: 'De la mano, y su niña o niño por el lado que no da a la calle.',
    ar: 'امشوا يدًا بيد، وطفلكم في الجهة البعيدة عن الشارع.',
  },
  carrying: {
    name: 'Carrying and walking backwards',
    en: 'Stay close while your child carries, and keep the way clear. Nothing goes in the mouth meanwhile.',
    es: 'Quédense cerca mientras lleva algo y dejen libre el camino. Nada en la boca mientras tanto.',
    ar: 'ابقوا قريبين حين يحمل طفلكم شيئًا، وأخلوا الطريق. لا شيء في الفم أثناء ذلك.',
  },
  pinching: {
    name: 'Hooks and pinching',
    en: 'Hooks, pegs, doors and elastic bands pinch: keep them away from faces and fingers.',
    es: 'Ganchos, pinzas, puertas y gomas pellizcan: lejos de la cara y los dedos.',
    ar: 'الخطافات والمشابك والأبواب والأربطة المطاطية تقرص: أبعدوها عن الوجوه والأصابع.',
  },
  movement: {
    name: 'Jumping, dancing, eyes closed',
    en: 'Clear the floor first. Socks off.',
    es: 'Despejen el suelo. Sin calcetines.',
    ar: 'أخلوا الأرض أولًا، ومن دون جوارب.',
  },
  climbing: {
    name: 'Stairs and climbing',
    en: 'On steps, stay one below your child.',
    es: 'En los escalones, quédense uno más abajo.',
    ar: 'على الدرج، قفوا درجة تحت طفلكم.',
  },
  sound: {
    name: 'Loud things',
    en: 'Keep loud things away from ears.',
    es: 'Lo ruidoso, lejos de los oídos.',
    ar: 'أبعدوا الأصوات العالية عن الآذان.',
  },
  screens: {
    name: 'Screens',
    en: 'A screen is used here; its minutes count.',
    es: 'Aquí se usa una pantalla; sus minutos cuentan.',
    ar: 'هنا تُستخدم شاشة، ودقائقها محسوبة.',
  },
  flame: {
    name: 'Flames',
    en: 'You light it, you hold it and you put it out. Keep hair, sleeves and paper well away.',
    es: 'Enciendan, sostengan y apaguen ustedes. Lejos del pelo, de las mangas y del papel.',
    ar: 'أنتم تشعلونها وتمسكونها وتطفئونها. أبعدوا الشعر والأكمام والورق.',
  },
  'deep-water': {
    name: 'Deep or open water',
    en: 'Stay close enough to touch your child the whole time, and put your phone away. Nobody goes in alone.',
    es: 'Quédense tan cerca que puedan tocar a su niña o niño todo el tiempo, sin el teléfono. Nadie entra solo.',
    ar: 'ابقوا قريبين بحيث تلمسون طفلكم طوال الوقت، بلا هاتف. لا يدخل أحد الماء وحده.',
  },
  heights: {
    name: 'Heights and windows',
    en: 'Keep hold of your child. Nobody stands on furniture, and windows stay shut.',
    es: 'Sujeten a su niña o niño. Nadie se sube a los muebles, y las ventanas siguen cerradas.',
    ar: 'أمسكوا بطفلكم. لا يقف أحد على الأثاث، والنوافذ تبقى مغلقة.',
  },
  poison: {
    name: 'Poisons',
    en: 'This is poisonous. Leave it out altogether.',
    es: 'Esto es venenoso. No lo usen de ninguna manera.',
    ar: 'هذا سام. لا تستعملوه إطلاقًا.',
  },
  medicine: {
    name: 'Medicine',
    en: 'Medicine stays locked away. Use an empty, clean box to pretend with.',
    es: 'Los medicamentos siguen bajo llave. Para jugar, una caja vacía y limpia.',
    ar: 'الدواء يبقى مقفلًا عليه. للعب تكفي علبة فارغة ونظيفة.',
  },
  'wild-food': {
    name: 'Wild berries, fungi and plants',
    en: 'Look, but don’t taste. Nothing picked outside goes in a mouth.',
    es: 'Miren sin probar. Nada recogido fuera va a la boca.',
    ar: 'انظروا ولا تتذوقوا. لا شيء مما يُقطف في الخارج يوضع في الفم.',
  },
  'strange-animals': {
    name: 'Animals you don’t know',
    en: 'Watch animals from a step away. Ask the owner before anyone strokes one.',
    es: 'Miren a los animales a un paso de distancia. Pregunten al dueño antes de acariciar.',
    ar: 'راقبوا الحيوانات من مسافة خطوة. اسألوا صاحبها قبل لمسها.',
  },
  sun: {
    name: 'Looking at the sun',
    en: 'Never look at the sun, and never through a lens. Stand with your backs to it.',
    es: 'Nunca miren al sol, ni con una lupa. Pónganse de espaldas a él.',
    ar: 'لا تنظروا إلى الشمس أبدًا، ولا عبر عدسة. قفوا وظهوركم إليها.',
  },
};

/** What a caution says in a language of guides, at its level; a rule that nobody has words for says its name. */
export function cautionText(language: GuideLanguage, rule: string, level: CautionLevel): string {
  if (!Object.hasOwn(CAUTION_WORDS, rule)) return rule;
  const words = CAUTION_WORDS[rule as CautionRule][language];
  return typeof words === 'string' ? words : (words[level] ?? words.otherwise);
}
