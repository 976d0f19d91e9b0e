import { askServer } from '../ui/askServer.ts';
import { useServerAnswer } from '../ui/useServerAnswer.ts';
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

const ASK_AGAIN_MS = 250;
const AWAY = 'Footstool cannot be reached at the moment. Nothing is lost; print it again.';
const NOT_MADE = 'The PDF couldn’t be made. Your session is as it was; try again.';

/** Lays the tray out as a PDF, shows how far it has come, and leads to what came out. */
export function PrintButton({ session, choice }: PrintButtonProps) {
  const [job, setJob] = useState('');
  const [isStarting, setIsStarting] = useState(false);
  const [refusal, setRefusal] = useState('');
  const { answer, failure } = useServerAnswer<JobAnswer>(`/api/printer/${job}`, {
    isWanted: job !== '',
    again: (told) => (told?.state === 'waiting' ? ASK_AGAIN_MS : false),
  });
  const start = async () => {
    setIsStarting(true);
    setJob('');
    const started = await askServer<{ job: string }>(`/api/printer/${session}`, { json: choice });
    setIsStarting(false);
    setRefusal(started.ok ? '' : (started.error?.message ?? AWAY));
    if (started.ok) setJob(started.answer.job);
  };
  const problem = refusal || (failure && (failure.message ?? AWAY)) || (answer?.state === 'failed' && NOT_MADE);
  const isWorking = isStarting || (job !== '' && !problem && answer?.state !== 'done');
  return (
    <div className="print-button">
      <button type="button" className="btn btn-primary" disabled={isWorking} onClick={() => void start()}>
        Make the PDF
      </button>
      {isWorking && (
        <progress
          className="progress progress-primary"
          max={answer?.total ?? 1}
          value={answer?.done ?? 0}
          aria-label="Pages printed"
        />
      )}
      {answer?.state === 'done' && (
        <p role="status">
          {answer.total} pages are ready: <a href={`/printer/${job}.pdf`}>open the PDF</a>
        </p>
      )}
      {!isWorking && problem && <p role="alert">{problem}</p>}
    </div>
  );
}
