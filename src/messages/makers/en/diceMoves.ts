const move = (one: string, other: string) => `{times, plural, one {${one}} other {${other}}}`;

/** The words of dice and movements. */
export const diceMoves = {
  title: 'Dice moves',
  about: 'A throw says how many, a list says what; with two dice it goes past ten.',
  'dial.dice': 'dice',
  'dial.moves': 'moves',
  'dial.shuffle': 'shuffle',
  'move.hop': move('hop', 'hops'),
  'move.clap': move('clap', 'claps'),
  'move.turn': move('turn', 'turns'),
  'move.giant-step': move('giant step', 'giant steps'),
  'move.frog-jump': move('frog jump', 'frog jumps'),
  'move.stamp': move('stamp', 'stamps'),
  'move.tiptoe-step': move('tiptoe step', 'tiptoe steps'),
  'move.knee-tap': move('knee tap', 'knee taps'),
  'move.star-jump': move('star jump', 'star jumps'),
  'move.elephant-step': move('elephant step', 'elephant steps'),
  'move.finger-snap': move('finger snap', 'finger snaps'),
  'move.sideways-step': move('sideways step', 'sideways steps'),
  fact: '{moves, plural, one {# move} other {# moves}}; a throw gives {dice} to {most}.',
  'fact.past-ten': 'With two dice it goes past ten.',
  'do-1': 'Clear the floor, and go barefoot. One throws, all do it.',
  'say-1': '“The dots say how many, the list says what: {move}!”',
  'ask-1': '“How many dots? Do you see it without counting?”',
  'ask-1.answer': 'as many as were thrown, from {dice} to {most}',
  'notice-1': 'Do they stop at the number, or when it stops being fun? Both are fine.',
  'do-2':
    '{dice, plural, =1 {Use only the faces one to three: throw again for more.} other {Throw with one die only.}}',
  'say-2': '{dice, plural, =1 {“One more than the die says.”} other {“Start from the larger die and count on.”}}',
  'swap.paper': 'cards with dots, drawn from a hat',
  key: '{times} {move}',
} as const;
