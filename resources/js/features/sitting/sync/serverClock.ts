import type { Time } from './time';

/**
 * The server's clock as the browser knows it: the last word from the server plus the time since, measured on a clock
 * that nobody can set. Changing the computer's time changes nothing.
 */
export class ServerClock {
  private said: number;
  private at: number;

  constructor(private readonly time: Time) {
    this.said = time.wall();
    this.at = time.steady();
  }

  now(): number {
    return Math.round(this.said + this.time.steady() - this.at);
  }

  hear(now: number): void {
    this.said = now;
    this.at = this.time.steady();
  }
}
