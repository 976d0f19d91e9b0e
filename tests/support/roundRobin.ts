import { createServer, request } from 'node:http';

/**
 * A small proxy that hands each request to the next of several servers, and what only reads to the one after, where that one
 * takes none; gives what ends it.
 */
export function roundRobin(port: number, targets: readonly number[]): Promise<() => Promise<void>> {
  let turn = 0;
  const server = createServer((asked, answer) => {
    const headers = { ...asked.headers, 'x-forwarded-for': asked.socket.remoteAddress ?? '' };
    const pass = (triesLeft: number) => {
      const target = targets[turn++ % targets.length]!;
      const passed = request(
        { host: '127.0.0.1', port: target, method: asked.method, path: asked.url, headers },
        (told) => {
          answer.writeHead(told.statusCode ?? 502, told.rawHeaders);
          told.pipe(answer);
        },
      );
      passed.on('error', () => {
        if (triesLeft > 0 && asked.method === 'GET' && !answer.headersSent) pass(triesLeft - 1);
        else answer.destroy();
      });
      answer.on('close', () => passed.destroy());
      asked.pipe(passed);
    };
    pass(targets.length - 1);
  });
  return new Promise((ready) =>
    server.listen(port, '127.0.0.1', () =>
      ready(
        () =>
          new Promise((gone) => {
            server.close(() => gone());
            server.closeAllConnections();
          }),
      ),
    ),
  );
}
