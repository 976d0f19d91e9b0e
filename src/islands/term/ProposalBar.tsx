import { skillWords } from '../../messages/skills.ts';
import { countWords } from '../../messages/term.ts';
import { Refusal } from '../ui/Refusal.tsx';
import type { Proposal } from './useProposal.ts';

interface ProposalBarProps {
  readonly proposal: Proposal;
  readonly onStop: () => void;
  readonly onForget: () => void;
}

/** How far a proposal has come, how good it is proved to be, and what it could not meet. */
export function ProposalBar({ proposal, onStop, onForget }: ProposalBarProps) {
  const { phase, score, bound, unmet, progress, message } = proposal;
  if (phase === 'idle') return null;
  if (phase === 'failed') return <Refusal refusal={message} onDismiss={onForget} />;
  const missing = Object.entries(unmet).map(([skill, times]) => `${skillWords(skill)} ${countWords(times)} more`);
  return (
    <div
      className="flex flex-wrap items-center gap-y-2 gap-x-[1.2rem] py-[0.6rem] px-6 bg-marigold-ground border-b border-b-line [&_progress]:w-56 "
      role="status"
    >
      {phase === 'working' && (
        <>
          <progress
            className="progress progress-primary"
            max={1}
            value={progress}
            aria-label="How far the proposal has come"
          />
          <button type="button" className="btn btn-outline btn-sm" onClick={onStop}>
            Stop and take what there is
          </button>
        </>
      )}
      <span>
        {score === null
          ? phase === 'working'
            ? 'Looking for a first plan …'
            : 'Stopped before there was a plan; the term stands as it was.'
          : phase === 'working'
            ? `Best so far: ${score} points${bound === null ? '' : `, and no plan can have more than ${bound}`}.`
            : verdict(phase, score, bound)}
      </span>
      {phase !== 'working' && (
        <>
          {message && <span>{message}</span>}
          {missing.length > 0 && <span>Not met: {missing.join(', ')}.</span>}
          <span className="text-soft">
            Pin what should stay, and propose again; undo brings back what stood before.
          </span>
          <button type="button" className="link link-primary" onClick={onForget}>
            Close
          </button>
        </>
      )}
    </div>
  );
}

function verdict(phase: Proposal['phase'], score: number, bound: number | null): string {
  if (phase === 'stopped') return `Stopped: the best plan so far has ${score} points.`;
  if (bound === null) return `${score} points.`;
  if (score >= bound) return 'The best plan there is under these rules.';
  return `${score} points; no plan can have more than ${bound} (${(((bound - score) / bound) * 100).toFixed(1)} % more).`;
}
