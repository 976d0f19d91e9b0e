import { readPlays } from '../../core/makers/index.ts';

/** The sorting set as it is played: each way and each level whole, from the opening to the end. */
const { plays: read, words } = readPlays({
  muddle: {
    title: 'What a muddle',
    where: 'on a rug',
    posture: 'free',
    right: `
      say “{opener}”
      do Tip {mixture} into one big heap on a rug.
      [hands-first] do Run your hands through the heap together, and tell each other what you’ve found.
      [small-steps] do Hold up two that belong together: “This is {firstOne}, and this is {firstOne}. The same.”
      [daily-life] do Sort the real washing or the real cutlery instead, if there’s some to do.
      do Put the cards out in a row: {groupList}.
      say “Watch where I put this one.”
      do Put one thing below its card without saying why.
      ask “Why did it go there? What’s the same?” → its {property}: it’s {firstOne}
      do Take turns until the whole heap is sorted.
      [even] ask “How many are in each pile? Did you have to count them all?” → {inHeap}: they’re all the same
      [not even] ask “Which pile has the most? How could we tell without counting?” → put them side by side, one to one
      do Take two things out of one pile and hold them up.
      ask “What’s the same about these two? And what’s different?” → the same {property}; different in anything else they spot
      [one short] do Draw {places} beds on the paper. Your child puts {sort} to bed, one in each.
      [one short] ask “Have they all got a bed?” → no: there’s one left over
      [one short] ask “What shall we do about that one?” → draw a bed, share one, or take turns
      if They start with one rule and change to another: “You’re sorting by something new. Tell me!”
      if They make one long line: “That’s a lovely line. Where would you cut it into piles?”
      notice Do they stick to one rule to the end, and can they say it?
      say “{ending}”
      do Put it all away, one pile at a time.
    `,
    easier: `
      say “{opener}”
      do Tip {mixture} out on a rug. Put out just two cards: {first} and {second}.
      do Put one thing below each card yourself.
      do Hand over one thing at a time: “Where does this one live?”
      ask “Is it like this one, or like that one?” → the one it belongs with
      do Go on until there are a few in each pile.
      do Hold one up from each pile.
      ask “Are these two the same?” → no: one is {firstOne}, and one is {secondOne}
      if They put it on the wrong pile: hold it next to both. “Which is it like?”
      if They want to keep one: “That’s your special one. It can wait on your knee.”
      say “{ending}”
      do Drop each pile back in, one thing at a time.
    `,
    harder: `
      say “{opener} And the cards have blown away!”
      do Tip {mixture} into one big heap on a rug.
      ask “How could we sort this? How many ways can you think of?” → by {property}, kind, size, what it’s for, what it’s made of
      do Your child chooses a rule and sorts the whole heap by it.
      [two kinds, even] ask “Now split each pile again, by what the things are. How many piles is that?” → {heaps}, with {each} in each
      [not two kinds, even] ask “Put two piles together. How many is that?” → {pair}
      [not even] ask “Now split the biggest pile in two. What’s your new rule?” → anything that’s true of all of them
      do Hold up two things from different piles.
      ask “What’s different about these two? Is anything the same?” → different {property}; perhaps the same kind or size
      do Add one thing from your pocket that doesn’t belong anywhere.
      ask “Where could this go? Why?” → in a pile it shares something with, or in one of its own
      if They can’t think of a second rule: close your eyes, feel two things and describe them.
      if They argue that it fits two piles: it does! Overlap the piles and put it in the middle.
      notice Do they give a reason that’s true of everything in the pile?
      say “{ending}”
      do Put it all away by a rule that’s new: smallest first, or softest first.
    `,
  },
  corners: {
    title: 'Run it home',
    where: 'where there’s room to run',
    posture: 'moving',
    right: `
      say “{opener} Everything has to get home before the music stops!”
      do Put each card in a place of its own round the room: {groupList}. Tip {mixture} into a heap in the middle.
      do Walk round together and touch each card: “Who lives here?”
      do Hum a tune. Your child runs one thing home each time, and you run one too.
      ask “Stop! Is anyone in the wrong house?” → look at each pile together
      do Hum again until the heap is gone.
      [even] ask “How many live in each house?” → {inHeap}
      [not even] ask “Which house is the fullest? How can you tell?” → line the piles up, or count
      ask “What’s the same about everyone in this house?” → their {property}
      [two kinds] say “Oh no, now they’d rather live with their own kind!”
      [two kinds] do Run everything back to the middle, and make a house for each kind.
      [two kinds] ask “How many houses do we need this time?” → {kindCount}, one for each kind
      if They run off with an armful: “One passenger at a time, driver!”
      if They only want to run: you hold things up, and they run to the right house.
      notice Do they look at the thing before they run, or once they’re there?
      say “Everyone’s home. {ending}”
      do Go round on tiptoe and bring each pile in.
    `,
    easier: `
      say “Everyone wants to go home!”
      do Tip {mixture} into a heap in the middle.
      do Put two cards at two ends of the room: {first} and {second}. Put one thing at each.
      do Hold one thing up: “Take me home, please!”
      ask “Which house?” → the one with things like it
      do Walk over together the first few times, then let your child run.
      ask “Is everyone home?” → yes, the heap is gone
      if They go to the wrong house: knock on the door. “No, I don’t live here!”
      if They carry two at once: “Do these two live together?”
      say “Night-night, everyone.”
      do Bring each pile back, one thing at a time.
    `,
    harder: `
      say “Everything has to get home, and today you can’t see the names on the doors.”
      do Put the cards face down round the room: {groups} of them. Tip {mixture} into a heap in the middle.
      do Your child runs the first thing to any card and decides who lives there.
      ask “What’s your rule for this house?” → a {property}, or a rule of their own
      do Go on until everything’s home. Each new thing has to fit the rule.
      ask “Turn a card over. Were you right?” → it shows what lives there, or it’s time to swap
      [two kinds, even] ask “If every house had a room for each kind, how many rooms would there be?” → {heaps}
      do Hold up one thing from each of two houses.
      ask “What’s different about these? Is anything the same?” → different {property}; anything else they spot
      if They forget a rule: feel a thing from that house with your eyes shut.
      if Two rules clash: build a bridge between the houses for the one in the middle.
      notice Can they say the rule before they look?
      say “Everyone’s home. {ending}”
      do Bring the houses in, the one with the most first.
    `,
  },
  'guess-my-rule': {
    title: 'Guess my rule',
    where: 'on the floor or at the table',
    posture: 'seated',
    right: `
      say “I’ve got a secret rule. Can you find it?”
      do Spread {mixture} out between you. Make a ring with the string.
      do Put three things that are all {firstAll} into the ring, one at a time.
      ask “Would this one go in?” → yes if it’s {firstOne}, no if it isn’t
      do Hold up one thing after another. Your child says yes or no, and you put it in or out.
      ask “What’s my rule?” → they’re all {firstAll}
      say “Your turn. Don’t tell me!”
      do Your child puts three things in the ring. You guess with one thing at a time.
      ask “Was that your rule? How did you know it worked?” → everything in the ring fits it
      if They change the rule halfway: ask about one that doesn’t fit. “Does this still go in?”
      if They just like those three: “What do you like about all of them?” That can be the rule.
      older makes up a rule and says only yes or no.
      younger puts in everything that’s {firstOne}.
      notice Do they try a thing that might not fit, to test the rule?
      say “The ring’s closing!”
      do Pull the string away and see how many are left inside.
    `,
    easier: `
      say “Let’s make a club.”
      do Spread {mixture} out between you. Make a ring with the string.
      do Put two things that are {firstAll} inside.
      ask “Who else can join?” → anything that’s {firstOne}
      do Hold things up one at a time. Your child says “in” or “out”.
      ask “What’s the same about everyone in the club?” → their {property}
      if They let everyone in: “A very friendly club! Is this one like the others?”
      if They want a different club: start a second ring next to it.
      say “The club’s going home.”
      do Put them away, one by one.
    `,
    harder: `
      say “Now I’ve got two secret rules, and two rings.”
      do Make two rings that overlap, with the string. Put three things into each.
      ask “What are my two rules?” → {firstAll} in one ring; something else they share in the other
      do Pick something that fits both rules.
      ask “Where does this one go?” → in the middle, where the rings overlap
      do Your child finds another for the middle, and one for the outside.
      say “Your turn. Two rules, and no clues!”
      do Your child fills the rings. You test them with one thing at a time.
      ask “Could anything never go in a ring? Why not?” → something that fits neither rule
      if The overlap is too much: take one ring away and play with a single rule first.
      if They say their rule at once: whisper it to a toy instead, and start again.
      notice Do they think of a rule that isn’t about colour?
      say “The rings are closing!”
      do Pull the string away. Say one true thing about what’s left in the middle.
    `,
  },
  tidying: {
    title: 'Tidying up',
    where: 'wherever there’s a muddle',
    posture: 'free',
    right: `
      do Find a muddle that needs tidying anyway: the washing, the cutlery, the toys.
      ask “Which of these live together?” → the ones that are the same in something
      do Put them away pile by pile. You take one sort, and your child takes another.
      ask “What’s left? What could we call that pile?” → odd ones, with a name of their own
      if They stop after a minute: race them to the last three things.
      if They play with what they find: that one goes last.
      say “Look how tidy that is.”
    `,
    easier: `
      do Find a small muddle that needs tidying anyway.
      do Hold one thing up.
      ask “Can you find me another like this?” → anything that’s the same in some way
      do Drop the two in together. Go on with the next pair.
      if They bring something else: “Is it the same? What’s different?”
      if They’d rather tip it out: you put in, and they tip out once at the end.
      say “All home.”
    `,
    harder: `
      do Find a muddle that needs tidying anyway, and say you don’t know how to start.
      ask “How would you sort it?” → by any rule that works
      ask “Is there another way that would be quicker to find things with?” → by who it belongs to, size, or how often it’s used
      do Your child is in charge, and you fetch and carry.
      if They run out of places: join two piles, and find a name for both.
      if They get stuck: start with the biggest things.
      say “Now I can find everything.”
    `,
  },
});

/** Its ways of playing. */
export const plays = read;

/** The words of the sorting set. */
export const scripts = {
  ...words,
  title: 'Sorting set',
  printable: 'Sample cards',
  about: 'A heap of things sorted by a rule: what’s the same, what’s different, and one left over on purpose.',
  'dial.story': 'why it’s a muddle',
  'dial.by': 'sorted by',
  'dial.colours': 'the piles',
  'hint.colours': 'two to six, with commas, such as: red, blue, yellow; or fruit, vegetables; or big, small',
  'dial.kinds': 'kinds of things',
  'dial.each': 'of each kind for each pile',
  'dial.things': 'your own things',
  'hint.things': 'one to six, in the plural and with commas, such as: carrots, apples, pears',
  'dial.extra': 'beds for the first kind',
  'choice.one-is-left-over': 'one is left over',
  'choice.none-is-left-over': 'none is left over',
  'choice.washing-day': 'the wind blew the washing down',
  'choice.post-van': 'the post van tipped over',
  'choice.pockets': 'Grandad emptied his pockets',
  'choice.moving-day': 'it’s moving day',
  'choice.colour': 'colour',
  'choice.size': 'size',
  'choice.what-it-is': 'what it is',
  'choice.what-it-does': 'what it can do',
  'property.colour': 'colour',
  'property.size': 'size',
  'property.what-it-is': 'sort of thing',
  'property.what-it-does': 'thing it can do',
  'washing-day.opener': 'The wind’s blown everything off the line!',
  'washing-day.ending': 'All dry, and folded away.',
  'post-van.opener': 'The post van’s tipped over, and everything’s rolled out!',
  'post-van.ending': 'The van’s packed. Off it goes!',
  'pockets.opener': 'Grandad’s emptied all his pockets at once!',
  'pockets.ending': 'Now each pocket has its own things.',
  'moving-day.opener': 'The movers put everything in one box!',
  'moving-day.ending': 'Everything has its own drawer now.',
  'problem.many': 'that makes {all} things, more than the {most} that fit on a rug; take fewer of each',
  'kind.building-block': '{number, plural, one {# block} other {# blocks}}',
  'kind.bottle-lid': '{number, plural, one {# lid} other {# lids}}',
  'kind.clothes-peg': '{number, plural, one {# peg} other {# pegs}}',
  'kind.sock': '{number, plural, one {# sock} other {# socks}}',
  own: '{number} {things}',
  'one.what-it-does': 'one that {name}',
  'all.what-it-does': 'ones that {name}',
  fact: '{all} things: {mixture}; the piles are {groupList}.{even, select, yes { Each pile has {inHeap}.} other {}}',
  'fact.own': 'We don’t know {things} from your shelf, so homes aren’t asked whether they have them.',
  'swap.ribbon': 'laid in a ring',
  key: '{colour}: {even, select, yes {{inHeap}} other {whatever belongs there}}',
  picture: '{groups} piles below their cards, {groupList}.',
  access: 'Sort by feel where colours are hard to see: rough, smooth, soft, hard.',
} as const;
