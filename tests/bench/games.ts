import { seededChance } from '../../src/core/chance.ts';
import { GAMES, OLDER, YOUNGER, type GameRules } from '../../src/core/games/gameRules.ts';
import { metSize, playGame } from '../../src/core/games/playGame.ts';
import { PLAYS, simulate } from '../../src/core/games/simulate.ts';

type Report = (name: string, text: string) => void;

/** Ten thousand plays of every game against drawing as many numbers by chance in the same run. */
export function gamePlays(report: Report): void {
  let worst = { game: '', ratio: 0, ms: 0 };
  for (const game of GAMES) {
    const rules: GameRules = { game, players: [YOUNGER, OLDER], size: 20, faces: 6, isHard: false };
    const sized = game === 'chain' || game === 'skittles' ? { ...rules, size: 6 } : rules;
    const draws = drawsOf(sized);
    simulate(sized, { plays: 500 });
    const ms = quickest(() => void simulate(sized));
    const chance = seededChance(1);
    const bare = quickest(() => {
      for (let draw = 0; draw < draws; draw++) chance();
    });
    const ratio = ms / bare;
    if (ratio > worst.ratio) worst = { game, ratio, ms };
  }
  report(
    'games, 10,000 plays',
    `slowest for its draws: ${worst.game}, ${worst.ms.toFixed(0)} ms, ${worst.ratio.toFixed(1)} times what drawing as many numbers takes (limit 20)`,
  );
  if (worst.ratio > 20) throw new Error(`${worst.game} takes ${worst.ratio.toFixed(1)} times its draws`);
}

function drawsOf(rules: GameRules): number {
  let draws = 0;
  const chance = seededChance(1);
  const counted = () => {
    draws += 1;
    return chance();
  };
  const play = { turns: 0, seconds: 0, winner: -1, hasEnded: false };
  const met = new Int32Array(metSize(rules));
  for (let index = 0; index < PLAYS; index++) playGame(rules, counted, { play, met });
  return draws;
}

function quickest(work: () => void): number {
  return Math.min(
    ...Array.from({ length: 3 }, () => {
      const began = performance.now();
      work();
      return performance.now() - began;
    }),
  );
}
