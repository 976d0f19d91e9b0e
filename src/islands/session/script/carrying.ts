import { createContext } from 'react';
import type { Segment } from '../../../core/session/index.ts';

/** The parts of the session that a line can be moved to, in their order. */
export const CarryContext = createContext<readonly Segment[]>([]);
