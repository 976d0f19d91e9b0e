import { firstValues, knownWords, makerPages, runMaker } from '../../core/makers/index.ts';
import { maker as soundPageMaker } from '../../makers/sound-page/maker.ts';
import { USUAL_MARGIN } from '../../core/page/index.ts';
import { SOUND_UNIT } from '../../core/sounds/index.ts';
import { SOUND_SCHOOLS, taughtSteps } from '../../core/terms/index.ts';
import {
  bestNextSound,
  divideWords,
  graphemesIn,
  type NextSound,
  openedBySteps,
  PICTURE_WORDS,
  type SoundStep,
} from '../../core/words/index.ts';
import { authorSpeech } from '../../messages/speeches.ts';
import { EdgeError } from '../http/errors.ts';
import { writePdf } from '../print/pdf.ts';
import type { Person } from './person.ts';
import { findTerm } from './terms.ts';

/** A week of a term with its sounds, the day they come, and the words they open. */
interface SoundWeek extends SoundStep {
  readonly number: number;
  readonly on: string;
  readonly step: string;
  /** Sounds of which there is a page. */
  readonly pages: readonly string[];
}

export interface TermSounds {
  readonly id: string;
  readonly title: string;
  readonly weeks: readonly SoundWeek[];
  readonly next: NextSound | null;
  /** How many words with pictures are looked at. */
  readonly words: number;
}

/** What a term teaches of sounds, by day, and what each step opens: the queries of one term. Not found where its steps are none. */
export async function readTermSounds(person: Person, id: string): Promise<TermSounds> {
  const { term } = await findTerm(person, id);
  if (!SOUND_SCHOOLS.includes(term.school)) throw new EdgeError('not-found');
  const taught = taughtSteps(term, person.settings.weekend);
  const { known, accent } = knownWords(person.settings.numbers);
  const words = divideWords(
    PICTURE_WORDS.map(({ word }) => word),
    { known, accent },
  );
  const steps = openedBySteps(
    taught.map(({ step }) => graphemesIn(step)),
    words,
  );
  return {
    id,
    title: term.title,
    words: words.length,
    weeks: taught.map((week, index) => ({
      ...week,
      ...steps[index]!,
      pages: steps[index]!.graphemes.map((grapheme) => (grapheme === 'q' ? 'qu' : grapheme)).filter((grapheme) =>
        SOUND_UNIT.has(grapheme),
      ),
    })),
    next: bestNextSound(new Set(steps.flatMap(({ graphemes }) => graphemes)), words),
  };
}

/** Sheets are printed for so many sounds of a week at most. */
const MOST_SOUNDS = 10;

/** The sound pages of one week of a term, one after the other. */
export async function printWeekSounds(person: Person, id: string, week: string | null): Promise<Buffer> {
  const { weeks, title } = await readTermSounds(person, id);
  const found = weeks.find(({ number }) => String(number) === week);
  if (!found || found.pages.length === 0) throw new EdgeError('not-found');
  const settings = { paper: person.settings.paper, margin: USUAL_MARGIN, speech: authorSpeech };
  const pages = found.pages.slice(0, MOST_SOUNDS).flatMap((sound) => {
    const made = runMaker(
      soundPageMaker,
      { ...firstValues(soundPageMaker), sound },
      { settings: person.settings.numbers, speech: authorSpeech },
    );
    return made.ok ? makerPages(made.value.printable.title, made.value, settings, { withKey: false }) : [];
  });
  return writePdf(pages, { title });
}
