/** Minutes as least, likely and most. */
export type Triple = readonly [number, number, number];
