import { createServer, request, type IncomingHttpHeaders, type Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import { afterEach, describe, expect, it } from 'vitest';
import { front } from '../../bootstrap/front.mjs';

const KB = 1024;
const servers: Server[] = [];

function listening(server: Server): Promise<number> {
  servers.push(server);
  return new Promise((done) => server.listen(0, '127.0.0.1', () => done((server.address() as AddressInfo).port)));
}

/** A server behind that tells what it was asked, and a front before it. */
async function stood(terms: { proxies?: string; most?: number; mostAtOnce?: number } = {}) {
  const asked: { headers: IncomingHttpHeaders; path: string | undefined; bytes: number; whole: boolean }[] = [];
  const behind = await listening(
    createServer((incoming, answer) => {
      const one = { headers: incoming.headers, path: incoming.url, bytes: 0, whole: false };
      asked.push(one);
      incoming.on('data', (piece: Buffer) => (one.bytes += piece.length));
      incoming.on('error', () => undefined);
      incoming.on('end', () => {
        one.whole = true;
        answer.writeHead(201, { 'Set-Cookie': ['a=1', 'b=2'], Connection: 'close' }).end('told');
      });
    }),
  );
  const port = await listening(front({ behind, most: 64 * KB, ...terms }));
  return { asked, port, behind };
}

interface Said {
  status: number;
  text: string;
  headers: IncomingHttpHeaders;
}

function ask(port: number, body: Buffer | null, headers: Record<string, string> = {}, pieces = 1): Promise<Said> {
  return new Promise((done, failed) => {
    const method = body ? 'POST' : 'GET';
    const sent = request({ host: '127.0.0.1', port, method, path: '/api/x?y=%20z', headers }, (answer) => {
      let text = '';
      answer.on('data', (piece: Buffer) => (text += piece.toString()));
      answer.on('end', () => done({ status: answer.statusCode ?? 0, text, headers: answer.headers }));
    });
    sent.on('error', failed);
    for (let i = 0; body && i < pieces; i++) sent.write(body);
    sent.end();
  });
}

afterEach(() => {
  for (const server of servers.splice(0)) {
    server.closeAllConnections();
    server.close();
  }
});

describe('the front', () => {
  it('hands on what is asked and what is answered, as they are', async () => {
    const { asked, port } = await stood();
    const said = await ask(port, Buffer.alloc(30 * KB), { 'Content-Length': `${30 * KB}`, Cookie: 'c=3' });

    expect(said).toMatchObject({ status: 201, text: 'told', headers: { 'set-cookie': ['a=1', 'b=2'] } });
    expect(asked).toMatchObject([{ path: '/api/x?y=%20z', bytes: 30 * KB, whole: true, headers: { cookie: 'c=3' } }]);
  });

  it('refuses what says that it is too large before anybody behind hears of it', async () => {
    const { asked, port } = await stood();
    const said = await ask(port, Buffer.alloc(KB), { 'Content-Length': `${65 * KB}` }, 1);

    expect(said.status).toBe(413);
    expect(JSON.parse(said.text)).toEqual({ message: 'That was too large to send.', reason: 'too_large', fields: {} });
    expect(asked).toEqual([]);
  });

  it('refuses what grows too large without having said so', async () => {
    const { asked, port } = await stood();
    const said = await ask(port, Buffer.alloc(16 * KB), { 'Transfer-Encoding': 'chunked' }, 40);

    expect(said.status).toBe(413);
    expect(asked.filter(({ whole }) => whole)).toEqual([]);
  });

  it('takes no more at once than there is room for, and takes it when there is', async () => {
    const { port } = await stood({ mostAtOnce: 100 * KB });
    const slow = request({ host: '127.0.0.1', port, method: 'POST', headers: { 'Content-Length': `${60 * KB}` } });
    const first = new Promise<number>((done) => slow.on('response', (answer) => done(answer.statusCode ?? 0)));
    slow.write(Buffer.alloc(KB));
    await new Promise((passed) => setTimeout(passed, 50));
    const length = { 'Content-Length': `${60 * KB}` };
    const second = await ask(port, Buffer.alloc(60 * KB), length);

    expect([second.status, second.headers['retry-after']]).toEqual([503, '2']);
    slow.end(Buffer.alloc(59 * KB));
    expect(await first).toBe(201);
    await new Promise((passed) => setTimeout(passed, 50));
    expect((await ask(port, Buffer.alloc(60 * KB), length)).status).toBe(201);
  });

  it('gives room back once, however much of what was refused still comes', async () => {
    const { port } = await stood({ mostAtOnce: 100 * KB });
    const endless = request({
      host: '127.0.0.1',
      port,
      method: 'POST',
      headers: { 'Transfer-Encoding': 'chunked' },
    });
    endless.on('error', () => undefined);
    const refused = new Promise<number>((done) => endless.on('response', (answer) => done(answer.statusCode ?? 0)));
    endless.write(Buffer.alloc(70 * KB));
    expect(await refused).toBe(413);
    for (let i = 0; i < 20; i++) {
      endless.write(Buffer.alloc(16 * KB));
      await new Promise((passed) => setTimeout(passed, 10));
    }
    endless.destroy();
    const said = await ask(port, Buffer.alloc(60 * KB), { 'Content-Length': `${60 * KB}` });
    expect(said.status).toBe(201);
  });

  it('says itself who asks, but for proxies whose word is taken', async () => {
    const forged = { 'X-Forwarded-For': '9.9.9.9', 'X-Forwarded-Proto': 'https', Forwarded: 'for=9.9.9.9' };
    for (const [proxies, told] of [
      ['', ['127.0.0.1', undefined]],
      ['10.0.0.0/8', ['127.0.0.1', undefined]],
      ['10.0.0.1, 127.0.0.0/8', ['9.9.9.9', 'https']],
      ['*', ['9.9.9.9', 'https']],
    ] as const) {
      const { asked, port } = await stood({ proxies });
      await ask(port, null, forged);
      const headers = asked[0]?.headers ?? {};
      expect([headers['x-forwarded-for'], headers['x-forwarded-proto']], proxies).toEqual(told);
      expect(headers.forwarded).toBeUndefined();
    }
  });

  it('is no answer where nobody is behind it', async () => {
    const { port, behind } = await stood();
    expect(behind).toBeGreaterThan(0);
    servers[0]?.close();
    await expect(ask(port, null)).rejects.toThrow();
  });
});
