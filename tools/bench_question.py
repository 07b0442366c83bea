"""`make bench`, its part on questions: what a person waits for an answer, and two hundred builds
listed."""

from __future__ import annotations

import statistics
import sys
import time
from collections.abc import Callable
from pathlib import Path
from typing import Any

ROOT = Path(__file__).resolve().parent.parent
sys.path[:0] = [str(ROOT / "core")]

from easy_tally.files import build_file, kits_csv  # noqa: E402
from easy_tally.mapping import InStock  # noqa: E402
from easy_tally.question import Around, Patience, Shelf, ask, heard  # noqa: E402
from easy_tally.supplies import Kit  # noqa: E402
from easy_tally.things import Adapter, Cable, Extension  # noqa: E402

Show = Callable[[str, float, float, str], None]
#: What is asked: a card that goes nowhere, disks that need a lead, a supply, a part less.
ASKED = (
    "a 450 W card, 16-pin, 358 x 149 x 72",
    "two 8 TB disks",
    "Marram 850",
    "a 250 W card with two 8-pin, 267 mm",
)
#: Seconds of looking for ways, as the workers have it.
ANSWERS_S = 1.0
BUILDS = 200


def _around() -> Around:
    def text(name: str) -> str:
        return (ROOT / f"catalogue/{name}.csv").read_text(encoding="utf-8")

    kits = kits_csv.SUPPLIES.read(text("supplies"))
    loose = (entry.thing for entry in kits_csv.LOOSE.read(text("loose")))
    return Around(
        year=2026,
        kits=tuple(Kit(k.slug, "catalogue", k.supply, k.cables) for k in kits),
        stock=tuple(
            InStock(thing=t, owned=False)
            for t in loose
            if isinstance(t, Cable | Adapter | Extension)
        ),
        cases=kits_csv.CASES.read(text("cases")),
    )


def questions(show: Show, unit: float) -> None:
    """Each question asked of two demo builds, solver loaded."""
    around = _around()
    shelf = Shelf(kits=around.kits, cases=around.cases, loose=around.stock)
    for name in ("heron", "curlew"):
        text = (ROOT / f"demo/builds/{name}.tally.json").read_text(encoding="utf-8")
        build, taken = build_file.read(text), []
        for _ in range(3):
            for line in ASKED:
                said = heard(line, build, shelf)
                assert said.change is not None, line
                start = time.perf_counter()
                ask(build, said.change, around, Patience(_since()))
                taken.append((time.perf_counter() - start) * 1000)
        title = f"a question of {name.capitalize()}, {len(ASKED)} kinds, median"
        show(title, statistics.median(taken[len(ASKED) :]), unit, "2000 ms")
        show("  the longest", max(taken[len(ASKED) :]), unit, "2000 ms")


def _since() -> Callable[[], float]:
    began: list[float] = []

    def used() -> float:
        began.append(time.perf_counter())
        return (began[-1] - began[0]) / ANSWERS_S

    return used


#: Milliseconds from the address to the last of so many builds in the page.
LISTED = """
async ([key, many]) => {
  const token = document.cookie.match(/csrftoken=([^;]+)/)[1];
  const headers = {'Content-Type': 'application/json', 'X-CSRFToken': token};
  const there = (await (await fetch('/api/v1/builds')).json()).length;
  for (let i = there; i < many; i += 1) {
    const body = JSON.stringify({name: `Copy ${i}`});
    const answer = await fetch(`/api/v1/builds/${key}/copy`, {method: 'POST', headers, body});
    if (!answer.ok) throw new Error(await answer.text());
  }
  await fetch('/api/v1/builds');
  const taken = [];
  for (let i = 0; i < 5; i += 1) {
    const start = performance.now();
    await (await fetch('/api/v1/builds')).json();
    taken.push(performance.now() - start);
  }
  return taken.sort((a, b) => a - b)[2];
}
"""


def listed(page: Any, base: str, show: Show, unit: float) -> None:
    """Two hundred builds: asked of the server, and drawn."""
    page.goto(base)
    page.locator("[data-build]").first.wait_for()
    key = page.locator("[data-build]").first.get_attribute("data-build")
    answer = page.evaluate(LISTED, [key, BUILDS])
    show(f"{BUILDS} builds, from the server", answer, unit, "300 ms")
    start = time.perf_counter()
    page.goto(base)
    page.locator(f"[data-build] >> nth={BUILDS - 1}").wait_for(state="attached")
    show("  drawn, from the address on", (time.perf_counter() - start) * 1000, unit, "")
