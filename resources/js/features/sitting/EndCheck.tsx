import { Button } from '../../ui/Button';
import { Notice } from '../../ui/Notice';

/** Said before an adaptive test is ended, which has not ended by itself yet. */
export function EndCheck(props: {
  most: number;
  busy: boolean;
  /** There is no connection. */
  away: boolean;
  onEnd: () => void;
  onBack: () => void;
}) {
  return (
    <section className="grid max-w-2xl justify-items-start gap-4">
      <h1 className="text-2xl font-bold">Before you end it</h1>
      <Notice tone="warn">
        The test has not found out enough yet: it ends by itself after {props.most} questions at most. If you end it
        now, what it can say of you is less sure.
      </Notice>
      {props.away && <Notice tone="warn">The server cannot be reached just now; end it once it is back.</Notice>}
      <div className="flex flex-wrap gap-3">
        <Button busy={props.busy} onClick={props.onEnd}>
          End it here
        </Button>
        <Button weight="main" onClick={props.onBack}>
          Go back to the questions
        </Button>
      </div>
    </section>
  );
}
