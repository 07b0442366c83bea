/** Where menus and what opens over the page stand: a landmark of its own, so that a screen reader
 * finds them in one. */
export function over(): HTMLElement {
  const there = document.getElementById("over");
  if (there) return there;
  const made = document.createElement("section");
  made.id = "over";
  made.setAttribute("aria-label", "Over the page");
  return document.body.appendChild(made);
}
