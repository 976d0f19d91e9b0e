import { randomUUID } from 'node:crypto';
import type { SoundSessionForm } from '../../contracts/forms.ts';
import { firstValues, segmentFromMaker, soundSessionParts } from '../../core/makers/index.ts';
import { agesFromYears, type Segment } from '../../core/session/index.ts';
import { SOUND_UNIT } from '../../core/sounds/index.ts';
import { taughtAround } from '../../core/terms/index.ts';
import { soundPartTitle, soundSessionAim, soundSessionTitle } from '../../messages/soundSession.ts';
import { findMaker } from '../../makers/index.ts';
import { authorSpeech } from '../../messages/speeches.ts';
import { EdgeError } from '../http/errors.ts';
import { addSession } from '../db/repositories/sessions.ts';
import { readShelf } from '../db/repositories/shelf.ts';
import { pacesOf } from './programme.ts';
import { requireAuthor, type Person } from './person.ts';
import { frameSegments, segmentFor } from './sessions.ts';
import { takeThingsOf } from './starter.ts';
import { listTerms } from './terms.ts';

/** The sound a session on a day would be about: the first of the latest step of the term around it; m where there is none. */
export async function soundOfTheWeek(person: Person, on: string): Promise<string> {
  const steps = await stepsAround(person, on);
  const latest = steps.findLast((step) => step.on <= on) ?? steps[0];
  return latest?.graphemes.find((grapheme) => SOUND_UNIT.has(grapheme)) ?? 'm';
}

/** A session on a sound, made in one go; every part is made by a maker or taken from the shelf, and changed like any other. Gives its id; refused when a sound has none of the parts asked for. */
export async function startSoundSession(person: Person, { sound, on, parts }: SoundSessionForm): Promise<string> {
  requireAuthor(person);
  const [steps, shelf] = await Promise.all([stepsAround(person, on), readShelf(person.programmeId, ['song'])]);
  const before = steps.filter((step) => step.on < on).flatMap(({ graphemes }) => graphemes);
  const { numbers } = person.settings;
  const segments = soundSessionParts(findMaker, sound, before, parts).flatMap(({ role, maker, values }): Segment[] => {
    const [song] = shelf.songs;
    const fromShelf = role === 'song' && song ? segmentFor({ kind: 'song', key: song.key }, shelf, person) : null;
    if (fromShelf) return [fromShelf];
    const made = segmentFromMaker(maker, {
      values: { ...firstValues(maker), ...values },
      settings: numbers,
      paces: pacesOf(person.settings, maker.id),
      id: randomUUID(),
      speech: authorSpeech,
    });
    return made.ok ? [{ ...made.value, title: soundPartTitle(role) }] : [];
  });
  if (segments.length === 0)
    throw new EdgeError('wrong-input', {
      problems: [{ path: 'parts', message: `are not there for ${sound}: tick others` }],
    });
  await takeThingsOf(person.programmeId, segments);
  return addSession(
    person.programmeId,
    {
      title: soundSessionTitle(sound),
      on,
      at: undefined,
      ages: agesFromYears(4, 6),
      aim: soundSessionAim(sound),
      segments: frameSegments(segments),
      accepted: [],
    },
    person.userId,
  );
}

async function stepsAround(person: Person, on: string) {
  const terms = await listTerms(person);
  return taughtAround(
    terms.map(({ term }) => term),
    on,
    person.settings.weekend,
  );
}
