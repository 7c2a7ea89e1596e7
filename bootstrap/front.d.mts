import type { Server } from 'node:http';

export function front(terms: {
  host?: string;
  behind: number;
  proxies?: string;
  most?: number;
  mostAtOnce?: number;
}): Server;
