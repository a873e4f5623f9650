import type { Server as PlainServer } from 'node:http';
import type { Server as TlsServer } from 'node:https';
import { createServer, type Server } from 'node:net';

/** First byte of a TLS handshake (RFC 8446, 5.1). */
const HANDSHAKE = 0x16;
/** Who connects says something soon. */
const SPEAKS_WITHIN_MS = 10_000;

/** TLS and plain HTTP on one port: whoever types the address without https is led on. */
export function oneDoor(tls: TlsServer, plain: PlainServer): Server {
  // They listen on no port of their own: this begins their watch over slow clients.
  for (const server of [tls, plain]) server.emit('listening');
  return createServer((socket) => {
    socket.on('error', () => socket.destroy());
    const late = setTimeout(() => socket.destroy(), SPEAKS_WITHIN_MS);
    socket.once('close', () => {
      clearTimeout(late);
    });
    socket.once('readable', () => {
      clearTimeout(late);
      const first = socket.read() as Buffer | null;
      if (!first) return;
      socket.unshift(first);
      (first[0] === HANDSHAKE ? tls : plain).emit('connection', socket);
    });
  });
}
