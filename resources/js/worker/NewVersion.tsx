import { useState, useSyncExternalStore } from 'react';
import { Button } from '../ui/Button';
import { Notice } from '../ui/Notice';
import { isSomebodySitting } from './sitHere';
import { newVersion, onNewVersion, takeNewVersion } from './worker';

/** Offers a new version of the app. It is never forced on anybody, and never offered in the middle of a test. */
export function NewVersion() {
  const waiting = useSyncExternalStore(onNewVersion, newVersion);
  const [held, setHeld] = useState(false);
  if (!waiting) return null;
  const load = async () => {
    if (await isSomebodySitting()) setHeld(true);
    else takeNewVersion();
  };
  return (
    <div className="mb-4">
      <Notice
        action={
          <Button small onClick={() => void load()}>
            Load it
          </Button>
        }
      >
        {held
          ? 'A test is open in another tab. Load the new version once it is over.'
          : 'There is a new version of Uplandia.'}
      </Notice>
    </div>
  );
}
