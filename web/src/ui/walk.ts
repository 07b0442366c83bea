import type { KeyboardEvent } from "react";

/** Up and down through what a list holds; stops at its ends. */
export function walkList(e: KeyboardEvent, list: HTMLElement | null, selector: string) {
  if (e.key !== "ArrowDown" && e.key !== "ArrowUp") return;
  e.preventDefault();
  const all = [...(list?.querySelectorAll<HTMLElement>(selector) ?? [])];
  const now = all.findIndex((x) => x === document.activeElement);
  all[Math.min(all.length - 1, Math.max(0, now + (e.key === "ArrowDown" ? 1 : -1)))]?.focus();
}
