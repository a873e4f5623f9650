/** Stands for a workshop’s own proxy: passes on what it is asked, and whom it asks for. */
import { createServer, request } from 'node:http';

export const PROXY_NAME = 'drill.example';

/** @returns where it listens, and what ends it */
export async function openProxy(port) {
  const server = createServer((asked, answer) => {
    const { method, url: path, headers, socket } = asked;
    const passed = { ...headers, host: PROXY_NAME, 'x-forwarded-for': socket.remoteAddress };
    const on = request({ host: '127.0.0.1', port, method, path, headers: passed }, (got) => {
      answer.writeHead(got.statusCode, got.headers);
      got.pipe(answer);
      got.on('error', () => answer.destroy());
    });
    on.on('error', () => {
      if (answer.headersSent) answer.destroy();
      else answer.writeHead(502).end();
    });
    asked.pipe(on);
  });
  await new Promise((resolve) => server.listen(0, '127.0.0.1', resolve));
  return {
    address: `http://127.0.0.1:${server.address().port}`,
    close: () => {
      server.close();
      server.closeAllConnections();
    },
  };
}
