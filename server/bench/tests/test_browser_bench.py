"""The bench in a real browser: by keyboard, by touch on a phone, while the server is away."""

from __future__ import annotations

import re

from builds import actions, results
from builds.tests.browser import BrowserCase
from builds.tests.support import ROOT
from easy_tally import Build
from easy_tally.editing import Exchange
from owners.models import current_owner
from playwright.sync_api import Page, expect

from bench.models import Entry


class AtTheBench(BrowserCase):
    def _demo(self, name: str) -> str:
        text = (ROOT / f"demo/builds/{name}.tally.json").read_text(encoding="utf-8")
        return actions.open_file(current_owner(), text).key

    def test_by_keyboard_step_by_step_and_the_record_is_there_again(self) -> None:
        page = self.go(self._demo("godwit"), "bench")
        card = page.get_by_role("group", name="Make it safe")
        expect(card).to_be_visible()
        page.get_by_label("Who").fill("MK")
        page.get_by_role("heading", name="Bench").click()
        # Space passes nothing: it goes to what is open, ticks that, and so on to the next.
        page.keyboard.press("Space")
        first = card.get_by_role("checkbox").first
        expect(first).to_be_focused()
        expect(first).not_to_be_checked()
        expect(page.get_by_role("button", name="3 to look at first")).to_be_visible()
        for _ in range(2):
            page.keyboard.press("Space")
        expect(card.get_by_role("checkbox", checked=True)).to_have_count(2)
        expect(page.locator("[data-step=safe]")).to_have_attribute("data-done", "false")
        page.get_by_role("button", name="1 to look at first").click()
        expect(page.locator("[data-step=safe]")).to_have_attribute("data-done", "false")
        page.keyboard.press("Space")
        expect(page.locator("[data-step=safe]")).to_have_attribute("data-done", "true")
        expect(page.get_by_role("group", name="Look into every plug")).to_be_visible()
        page.keyboard.press("ArrowLeft")
        expect(page.get_by_text(re.compile("Done by MK"))).to_be_visible()
        page.keyboard.press("ArrowRight")
        page.get_by_label("No pin is pushed in, bent or browned, in both ends of each.").click()
        expect(page.locator("[data-note]")).to_contain_text("2 of 29 done")
        # Undo takes the last tick back, and leaves the map alone.
        page.keyboard.press("Control+z")
        expect(page.locator("[data-note]")).to_contain_text("1 of 29 done")
        expect(page.get_by_role("group", name="Look into every plug")).to_be_visible()
        expect(page.get_by_role("button", name=re.compile("^Undo"))).to_have_count(0)
        self._tick(page)
        expect(page.locator("[data-note]")).to_contain_text("2 of 29 done")
        # A key after the other, though each step takes the focus with it; a pedal's as well.
        for done, key in ((3, "Space"), (4, "PageDown"), (5, "PageDown")):
            self._tick(page, key)
            expect(page.locator("[data-note]")).to_contain_text(f"{done} of 29 done")
        page.reload()
        expect(page.locator("[data-note]")).to_contain_text("5 of 29 done")
        self.assertEqual(self.axe_finds(page), [])
        page.get_by_role("button", name="The record").click()
        expect(page.locator("[data-entry]")).to_have_count(7)  # one tick taken back
        expect(page.locator("[data-sitting]")).to_contain_text("by MK")
        self.assertEqual(self.axe_finds(page), [])
        page.go_back()
        expect(page.get_by_role("dialog")).to_have_count(0)

    def _tick(self, page: Page, key: str = "Space") -> None:
        """What is to be looked at in the step shown, box by box; without a box the step."""
        boxes = page.get_by_role("region", name="Step").get_by_role("checkbox")
        count = boxes.count()
        for _ in range(count + 1 if count else 1):
            page.keyboard.press(key)

    def test_flags_are_printed_in_the_size_that_is_said(self) -> None:
        page = self.go(self._demo("heron"), "bench?open=flags")
        page.get_by_label("Width of one flag").fill("200")
        expect(page.get_by_role("alert")).to_have_text("30 to 90 mm")
        page.get_by_label("Width of one flag").fill("40")
        page.get_by_label("letter").check()
        with page.expect_download() as download:
            page.get_by_role("button", name="Print them").click()
        self.assertIn("paper=letter&width_mm=40&height_mm=12", download.value.url)

    def test_on_a_phone_by_touch_while_the_server_is_away(self) -> None:
        page = self.window(viewport={"width": 360, "height": 760}, has_touch=True)
        self.go(self._demo("dunlin"), "bench", page)
        expect(page.get_by_role("group", name="Make it safe")).to_be_visible()
        page.route("**/bench", lambda route: route.abort())
        done = page.get_by_role("button", name="3 to look at first")
        box = done.bounding_box()
        assert box
        self.assertGreaterEqual(box["height"], 48)
        for look in page.get_by_role("checkbox").all():
            look.tap()
        page.get_by_label("No pin is pushed in, bent or browned, in both ends of each.").tap()
        expect(page.get_by_role("status").first).to_contain_text(
            "2 entries are kept on this device"
        )
        self.assertEqual(Entry.objects.count(), 0)
        page.unroute("**/bench")
        expect(page.get_by_text("kept on this device")).to_have_count(0, timeout=15_000)
        self.assertEqual(Entry.objects.count(), 2)
        self.errors = [e for e in self.errors if "ERR_FAILED" not in e]  # what was cut off above
        self.assertLessEqual(page.evaluate("document.documentElement.scrollWidth"), 360)

    def test_a_browned_plug_stops_the_work_wherever_it_is_found(self) -> None:
        """In a machine that was taken over as it stands, of which nothing is to be done."""
        page = self.go(self._demo("heron"), "bench")
        page.get_by_role("button", name="It stands like this…").click()
        page.get_by_role("button", name="Everything is plugged as the map has it").click()
        expect(page.get_by_text("This machine stands as it is wanted")).to_be_visible()
        page.locator('[data-step="joint:board/main>board#1/main"]').click()
        page.get_by_role("button", name="Warm, browned or loose?").click()
        page.get_by_role("menuitem", name="It is browned").click()
        expect(page.get_by_role("alert").first).to_contain_text("Switch off at the wall and stop")
        ahead = page.get_by_role("button", name="Not done after all")
        expect(ahead).to_be_disabled()
        page.get_by_role("button", name="Both were looked at and replaced").click()
        expect(ahead).to_be_enabled()

    def test_another_card_by_touch_on_a_phone(self) -> None:
        """Taken over as it stands; then another card is taken: out, aside, in, and nothing else."""
        key = self._demo("dunlin")
        page = self.window(viewport={"width": 360, "height": 760}, has_touch=True)
        self.go(key, "bench", page)
        page.get_by_role("button", name="It stands like this…").tap()
        page.get_by_role("button", name="Everything is plugged as the map has it").tap()
        expect(page.get_by_text("This machine stands as it is wanted")).to_be_visible()
        card = next(p.key for p in self._build(key).parts if p.kind == "card")
        actions.act(current_owner(), key, 1, Exchange(of="part", key=card))
        page.reload()
        titles: list[str] = []
        for _ in range(40):
            step = page.get_by_role("region", name="Step")
            expect(step.get_by_role("heading").first).to_be_visible()
            title = step.get_by_role("heading").first.inner_text()
            if title == "Take readings":
                break
            titles.append(title)
            answers = step.get_by_role("group", name="Answers").get_by_role("button")
            if answers.count():
                answers.first.tap()
            elif step.get_by_role("checkbox").count():
                for box in step.get_by_role("checkbox").all():
                    box.tap()
            else:
                page.get_by_role("button", name="Done", exact=True).tap()
            expect(step.get_by_role("heading").first).not_to_have_text(title)
        page.get_by_role("button", name="Done", exact=True).tap()
        expect(page.locator("[data-note]")).to_contain_text(re.compile(r"(\d+) of \1 done"))
        at = {word: n for n, title in enumerate(titles) for word in [title.split()[0]]}
        self.assertEqual(titles[0], "Make it safe")
        self.assertLess(at["Unplug"], at["Take"])
        self.assertLess(at["Take"], at["Mount"])
        self.assertFalse([t for t in titles if "supply:" in t or "board:" in t])
        self.assertLessEqual(page.evaluate("document.documentElement.scrollWidth"), 360)

    def _build(self, key: str) -> Build:
        return results.current(actions.find(current_owner(), key))
