/** A number, or an expression over the dials of the segment. */
export type Quantity = number | string;
