// Breaks the rule that the core imports nothing: the boundaries check must name this file.
import type { FromServer } from '../server/fromServer.ts';

export const reached: FromServer = 'reached';
