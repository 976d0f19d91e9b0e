/** What the one build makes runnable beside the pages, by name: its source. All of them share the modules of the pages. */
export const ENTRIES = {
  footstool: 'src/cli/footstool.ts',
  'thread-begin': 'src/threads/begin.mjs',
  'thread-beside': 'src/server/front/besideWorker.ts',
  'thread-calc': 'src/cli/calc/calcWorker.ts',
  'thread-plan': 'src/solver/secondThread.ts',
};
