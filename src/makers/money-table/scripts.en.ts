import { readPlays } from '../../core/makers/index.ts';

/** The money table as it is played: each way and each level whole, from the opening to the end. */
const { plays: read, words } = readPlays({
  shop: {
    title: 'The shop’s open',
    where: 'at the table',
    posture: 'free',
    right: `
      say “The {shop} opens in one minute, and we haven’t got the till ready!”
      do Put the price cards out in a row: {priceList}. Let’s say they’re {goods}.
      do Fill the purse: {purse}.
      [till] do Put the change in a bowl: {till}. That’s the till.
      [hands-first] do Look at the coins together first: fronts, backs, edges and numbers.
      [small-steps] do Put one of each coin in a row, and say what each one’s called.
      [daily-life] do Read a real price together first, on a packet or a tin.
      say “You’re the customer, and I’m behind the counter.”
      do Each time, your child counts the coins into your hand. Tip them back into the purse before the next.
      [each price to pay] ask “{Good}: {price}, please. How could you pay?” → {ways}
      [several ways] ask “Which way of paying {severalPrice} uses the fewest coins? Why?” → {severalFewest}: bigger coins do the work of several small ones
      [change] say “Swap! You keep the shop, and I’ve come for something.”
      [each price with change] ask “{Good} is {price}, and here’s {tender}. What will you give me back?” → {back}: count up {hops}
      [two prices] ask “Which costs more, {cheap} or {costly}? How much more?” → {costlyOne}: {more} more
      [same prices] ask “Which costs more, this one or that one?” → neither: they all cost {price}
      if They count every coin as one: hold one up. “What’s the number on it? How many pennies is that?”
      if They hand over the whole purse: “That’s plenty! How much did I ask for?”
      notice Do they look at the number on a coin, or at how big it is?
      [left over] ask “If you buy {cheapGood}, how much is left in the purse?” → {left}
      ask “What would you sell in a shop of your own? What would it cost?” → anything, at any price
      say “We’re closed!”
      do Count the purse together: {total}. Stack the price cards and turn the sign round.
    `,
    easier: `
      say “The {shop} is open! Everything’s only a few {pennies} today.”
      do Put {onesOf} in the purse, and no other coins.
      say “You’re the customer. What would you like?”
      [each small price] ask “{Good} is {small} {smallPennies}, please. Can you count {small, plural, one {it} other {them}} out?” → {smallCount}
      [each small price] do Say thank you, and hand {small, plural, one {the coin} other {the coins}} back.
      [two small] ask “Which of those was the most expensive?” → the one for {smallMost}
      if They give you a handful: open your hand. “Let’s count. How many did I ask for?”
      if They want to be the shop: swap, and pay with one too many.
      say “We’re closed!”
      do Drop the coins back into the purse one by one, counting: {counting}.
    `,
    harder: `
      say “The {shop} is open, and it’s a busy day.”
      do Put the price cards out in a row: {priceList}. Let’s say they’re {goods}.
      do Put {purse} in the purse.
      [till] do Put the change in a bowl: {till}. That’s the till.
      do Tip the coins back into the purse after each thing.
      [each price to pay] ask “{Good}: {price}. Pay with as few coins as you can.” → {fewest}
      [several ways] ask “Now pay {severalPrice} with as many coins as you can.” → {severalMost}
      [several ways] ask “Is there a way in between? How do you know you’ve found them all?” → {severalCount, plural, one {there’s only that way} other {there are {severalCount, number, words} ways altogether}}
      [equal coins] ask “Find two coins that are worth the same as {oneCoin}.” → {twoCoins}
      [big coin] say “Swap! You’re behind the counter, and all I’ve got is {bigCoin}.”
      [big coin] do Borrow {bigCoin} for this, or pretend. All the other coins are your child’s till.
      [each price from the big coin] ask “I’d like {good} for {price}. How much do I get back?” → {bigBack}: count up {bigHops}
      [big coin] ask “Say that last one as a take-away.” → {big} take away {bigLast} is {bigLastBack}
      if They count up in ones: “What’s the next ten? Jump there first.”
      if They’re sure there’s only one way: swap one coin for smaller ones, and count again.
      notice Do they count up from the price, or take coins away from the heap?
      ask “What’s the most you could spend here and still have money left? Show me.” → anything less than {total}
      say “We’re closed!”
      ask “What do you know about money that you’d like to tell Grandma?” → anything at all
      do Count the purse together, biggest coins first: {total}.
    `,
  },
  'toll-bridge': {
    title: 'The toll bridge',
    where: 'on the floor, with room to walk',
    posture: 'moving',
    right: `
      say “Halt! Nobody crosses my bridge without paying.”
      do Lay a towel on the floor: the bridge. Stand at one end with the purse: {purse}.
      [till] do Give your child the bridge’s money bowl: {till}.
      do Your child is the keeper, and stands the price cards at their feet: {priceList}.
      [each price to pay] ask “I’m {traveller}. That’s {price}, keeper. Which coins shall I give you?” → {ways}
      [each price to pay] do Pay, and cross the bridge as {traveller} would. Take your money back on the other side.
      [several ways] ask “That was {severalPrice}. Could I have paid with fewer coins?” → {severalFewest} is the fewest
      [each price with change] ask “I’m {traveller}. I owe you {price}, and I’ve only got {tender}. What do I get back?” → {back}: count up {hops}
      [each price with change] do Take your change and gallop across.
      say “Change over. I’m the keeper now, and you’re in a hurry.”
      do Your child pays whichever price they like, and crosses.
      [two prices] ask “Who pays more, {cheapTraveller} or {costlyTraveller}? How much more?” → {costlyTraveller}: {more} more
      [same prices] ask “Who pays more?” → nobody: everyone pays {price}
      if They let you cross for nothing: stop halfway. “Wait, have I paid?”
      if They only want to gallop: every crossing still costs one coin.
      notice Do they check what you gave them before they let you by?
      say “The sun’s going down. The bridge is shut.”
      do Roll up the bridge and count the money into the purse: {total}.
    `,
    easier: `
      say “Halt! It’s only pennies to cross my bridge today.”
      do Lay a towel on the floor: the bridge. Give your child {onesOf}.
      [each small price] ask “Here comes {traveller}! That’s {small} {smallPennies}. Can you count {small, plural, one {it} other {them}} into my hand?” → {smallCount}
      [each small price] do Your child crosses as {traveller} would. Hand the money back.
      [two small] ask “Who paid the most?” → {smallMostTraveller}
      if They run across without paying: “Come back! My bridge isn’t free.”
      if They pay too much: count it back together until it’s right.
      say “The bridge is shut.”
      do Drop the coins back into the purse, counting: {counting}.
    `,
    harder: `
      say “Halt! This bridge takes the right money only, and as few coins as you can manage.”
      do Lay a towel on the floor: the bridge. Your child has the purse: {purse}.
      do Stand the price cards at your feet: {priceList}.
      [each price to pay] ask “Who goes there? {Traveller}! That’s {price}, with the fewest coins, please.” → {fewest}
      [each price to pay] do Your child pays and crosses. Hand the money back on the other side.
      [several ways] ask “{severalPrice} again, but now with the most coins you can.” → {severalMost}
      [equal coins] ask “I won’t take {oneCoin} today. Which two coins do instead?” → {twoCoins}
      [each price with change] ask “Here’s {tender} from {traveller}, for {price}. What’s the change?” → {back}: count up {hops}
      [two to cross] ask “Now {cheapTraveller} and {costlyTraveller} cross together. What do they pay altogether?” → {together}
      [two to cross, pays together] do Your child finds that in the purse, and both cross holding hands.
      if They guess the fewest: “Try with one coin less. Can it be done?”
      if They’d rather be the keeper: pay wrongly on purpose, and let them catch you.
      notice Do they start with the biggest coin that fits?
      say “The bridge is shut for the night.”
      ask “How much would it have to cost so that nobody could pay?” → more than {total}
      do Roll up the bridge and count the money into the purse.
    `,
  },
  'real-shop': {
    title: 'Paying for something real',
    where: 'wherever something’s paid for',
    posture: 'free',
    right: `
      do Next time you pay for something small, tip your coins into your child’s hands.
      ask “How much is it? Which coins shall we give?” → any handful that makes the price
      do Your child hands them over.
      ask “Do we get anything back?” → only if you gave more than the price
      if They hold on to the money: “You get to carry what we bought.”
      if They choose by size: read the numbers on two coins together.
      do Put the change back in the purse, counting.
    `,
    easier: `
      do Next time you pay with coins, give your child one.
      ask “What number’s on it?” → the number on the coin
      do Your child hands it over, or drops it in the machine.
      if They want to keep it: trade it for the bag.
      if They drop it: find it together, and read it again.
      say “Thank you! That’s ours now.”
    `,
    harder: `
      do Next time you pay for something small, look at the price together before you get to the till.
      ask “Which coins could we use? Can you think of two ways?” → any two handfuls that make the price
      ask “If we give the next bigger coin, what comes back?” → count up from the price
      do Your child pays and checks the change.
      if They’re rushed: pay, and do the sum once you’re home.
      if The change is wrong: count it again together, out loud.
      do Put the change back in the purse, biggest coin first.
    `,
  },
});

/** Its ways of playing. */
export const plays = read;

/** The words of the money table. */
export const scripts = {
  ...words,
  title: 'Money table',
  printable: 'Price cards',
  about: 'A purse, a till and prices that can be paid: which coins, which way is fewest, and what comes back.',
  'dial.story': 'what’s for sale',
  'dial.goods': 'your own goods',
  'hint.goods': 'one for each price, with commas, such as: a bun, a jar of jam',
  'dial.purse': 'coins in the purse',
  'hint.purse': 'each coin by what it’s worth, with 100 for a pound, such as 1 1 2 5 10',
  'dial.till': 'coins in the till',
  'hint.till': 'to give change from, the same way',
  'dial.prices': 'prices',
  'hint.prices': 'in pennies, such as 3 6 8',
  'dial.change': 'prices that need change',
  'choice.not-yet': 'not yet',
  'choice.bakery': 'at the bakery',
  'choice.flower-stall': 'at the flower stall',
  'choice.post-office': 'at the post office',
  'choice.junk-stall': 'at the odds and ends stall',
  'choice.your-own': 'your own goods',
  'problem.no-such-coin': 'holds a coin of {strange}, and there isn’t one; there are {coined}',
  'problem.no-price': 'needs at least one price',
  'problem.too-high': 'no price over {total} can be paid from this purse, so {prices} must go',
  'problem.stuck': '{prices} can’t be paid exactly, and the till can’t give the change',
  'problem.change': '{prices} can only be paid with change, and you’ve said not yet',
  'problem.few-goods':
    'names {goods, plural, one {# thing} other {# things}} for {prices, plural, one {# price} other {# prices}}; name one for each',
  bakery:
    'a seeded roll|a jam bun|a gingerbread snail|a cheese twist|a fruit loaf|an iced ring|a plum tart|a star biscuit|a honey cake|a pretzel|a cream horn|a big birthday cake',
  'bakery.shop': 'bakery',
  'flower-stall':
    'a daisy|a bunch of mint|three tulips|a pot of ivy|a sunflower|a sprig of lavender|a bag of bulbs|a fern|a rosebud|a packet of seeds|a cactus|a hanging basket',
  'flower-stall.shop': 'flower stall',
  'post-office':
    'a birthday card|a letter|a small parcel|a ball of twine|a sheet of stamps|a letter to the moon|a parcel for the sea|a sticky label|a thank-you card|a letter that’s in a hurry|a poster in a tube|an enormous parcel',
  'post-office.shop': 'post office',
  'junk-stall':
    'a brass doorknob|a brass thimble|a left glove|a teapot with no lid|a music box|a bicycle pump|a broken kite|a picture frame|one roller skate|a birdcage|a rocking horse|a pram with three wheels',
  'junk-stall.shop': 'odds and ends stall',
  'your-own.shop': 'shop',
  travellers:
    'a goat|a cart|a snail|two geese|a postwoman|a very old bear|a knight|a family of mice|a cow|a wheelbarrow|a giant|a ghost',
  'coin.pence.1': '{number, plural, one {a penny} other {{number, number, words} pennies}}',
  'coin.pence.100': '{number, plural, one {a pound coin} other {{number, number, words} pound coins}}',
  'coin.pence.200': '{number, plural, one {a two-pound coin} other {{number, number, words} two-pound coins}}',
  'coin.pence':
    '{number, plural, one {{worth, plural, =8 {an} =11 {an} other {a}} {worth}p} other {{number, number, words} {worth}ps}}',
  'coin.cents.1': '{number, plural, one {a one-cent coin} other {{number, number, words} one-cent coins}}',
  'coin.cents.100': '{number, plural, one {a one-euro coin} other {{number, number, words} one-euro coins}}',
  'coin.cents.200': '{number, plural, one {a two-euro coin} other {{number, number, words} two-euro coins}}',
  'coin.cents':
    '{number, plural, one {a {worth, number, words}-cent coin} other {{number, number, words} {worth, number, words}-cent coins}}',
  'coin.dollars.1': '{number, plural, one {a penny} other {{number, number, words} pennies}}',
  'coin.dollars.5': '{number, plural, one {a nickel} other {{number, number, words} nickels}}',
  'coin.dollars.10': '{number, plural, one {a dime} other {{number, number, words} dimes}}',
  'coin.dollars.25': '{number, plural, one {a quarter} other {{number, number, words} quarters}}',
  'coin.dollars.100': '{number, plural, one {a dollar coin} other {{number, number, words} dollar coins}}',
  'coin.dollars.200': '{number, plural, one {a two-dollar coin} other {{number, number, words} two-dollar coins}}',
  'coin.dollars': '{number, plural, one {a coin of {worth}} other {{number, number, words} coins of {worth}}}',
  'coin.tokens': '{number, plural, one {a token for {worth}} other {{number, number, words} tokens for {worth}}}',
  'pennies.pence': '{number, plural, one {penny} other {pennies}}',
  'pennies.cents': '{number, plural, one {cent} other {cents}}',
  'pennies.dollars': '{number, plural, one {penny} other {pennies}}',
  'pennies.tokens': '{number, plural, one {token} other {tokens}}',
  amount: '{amount}',
  small: '{number} {word}',
  'ways.more': '{number, plural, one {one more way} other {{number, number, words} more ways}}',
  name: '{value, number, words}',
  hop: '{from} to {to}',
  'fact.purse': 'The purse holds {total}.',
  'fact.ways': '{price}: {ways, plural, one {{ways} way} other {{ways} ways}}, fewest {fewest}.',
  'fact.change': '{price}: only with change, {back} back.',
  'swap.bottle-lid': 'with what it’s worth written on',
  'swap.paper': 'folded to stand up',
  'swap.blanket': 'spread out just the same',
  key: '{price}: {ways}',
  'key.change': '{price}: with change only',
  picture: 'Coins from the purse in a row, and price cards below.',
} as const;
