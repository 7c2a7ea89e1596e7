import { spawn, type ChildProcess } from 'node:child_process';

/** Each worker of the tests has a server and a database of its own. */
const WORKER = Number(process.env.TEST_PARALLEL_INDEX ?? 0);

/** How far the clock of the tests' own server goes ahead of the machine's. */
const AHEAD = Number(process.env.UPLANDIA_DAYS_AHEAD ?? 0);

/** The day that is so many days from the server's today. */
export function inDays(days: number): string {
  return new Date(Date.now() + (AHEAD + days) * 86_400_000).toISOString().slice(0, 10);
}

/** A second server over the database of the tests, which can be stopped and started again in the middle of one. */
export class OwnServer {
  private process: ChildProcess | null = null;
  private readonly port: number;

  /** @param which of those that one test has, from 0 */
  constructor(which: number) {
    this.port = Number(process.env.UPLANDIA_PORT ?? 8123) + 40 + 10 * WORKER + which;
  }

  get address(): string {
    return `http://127.0.0.1:${this.port}`;
  }

  /** @param daysAhead how far its clock goes ahead of the other's */
  async start(daysAhead = 0): Promise<void> {
    this.process = spawn('php', ['-S', `127.0.0.1:${this.port}`, '-t', 'public', 'bootstrap/serve.php'], {
      env: {
        ...process.env,
        APP_URL: this.address,
        DB_DATABASE: `${process.cwd()}/storage/uplandia/browser-${WORKER}.sqlite`,
        UPLANDIA_DEMO: 'true',
        UPLANDIA_DAYS_AHEAD: String(AHEAD + daysAhead),
        PHP_CLI_SERVER_WORKERS: '3',
        // What the other server has read ahead is for its own address.
        APP_CONFIG_CACHE: `${process.cwd()}/storage/uplandia/none.php`,
        APP_ROUTES_CACHE: `${process.cwd()}/storage/uplandia/none.php`,
      },
      stdio: 'ignore',
      detached: true,
    });
    for (let i = 0; i < 100; i++) {
      const up = await fetch(`${this.address}/up`).catch(() => null);
      if (up?.ok) return;
      await new Promise((resolve) => setTimeout(resolve, 100));
    }
    throw new Error('The server did not start.');
  }

  /** At once, as a machine fails: nothing is finished. */
  kill(): void {
    if (this.process?.pid && this.process.exitCode === null) process.kill(-this.process.pid, 'SIGKILL');
    this.process = null;
  }
}
