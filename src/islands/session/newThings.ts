import { createContext, useContext } from 'react';
import type { Thing } from '../../core/materials/index.ts';

/** Tells the bench of a thing that was put on the shelf meanwhile. */
export const NewThingContext = createContext<(thing: Thing) => void>(() => undefined);

/** Says that a thing is on the shelf now. */
export const useNewThing = () => useContext(NewThingContext);
