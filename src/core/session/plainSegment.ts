import type { Triple } from '../numbers/index.ts';
import type { Segment } from './session.ts';

/** A segment with nothing in it but a title and minutes. */
export function plainSegment(id: string, kind: Segment['kind'], title: string, together: Triple): Segment {
  return {
    id,
    kind,
    title,
    level: 'right',
    rightDials: {},
    ...emptyScript(together),
  };
}

/** What a part of a session and an activity on the shelf share, before anything but its minutes together is written. */
export function emptyScript(together: Triple) {
  return {
    aim: '',
    skills: [],
    dials: [],
    lines: [],
    needs: [],
    minutes: { setup: [0, 0, 0], together, alone: [0, 0, 0], tidy: [0, 0, 0] },
    posture: 'seated',
    where: '',
    surface: '',
    seating: '',
    size: 'home',
    levels: {},
    ahead: [],
    actions: [],
    access: '',
  } satisfies Partial<Segment>;
}
