import { createContext } from 'react';
import type { Pickable } from '../ui/PickField.tsx';

/** The list of names that things are completed from. */
export const THINGS_LIST = 'things-by-name';

/** What the fields of an entry pick from. */
export const PickablesContext = createContext<{ readonly things: readonly Pickable[] }>({ things: [] });
