/** Set for what was started by another process of ours, which holds the other end of its standard input. */
export const WITH_PARENT = 'FOOTSTOOL_WITH_PARENT';

/**
 * Waits until this process is asked to end: by Ctrl-C, by SIGTERM, or because whoever started it is gone, however it went.
 * A second signal ends it at once.
 */
export function untilEnd(): Promise<void> {
  return new Promise((ended) => {
    const signals = ['SIGINT', 'SIGTERM'] as const;
    const end = () => {
      for (const signal of signals) process.off(signal, end);
      ended();
    };
    for (const signal of signals) process.on(signal, end);
    if (process.env[WITH_PARENT] !== '1') return;
    process.stdin.on('end', end).on('error', end).resume();
    process.stdin.unref();
  });
}
