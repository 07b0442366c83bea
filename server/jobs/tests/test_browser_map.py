"""Map it in a real browser: shown on the lanes, taken, undone; why not, and a repair."""

from __future__ import annotations

import re

from builds import actions
from builds.tests.browser import BrowserCase
from builds.tests.support import ROOT
from easy_tally.editing import ChangeBuild
from owners.models import current_owner
from playwright.sync_api import expect


class Mapping(BrowserCase):
    def _demo(self, name: str) -> str:
        text = (ROOT / f"demo/builds/{name}.tally.json").read_text(encoding="utf-8")
        return actions.open_file(current_owner(), text).key

    def test_shown_on_the_lanes_and_taken_and_undone(self) -> None:
        key = self._demo("heron")
        page = self.go(key, "loom")
        page.get_by_role("button", name="Map it", exact=True).click()
        expect(page.get_by_role("heading", name="The best map, proven")).to_be_visible()
        expect(self.figure("mend")).to_contain_text("nothing")
        expect(page.locator("[data-lane=graphics-3]")).to_contain_text("new")
        self.assertEqual(len(actions.results.current(actions.find(current_owner(), key)).runs), 6)
        page.reload()  # it is still there after the page is loaded anew
        expect(page.get_by_role("heading", name="The best map, proven")).to_be_visible()
        page.get_by_role("button", name="Take this map").click()
        expect(page.get_by_role("heading", name="Sockets")).to_be_visible()
        expect(self.figure("mend")).to_contain_text("nothing")
        page.get_by_role("button", name=re.compile("Undo")).click()
        expect(self.figure("mend")).to_contain_text("not fed")

    def test_left_as_it_is_by_keyboard(self) -> None:
        page = self.go(self._demo("heron"), "loom")
        page.get_by_role("button", name="Map it", exact=True).press("Enter")
        expect(page.get_by_role("heading", name="The best map, proven")).to_be_focused()
        page.keyboard.press("Escape")
        expect(page.get_by_role("heading", name="Sockets")).to_be_visible()
        expect(self.figure("mend")).to_contain_text("not fed")

    def test_a_map_of_the_build_as_it_was_is_not_laid_over_the_lanes(self) -> None:
        key, owner = self._demo("heron"), current_owner()
        actions.act(owner, key, 1, ChangeBuild(changes={"note": "later"}))
        page = self.go(key, "loom")
        page.get_by_role("button", name="Map it", exact=True).click()
        expect(page.locator("[data-lane=graphics-3]")).to_contain_text("new")
        page.get_by_role("button", name=re.compile("Undo")).click()
        late = page.get_by_role("heading", name="This map is of the build as it was")
        expect(late).to_be_visible()
        expect(page.locator("[data-lane=graphics-3]")).not_to_contain_text("new")
        expect(page.get_by_role("button", name="Take this map")).to_have_count(0)
        page.get_by_role("button", name="Map it again").press("Enter")
        expect(page.get_by_role("heading", name="The best map, proven")).to_be_focused()
        expect(late).to_have_count(0)
        expect(page.locator("[data-lane=graphics-3]")).to_contain_text("new")
        page.get_by_role("button", name=re.compile("Redo")).click()
        page.get_by_role("button", name="Leave it as it is").click()
        expect(late).to_have_count(0)

    def test_what_can_not_be_fed_says_why_and_a_repair_is_one_click(self) -> None:
        page = self.go(self._demo("curlew"), "loom")
        page.get_by_role("button", name="Map it", exact=True).click()
        expect(page.get_by_role("heading", name="Not everything can be fed")).to_be_visible()
        expect(page.get_by_role("heading", name="Left unfed: Whimbrel XL · c")).to_be_visible()
        page.get_by_role("button", name="Hold Whimbrel XL to 270 W.").click()
        expect(page.get_by_role("heading", name="Sockets")).to_be_visible()
        expect(self.figure("mend")).not_to_contain_text("refused")
        expect(self.figure("mend")).not_to_contain_text("not fed")

    def test_tickets_say_which_supply_feeds_all_sockets(self) -> None:
        page = self.go(self._demo("heron"), "supply")
        expect(page.locator("[data-feeds='0']").first).to_contain_text(
            "Feeds all 10 sockets, by a map"
        )
