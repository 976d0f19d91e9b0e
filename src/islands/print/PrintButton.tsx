import { askServer } from '../ui/askServer.ts';
import { useState } from 'react';

interface PrintButtonProps {
  readonly session: string;
  readonly choice: { readonly for: string; readonly version: string; readonly home?: string | undefined };
}

interface JobAnswer {
  readonly state: 'waiting' | 'done' | 'failed';
  readonly done: number;
  readonly total: number;
}

type Printing =
  | { readonly state: 'idle' }
  | { readonly state: 'working'; readonly done: number; readonly total: number }
  | { readonly state: 'done'; readonly job: string; readonly pages: number }
  | { readonly state: 'failed'; readonly message: string };

const ASK_AGAIN_MS = 250;

/** Lays the tray out as a PDF, shows how far it has come, and leads to what came out. */
export function PrintButton({ session, choice }: PrintButtonProps) {
  const [printing, setPrinting] = useState<Printing>({ state: 'idle' });
  const start = async () => {
    setPrinting({ state: 'working', done: 0, total: 1 });
    const started = await ask<{ job: string }>(`/api/printer/${session}`, choice);
    if ('problem' in started) return setPrinting({ state: 'failed', message: started.problem });
    const { job } = started.answer;
    for (;;) {
      const asked = await ask<JobAnswer>(`/api/printer/${job}`);
      if ('problem' in asked) return setPrinting({ state: 'failed', message: asked.problem });
      const { state, done, total } = asked.answer;
      if (state === 'done') return setPrinting({ state: 'done', job, pages: total });
      if (state === 'failed')
        return setPrinting({
          state: 'failed',
          message: 'The PDF didn’t come out. Your session is as it was; try once more.',
        });
      setPrinting({ state: 'working', done, total });
      await new Promise((next) => setTimeout(next, ASK_AGAIN_MS));
    }
  };
  return (
    <div className="print-button">
      <button
        type="button"
        className="btn btn-primary"
        disabled={printing.state === 'working'}
        onClick={() => void start()}
      >
        Make the PDF
      </button>
      {printing.state === 'working' && (
        <progress
          className="progress progress-primary"
          max={printing.total}
          value={printing.done}
          aria-label="Pages printed"
        />
      )}
      {printing.state === 'done' && (
        <p role="status">
          {printing.pages} pages are ready: <a href={`/printer/${printing.job}.pdf`}>open the PDF</a>
        </p>
      )}
      {printing.state === 'failed' && <p role="alert">{printing.message}</p>}
    </div>
  );
}

async function ask<Answer>(address: string, body?: object): Promise<{ answer: Answer } | { problem: string }> {
  const asked = await askServer<Answer>(address, body && { json: body });
  if (asked.ok) return { answer: asked.answer };
  return {
    problem: asked.error?.message ?? 'Footstool cannot be reached at the moment. Nothing is lost; print it again.',
  };
}
