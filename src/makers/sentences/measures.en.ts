/** Amounts as a kitchen measures them. */
export const scripts = {
  cups: '{amount} {many, select, yes {cups} other {cup}}',
  tablespoon: '{count, plural, one {# tablespoon} other {# tablespoons}}',
  teaspoon: '{count, plural, one {# teaspoon} other {# teaspoons}}',
  spoon: '{count, plural, one {# {ml} ml spoon} other {# {ml} ml spoons}}',
  ml: '{ml} ml',
  all: '{parts}',
} as const;
