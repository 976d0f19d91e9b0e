export type Highest = 'terms';
