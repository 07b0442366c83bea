// Text that an ancestor cuts off, texts that lie on one another, and words that are broken in two
// though they are short. Gives a list of sentences.
() => {
  const seen = [];
  const problems = [];
  const covers = ["[data-panel], [role=listbox]", "[data-covers]"].map((on) => [...document.querySelectorAll(on)]);
  const dialog = document.querySelector("[role=dialog]");
  const walker = document.createTreeWalker(document.body, NodeFilter.SHOW_TEXT);
  for (let node = walker.nextNode(); node; node = walker.nextNode()) {
    const text = node.textContent.trim();
    const own = node.parentElement;
    if (!text || !own.checkVisibility({ visibilityProperty: true, opacityProperty: true })) continue;
    if (own.closest(".sr-only, option, title, noscript")) continue;
    // A dialog lies over the page: what is under it does not count.
    if (dialog && !dialog.contains(own)) continue;
    const range = document.createRange();
    range.selectNodeContents(node);
    const box = range.getBoundingClientRect();
    if (box.width < 1) continue;
    // An open list lies over all, a head that stays while its column moves over that column.
    const over = own.closest("[data-panel], [role=listbox]") ? [] : own.closest("[data-covers]") ? covers[0] : covers.flat();
    const under = (l) => box.top < l.bottom && box.bottom > l.top && box.left < l.right && box.right > l.left;
    if (over.some((e) => under(e.getBoundingClientRect()))) continue;
    const shown = { left: 0, top: 0, right: innerWidth, bottom: innerHeight };
    let cut = box.right > innerWidth + 1;
    let [top, bottom] = [box.top, box.bottom];
    for (let a = own; a; a = a.parentElement) {
      const { overflowX: x, overflowY: y } = getComputedStyle(a);
      if (x === "visible" && y === "visible") continue;
      const r = a.getBoundingClientRect();
      const scrolls = /auto|scroll/;
      if (!scrolls.test(x) && (box.left < r.left - 1 || box.right > r.right + 1)) cut = true;
      if (!scrolls.test(y) && (top < r.top - 2 || bottom > r.bottom + 2)) cut = true;
      // What a list has scrolled away, nothing around the list cuts.
      if (scrolls.test(y)) [top, bottom] = [Math.max(top, r.top), Math.min(bottom, r.bottom)];
      // A list that scrolls downwards must not have to scroll sideways too, unless it says so.
      if (scrolls.test(y) && box.right > r.right + 1 && !("sideways" in a.dataset)) cut = true;
      shown.left = Math.max(shown.left, r.left);
      shown.top = Math.max(shown.top, r.top);
      shown.right = Math.min(shown.right, r.right);
      shown.bottom = Math.min(shown.bottom, r.bottom);
    }
    const away = box.bottom <= shown.top || box.top >= shown.bottom || box.right <= shown.left || box.left >= shown.right;
    if (away) continue;
    if (cut) problems.push(`cut: "${text}"`);
    for (const { 0: word, index } of node.textContent.matchAll(/[\p{L}\d.,]+/gu)) {
      if (word.length > 14) continue;
      range.setStart(node, index);
      range.setEnd(node, index + word.length);
      const [first, ...rest] = range.getClientRects();
      if (rest.some((r) => r.top > first.bottom - 2)) problems.push(`broken: "${word}" in "${text}"`);
    }
    range.selectNodeContents(node);
    for (const line of range.getClientRects()) seen.push({ text, line, own, shown });
  }
  const span = (a, b, low, high) =>
    Math.min(a.line[high], b.line[high], a.shown[high], b.shown[high]) -
    Math.max(a.line[low], b.line[low], a.shown[low], b.shown[low]);
  // From the top down: what begins below the end of a line lies on nothing of it.
  seen.sort((a, b) => a.line.top - b.line.top);
  seen.forEach((a, i) => {
    for (let j = i + 1; j < seen.length && seen[j].line.top < a.line.bottom; j += 1) {
      const b = seen[j];
      if (a.own !== b.own && span(a, b, "left", "right") > 2 && span(a, b, "top", "bottom") > 4)
        problems.push(`overlap: "${a.text}" and "${b.text}"`);
    }
  });
  return problems;
}
