import { Button } from '../../ui/Button';

/** Said before a break, since it cannot be taken back. */
export function BreakCheck({ onTake, onBack }: { onTake: () => void; onBack: () => void }) {
  return (
    <section className="grid max-w-2xl justify-items-start gap-4">
      <h1 className="text-2xl font-bold">Before your break</h1>
      <p>The clock does not stop. Every question that you have seen is closed: you cannot go back to change it.</p>
      <div className="flex flex-wrap gap-3">
        <Button onClick={onTake}>Begin the break</Button>
        <Button weight="main" onClick={onBack}>
          Go back to the questions
        </Button>
      </div>
    </section>
  );
}
