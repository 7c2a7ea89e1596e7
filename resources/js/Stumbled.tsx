import { Component, type ReactNode } from 'react';
import { Button, ButtonLink } from './ui/Button';
import { Empty } from './ui/Empty';

/** Catches a screen that failed to load or to draw. */
export class Boundary extends Component<{ place: string; children: ReactNode }, { stumbled: boolean }> {
  override state = { stumbled: false };

  static getDerivedStateFromError() {
    return { stumbled: true };
  }

  override componentDidUpdate(before: { place: string }) {
    // Another address is another try.
    if (this.state.stumbled && before.place !== this.props.place) this.setState({ stumbled: false });
  }

  override render() {
    return this.state.stumbled ? <Stumbled /> : this.props.children;
  }
}

function Stumbled() {
  return (
    <main className="mx-auto grid max-w-xl gap-6 p-6 pt-16">
      <h1 className="text-2xl font-bold">This screen could not be shown</h1>
      <p>
        Reload the page. If you were in a sitting, what this device had not sent waits on it, and the sitting goes on
        from what the server holds.
      </p>
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
