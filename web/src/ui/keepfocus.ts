/** What can have the keyboard. */
const STOPS = "button:not(:disabled), a[href], input:not(:disabled), select, textarea, [tabindex]";
/** Milliseconds in which whoever took something away may put the focus where it belongs. */
const WAITS_MS = 60;

/**
 * Keeps the keyboard on the page: where what had the focus is taken away and nothing else takes it,
 * it goes to what is nearest to where that stood, and never to the page's body. Gives what ends it.
 */
export function keepFocus(): () => void {
  let around: Element[] = [];
  const came = (e: FocusEvent) => {
    around = [];
    for (let at = e.target as Element | null; at && at !== document.body; at = at.parentElement)
      around.push(at);
  };
  let waits: ReturnType<typeof setTimeout> | undefined;
  const lost = () => document.activeElement === document.body && around[0] && !around[0].isConnected;
  const look = () => {
    if (!lost()) return;
    clearTimeout(waits);
    waits = setTimeout(() => lost() && nearest(around)?.focus({ preventScroll: true }), WAITS_MS);
  };
  const observer = new MutationObserver(look);
  observer.observe(document.body, { childList: true, subtree: true });
  document.addEventListener("focusin", came);
  return () => {
    observer.disconnect();
    document.removeEventListener("focusin", came);
  };
}

/** The first that can have the focus in the closest that is left; else the page. */
function nearest(around: Element[]): HTMLElement | null {
  for (const at of around) {
    // All of the page left: a link past the stations is not what is nearest to what was in hand.
    if (at.querySelector("main") || at.matches("main, nav, #app")) break;
    if (!at.isConnected) continue;
    const stop = [...at.querySelectorAll<HTMLElement>(STOPS)].find((e) => e.checkVisibility());
    if (stop) return stop;
  }
  return document.querySelector<HTMLElement>("main");
}
