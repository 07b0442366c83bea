"""Readings and the trainer in a real browser: by mouse, by keyboard, from a file, on a phone."""

from __future__ import annotations

import re
import tempfile
from pathlib import Path

from builds import actions
from builds.tests.browser import LAYOUT, BrowserCase
from builds.tests.support import ROOT
from django.test import override_settings
from owners.models import current_owner
from playwright.sync_api import Page, expect

from readings.models import Attempt, Taken


class Station(BrowserCase):
    def setUp(self) -> None:
        super().setUp()
        folder = tempfile.TemporaryDirectory()
        self.addCleanup(folder.cleanup)
        self.var = Path(folder.name)
        settings = override_settings(VAR=self.var)
        settings.enable()
        self.addCleanup(settings.disable)
        text = (ROOT / "demo/training/heron.tally.json").read_text(encoding="utf-8")
        self.key = actions.open_file(current_owner(), text).key

    def looks_right(self, page: Page) -> None:
        """At both sizes: nothing cut, nothing overlapping; nothing that axe finds."""
        for width, height in ((1280, 800), (1024, 768)):
            page.set_viewport_size({"width": width, "height": height})
            page.wait_for_timeout(200)
            self.assertEqual(page.evaluate(LAYOUT), [])
        self.assertEqual(self.axe_finds(page), [])

    def test_a_planted_fault_is_found_and_figures_are_taken_over(self) -> None:
        page = self.go(self.key, "readings")
        self.looks_right(page)
        page.get_by_role("button", name="Try the simulated instruments").click()
        page.get_by_label("A fault in it").select_option("open pin")
        page.get_by_label("Where").select_option(label="Kittiwake L")
        page.get_by_role("button", name="Run them").click()
        expect(page.locator("[data-held=over]")).to_have_text("Stop and look")
        expect(page.locator("[data-found='pin away']")).to_contain_text("Switch off at the wall")
        bars = page.locator("[data-plug='card-1#1/power']")
        expect(bars.get_by_role("img")).to_have_attribute(
            "aria-label", re.compile(r"pin \d 0\.00 A")
        )
        expect(page.locator("[data-strip-of=A] canvas")).to_be_visible()
        self.looks_right(page)
        pictures = page.get_by_role("group", name="Readings over time")
        pictures.focus()
        for press in ("+", "+", "ArrowRight"):
            page.keyboard.press(press)
        expect(pictures).to_contain_text("91.8 s to 2 min 24 s")
        page.get_by_role("button", name="Name the state…").click()
        page.get_by_role("menuitem", name="idle", exact=True).click()
        expect(page.locator("[data-found='above tally']").first).to_be_visible()
        page.get_by_role("button", name="What it settles…").click()
        row = page.locator("[data-settles='card-2/idle_w']")
        expect(row).to_contain_text("assumed")
        row.get_by_role("button").click()
        expect(row).to_contain_text("simulated")
        expect(page.get_by_text("No machine was measured").first).to_be_attached()
        page.keyboard.press("Escape")
        page.get_by_role("button", name="Undo: change Knot R").click()
        expect(page.get_by_role("button", name="Redo: change Knot R")).to_be_enabled()
        # What is thrown away comes back by the same keys, and the build is left alone.
        page.get_by_role("button", name="Throw these away").click()
        expect(page.get_by_text("is in the bin, for thirty days")).to_be_visible()
        expect(page.get_by_role("heading", name="Nothing is measured yet")).to_be_visible()
        page.keyboard.press("Control+z")
        expect(page.get_by_text("No machine was measured").first).to_be_visible()
        expect(page.get_by_role("button", name="Redo: change Knot R")).to_be_enabled()
        page.get_by_role("button", name="Throw these away").click()
        page.get_by_role("button", name="Close").click()
        page.get_by_role("button", name="The bin").click()
        page.locator("[data-in-bin]").get_by_role("button").click()
        expect(page.locator("[data-in-bin]")).to_have_count(0)
        page.keyboard.press("Escape")
        expect(page.get_by_text("No machine was measured").first).to_be_visible()

    def test_a_file_whose_columns_are_asked_for_once(self) -> None:
        file = self.var / "log.csv"
        file.write_text("Zeit (s);Kanal 2 (W)\n0,0;900\n1,0;905\n2,0;x\n", encoding="utf-8")
        page = self.go(self.key, "readings?open=file")
        page.locator("input[type=file]").set_input_files(file)
        page.get_by_label("What Kanal 2 (W) is").select_option("wall.w")
        page.get_by_role("button", name="Read it").click()
        expect(page.get_by_role("region", name="What was measured")).to_contain_text("Line 4")
        self.assertEqual(Taken.objects.get().samples, 2)
        self.go(self.key, "readings?open=file", page)
        page.locator("input[type=file]").set_input_files(file)
        expect(page.locator("[data-column='Kanal 2 (W)']")).to_contain_text("from the wall")
        page.get_by_label("If some lines can’t be read").uncheck()
        page.get_by_role("button", name="Read it").click()
        expect(page.get_by_role("alert")).to_contain_text("nothing was kept")

    def test_figures_typed_by_keyboard(self) -> None:
        page = self.go(self.key, "readings?open=typed")
        page.get_by_label("from the wall, watts, Full").fill("1100")
        page.keyboard.press("Enter")
        expect(page.locator("[data-found='above tally']")).to_contain_text("1,100 W")

    def test_an_exercise_by_keyboard_and_on_a_phone(self) -> None:
        page = self.go(self.key, "readings/trainer")
        answer = page.get_by_role("complementary", name="Your answer")
        expect(answer.get_by_role("radio", name="Kittiwake L")).to_be_visible()
        self.looks_right(page)
        answer.get_by_role("button", name="Look at Kittiwake L").press("Enter")
        expect(answer).to_contain_text("one contact stands further back")
        answer.get_by_role("radio", name="Kittiwake L").press("Space")
        answer.get_by_label("One contact is open").press("Space")
        page.keyboard.press("Enter")
        expect(answer.locator("[data-judged=right]")).to_contain_text("carries 0.00 A")
        self.assertEqual(Attempt.objects.get().looks, 1)
        expect(page.locator("[data-exercise='1']")).to_contain_text("found")
        phone = self.window(viewport={"width": 360, "height": 760}, has_touch=True)
        for station in ("readings", "readings/trainer"):
            self.go(self.key, station, phone)
            phone.wait_for_load_state("networkidle")
            self.assertLessEqual(phone.evaluate("document.documentElement.scrollWidth"), 360)
