/** Time as the logic is handed it, so that tests can be its master. */
export interface Time {
  /** Milliseconds on the computer's clock, which anybody can set. */
  wall(): number;
  /** Milliseconds on a clock that nobody can set, from some moment on. */
  steady(): number;
  /** Runs something later; what it gives calls that off. */
  after(ms: number, run: () => void): () => void;
  every(ms: number, run: () => void): () => void;
}

export const browserTime: Time = {
  wall: () => Date.now(),
  steady: () => performance.now(),
  after(ms, run) {
    const timer = setTimeout(run, ms);
    return () => clearTimeout(timer);
  },
  every(ms, run) {
    const timer = setInterval(run, ms);
    return () => clearInterval(timer);
  },
};
