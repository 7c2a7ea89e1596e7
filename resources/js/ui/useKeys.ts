import { useEffectEvent, useLayoutEffect } from 'react';

/** Keys pressed on a screen; none while one types or chooses in a menu, and none with Ctrl, Alt or the like. */
export function useKeys(onPress: (event: KeyboardEvent) => void): void {
  const press = useEffectEvent((event: KeyboardEvent) => {
    const typing =
      event.target instanceof HTMLElement && event.target.closest('input:not([type=radio]), textarea, select, dialog');
    if (!typing && !event.ctrlKey && !event.metaKey && !event.altKey) onPress(event);
  });
  // With what is shown, not after it: a key pressed as soon as the next question is seen would else be the last one's.
  useLayoutEffect(() => {
    const listen = (event: KeyboardEvent) => press(event);
    window.addEventListener('keydown', listen);
    return () => window.removeEventListener('keydown', listen);
  }, []);
}
