import { useEffect, useState, useSyncExternalStore } from 'react';
import { onReachChange, reachNow } from '../store/reach';
import type { Act } from './act';
import { hereNow, openHere, type Here } from './here';

const NONE: readonly Act[] = [];
const unheard = () => () => undefined;
const none = () => NONE;

/** What this device keeps, and how far it reaches. */
export function useOutbox() {
  const [here, setHere] = useState<Here | null>(hereNow);
  useEffect(() => void openHere().then(setHere), []);
  const acts = useSyncExternalStore(here?.onChange ?? unheard, here?.kept ?? none, none);
  const reach = useSyncExternalStore(onReachChange, reachNow, reachNow);
  return {
    here,
    waiting: acts.filter(({ problem }) => problem === null),
    aside: acts.filter(({ problem }) => problem !== null),
    /** Why the server takes nothing now, where it says so. */
    held: here?.outbox.held ?? null,
    reach,
  };
}
