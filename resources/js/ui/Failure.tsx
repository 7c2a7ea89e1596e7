import { Refused } from '../api/client';
import { Button, ButtonLink } from './Button';
import { Notice } from './Notice';

/** What went wrong with something that was asked for, and the way out. */
export function Failure({ error, retry }: { error: unknown; retry?: () => void }) {
  const message = error instanceof Error ? error.message : 'Something went wrong. Try again in a moment.';
  const gone = error instanceof Refused && error.status === 404;
  return (
    <Notice
      tone="bad"
      action={
        gone ? (
          <ButtonLink small to="/">
            Go to today
          </ButtonLink>
        ) : (
          retry && (
            <Button small onClick={retry}>
              Try again
            </Button>
          )
        )
      }
    >
      {message}
    </Notice>
  );
}
