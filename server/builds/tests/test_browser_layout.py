"""Every view at 1280 and 1024 wide, in daylight and dark: nothing cut, nothing overlapping, no
text under 12 px, nothing that axe finds."""

from __future__ import annotations

import json

from owners.models import current_owner
from playwright.sync_api import Page, expect

from builds import actions
from builds.tests.browser import LAYOUT, SMALLEST, BrowserCase
from builds.tests.support import HERON, ROOT

SIZES = ({"width": 1280, "height": 800}, {"width": 1024, "height": 768})


class _Looks(BrowserCase):
    def setUp(self) -> None:
        super().setUp()
        # Collected rather than asserted one by one: a subtest of a test that holds a browser
        # page can't be sent between the parallel test processes.
        self.problems: list[str] = []

    def tearDown(self) -> None:
        super().tearDown()
        self.assertEqual(self.problems, [], "\n".join(self.problems[:12]))

    def _look(self, page: Page, what: str, dark: bool = False) -> None:
        """At both sizes, and by axe; `dark`, too, once a view."""
        page.wait_for_timeout(150)
        for size in SIZES:
            page.set_viewport_size(size)  # type: ignore[arg-type]
            page.wait_for_timeout(100)
            where = f"{what}, {size['width']} wide"
            self.problems += [f"{where}: {p}" for p in page.evaluate(LAYOUT)]
            if page.evaluate(SMALLEST) < 12:
                self.problems.append(f"{where}: text under 12 px")
            if page.evaluate("document.documentElement.scrollWidth > innerWidth"):
                self.problems.append(f"{where}: wider than the window")
        for scheme in ("light", "dark") if dark else ("light",):
            page.emulate_media(color_scheme=scheme)  # type: ignore[arg-type]
            self.problems += [f"{what}, {scheme}: {f}" for f in self.axe_finds(page)]
        page.emulate_media(color_scheme="light")
        page.set_viewport_size(SIZES[0])  # type: ignore[arg-type]


class Parts(_Looks):
    def test_parts(self) -> None:
        page = self.go(self.heron(), "parts")
        self._look(page, "parts", dark=True)
        for part in ("card-2", "board", "disk", "hub", "cooler", "usb"):
            page.locator(f"[data-part={part}][data-tail=false]").click()
            self._look(page, f"parts, {part} in hand")
        page.get_by_role("combobox", name="Add a part").fill("card 2x8")
        expect(page.locator("[data-option=entry-knot-r]")).to_be_visible()
        self._look(page, "parts, adding")
        page.keyboard.press("Escape")
        self.unfold()
        page.get_by_text("By rail, at full").click()
        self._look(page, "parts, rails")

    def test_numbers_opened(self) -> None:
        key = self.heron()
        for what in ("full", "ms_1", "full&path=board+lead"):
            page = self.go(key, f"parts?open={what}")
            expect(page.locator("[data-opened] tbody tr").nth(3)).to_be_visible()
            self._look(page, f"opened, {what}", dark=what == "full")


class Others(_Looks):
    def test_builds(self) -> None:
        self.heron()
        self.page.goto(self.live_server_url)
        expect(self.page.get_by_role("link", name="Heron", exact=True)).to_be_visible()
        self._look(self.page, "builds", dark=True)

    def test_supply(self) -> None:
        page = self.go(self.heron(), "supply")
        expect(page.locator("[data-ticket]")).to_have_count(28)
        self._look(page, "supply", dark=True)
        page.get_by_text("Its label says otherwise?").click()
        self._look(page, "supply, label")

    def test_catalogue(self) -> None:
        page = self.go(self.heron(), "parts/catalogue")
        expect(page.locator("[data-entry]").first).to_be_visible()
        page.locator("[data-entry=tideline-board-w]").click()
        self._look(page, "catalogue", dark=True)
        page.get_by_role("button", name="Read a CSV").click()
        text = "slug,kind,name,power W\na,card,A,x\nb,usb,B,\n"
        page.get_by_role("dialog").get_by_role("textbox").fill(text)
        expect(page.locator("[data-status]")).to_have_count(2)
        self._look(page, "catalogue, a file")

    def test_rules_and_lists_over_the_page(self) -> None:
        page = self.go(self.heron(), "rules")
        self._look(page, "rules", dark=True)
        self.figure("mend").click()
        expect(page.get_by_role("heading", name="To mend")).to_be_visible()
        self.problems += [str(f) for f in self.axe_finds(page)]
        page.keyboard.press("Escape")
        self.go(page.url.split("/")[4], "loom?at=graphics-1")
        page.get_by_role("button", name="Every limit").click()
        expect(page.get_by_role("dialog")).to_be_visible()
        self.problems += [str(f) for f in self.axe_finds(page)]


class Cables(_Looks):
    def test_loom(self) -> None:
        page = self.go(self.heron(), "loom")
        expect(page.locator("[data-lane]")).to_have_count(10)
        self._look(page, "loom", dark=True)
        for lane in ("graphics-1", "sata-1", "board", "sixteen-1"):
            page.locator(f"[data-lane={lane}] button").first.click()
            self._look(page, f"loom, {lane} chosen")
        page.locator("[data-lane=sata-1] [data-plug=p3]").click()
        self._look(page, "loom, plug picked")
        page.keyboard.press("Escape")
        page.locator("aside [data-fed=false]").first.click()
        expect(page.locator("[data-offer]").first).to_be_visible()
        self._look(page, "loom, socket picked")
        page.keyboard.press("Escape")
        page.get_by_role("button", name="Map it", exact=True).click()
        expect(page.get_by_role("button", name="Take this map")).to_be_visible()
        self._look(page, "loom, a map shown", dark=True)

    def test_names_as_long_as_they_may_be(self) -> None:
        """80 characters each: of words that break for parts, of one that does not for the rest."""
        words, word = "A name as long as any may be, of words that break where they must ", "W" * 80
        file = json.loads(HERON)
        for i, part in enumerate(file["parts"]):
            part["name"] = word if i % 3 == 1 else (words + words)[:78] + f"{i:2}"
        file["name"] = file["supply"]["name"] = word
        for cable in file["cables"]:
            cable["name"] = word
        key = actions.open_file(current_owner(), json.dumps(file)).key
        page = self.go(key, "parts?at=card-2")
        expect(page.get_by_role("region", name="Part in hand")).to_be_visible()
        self._look(page, "long names, parts")
        page.get_by_role("button", name="Undo").wait_for()
        self.figure("mend").click()
        expect(page.get_by_role("dialog")).to_be_visible()
        self._look(page, "long names, to mend")
        page.keyboard.press("Escape")
        self.go(key, "parts?open=full")
        expect(page.locator("[data-opened] tbody tr").nth(3)).to_be_visible()
        self._look(page, "long names, opened")
        self.go(key, "supply")
        expect(page.locator("[data-ticket]").first).to_be_visible()
        self._look(page, "long names, supply")
        self.go(key, "loom?at=graphics-1")
        expect(page.locator("[data-lane]").first).to_be_visible()
        self._look(page, "long names, loom")
        page.locator("aside [data-fed=false]").first.click()
        expect(page.locator("[data-offer]").first).to_be_visible()
        self._look(page, "long names, socket picked")
        page.keyboard.press("Escape")
        page.get_by_role("button", name="Map it", exact=True).click()
        expect(page.get_by_role("button", name="Take this map")).to_be_visible()
        self._look(page, "long names, a map shown")
        self.go(key, "rules")
        self._look(page, "long names, rules")
        page.goto(self.live_server_url)
        expect(page.get_by_role("link", name=word, exact=True)).to_be_visible()
        self._look(page, "long names, builds")

    def test_sixty_parts_and_sixty_sockets(self) -> None:
        text = (ROOT / "core/tests/data/sixty.tally.json").read_text(encoding="utf-8")
        key = actions.open_file(current_owner(), text).key
        page = self.go(key, "parts")
        page.locator("[data-part=hub-1]").first.click()
        self._look(page, "sixty, parts")
        page = self.go(key, "loom?at=sata-1")
        expect(page.locator("[data-lane]").first).to_be_visible()
        self._look(page, "sixty, loom", dark=True)
        page.get_by_role("button", name="Map it", exact=True).click()
        expect(page.get_by_role("button", name="Take what can be fed")).to_be_visible(
            timeout=60_000
        )
        self._look(page, "sixty, no map")
        page = self.go(key, "supply")
        expect(page.locator("[data-ticket]").first).to_be_visible()
        self._look(page, "sixty, supply")


#: Leaves of text that are so narrow that a word stands a letter or two a line.
SQUEEZED = """() => [...document.querySelectorAll('main *, header *')]
  .filter((e) => e.children.length === 0 && e.textContent.trim().length > 4)
  .filter((e) => { const r = e.getBoundingClientRect();
    return r.width > 1 && r.width < 26 && r.height > 60; })
  .map((e) => e.textContent.trim().slice(0, 30))"""


#: What is to be hit and is under 44 px; but for links within a sentence, what is hidden, what is
#: drawn to scale.
SMALL = """() => [...document.querySelectorAll('button, input, select, textarea, summary')]
  .filter((e) => e.checkVisibility() && !e.closest('[data-drawn], .sr-only'))
  .map((e) => [e, (e.closest('label') ?? e).getBoundingClientRect()])
  .filter(([, r]) => r.height > 1 && (r.height < 43.5 || r.width < 23.5))
  .map(([e, r]) => `${e.textContent || e.ariaLabel || e.id}: ${r.width} x ${r.height}`)"""


class Phones(BrowserCase):
    def test_every_station_reads_at_360(self) -> None:
        page = self.window(viewport={"width": 360, "height": 760})
        key = self.heron()
        stations = (
            "parts",
            "parts?at=card-2",
            "parts/catalogue",
            "supply",
            "supply/compare",
            "supply/fit",
            "supply/energy",
            "loom",
            "bench",
            "drawer",
            "rules",
        )
        for station in stations:
            self.go(key, station, page)
            page.wait_for_load_state("networkidle")
            wide = page.evaluate("document.documentElement.scrollWidth")
            self.assertLessEqual(wide, 360, station)
            self.assertEqual(page.evaluate(SQUEEZED), [], station)
            self.assertEqual(page.evaluate(SMALL), [], station)
            self.assertEqual(self.axe_finds(page), [], station)
        self.go(key, "parts", page)
        line = page.get_by_role("combobox").first
        line.fill("fan 120")
        line.press("Enter")
        expect(page.get_by_role("complementary", name="Watts and part in hand")).to_be_visible()
        page.goto(self.live_server_url)
        expect(page.get_by_role("link", name="Heron", exact=True)).to_be_visible()
        self.assertLessEqual(page.evaluate("document.documentElement.scrollWidth"), 360)
