import { Button } from '../../ui/Button';
import { duration } from '../../ui/words';

/** Said before a break, since it cannot be taken back. */
export function BreakCheck({ ms, onTake, onBack }: { ms: number; onTake: () => void; onBack: () => void }) {
  return (
    <section className="grid max-w-2xl justify-items-start gap-4">
      <h1 className="text-2xl font-bold">Before your break</h1>
      <p>
        {ms > 0 && `${duration(ms)} are meant for it. `}The clock does not stop. Every question that you have seen is
        closed: you cannot go back to change it.
      </p>
      <div className="flex flex-wrap gap-3">
        <Button onClick={onTake}>Begin the break</Button>
        <Button weight="main" onClick={onBack}>
          Go back to the questions
        </Button>
      </div>
    </section>
  );
}
