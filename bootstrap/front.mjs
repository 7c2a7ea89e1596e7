// What stands before PHP's own web server: that one takes a body into memory before anything may refuse it.
import { createServer, request } from 'node:http';
import { BlockList, isIP } from 'node:net';
import { pathToFileURL } from 'node:url';

const MB = 1024 * 1024;

/** As `post_max_size` of the server behind. */
const MOST = 12 * MB;

/** Of all bodies that are on their way at once. */
const MOST_AT_ONCE = 256 * MB;

const PROBLEMS = {
  413: { message: 'That was too large to send.', reason: 'too_large', fields: {} },
  503: { message: 'Too much is being sent at once. Try again in a moment.', reason: 'busy', fields: {} },
};

/**
 * Hands on what is asked to the server behind, but for bodies that are too large. Who asks is told by X-Forwarded-For:
 * the word of others on that is handed on only where `proxies` trusts them (addresses and nets with commas, "*": all).
 */
export function front({ host = '127.0.0.1', behind, proxies = '', most = MOST, mostAtOnce = MOST_AT_ONCE }) {
  let onTheWay = 0;
  const trusts = trusting(proxies);

  const refuse = (asked, answer, status) => {
    const text = JSON.stringify(PROBLEMS[status]);
    answer.writeHead(status, {
      'Content-Type': 'application/json',
      'Content-Length': Buffer.byteLength(text),
      'X-Content-Type-Options': 'nosniff',
      'Cache-Control': 'no-store, private',
      ...(status === 503 && { 'Retry-After': '2' }),
    });
    answer.end(text);
    // What is still being sent goes nowhere, for long enough that a sender reads the answer: were the connection closed at
    // once, many would see a reset and no sentence.
    asked.unpipe().resume();
    setTimeout(() => asked.socket.destroy(), 2_000).unref();
  };

  const serve = (asked, answer) => {
    const told = Number(asked.headers['content-length'] ?? 0);
    if (told > most) return refuse(asked, answer, 413);
    if (onTheWay + told > mostAtOnce) return refuse(asked, answer, 503);
    let [held, isOpen] = [told, true];
    onTheWay += told;
    answer.once('close', () => {
      onTheWay -= held;
      isOpen = false;
    });

    const from = asked.socket.remoteAddress?.replace(/^::ffff:/, '') ?? '';
    const headers = { 'x-forwarded-for': from, ...asked.headers, connection: 'close' };
    if (!trusts(from)) {
      for (const name of Object.keys(headers)) if (name.startsWith('x-forwarded-')) delete headers[name];
      headers['x-forwarded-for'] = from;
    }
    delete headers.forwarded;
    delete headers.expect;

    const { method, url: path } = asked;
    const onward = request({ host, port: behind, method, path, headers, setHost: false });
    onward.on('response', (reply) => {
      const { connection, 'keep-alive': _, ...rest } = reply.headers;
      answer.writeHead(reply.statusCode ?? 502, reply.statusMessage, rest);
      reply.pipe(answer);
      reply.on('error', () => answer.destroy());
    });
    // Nobody there: as it is without this in between, a connection that comes to nothing.
    onward.on('error', () => (answer.writableEnded ? undefined : asked.socket.destroy()));
    answer.on('close', () => onward.destroy());
    let sent = 0;
    asked.on('data', (piece) => {
      // After the answer nothing is held of what still comes.
      if (!isOpen) return;
      sent += piece.length;
      // Of what did not say how much it is, only so much is taken.
      onTheWay += Math.max(0, sent - held);
      held = Math.max(held, sent);
      if (sent <= most || answer.headersSent) return;
      onward
        .removeAllListeners('error')
        .on('error', () => undefined)
        .destroy();
      refuse(asked, answer, 413);
    });
    asked.pipe(onward);
  };

  const server = createServer({ requestTimeout: 300_000, headersTimeout: 20_000, keepAliveTimeout: 15_000 }, serve);
  server.on('checkContinue', (asked, answer) => {
    if (Number(asked.headers['content-length'] ?? 0) <= most) answer.writeContinue();
    serve(asked, answer);
  });
  return server;
}

function trusting(proxies) {
  const list = new BlockList();
  for (const one of proxies.split(',').map((text) => text.trim())) {
    const [address, bits] = one.split('/');
    const family = `ipv${isIP(address)}`;
    if (isIP(address) && bits) list.addSubnet(address, Number(bits), family);
    else if (isIP(address)) list.addAddress(address, family);
  }
  return (address) => proxies.trim() === '*' || (isIP(address) > 0 && list.check(address, `ipv${isIP(address)}`));
}

if (import.meta.url === pathToFileURL(process.argv[1] ?? '').href) {
  const [host, port, behind] = process.argv.slice(2);
  front({ host, behind: Number(behind), proxies: process.env.UPLANDIA_PROXIES }).listen(Number(port), host);
}
