import { useEffect, useRef, useState } from "react";

/** Keeps the screen awake where the browser can; it lets go whenever the page is hidden. */
export function useWakeLock() {
  useEffect(() => {
    let lock: WakeLockSentinel | null = null;
    const hold = async () => {
      if (document.visibilityState !== "visible" || !("wakeLock" in navigator)) return;
      lock = await navigator.wakeLock.request("screen").catch(() => null);
    };
    void hold();
    const again = () => void hold();
    document.addEventListener("visibilitychange", again);
    return () => {
      document.removeEventListener("visibilitychange", again);
      void lock?.release();
    };
  }, []);
}

/** The browser's own voice, where it has one. */
const voice = (globalThis as { speechSynthesis?: SpeechSynthesis }).speechSynthesis;

/** Reads sentences aloud by the browser's own voice, until they are others; null where it has none. */
export function useVoice(sentences: string[]): { reading: boolean; turn: () => void } | null {
  const [reading, setReading] = useState(false);
  const text = sentences.join("\n");
  useEffect(
    () => () => {
      voice?.cancel();
      setReading(false);
    },
    [text],
  );
  if (!voice) return null;
  const turn = () => {
    voice.cancel();
    setReading(!reading);
    if (reading) return;
    const said = sentences.map((s) => new SpeechSynthesisUtterance(s));
    said.at(-1)?.addEventListener("end", () => setReading(false));
    said.forEach((s) => voice.speak(s));
  };
  return { reading, turn };
}

/** A finger that moves sideways turns a page. */
export function useSwipe(turn: (by: number) => void) {
  const start = useRef<{ x: number; y: number } | null>(null);
  return {
    onTouchStart: (e: React.TouchEvent) => {
      const t = e.touches[0];
      start.current = t ? { x: t.clientX, y: t.clientY } : null;
    },
    onTouchEnd: (e: React.TouchEvent) => {
      const t = e.changedTouches[0];
      if (!t || !start.current) return;
      const [dx, dy] = [t.clientX - start.current.x, t.clientY - start.current.y];
      if (Math.abs(dx) > 60 && Math.abs(dx) > 2 * Math.abs(dy)) turn(dx < 0 ? 1 : -1);
    },
  };
}
