import { useSyncExternalStore } from "react";

/** Up to this width a page is laid out for a hand-held device. */
const NARROW = "(max-width: 700px)";

function subscribe(changed: () => void) {
  const query = window.matchMedia(NARROW);
  query.addEventListener("change", changed);
  return () => query.removeEventListener("change", changed);
}

/** Whether the window is as narrow as a phone's. */
export function useNarrow(): boolean {
  return useSyncExternalStore(subscribe, () => window.matchMedia(NARROW).matches);
}
