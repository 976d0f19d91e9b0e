import { LANGUAGE_SKILLS, NUMBER_SKILLS, OTHER_SKILLS } from '../../core/ladders/index.ts';
import { skillWords } from '../../messages/skills.ts';

const GROUPS = [NUMBER_SKILLS, LANGUAGE_SKILLS, OTHER_SKILLS] as const;
const STEP = 7;
const GAP = 8;
const HEIGHT = 16;

/** The skills of a week at a glance: a place for each rung, tall where it is touched, and the words below. */
export function SkillStrip({ skills }: { skills: readonly string[] }) {
  const touched = [...new Set(skills)];
  let x = 0;
  const marks = GROUPS.flatMap((group) => {
    const places = group.map((skill, index) => ({ skill, x: x + index * STEP }));
    x += group.length * STEP + GAP;
    return places;
  });
  return (
    <div className="border-l border-line max-[900px]:border-l-0 text-[0.8rem] leading-tight text-soft [&_svg]:w-full [&_svg]:max-w-68 [&_svg]:h-auto [&_svg]:block [&_svg]:mb-1">
      <svg viewBox={`0 0 ${x} ${HEIGHT}`} aria-hidden="true">
        {marks.map(({ skill, x: left }) =>
          touched.includes(skill) ? (
            <rect key={skill} className="fill-teal" x={left} y={1} width={STEP - 2} height={HEIGHT - 2} />
          ) : (
            <rect key={skill} className="fill-line" x={left} y={HEIGHT - 3} width={STEP - 2} height={1.5} />
          ),
        )}
      </svg>
      <span>{touched.map(skillWords).join(', ')}</span>
    </div>
  );
}
