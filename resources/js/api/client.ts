import createClient, { type Middleware } from 'openapi-fetch';
import type { components, paths } from './schema';

/** A shape of the contract, by name. */
export type View<Name extends keyof components['schemas']> = components['schemas'][Name];

/** The server understood and said no, with a sentence for the person. */
export class Refused extends Error {
  constructor(
    readonly status: number,
    readonly problem: View<'Problem'>,
  ) {
    super(problem.message);
    this.name = 'Refused';
  }

  /** What to say at one field of a form. */
  field(name: string): string | undefined {
    return this.problem.fields[name]?.[0];
  }
}

/** The server could not be reached at all. */
export class Unreachable extends Error {
  constructor() {
    super('The server cannot be reached. Check the connection; what you did is kept on this device.');
    this.name = 'Unreachable';
  }
}

/** What was sent, until it is answered. */
const sent = new Map<string, Request>();

function signed(request: Request): Request {
  const cookie = /(?:^|; )XSRF-TOKEN=([^;]+)/.exec(document.cookie)?.[1];
  if (cookie) request.headers.set('X-XSRF-TOKEN', decodeURIComponent(cookie));
  return request;
}

const token: Middleware = {
  onRequest({ request, id }) {
    request.headers.set('Accept', 'application/json');
    if (request.method !== 'GET') sent.set(id, request.clone());
    return signed(request);
  },
  // Whoever was quicker than the session, or came back after it was over, is known after asking who they are.
  async onResponse({ response, id }) {
    const again = sent.get(id);
    sent.delete(id);
    if (response.status !== 419 || !again) return;
    await fetch('/api/session');
    return fetch(signed(again));
  },
  onError({ id }) {
    sent.delete(id);
  },
};

// Without a page (in tests of the logic) there is no address to be relative to.
const here = typeof location === 'undefined' ? 'http://page.example' : location.origin;

export const api = createClient<paths>({ baseUrl: here, credentials: 'same-origin' });
api.use(token);

/** Unwraps an answer of the client: its data, or one of the two errors above. */
export async function ask<Data>(
  call: Promise<{ data?: Data; error?: View<'Problem'>; response: Response }>,
): Promise<Data> {
  const answer = await call.catch(() => {
    throw new Unreachable();
  });
  if (answer.response.ok) return answer.data as Data;
  // A proxy or a dying server may answer with something that is no problem of ours.
  if (!answer.error || typeof answer.error.message !== 'string') throw new Unreachable();
  throw new Refused(answer.response.status, answer.error);
}
