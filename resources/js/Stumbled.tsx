import { Button, ButtonLink } from './ui/Button';
import { Empty } from './ui/Empty';

/** The error boundary: a screen failed to load or to draw. */
export function Stumbled() {
  return (
    <main className="mx-auto grid max-w-xl gap-6 p-6 pt-16">
      <h1 className="text-2xl font-bold">This screen could not be shown</h1>
      <p>Nothing that you saved is lost. Reload the page; if you were in a sitting, it goes on where it was.</p>
      <div className="flex gap-3">
        <Button weight="main" onClick={() => window.location.reload()}>
          Reload
        </Button>
        <Button onClick={() => window.location.assign('/')}>Go to today</Button>
      </div>
    </main>
  );
}

export function Lost() {
  return (
    <Empty title="There is no page at this address.">
      <ButtonLink to="/">Go to today</ButtonLink>
    </Empty>
  );
}
