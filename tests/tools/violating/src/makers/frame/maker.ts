/** Another maker. */
export type Another = string;
