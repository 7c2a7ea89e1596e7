import { meaning, type Action, type Shortcuts } from '../../ui/shortcuts';
import { useKeys } from '../../ui/useKeys';
import type { QuestionState, SittingStore } from './sittingStore';

/** Keys while sitting; none while one types, and none with Ctrl, Alt or the like. */
export function useShortcuts(on: {
  shortcuts: Shortcuts;
  store: SittingStore;
  state: QuestionState | undefined;
  /** What going on and back do; null: nothing. */
  on: (() => void) | null;
  back: (() => void) | null;
  options: string[];
  /** What the other keys do. */
  does: Record<Exclude<Action, 'back' | 'on' | 'flag' | 'card'>, () => void>;
  off: boolean;
}): void {
  const { shortcuts, store, state, options, off } = on;
  useKeys((event) => {
    if (off || !state) return;
    const does = meaning(shortcuts, event.key);
    if (does === 'back') on.back?.();
    else if (does === 'on') on.on?.();
    else if (does === 'flag') store.flag(state.position, !state.flagged);
    else if (typeof does === 'number') {
      const option = options[does - 1];
      if (option && !state.locked) store.answer(state.position, { choice: option });
    } else if (does && does !== 'card') {
      // The key must not land in a field that has just opened.
      event.preventDefault();
      on.does[does]();
    }
  });
}
