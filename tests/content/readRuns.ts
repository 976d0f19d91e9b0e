import { firstValues, runMaker, waysOf } from '../../src/core/makers/index.ts';
import { findMaker, MAKERS } from '../../src/makers/index.ts';
import { LEVELS, NUMBER_SCHOOLS, USUAL_SETTINGS } from '../../src/core/session/index.ts';
import { authorSpeech } from '../../src/messages/speeches.ts';

// Prints the runs of makers to be read aloud: `tsx tests/content/readRuns.ts [maker …]`; all without a name.
const wanted = process.argv.slice(2);
for (const maker of wanted.length > 0 ? wanted.map((id) => findMaker(id)!) : MAKERS) {
  console.log(`\n# ${maker.id}`);
  for (const school of NUMBER_SCHOOLS)
    for (const variant of school === 'hands-first' ? waysOf(maker) : waysOf(maker).slice(0, 1))
      for (const level of school === 'hands-first' && (maker.plays || variant === 'sitting')
        ? LEVELS
        : (['right'] as const)) {
        const made = runMaker(
          maker,
          { ...firstValues(maker), variant },
          { settings: { ...USUAL_SETTINGS, school }, speech: authorSpeech },
        );
        if (!made.ok) continue;
        const { lines, minutes, pictureWords } = made.value;
        console.log(`\n## ${variant}, ${level}, ${school} (${minutes.together.join('/')} min)`);
        if (variant === 'sitting') console.log(`[${pictureWords}]`);
        for (const { kind, text, answer, role } of lines[level])
          console.log(`${(role ?? kind).padEnd(7)} ${text}${answer ? `  → ${answer}` : ''}`);
      }
}
