import { listOf, type Message, type MessageValue, type MessageValues } from '../../core/message.ts';
import { type Coins, CURRENCIES, type CurrencyName, giveChange, payingWays } from '../../core/numbers/index.ts';
import type { Worked as WorkedOut } from '../../core/makers/index.ts';
import type { Names } from './goods.ts';
import type { Worked } from './table.ts';

/** So many ways of paying are named in an answer. */
const MOST_NAMED = 4;
/** So many small prices are paid at the easier level, and so many coins are there for them at most. */
const MOST_SMALL = 3;
const MOST_ONES = 5;
/** So many are paid from one large coin. */
const MOST_FROM_BIG = 3;

const said = (name: string, values?: MessageValues): Message => ({ key: `money-table/${name}`, values });

/** What the scripts of the money table speak of: prices, coins by their faces, ways of paying and change. */
export function spokenFacts(
  worked: Worked,
  names: Names,
): Required<Pick<WorkedOut, 'values' | 'holds' | 'each'>> & { readonly ones: number } {
  const { prices, purse, money, payable, change, total } = worked;
  const handful = handfulsIn(money(1).currency as CurrencyName);
  const [cheap, costly] = [Math.min(...prices), Math.max(...prices)];
  const several = payable.find(({ list, ways }) => list.length > 1 && list.length === Number(ways));
  const big = bigCoinFor(worked);
  const small = smallPrices(worked, names);
  const equal = equalCoins(purse, money(1).currency as CurrencyName, handful);
  return {
    ones: small.ones,
    values: {
      ...small.values,
      ...big.values(handful),
      ...tableWords(worked, names, handful),
      ...(several && {
        severalPrice: money(several.price),
        severalFewest: handful(several.fewest!),
        severalMost: handful(several.list.at(-1)!),
        severalCount: several.list.length,
      }),
      ...equal,
    },
    holds: {
      till: change.length > 0,
      change: change.length > 0,
      'several ways': several !== undefined,
      'two prices': costly > cheap,
      'same prices': costly === cheap && prices.length > 1,
      'left over': total > cheap,
      'equal coins': equal !== null,
      'big coin': big.each.length > 0,
      'two small': small.each.length > 1,
      'two to cross': costly > cheap,
      'pays together': payingWays(purse, cheap + costly, 1).fewest !== null,
    },
    each: { ...paid(worked, names, { handful, big: big.each }), 'small price': small.each },
  };
}

/** What is sold for a price, and who crosses for it. */
function namesAt(price: number, { prices }: Worked, names: Names) {
  const at = prices.indexOf(price);
  const [good, traveller] = [names.goods[at]!, names.travellers[at]!];
  return { good: good.within, Good: good.first, traveller: traveller.within, Traveller: traveller.first };
}

function tableWords(worked: Worked, names: Names, handful: Handful): MessageValues {
  const { prices, purse, till, money, total } = worked;
  const [cheap, costly] = [Math.min(...prices), Math.max(...prices)];
  const [cheapOne, costlyOne] = [namesAt(cheap, worked, names), namesAt(costly, worked, names)];
  return {
    shop: said(`${names.story}.shop`),
    priceList: listOf(prices.map(money)),
    goods: listOf(names.goods.map(({ within }) => within)),
    purse: handful(coinsIn(purse)),
    till: handful(coinsIn(till)),
    total: money(total),
    price: money(prices[0]!),
    cheap: cheapOne.good,
    costly: costlyOne.good,
    costlyOne: costlyOne.good,
    cheapTraveller: cheapOne.traveller,
    costlyTraveller: costlyOne.traveller,
    more: money(costly - cheap),
    together: money(cheap + costly),
    cheapGood: cheapOne.good,
    left: money(total - cheap),
  };
}

/** Each price as it is paid: exactly, with change, or from one large coin. */
function paid(
  worked: Worked,
  names: Names,
  { handful, big }: { handful: Handful; big: ReturnType<typeof bigCoinFor>['each'] },
): Record<string, MessageValues[]> {
  const { payable, change, money } = worked;
  return {
    'price to pay': payable.map((exact) => ({
      ...namesAt(exact.price, worked, names),
      price: money(exact.price),
      ways: waysOfPaying(exact, handful),
      fewest: handful(exact.fewest!),
    })),
    'price with change': change.map(({ price, tendered, coins, hops }) => ({
      ...namesAt(price, worked, names),
      price: money(price),
      tender: handful(tendered),
      back: handful(coins ?? []),
      hops: inHops(hops, money),
    })),
    'price from the big coin': big.map(({ price, coins, hops }) => ({
      ...namesAt(price, worked, names),
      price: money(price),
      bigBack: handful(coins!),
      bigHops: inHops(hops, money),
    })),
  };
}

type Handful = (coins: readonly number[]) => MessageValue;

/** Coins by their faces, as one says them: two pennies, a 2p and a pound coin. */
function handfulsIn(currency: CurrencyName): Handful {
  return (coins) => {
    const worths = [...new Set(coins)].sort((left, right) => left - right);
    const faces: readonly number[] = currency === 'dollars' ? [1, 5, 10, 25, 100, 200] : [1, 100, 200];
    return listOf(
      worths.map((worth) =>
        said(`coin.${currency}${currency !== 'tokens' && faces.includes(worth) ? `.${worth}` : ''}`, {
          worth,
          number: coins.filter((coin) => coin === worth).length,
        }),
      ),
    );
  };
}

/** The coins of a purse one by one. */
function coinsIn(coins: Coins): number[] {
  return Object.entries(coins).flatMap(([worth, number]) => Array.from({ length: number }, () => Number(worth)));
}

function waysOfPaying({ list, ways }: Worked['ways'][number], handful: Handful): MessageValue {
  const others = Number(ways) - MOST_NAMED;
  const named = list.slice(0, MOST_NAMED).map(handful);
  return listOf(others > 0 ? [...named, said('ways.more', { number: others })] : named, 'semicolon');
}

function inHops(hops: readonly (readonly [number, number])[], money: Worked['money']): MessageValue {
  return listOf(
    hops.map(([from, to]) => said('hop', { from: money(from), to: money(to) })),
    'comma',
  );
}

/** The smallest coin above the dearest of a few prices, where the other coins can give change from it. */
function bigCoinFor({ prices, purse, till, money }: Worked) {
  const { coins, perMajor } = CURRENCIES[money(1).currency as CurrencyName];
  const few = [...new Set(prices)].slice(0, MOST_FROM_BIG);
  const all = perMajor > 0 ? [...coins, perMajor, 2 * perMajor] : [...coins];
  const big = all.find((worth) => worth > Math.max(...few));
  const rest = { ...till };
  for (const [worth, number] of Object.entries(purse)) rest[worth] = (rest[worth] ?? 0) + number;
  const each = (big === undefined ? [] : few)
    .map((price) => ({ price, ...giveChange(price, big!, rest) }))
    .filter((given) => given.coins !== null);
  const last = each.at(-1);
  return {
    each,
    values: (handful: Handful): MessageValues =>
      last && big !== undefined
        ? {
            big: money(big),
            bigCoin: handful([big]),
            bigLast: money(last.price),
            bigLastBack: money(big - last.price),
          }
        : {},
  };
}

/** A few small prices for the easier level, and the smallest coins that pay them. */
function smallPrices({ prices, money }: Worked, names: Names) {
  const { currency } = money(1);
  const ones = Math.min(MOST_ONES, ...prices);
  const pennies = (number: number) => said(`pennies.${currency}`, { number });
  const counted = (number: number) =>
    listOf(
      Array.from({ length: number }, (_, index) => said('name', { value: index + 1 })),
      'comma',
    );
  // One price may be all there is; then the same is bought for one, two and three.
  const most = Math.min(MOST_SMALL, ones);
  const nameFor = (small: number) => ({
    good: names.goods[(small - 1) % names.goods.length]!,
    traveller: names.travellers[(small - 1) % names.travellers.length]!,
  });
  return {
    ones,
    values: {
      onesOf: said('small', { number: ones, word: pennies(ones) }),
      pennies: pennies(2),
      counting: counted(ones),
      smallMost: said('small', { number: most, word: pennies(most) }),
      smallMostTraveller: nameFor(most).traveller.within,
    } satisfies MessageValues,
    each: Array.from({ length: most }, (_, index): MessageValues => {
      const small = index + 1;
      const { good, traveller } = nameFor(small);
      return {
        Good: good.first,
        traveller: traveller.within,
        small,
        smallPennies: pennies(small),
        smallCount: counted(small),
      };
    }),
  };
}

/** Two equal coins of the purse that are worth one that there is; null where there are none. */
function equalCoins(purse: Coins, currency: CurrencyName, handful: Handful): MessageValues | null {
  const { coins, perMajor } = CURRENCIES[currency];
  const all: readonly number[] = perMajor > 0 ? [...coins, perMajor, 2 * perMajor] : coins;
  const found = Object.entries(purse)
    .filter(([, number]) => number >= 2)
    .map(([worth]) => Number(worth))
    .find((worth) => all.includes(2 * worth));
  return found === undefined ? null : { oneCoin: handful([2 * found]), twoCoins: handful([found, found]) };
}
