import { useEffect } from 'react';
import { askServer } from '../ui/askServer.ts';
import type { NewsStream } from './newsStream.ts';

/** So often a window that is looked at asks what others did, while nobody tells it. */
const MS_BETWEEN_NEWS = 4000;
/** What is told while this window is keeping something itself is asked about a moment later. */
const MS_UNTIL_DONE = 300;

interface NewsInput<Value> {
  readonly address: string;
  /** The name of the value in what is answered. */
  readonly name: string;
  /** Absent: nobody else keeps it meanwhile. */
  readonly stream: NewsStream | undefined;
  /** Something of ours is on its way, or was sent and not answered. */
  readonly isBusy: () => boolean;
  /** The revision that this window goes on from. */
  readonly revision: () => number;
  /** Takes in what somebody else kept. */
  readonly onKept: (revision: number, theirs: Value) => void;
}

/** Takes in what others kept meanwhile, while the window is looked at: at once where it is told, else by asking. */
export function useNews<Value>({ address, name, stream, isBusy, revision, onKept }: NewsInput<Value>): void {
  useEffect(() => {
    if (!stream) return undefined;
    let later: ReturnType<typeof setTimeout> | undefined;
    const ask = async () => {
      clearTimeout(later);
      if (document.visibilityState !== 'visible') return;
      if (isBusy()) {
        later = setTimeout(() => void ask(), MS_UNTIL_DONE);
        return;
      }
      const since = revision();
      const asked = await askServer<{ revision: number } & Record<string, unknown>>(`${address}?since=${since}`);
      const theirs = asked.ok ? (asked.answer[name] as Value | undefined) : undefined;
      // What was kept from here in the meantime is newer than this answer.
      if (!asked.ok || theirs === undefined || isBusy() || revision() !== since) return;
      onKept(asked.answer.revision, theirs);
    };
    const unlessTold = () => {
      if (!stream.isOpen()) void ask();
    };
    const ends = [
      stream.on('open', () => void ask()),
      stream.on('kept', (kept) => Number(kept) > revision() && void ask()),
    ];
    const timer = setInterval(unlessTold, MS_BETWEEN_NEWS);
    document.addEventListener('visibilitychange', unlessTold);
    return () => {
      for (const end of ends) end();
      clearTimeout(later);
      clearInterval(timer);
      document.removeEventListener('visibilitychange', unlessTold);
    };
  }, [address, name, stream, isBusy, revision, onKept]);
}
