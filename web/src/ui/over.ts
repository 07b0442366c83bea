/** Where menus and what opens over the page stand: a landmark of its own, so that a screen reader
 * finds them in one. Over a dialog it is the page's body: all else is hidden from readers then. */
export function over(): HTMLElement | null {
  if (typeof document === "undefined") return null;
  return document.querySelector("[role=dialog]") ? document.body : document.getElementById("over");
}
