import type { SongQuestion } from '../../contracts/song.ts';
import { knownWords } from '../../core/makers/index.ts';
import { type Drawing, flowPages, printableArea, scaled, songLine, USUAL_MARGIN } from '../../core/page/index.ts';
import { type PlacedLine, placeWords } from '../../core/songs/index.ts';
import { authorSpeech } from '../../messages/speeches.ts';
import { writePdf } from '../print/pdf.ts';
import type { Person } from './person.ts';

/** Words set to a tune as this programme speaks. */
export function placedSong({ settings }: Pick<Person, 'settings'>, { tune, words, names }: SongQuestion): PlacedLine[] {
  const { known, accent } = knownWords(settings.numbers);
  return placeWords(tune, words, { known, accent, names });
}

/** Words under the notes of a tune, on paper. */
export function printSong(person: Person, song: SongQuestion): Promise<Buffer> {
  const settings = { paper: person.settings.paper, margin: USUAL_MARGIN, speech: authorSpeech };
  const { width } = printableArea(settings);
  const fitted = (drawing: Drawing) => (drawing.width > width ? scaled(drawing, width / drawing.width) : drawing);
  const lines = placedSong(person, song).map((line) => fitted(songLine(line)));
  return writePdf(flowPages(lines, { title: song.tune.name, settings }), { title: song.tune.name });
}

/** What a song on the shelf begins with when its words were set to a tune before; null where the address says no song. */
export function startSong(asked: URLSearchParams, { tune, words }: SongQuestion): Record<string, unknown> | null {
  if (!asked.has('tune') || !asked.has('words')) return null;
  const verses: string[][] = [];
  let sung = 0;
  for (const line of words
    .split('\n')
    .map((written) => written.trim())
    .filter(Boolean)) {
    // A tune that begins again begins a verse.
    if (verses.length === 0 || (sung > 0 && sung % tune.lines.length === 0 && !line.startsWith('('))) {
      verses.push([]);
      sung = 0;
    }
    verses.at(-1)!.push(line);
    if (!line.startsWith('(')) sung += 1;
  }
  return { tune: tune.name, verses, melody: tune.lines };
}
