import { createServer } from 'node:http';
import { readFileSync } from 'node:fs';

// The baseline: nothing but node:http with the same bytes, by path, in a process of its own.
const pages = new Map(
  Object.entries(JSON.parse(readFileSync(process.argv[2], 'utf8'))).map(([path, text]) => [path, Buffer.from(text)]),
);
const server = createServer((request, response) => {
  response.writeHead(200, { 'content-type': 'text/html' });
  response.end(pages.get(request.url));
});
server.listen(0, '127.0.0.1', () => process.stdout.write(`${server.address().port}\n`));
