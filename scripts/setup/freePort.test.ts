import { createServer } from 'node:net';
import { freePort, lastToChoose } from './freePort.mjs';

it('gives even ports below those of outgoing connections, none twice', async () => {
  const ports = await Promise.all(Array.from({ length: 20 }, () => freePort()));
  expect(new Set(ports).size).toBe(20);
  const end = await lastToChoose();
  for (const port of ports) {
    expect(port % 2).toBe(0);
    expect(port).toBeGreaterThanOrEqual(20_000);
    expect(port).toBeLessThan(end);
  }
});

it('keeps to the wanted one, and takes another where somebody listens there', async () => {
  const wanted = await freePort();
  expect(await freePort(wanted)).toBe(wanted);
  const server = createServer();
  await new Promise<void>((done) => server.listen(wanted, '127.0.0.1', done));
  expect(await freePort(wanted)).not.toBe(wanted);
  await new Promise((done) => server.close(done));
});

it('has ports to choose from whatever range the machine is set to', async () => {
  const told = (range: string) => lastToChoose(() => Promise.resolve(range));
  expect(await told('49152\t65535')).toBe(49_152);
  expect(await told('1024\t65535')).toBe(32_768);
  expect(await lastToChoose(() => Promise.reject(new Error('no such file')))).toBe(32_768);
});
