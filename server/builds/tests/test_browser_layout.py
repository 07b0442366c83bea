"""Every view at 1280 and 1024 wide, in daylight and dark: nothing cut, nothing overlapping, no
text under 12 px, nothing that axe finds."""

from __future__ import annotations

from playwright.sync_api import Page, expect

from builds.tests.browser import LAYOUT, SMALLEST, BrowserCase

SIZES = ({"width": 1280, "height": 800}, {"width": 1024, "height": 768})


class Layout(BrowserCase):
    def _look(self, page: Page, what: str) -> None:
        page.wait_for_timeout(150)
        for size in SIZES:
            page.set_viewport_size(size)  # type: ignore[arg-type]
            page.wait_for_timeout(100)
            with self.subTest(what, width=size["width"]):
                self.assertEqual(page.evaluate(LAYOUT), [])
                self.assertGreaterEqual(page.evaluate(SMALLEST), 12)
                wide = page.evaluate("document.documentElement.scrollWidth > innerWidth")
                self.assertFalse(wide)
        for scheme in ("light", "dark"):
            page.emulate_media(color_scheme=scheme)  # type: ignore[arg-type]
            with self.subTest(what, scheme=scheme):
                self.accessible(page)
        page.emulate_media(color_scheme="light")
        page.set_viewport_size(SIZES[0])  # type: ignore[arg-type]

    def test_builds(self) -> None:
        self.heron()
        self.page.goto(self.live_server_url)
        expect(self.page.get_by_role("link", name="Heron", exact=True)).to_be_visible()
        self._look(self.page, "builds")

    def test_parts(self) -> None:
        page = self.go(self.heron(), "parts")
        self._look(page, "parts")
        for part in ("card-2", "board", "disk"):
            page.locator(f"[data-part={part}][data-tail=false]").click()
            self._look(page, f"parts, {part} in hand")
        page.get_by_role("combobox", name="Add a part").fill("card")
        self._look(page, "parts, adding")

    def test_supply(self) -> None:
        page = self.go(self.heron(), "supply")
        expect(page.locator("[data-ticket]")).to_have_count(5)
        self._look(page, "supply")
        page.get_by_text("Its label says otherwise?").click()
        self._look(page, "supply, label")

    def test_loom(self) -> None:
        page = self.go(self.heron(), "loom")
        expect(page.locator("[data-lane]")).to_have_count(10)
        self._look(page, "loom")
        for lane in ("graphics-1", "sata-1", "board", "sixteen-1"):
            page.locator(f"[data-lane={lane}] button").first.click()
            self._look(page, f"loom, {lane} chosen")
        page.locator("[data-lane=sata-1] [data-plug=p3]").click()
        self._look(page, "loom, plug picked")
        page.keyboard.press("Escape")
        page.locator("aside [data-fed=false]").first.click()
        expect(page.locator("[data-offer]").first).to_be_visible()
        self._look(page, "loom, socket picked")

    def test_rules_and_lists_over_the_page(self) -> None:
        page = self.go(self.heron(), "rules")
        self._look(page, "rules")
        self.figure("mend").click()
        expect(page.get_by_role("heading", name="To mend")).to_be_visible()
        self.accessible(page)
        page.keyboard.press("Escape")
        self.go(page.url.split("/")[4], "loom?at=graphics-1")
        page.get_by_role("button", name="Every limit").click()
        expect(page.get_by_role("dialog")).to_be_visible()
        self.accessible(page)
