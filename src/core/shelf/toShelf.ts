import type { Segment, Session } from '../session/index.ts';
import type { ShelfActivity } from './shelfEntries.ts';

/** An activity as the shelf takes it in, with what it is found and planned by. */
interface NewActivity extends ShelfActivity {
  readonly themes: readonly string[];
  readonly idea: string;
  readonly ages: Session['ages'];
  /** 0 to 3, both. */
  readonly mess: number;
  readonly noise: number;
}

interface ToShelf {
  readonly key: string;
  /** What happens in it, in a sentence or two. */
  readonly idea: string;
  readonly ages: Session['ages'];
}

/** What splashes, sticks or crumbs. */
const MESSY = ['water', 'paint', 'glue', 'flour', 'dough', 'cooking'];

/**
 * A part that was written in a session, as an activity of the shelf: its lines, things, levels and cautions as they stand, its
 * dials where they stood at “just right”. Mess and noise are guessed from what is done; the shelf's page changes them.
 */
export function activityFromSegment(segment: Segment, { key, idea, ages }: ToShelf): NewActivity {
  const { id: _id, kind: _kind, from: _from, says: _says, level: _level, retold: _retold, ...rest } = segment;
  const { rightDials, ...body } = rest;
  return {
    ...body,
    key,
    idea,
    ages,
    themes: [],
    mess: body.actions.some((action) => MESSY.includes(action)) ? 2 : 1,
    noise: body.posture === 'moving' ? 2 : 1,
    dials: body.dials.map((dial) => ({ ...dial, value: rightDials[dial.name] ?? dial.value }) as typeof dial),
  };
}

/** The same part once more, under another id; its lines and things keep theirs, which are a part's own. */
export function partAgain(segment: Segment, id: string): Segment {
  return { ...segment, id };
}
