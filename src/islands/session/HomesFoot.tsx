import { daysAhead } from '../../core/calendar/index.ts';
import type { ThingsByKey } from '../../core/materials/index.ts';
import { memo, useState, useEffect, useRef } from 'react';
import type { HomeVerdict, OutcomeCounts, SessionJudgement } from '../../core/checks/index.ts';
import type { HomeState } from '../../core/homes/index.ts';
import { type ComposedSession, materialsOrNone } from '../../core/guide/index.ts';
import type { Session } from '../../core/session/index.ts';
import { sayScreen } from '../../messages/screenWords.ts';
import { leadWords } from '../../messages/spans.ts';
import { countOutcomes, countThing, describeDifferences, OUTCOME_WORDS } from '../../messages/fits.ts';

interface HomesFootProps {
  readonly id: string;
  readonly session: Session;
  readonly composed: ComposedSession;
  readonly judgement: SessionJudgement;
  /** Whether the judgement is of the session as it stands, and not of the one before. */
  readonly isJudged: boolean;
  readonly things: ThingsByKey;
  /** How many homes said that they have no book at hand. */
  readonly withoutBook: number;
  readonly mayWrite: boolean;
  /** Whether it can be sent, or what keeps it from that. */
  readonly sending: keyof typeof SENDING_WORDS | 'ready';
}

const SENDING_WORDS = {
  empty: 'Add something, then send.',
  stopped: 'Put right what’s in the margin, then send.',
  saving: 'Still being saved; then it can be sent.',
} as const;

const STATE_ORDER: readonly HomeState[] = ['ready', 'swaps', 'likely', 'short'];

const capital = (text: string) => text.charAt(0).toUpperCase() + text.slice(1);

/** Always in sight: how many homes can do it, what is fetched, what comes before, and sending it. */
export function HomesFoot({
  id,
  session,
  composed,
  judgement: { homes, ready, total, outcomes },
  isJudged,
  things,
  withoutBook,
  mayWrite,
  sending,
}: HomesFootProps) {
  const [isOpen, setIsOpen] = useState(false);
  const foot = useHeightTold();
  const ordered = [...homes].sort((left, right) => STATE_ORDER.indexOf(left.state) - STATE_ORDER.indexOf(right.state));
  return (
    <footer
      ref={foot}
      className="homes-foot fixed inset-x-0 bottom-0 z-10 bg-paper border-t border-ink max-[860px]:static [&_strong]:block [&_strong]:font-heading [&_strong]:font-semibold"
    >
      {isOpen && <HomesPanel homes={ordered} more={total - homes.length} things={things} />}
      <div className="flex gap-7 items-center py-[0.55rem] px-6 max-[860px]:flex-wrap">
        <button
          type="button"
          className="flex gap-4 items-center text-left cursor-pointer flex-none"
          aria-expanded={isOpen}
          aria-busy={!isJudged}
          onClick={() => setIsOpen(!isOpen)}
        >
          <HomeSteps states={stepsOf(outcomes).join(' ')} />
          <span>
            <strong>{sayScreen('count.can-do', { count: ready })}</strong>
            <span className="text-xs line-clamp-2">
              {countOutcomes(outcomes)}
              {withoutBook > 0 && ` · ${withoutBook} without the book`}
            </span>
          </span>
        </button>
        <FootFact title="Things to fetch" text={thingsToFetch(composed, things)} />
        <FootFact title="Before" text={whatComesBefore(session)} />
        <a className="btn btn-outline btn-sm" href={`/sessions/${id}/print`}>
          Print tray
        </a>
        {mayWrite &&
          (sending === 'ready' ? (
            <a className="btn btn-primary" href={`/sessions/${id}/send`}>
              Send to {total.toLocaleString('en-GB')}
            </a>
          ) : (
            <span className="text-soft text-sm" role="status">
              {SENDING_WORDS[sending]}
            </span>
          ))}
      </div>
    </footer>
  );
}

function FootFact({ title, text }: { title: string; text: string }) {
  return (
    <div className="flex-1 min-w-0 max-[860px]:basis-48">
      <strong>{title}</strong>
      <span className="text-xs line-clamp-2">{text}</span>
    </div>
  );
}

/** Tells the page how much of its foot is covered, for what stands above it. */
function useHeightTold() {
  const foot = useRef<HTMLElement>(null);
  useEffect(() => {
    const tell = () => {
      const isOver = getComputedStyle(foot.current!).position === 'fixed';
      document.documentElement.style.setProperty('--foot', `${isOver ? foot.current!.offsetHeight : 0}px`);
    };
    const watcher = new ResizeObserver(tell);
    watcher.observe(foot.current!);
    return () => watcher.disconnect();
  }, []);
  return foot;
}

function thingsToFetch({ materials }: ComposedSession, things: ThingsByKey): string {
  if (!materials.ok) return 'one of the amounts doesn’t work out';
  const counted = materialsOrNone(materials).map(({ item, qty }) => countThing(item, qty, things));
  return counted.join(', ') || 'nothing at all';
}

function whatComesBefore({ segments }: Session): string {
  const before = segments.flatMap(({ ahead }) => ahead).sort((left, right) => daysAhead(right) - daysAhead(left));
  return before.map((entry) => `${capital(leadWords(entry))}: ${entry.text}`).join(' ') || 'nothing to prepare';
}

const STEP_INK = {
  ready: 'fill-teal',
  swaps: 'fill-marigold',
  likely: 'fill-none stroke-teal stroke-2',
  short: 'fill-none stroke-mulberry stroke-2',
} as const;

/** There are so many steps at most; of more homes each step is a share. */
const MOST_STEPS = 24;

/** The states of homes as steps, the best first: one a home, or shares of many. No homes: none. */
function stepsOf(outcomes: OutcomeCounts): HomeState[] {
  const count = (...named: (keyof OutcomeCounts)[]) => named.reduce((sum, name) => sum + (outcomes[name] ?? 0), 0);
  const counted: [HomeState, number][] = [
    ['ready', count('ready')],
    ['swaps', count('swaps')],
    ['likely', count('likely')],
    ['short', count('kit', 'lacks', 'without')],
  ];
  const total = counted.reduce((sum, [, homes]) => sum + homes, 0);
  const steps = Math.min(MOST_STEPS, total);
  const stateOfHome = (place: number) => {
    let before = 0;
    return counted.find(([, homes]) => place < (before += homes))![0];
  };
  return Array.from({ length: steps }, (_, step) => stateOfHome(Math.floor(((step + 0.5) * total) / steps)));
}

/** One step a home, rising: full as written, hatched with a swap, open where a kit is needed. Their states, with blanks between. */
const HomeSteps = memo(function HomeSteps({ states: named }: { states: string }) {
  const states = named.split(' ').filter(Boolean) as HomeState[];
  return (
    <svg className="h-[2.1rem] w-auto" viewBox={`0 0 ${Math.max(1, states.length) * 13} 34`} aria-hidden="true">
      {states.map((state, index) => {
        const height = 10 + (22 * index) / Math.max(1, states.length - 1);
        return (
          <rect key={index} className={STEP_INK[state]} x={index * 13 + 1} y={33 - height} width={11} height={height} />
        );
      })}
    </svg>
  );
});

function HomesPanel({
  homes,
  more,
  things,
}: {
  homes: readonly HomeVerdict[];
  /** How many homes there are beside these. */
  more: number;
  things: ThingsByKey;
}) {
  return (
    <section
      className="max-h-[45vh] overflow-auto py-[0.6rem] px-6 border-b border-b-line bg-sheet"
      aria-label="Homes"
      tabIndex={0}
    >
      <p className="text-sm text-soft mb-2 max-w-prose">
        As written: everything is at home. With a swap: something else there will do. Needs a kit: something is lacking,
        and a bag with it has to come from you.
      </p>
      <table className="table text-sm">
        <thead>
          <tr>
            <th>Home</th>
            <th>Children</th>
            <th>Can do it</th>
            <th>Because</th>
          </tr>
        </thead>
        <tbody>
          {homes.map(({ id, nickname, children, outcome, differences }) => (
            <tr key={id}>
              <td>{nickname}</td>
              <td>{children.join(', ')}</td>
              <td>{OUTCOME_WORDS[outcome]}</td>
              <td>{describeDifferences(differences, things).join('; ') || 'has everything'}</td>
            </tr>
          ))}
        </tbody>
      </table>
      {more > 0 && <p className="mt-2 text-sm">{sayScreen('count.more-homes', { count: more })}</p>}
    </section>
  );
}
