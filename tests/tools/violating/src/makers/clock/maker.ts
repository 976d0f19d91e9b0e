// Breaks the rule of makers: knows another maker.
export type * from '../frame/maker.ts';
