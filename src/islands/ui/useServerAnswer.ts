import { QueryClient, useQuery } from '@tanstack/react-query';
import type { ErrorAnswer } from '../../contracts/errors.ts';
import { askServer } from './askServer.ts';

/** What the server said is wrong; `answer` is null where nothing came that could be read. */
class NoAnswer extends Error {
  constructor(readonly answer: ErrorAnswer | null) {
    super(answer?.code ?? 'no answer');
  }
}

const MOST_TRIES_MORE = 1;
const MS_BETWEEN_TRIES = 500;

/** What was asked for on this page, by address: once for all who want it. */
const answers = new QueryClient({
  defaultOptions: {
    queries: {
      // A browser that takes itself to be offline may still reach a server on the same network.
      networkMode: 'always',
      staleTime: Infinity,
      refetchOnWindowFocus: false,
      refetchOnReconnect: false,
      retryDelay: MS_BETWEEN_TRIES,
      retry: (failures, thrown) => (thrown as NoAnswer).answer === null && failures < MOST_TRIES_MORE,
    },
  },
});

interface Wanted<Answer> {
  /** Not asked for before; a failed question is asked anew when this becomes true again. */
  readonly isWanted: boolean;
  /** Asked again after so many milliseconds, as long as this says so of the last answer. */
  readonly again?: (answer: Answer | undefined) => number | false;
}

interface ServerAnswer<Answer> {
  readonly answer: Answer | undefined;
  /** Nothing came, even when asked once more: what the server said is wrong, if it said anything. */
  readonly failure: { readonly message: string | undefined } | null;
}

/** What the server has at an address, asked for once it is wanted. */
export function useServerAnswer<Answer>(address: string, { isWanted, again }: Wanted<Answer>): ServerAnswer<Answer> {
  const { data, error } = useQuery<Answer, NoAnswer>(
    {
      queryKey: [address],
      enabled: isWanted,
      queryFn: async ({ signal }) => {
        const asked = await askServer<Answer>(address, { signal });
        if (!asked.ok) throw new NoAnswer(asked.error);
        return asked.answer;
      },
      refetchInterval: ({ state }) => (state.error === null && again?.(state.data)) || false,
    },
    answers,
  );
  return { answer: data, failure: error && { message: error.answer?.message } };
}

/** What was asked for at an address holds no longer: whoever wants it next asks anew. */
export function forgetAnswer(address: string): void {
  void answers.invalidateQueries({ queryKey: [address] });
}
