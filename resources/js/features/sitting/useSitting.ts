import { useEffect, useEffectEvent, useState, useSyncExternalStore } from 'react';
import { AlongHere } from './packs/along';
import { SittingStore } from './sittingStore';
import { BrowserStorage } from './sync/queueStorage';
import { serverOf } from './sync/server';
import { browserTime } from './sync/time';
import { tabName } from './tab';
import { sitHere } from '../../worker/sitHere';

const storage = new BrowserStorage();

function storeOf(id: string, user: string): SittingStore {
  const along = new AlongHere(id, user);
  return new SittingStore(id, tabName(), user, { time: browserTime, storage, server: serverOf(id), along });
}

/** Opens a sitting for as long as the screen is shown. */
export function useSitting(id: string, user: string): SittingStore {
  const [store, setStore] = useState(() => storeOf(id, user));
  useEffect(() => {
    // A store that was stopped stays stopped: each mount has its own.
    const own = storeOf(id, user);
    setStore(own);
    void own.open();
    const over = sitHere();
    const leave = () => own.leave();
    const back = (event: PageTransitionEvent) => event.persisted && void own.open();
    const online = () => own.online();
    const sight = () => own.hide(document.hidden);
    window.addEventListener('pagehide', leave);
    window.addEventListener('pageshow', back);
    window.addEventListener('online', online);
    document.addEventListener('visibilitychange', sight);
    return () => {
      window.removeEventListener('pagehide', leave);
      window.removeEventListener('pageshow', back);
      window.removeEventListener('online', online);
      document.removeEventListener('visibilitychange', sight);
      own.leave();
      own.stop();
      over();
    };
  }, [id, user]);
  return store;
}

export function useSnapshot(store: SittingStore) {
  return useSyncExternalStore(store.subscribe, store.read);
}

const LOOK_MS = 250;

/** What is left on the clock, looked at a few times a second. */
export function useRemaining(store: SittingStore): number | null {
  const [left, setLeft] = useState(() => store.remaining());
  useEffect(() => {
    const timer = window.setInterval(() => setLeft(store.remaining()), LOOK_MS);
    return () => window.clearInterval(timer);
  }, [store]);
  return left;
}

/** Rings when the clock stands at zero, and again should the server have said that there is time left. */
export function useZero(store: SittingStore, onZero: () => void): void {
  const ring = useEffectEvent(onZero);
  useEffect(() => {
    const timer = window.setInterval(() => {
      const { status, zero } = store.read();
      if (status !== 'paused' && !zero && store.remaining() === 0) ring();
    }, LOOK_MS);
    return () => window.clearInterval(timer);
  }, [store]);
}
