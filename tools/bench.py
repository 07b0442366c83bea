"""`make bench`: medians against the figures in the design, and ratios to a fixed piece of work.

Ratios compare across machines: each time is also given as a multiple of the time that this
machine takes to add up a million whole numbers in Python.
"""

from __future__ import annotations

import json
import shutil
import statistics
import sys
import tempfile
import time
from collections.abc import Callable
from pathlib import Path

ROOT = Path(__file__).resolve().parent.parent
sys.path[:0] = [str(ROOT / "core"), str(ROOT / "tools")]

from bench_map import mapping  # noqa: E402
from bench_question import listed, questions  # noqa: E402
from bench_readings import readings  # noqa: E402
from easy_tally import Build, Wired, analyse, compact  # noqa: E402
from easy_tally.base import Memory  # noqa: E402
from easy_tally.bench import plan  # noqa: E402
from easy_tally.editing import ChangePart, Park  # noqa: E402
from easy_tally.entry import parse, parse_list  # noqa: E402
from easy_tally.files import build_file  # noqa: E402
from easy_tally.supplies import size  # noqa: E402
from easy_tally.tally import loads as loads_of  # noqa: E402
from easy_tally.tally import spikes, tally  # noqa: E402
from playwright.sync_api import sync_playwright  # noqa: E402
from screenshots import ARGUMENTS, Demo  # noqa: E402
from soak import Served, crowd  # noqa: E402


def median_ms(work: Callable[[], object], times: int) -> float:
    """Median milliseconds of `work`."""
    taken = []
    for _ in range(times):
        start = time.perf_counter()
        work()
        taken.append(time.perf_counter() - start)
    return statistics.median(taken) * 1000


def show(title: str, ms: float, unit_ms: float, goal: str) -> None:
    """One line of the table."""
    print(f"{title:52}{ms:9.2f} ms {ms / unit_ms:9.3f} × {goal:>22}")


#: As much as the server keeps [bytes].
_KEPT = 64_000_000


def tally_alone(build: Build) -> None:
    """What a change of a part's figure computes before any cable is looked at."""
    wired = Wired(build)
    loads = loads_of(wired)
    size(wired, tally(wired, loads).total, spikes(wired, loads).total, build.supply)


def _edits(build: Build, times: int) -> float:
    """Median milliseconds of an analysis after an edit of a figure of the first card."""
    card = next(p.key for p in build.parts if p.kind == "card")
    builds = [build]
    for i in range(times):
        figure = {"low": 200, "likely": 210 + i, "high": 300}
        changed = ChangePart(part=card, changes={"board_power_w": figure}).apply(builds[-1])
        builds.append(changed)
    memory = Memory(_KEPT)
    analyse(builds[0], None, memory)
    left = iter(builds[1:])
    return median_ms(lambda: analyse(next(left), None, memory), times)


def _candidates(build: Build) -> float:
    """Median milliseconds of an analysis of the build with another map: one plug out each."""
    fed = [f for f in Wired(build).feeds.values() if f.input.between is None]
    maps = [Park(cable=f.cable.key, plug=f.plug.key).apply(build) for f in fed]
    memory = Memory(_KEPT)
    analyse(build, None, memory)
    left = iter(maps)
    return median_ms(lambda: analyse(next(left), None, memory), len(maps))


def core(unit: float) -> None:
    """Everything about one build, in the core."""
    files = [ROOT / "demo/builds/heron.tally.json", ROOT / "core/tests/data/sixty.tally.json"]
    for file in files:
        build: Build = build_file.read(file.read_text(encoding="utf-8"))
        sockets = len(Wired(build).inputs)
        name = f"{build.name}: {len(build.parts)} parts, {sockets} sockets"
        show(
            f"tally and all checks from nothing, {name}",
            fresh := median_ms(lambda b=build: analyse(b), 60),
            unit,
            "as low as may be",
        )
        edited = _edits(build, 60)
        show(
            f"  after an edit of a card ({edited / fresh:.2f} of it)", edited, unit, "a third of it"
        )
        if build.runs:
            candidate = _candidates(build)
            title = f"  of a candidate map ({candidate / fresh:.2f} of it)"
            show(title, candidate, unit, "a third of it")
        show(
            f"  of which the tally: loads, sums, spikes, sizing, {build.name}",
            median_ms(lambda b=build: tally_alone(b), 60),
            unit,
            "",
        )
        analysis = analyse(build)
        show(
            f"  its compact result in words, {build.name}",
            median_ms(lambda f=analysis: compact(f), 60),
            unit,
            "",
        )
        show(
            f"  its work order from nothing, {build.name}",
            median_ms(lambda f=analysis: plan(f), 20),
            unit,
            "as low as may be",
        )


def lines(unit: float) -> None:
    """The entry line on what people say, by the guards of 40 to 62 characters; lists of sixty."""
    guards = (ROOT / "core/tests/data/phrases.txt").read_text(encoding="utf-8").splitlines()
    said = [guard.split(" => ")[0] for guard in guards if " => " in guard]
    long = [line for line in said if 40 <= len(line) <= 62]
    taken = sorted(median_ms(lambda s=line: parse(s), 3) for line in long)
    title = f"a keystroke's reading, {len(long)} lines of 40 to 62 characters"
    show(title, statistics.median(taken), unit, "")
    show("  95th percentile", taken[len(taken) * 95 // 100], unit, "8 ms")
    spoken = "\n".join(said[-60:])
    table = "\n".join(f"fan {80 + i} mm\t{i % 5 + 1}\t1.8 W" for i in range(60))
    show("a list of 60 rows, spoken", median_ms(lambda: parse_list(spoken), 5), unit, "150 ms")
    show("  a table", median_ms(lambda: parse_list(table), 5), unit, "150 ms")


#: Milliseconds of edits of one figure, one after another, each through the whole server.
EDITS = """
async ([key, times]) => {
  const at = `/api/v1/builds/${key}`;
  let { version } = await (await fetch(at)).json();
  const token = document.cookie.match(/csrftoken=([^;]+)/)[1];
  const headers = {'Content-Type': 'application/json', 'X-CSRFToken': token};
  const taken = [];
  for (let i = 0; i < times; i += 1) {
    const board_power_w = {low: 200, likely: 210 + i % 50, high: 300};
    const action = {type: 'change part', part: 'card-2', changes: {board_power_w}};
    const start = performance.now();
    const body = JSON.stringify({base_version: version, action});
    const answer = await fetch(`${at}/actions`, {method: 'POST', headers, body});
    if (!answer.ok) throw new Error(await answer.text());
    version = (await answer.json()).version;
    taken.push(performance.now() - start);
  }
  return taken;
}
"""


def browser(unit: float) -> None:
    """Served application: first paint, keystroke to painted strip, script size."""
    with Demo() as base, sync_playwright() as playwright:
        chromium = playwright.chromium.launch(
            executable_path=shutil.which("chromium"), args=ARGUMENTS
        )
        page = chromium.new_page(viewport={"width": 1280, "height": 800})
        page.goto(base)
        page.get_by_role("link", name="Heron", exact=True).click()
        page.locator("[data-part=card-2][data-tail=false]").click()
        field = page.get_by_label("board power: all that the card draws", exact=True)
        field.fill("231")
        page.wait_for_timeout(300)
        taken = []
        for i in range(40):
            field.focus()
            taken.append(
                page.evaluate(
                    """
                    async ([value]) => {
                      const input = document.activeElement;
                      const cell = document.querySelector('[data-strip=full]');
                      const before = cell.dataset.watts;
                      const own = HTMLInputElement.prototype;
                      const { set } = Object.getOwnPropertyDescriptor(own, 'value');
                      const start = performance.now();
                      set.call(input, value);
                      input.dispatchEvent(new Event('input', {bubbles: true}));
                      const frame = () => new Promise(requestAnimationFrame);
                      while (cell.dataset.watts === before) await frame();
                      await frame();
                      return performance.now() - start;
                    }""",
                    [str(232 + i)],
                )
            )
        taken.sort()
        show("keystroke to painted strip, median", statistics.median(taken), unit, "")
        show("keystroke to painted strip, 95th percentile", taken[37], unit, "100 ms")
        edits = page.evaluate(EDITS, [page.url.split("/b/")[1].split("/")[0], 100])
        show("an edit of Heron through the server, median", statistics.median(edits), unit, "10 ms")
        cold = chromium.new_context(viewport={"width": 1280, "height": 800}).new_page()
        cold.goto(base)
        cold.locator("h1").wait_for()
        entry = "performance.getEntriesByName('first-contentful-paint')[0].startTime"
        paint = cold.evaluate(entry)
        show("first useful paint, cold browser", paint, unit, "1000 ms")
        listed(page, base, show, unit)
        chromium.close()


def crowds() -> None:
    """Clients that edit Heron together, through one served worker."""
    with tempfile.TemporaryDirectory() as folder:
        served = Served(Path(folder))
        for clients, edits in (1, 160), (4, 60), (32, 12):
            c = crowd(served, clients, edits)
            per_s, p95_ms = c.done / c.seconds, c.p95 * 1000
            print(f"{f'edits of Heron by {clients}':52}{per_s:9.0f} a second {'100 a second':>27}")
            print(f"{'  95 % of the answers under':52}{p95_ms:9.0f} ms {'300 ms':>34}")
        served.kill()


def script_size() -> None:
    """Gzipped script of the first screen."""
    import gzip

    manifest = json.loads((ROOT / "web/dist/.vite/manifest.json").read_text())
    main = (ROOT / "web/dist" / manifest["src/main.tsx"]["file"]).read_bytes()
    size = len(gzip.compress(main)) / 1000
    print(f"{'script on the first screen, gzipped':52}{size:9.1f} kB {'':11} {'250 kB':>22}")


def main() -> None:
    """Print the table."""
    unit = median_ms(lambda: sum(range(1_000_000)), 9)
    print(f"{'':52}{'here':>12} {'ratio':>11} {'goal':>22}")
    core(unit)
    lines(unit)
    mapping(unit)
    questions(show, unit)
    readings(show, unit, ROOT)
    script_size()
    browser(unit)
    crowds()


if __name__ == "__main__":
    main()
