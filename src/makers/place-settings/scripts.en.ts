import { readPlays } from '../../core/makers/index.ts';

/** Place settings as it is played: each way and each level whole, from the opening to the end. */
const { plays: read, words } = readPlays({
  supper: {
    title: 'Supper for everyone',
    where: 'at the table or on a rug',
    posture: 'free',
    right: `
      say “Supper’s nearly ready, and nobody’s laid the table!”
      ask “It’s {guests} tonight. How many is that?” → {people}
      do Put out {people, plural, one {# chair or cushion} other {# chairs or cushions}}. We’ll pretend they’re all here.
      [hands-first] do Get out the {everything}. For a minute anyone can stack, carry or give them out, any way they like.
      [small-steps] do Lay one place first, saying each thing as you put it down: “This is one place.”
      [daily-life] do Use the real table, just before you eat.
      [none out] do Tip all the {firstMany} out beside you.
      [none out] ask “Everyone needs one {firstOne}. How many shall we put out?” → {people}
      [some out] do Put out {placed, number} {placed, plural, one {{firstOne}} other {{firstMany}}} yourself{placed, plural, one {} other {, one to a place}}.
      [some out, some missing] ask “How many of us haven’t got a {firstOne} yet?” → {more}
      [some missing] do Your child fetches them and gives them out.
      [none missing] ask “Has everyone got a {firstOne}? How can you tell?” → yes: no place is empty
      [two kinds] say “Now the {secondMany}. I’ve brought {fewer}.”
      [two kinds] ask “Is that enough for us?” → no: we need one more
      [two kinds] do Your child fetches one more and gives out the {secondMany}.
      [three kinds] do Point to the {thirdMany} and hold out your hands.
      [three kinds] ask “Can you bring me just enough {thirdMany}, all in one go?” → {people}
      [three kinds] do Give them out together, and see if it was just enough.
      [four kinds, a crowd] do Give {fourthMany} to everyone but {lastTwo}.
      [four kinds, a crowd] ask “Who still needs a {fourthOne}? How many is that?” → two: {lastTwo}
      [four kinds, a crowd] do Your child brings those two.
      [four kinds, not a crowd] ask “And how many {fourthMany} is that?” → {people}
      [four kinds, not a crowd] do Your child brings them and gives them out.
      ask “Has everyone got one of everything? How do you know?” → yes: each place has {oneOfEach}
      if They put two at one place: “Lucky you! Who’s got none now?”
      if They carry over the whole pile: “Let’s give them out and see what’s left.”
      notice Do they bring one at a time, or count before they walk?
      say “Knock, knock! {Late} has come for supper too.”
      ask “What does {late} need?” → {lateNeeds}
      do Lay one more place together.
      ask “How many places now? How do you know?” → {later}: one more than {people}
      do Sit down and pretend to eat. Clear away one kind at a time, counting each one back.
    `,
    easier: `
      say “Supper’s nearly ready! It’s only {few} tonight.”
      do Put out {fewCount} cushions in a row: one for each of us.
      do Put a {firstOne} at the first place: “One for you.”
      ask “Who hasn’t got a {firstOne} yet?” → the other {fewMore, plural, one {one} other {{fewMore, number, words}}}
      do Your child gives out the other {fewMore, plural, one {one} other {#}}. Pat each place together: “{fewCounted}.”
      ask “Have we all got one?” → yes
      [two kinds] do Give your child the {secondMany} one at a time: “Where does this one go?”
      [two kinds] ask “Who’s waiting for a {secondOne}?” → whoever has none yet
      if They put two at one place: “Lucky you! Who’s got none now?”
      if They line them all up: count the row together, then give them out.
      say “Cheers, everyone!”
      do Pretend to eat. Put the {firstMany} away one by one, saying goodnight to each.
    `,
    harder: `
      say “It’s {guests} for supper, and you’re in charge of the table.”
      ask “How many places is that?” → {people}
      do Put out {people, plural, one {# chair or cushion} other {# chairs or cushions}}.
      ask “Everyone gets {oneOfEach}. How many things will be on the table? How could we find out?” → {all}: {things, plural, one {one for each place} other {# for each place}}
      do Your child lays the whole table.
      say “Shut your eyes!”
      do Take one {firstOne} and hide it behind your back.
      ask “What’s missing, and whose is it?” → the {firstOne} from one place
      do Put it back where your child says.
      say “The phone’s ringing. {Late} is coming too!”
      ask “How many more things do we need?” → {things, plural, one {one more} other {# more}}
      do Lay one more place together.
      ask “So how many things are on the table now?” → {allAndLate}
      if They count everything from one again: that’s fine. Then ask whether you could start at {all}.
      if They’d rather hide something: swap jobs, and guess from the gaps.
      notice Do they count on from what’s there already?
      do Sit down and pretend to eat. Clear away one kind at a time, counting back down to nothing.
    `,
  },
  picnic: {
    title: 'Picnic before the rain',
    where: 'where there’s room to walk',
    posture: 'moving',
    right: `
      say “Quick, the sun’s out! Let’s have a picnic before it rains.”
      do Spread a towel on the floor. Leave the {everything} at the other end of the room.
      ask “It’s {guests} on the blanket. How many is that?” → {people}
      do Put {people, plural, one {# cushion} other {# cushions}} round the towel, one for each.
      [some out] do Walk over together and bring {placed, plural, one {# {firstOne}} other {# {firstMany}}}. {placed, plural, one {Put it by a cushion.} other {Put one by each cushion, as far as they go.}}
      [some out, some missing] ask “How many more {firstMany} do we need?” → {more}
      [none out] ask “How many {firstMany} do we need?” → {people}
      [some missing] do Your child hops over, brings them back and gives them out.
      [two kinds] say “I felt a drop! Now the {secondMany}.”
      [two kinds] ask “How many, before you run?” → {people}
      [two kinds] do Your child runs over, brings them and gives them out.
      [three kinds] do You bring {fewer3} yourself: “There, that’s all of us.”
      [three kinds] ask “Is it? Who hasn’t got a {thirdOne}?” → one of us: there’s one too few
      [three kinds] do Your child runs for the last one.
      [four kinds] ask “And the {fourthMany}: how many for everyone?” → {people}
      [four kinds] do Bring them together, walking backwards.
      ask “Is everyone ready for the picnic? How do you know?” → yes: each place has {oneOfEach}
      if They come back with too many: “Some spare! How many shall we take back?”
      if They only want to run: let them fetch, and you give out and count.
      notice Do they look round the towel and count before they run?
      say “It’s raining! Everything in!”
      do Carry it all back, one kind on each trip, counting as you drop it off.
    `,
    easier: `
      say “Quick, the sun’s out! A picnic for {few}.”
      do Spread a towel on the floor. Put {fewCount} cushions round it: one for each of us.
      do Leave {fewCount} {firstMany} at the other end of the room.
      do Walk over together and bring one back: “This one’s yours.”
      ask “Who’s still waiting?” → the other {fewMore, plural, one {one} other {{fewMore, number, words}}}
      do Fetch them one at a time, together. Each time, ask who it’s for.
      ask “Have we all got one?” → yes
      if They bring two at once: “Two hands, two {firstMany}! Who are they for?”
      if They’d rather stay on the blanket: be the postman, and let them say who gets it.
      say “It’s raining! Run!”
      do Carry the {firstMany} back one at a time, as fast as you can.
    `,
    harder: `
      say “Quick, the sun’s out! It’s {guests} for the picnic, and you’re packing.”
      do Spread a towel on the floor. Leave the {everything} at the other end of the room.
      ask “How many cushions do we need round it?” → {people}
      do Your child puts them out.
      ask “Everyone gets {oneOfEach}. If you carry two things each time, how many trips is that?” → {trips}
      do Your child fetches two at a time. You keep count of the trips on your fingers.
      ask “Was that right? Why?” → {trips} trips, two things on each{odd, plural, =0 {} other {, and only one on the last}}
      [three or more] say “Two of us have to go home early.”
      [three or more] do Put everything those two had back at the other end.
      [three or more] ask “How many things are left on the blanket? How do you know?” → {allButTwo}: {twoPlaces} fewer than {all}
      if They carry more than two: “Strong arms! How many trips will it be like that?”
      if They lose count: lay the things in pairs and count the pairs.
      notice Do they use the pairs to work it out, or count every thing?
      say “It’s raining! Everything in!”
      do Carry it all back, two at a time.
    `,
  },
  cafe: {
    title: 'The café is open',
    where: 'at the table',
    posture: 'free',
    right: `
      say “Ding! The café’s open. You’re the waiter.”
      do Your child stands by the {everything}. Sit down and clap once for each guest: {people} claps.
      ask “Good evening! How many of us are there?” → {people}
      do Put out {people, plural, one {# chair or cushion} other {# chairs or cushions}} together.
      [some out] say “I’ve brought {placed, number} {placed, plural, one {{firstOne}} other {{firstMany}}} from home.”
      [some missing] ask “Waiter! How many {firstMany} are we short of?” → {more}
      [some missing] do Your child brings them on one trip.
      older asks each guest: “What are you waiting for?”
      younger puts one down at each place and says “Here you are”.
      [two kinds] ask “And could we have a {secondOne} each?” → {people} {secondMany}
      [two kinds] do Your child brings them and gives them out.
      [three kinds] do Hide one {thirdOne} on your lap. Ask for the rest to be given out.
      [three kinds] ask “Waiter, one of us hasn’t got a {thirdOne}! Who is it?” → the one with a gap at their place
      [four kinds, a crowd] ask “Two of us don’t want a {fourthOne}. How many is that, then?” → {butTwo}
      [four kinds, not a crowd] ask “And how many {fourthMany}, please?” → {people}
      [four kinds] do Your child brings those.
      ask “What could go wrong in a café? Do it, and I’ll find it.” → any mix-up, put right together
      if They serve only themselves: “What about the others? They’re getting hungry.”
      if They give one guest everything: “I’ve got two. Who’s got none?”
      notice Do they check each place, or only the pile in their hands?
      say “The bill, please!”
      ask “It’s a penny for each guest. How much is that?” → {people} pennies
      do Pay with pretend pennies. “Closing time!” Clear the table one kind at a time.
    `,
    easier: `
      say “Ding! The café’s open. There are only {fewCount} of us today.”
      do Put out {fewCount} cushions and sit down. Your child stands by the {firstMany}.
      ask “Waiter, could I have a {firstOne}, please?” → one, handed over
      do Say thank you, and point to the next guest. “And one for my friend?”
      do Go on until everyone has one.
      older asks each guest: “Would you like one?”
      younger puts it down at the place.
      ask “Is anyone still waiting?” → no
      if They bring a handful: “Thank you! I only need one. Who’s this for?”
      if They want to be the guest: swap, and you bring the wrong number on purpose.
      say “Lovely. We’re going home now.”
      do Hand back the {firstMany} one by one: “Goodbye, waiter!”
    `,
    harder: `
      say “Ding! The café’s open. Tonight you’re the boss.”
      ask “There are {people} of us, and each of us wants {oneOfEach}. How many things will you bring?” → {all}
      do Your child brings them on as few trips as they dare.
      ask “How could you check without counting them all?” → look for a gap at a place, or count one kind
      [two kinds] say “Two of us aren’t hungry. We’ll just have a {firstOne}.”
      [two kinds] ask “How many things can you take back?” → {takenBack}
      [two kinds] do Your child takes them back.
      say “And {late} has just sat down, and wants {oneOfEach}.”
      ask “So how many things are on the table now?” → {afterLate}
      older keeps a list with a stroke for each thing.
      younger takes each order: “What would you like?”
      if They forget what was ordered: draw it, one stroke for each thing.
      if They say a number quickly: “How did you know?”
      notice Do they work from {all}, or start again?
      ask “The bill! Two pennies for each of {later} guests. How much is that?” → {bill} pennies
      do Pay with pretend pennies. “Closing time!” Clear the table one kind at a time.
    `,
  },
  'real-tea': {
    title: 'When tea’s really ready',
    where: 'in the kitchen',
    posture: 'free',
    right: `
      say “Tea’s nearly ready. There are {people} of us today.”
      ask “How many {firstMany} is that?” → {people}
      do Hold out more than you need. Your child takes just enough and gives them out.
      ask “Has everyone got one?” → yes, or someone’s still waiting
      if There’s one over: “Whose is this? Nobody’s? Back it goes.”
      if They forget someone: wait, and let that person ask.
      do Sit down and start.
    `,
    easier: `
      say “Tea’s nearly ready.”
      do Hand over one {firstOne} at a time: “Who’s this for?”
      ask “Who hasn’t got one yet?” → whoever has none
      if They keep it: “That’s yours. Here’s one for me.”
      if They give someone two: “Thank you! Who’s still waiting?”
      do Sit down and start.
    `,
    harder: `
      say “Tea’s nearly ready. There are {people} of us, and someone else might come.”
      ask “How many {firstMany} if they come? And if they don’t?” → {later}, or {people}
      do Your child lays for everyone who might come.
      ask “They aren’t coming after all. What shall we do?” → put one back, and {people} are left
      if They take a handful: “Put out one for each, and see if any are left.”
      if They count from one again: put your hand over {people} of them. “There’s {people}. And one more?”
      do Sit down and start.
    `,
  },
});

/** Its ways of playing. */
export const plays = read;

/** The words of place settings. */
export const scripts = {
  ...words,
  title: 'Place settings',
  printable: 'Place mats',
  about: 'One of everything for everyone: how many more do we need, and who’s still waiting?',
  'dial.people': 'people',
  'dial.things': 'things for each',
  'dial.placed': 'already given out',
  'dial.story': 'who comes',
  'dial.who': 'your own guests',
  'hint.who': 'two to twelve, with commas, such as: you, me, Grandma, Ben',
  'choice.our-house': 'people and toys at home',
  'choice.post-office': 'everyone at the post office',
  'choice.night-animals': 'animals that wake at night',
  'choice.washing': 'the washing, come in from the line',
  'choice.your-own': 'your own guests',
  'problem.too-many':
    '{placed} given out to {people} people leaves nothing to find out; at most {people} can be there already',
  'problem.few-names':
    'names {names, plural, one {# guest} other {# guests}} for {people} people; name more, or take fewer people',
  'many.cup': 'cups',
  'many.plate': 'plates',
  'many.spoon': 'spoons',
  'many.paper-napkin': 'napkins',
  cup: '{number, plural, one {# cup} other {# cups}}',
  plate: '{number, plural, one {# plate} other {# plates}}',
  spoon: '{number, plural, one {# spoon} other {# spoons}}',
  'paper-napkin': '{number, plural, one {# napkin} other {# napkins}}',
  'one.cup': 'cup',
  'one.plate': 'plate',
  'one.spoon': 'spoon',
  'one.paper-napkin': 'napkin',
  'a.chair': 'somewhere to sit',
  'a.cup': 'a cup',
  'a.plate': 'a plate',
  'a.spoon': 'a spoon',
  'a.paper-napkin': 'a napkin',
  'counted.2': 'one, two',
  'counted.3': 'one, two, three',
  'our-house':
    'you|me|Grandad|Auntie May|the bear|Cousin Idris|the rabbit|Nana|the dragon|the postman|the elephant|the penguin',
  'our-house.late': 'the cat',
  'our-house.Late': 'The cat',
  'post-office':
    'you|me|the van driver|the sorter|the parcel girl|the letter boy|the porter|the clerk|the stamp lady|the guard|the pigeon|the night watchman',
  'post-office.late': 'a man with a very big parcel',
  'post-office.Late': 'A man with a very big parcel',
  'night-animals':
    'you|me|the owl|the hedgehog|the fox|the moth|the bat|the badger|the mouse|the toad|the hare|the snail',
  'night-animals.late': 'a bee who can’t sleep',
  'night-animals.Late': 'A bee who can’t sleep',
  washing:
    'you|me|the big shirt|the little vest|the best trousers|the stripy pyjamas|the woolly jumper|the party dress|the wet swimsuit|the best tablecloth|the football shorts|the baby’s bib',
  'washing.late': 'a vest that got lost',
  'washing.Late': 'A vest that got lost',
  'your-own.late': 'one more friend',
  'your-own.Late': 'One more friend',
  fact: '{people} × {things} = {all} things; {more, plural, =0 {everyone has a {firstOne}} one {# more {firstOne} to fetch} other {# more {firstMany} to fetch}}.',
  'swap.cushion': 'a table on the floor',
  'swap.paper': 'a sheet to sit on',
  'swap.blanket': 'spread out just the same',
  key: '{more, plural, =0 {everyone has one} one {# more is needed} other {# more are needed}}; {all} things in all; {later} places with one more guest',
  picture:
    '{people, plural, one {# place} other {# places}} at a table, each for {things, plural, one {# thing} other {# things}}; {placed, plural, =0 {no cup is there yet} one {# cup is there already} other {# cups are there already}}.',
} as const;
