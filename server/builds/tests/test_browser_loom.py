"""The Loom in a real browser: adapters end by end, a plug dragged, offers judged, files out."""

from __future__ import annotations

import re
from unittest.mock import patch

from owners.models import current_owner
from playwright.sync_api import Locator, Page, expect

from builds import actions, timely
from builds.tests.browser import BrowserCase
from builds.tests.support import ROOT


class Laying(BrowserCase):
    def _demo(self, name: str) -> str:
        text = (ROOT / f"demo/builds/{name}.tally.json").read_text(encoding="utf-8")
        return actions.open_file(current_owner(), text).key

    def _drag(self, page: Page, what: Locator, onto: Locator) -> None:
        a = what.bounding_box()
        assert a
        page.mouse.move(a["x"] + a["width"] / 2, a["y"] + a["height"] / 2)
        page.mouse.down()
        page.mouse.move(a["x"] + 30, a["y"] + 10, steps=4)
        # The list makes room for what is in hand; then it is known where its sockets stand.
        expect(page.get_by_role("heading", name="Where does it go?")).to_be_visible()
        onto.scroll_into_view_if_needed()
        b = onto.bounding_box()
        assert b
        page.mouse.move(b["x"] + b["width"] / 2, b["y"] + b["height"] / 2, steps=8)
        page.wait_for_timeout(200)
        page.mouse.up()

    def test_a_plug_is_dragged_onto_a_socket_and_refused_where_it_does_not_fit(self) -> None:
        page = self.go(self._demo("heron"), "loom")
        plug = page.locator("[data-lane=sata-1] [data-plug=p3]")
        self._drag(page, plug, page.locator('[data-socket="card-2#1/a"]'))
        expect(page.get_by_role("alert").first).to_contain_text("A SATA power plug is granted")
        page.keyboard.press("Escape")
        self._drag(page, plug, page.locator('[data-socket="disk#3/power"]'))
        expect(page.locator('[data-socket="disk#3/power"]')).to_have_attribute("data-fed", "true")
        expect(self.figure("mend")).not_to_contain_text("not fed")

    def test_offers_say_what_they_would_do(self) -> None:
        """The second plug of the chain is refused by the rule, its first would carry both; the
        cable in the bag does."""
        page = self.go(self._demo("heron"), "loom")
        page.locator('[data-socket="card-2#1/b"]').click()
        first = page.get_by_role("list", name="Fits").get_by_role("button").first
        expect(first).to_contain_text(re.compile("within [0-9]+ %"))
        over = page.locator("[data-verdict-of-offer=over]")
        expect(over.filter(has_text="refused")).to_have_count(1)
        expect(over.filter(has_text="over 140 %")).to_have_count(1)

    def test_an_adapter_from_the_catalogue_is_put_in_end_by_end_by_keyboard(self) -> None:
        page = self.go(self._demo("curlew"), "loom")
        page.get_by_role("button", name="Add a cable or adapter").press("Enter")
        search = page.get_by_label("Search cables and adapters, or say one")
        # Said in a line: what it comes to stands first. A word of one's own is asked once.
        said = page.locator("[data-loose=said]")
        search.fill("cage with 4 bays, two zobel plugs")
        page.get_by_label("What do you call zobel?").select_option("SATA power plug")
        expect(page.get_by_text("“zobel” is your own word: SATA power plug")).to_be_visible()
        expect(said).to_contain_text("2 × SATA power, each for 2 bays")
        said.get_by_role("button", name="Add Drive cage, 4 bays").click()
        expect(page.get_by_role("status")).to_contain_text(
            ["Drive cage, 4 bays is in the build now"]
        )
        page.keyboard.press("Escape")
        page.get_by_role("button", name="Undo: add Drive cage, 4 bays").click()
        page.get_by_role("button", name="Add a cable or adapter").press("Enter")
        search.fill("y-piece")
        page.get_by_role("button", name="Add SATA Y-piece").press("Enter")
        expect(page.get_by_role("status").last).to_contain_text("SATA Y-piece is in the build now")
        page.keyboard.press("Escape")
        thing = page.locator("[data-between=y-sata]")
        thing.locator("[data-plug=x]").press("Enter")
        page.locator('[data-socket="disk#1/power"]').press("Enter")
        expect(self.figure("mend")).to_contain_text("1 not fed")
        thing.locator("[data-lead='y-sata#1/a']").press("Enter")
        page.get_by_role("list", name="Fits").get_by_role("button").first.press("Enter")
        expect(self.figure("mend")).not_to_contain_text("not fed")
        expect(page.locator('[data-socket="disk#1/power"]')).to_contain_text("by SATA Y-piece")
        thing.get_by_role("button", name="Take SATA Y-piece out").press("Enter")
        asked = page.get_by_role("alertdialog")
        go_on = asked.get_by_role("button", name="Unplug and go on")
        safe = asked.locator(":focus")
        expect(safe).to_have_count(1)  # the safe way out; Tab stays in the question
        expect(go_on).not_to_be_focused()
        page.keyboard.press("Tab")
        expect(go_on).to_be_focused()
        page.keyboard.press("Tab")
        expect(go_on).not_to_be_focused()
        expect(safe).to_have_count(1)
        page.keyboard.press("Escape")
        expect(asked).to_have_count(0)
        thing.get_by_role("button", name="Take SATA Y-piece out").press("Enter")
        go_on.press("Enter")
        expect(thing).to_have_count(0)
        page.get_by_role("button", name=re.compile("Undo")).click()
        expect(page.locator('[data-socket="disk#1/power"]')).to_contain_text("by SATA Y-piece")

    def test_why_shows_each_pin_and_the_files_go_out(self) -> None:
        page = self.go(self._demo("heron"), "loom?at=sixteen-1")
        page.get_by_role("button", name=re.compile("^Every limit")).click()
        pins = page.locator("[data-pins=a]")
        expect(pins).to_contain_text(re.compile("12 V: [0-9.]+ A a pin of [0-9.]+ A"))
        page.keyboard.press("Escape")
        for name, starts in (
            ("connection list, CSV", "cable,family,port"),
            ("picture, SVG", "<svg"),
            ("Print the Loom", "%PDF-"),
        ):
            with page.expect_download() as download:
                page.get_by_role("button", name="File").click()
                page.get_by_role("menuitem", name=re.compile(name)).click()
            self.assertTrue(download.value.path().read_bytes().startswith(starts.encode()))

    def test_two_plugs_are_swapped_and_a_run_is_kept_as_it_is(self) -> None:
        page = self.go(self._demo("heron"), "loom?at=sata-1")
        first, second = "disk#1/power", "disk#2/power"
        before = [self._plug_in(page, s) for s in (first, second)]
        lane, plug = before[0].split("/")
        page.locator(f"[data-lane={lane}] [data-plug={plug}]").press("Enter")
        swap = page.get_by_label("Swap it with the plug that is there")
        swap.press("Space")
        expect(swap).to_be_checked()
        page.locator(f'[data-socket="{second}"]').press("Enter")
        expect(page.get_by_role("heading", name="Sockets")).to_be_visible()
        self.assertEqual([self._plug_in(page, s) for s in (second, first)], before)
        page.get_by_label("Keep as it is").click()
        expect(page.locator(f"[data-lane={lane}]")).to_contain_text("kept as it is")
        page.get_by_role("button", name=re.compile("Undo")).click()
        expect(page.locator(f"[data-lane={lane}]")).not_to_contain_text("kept as it is")

    def _plug_in(self, page: Page, socket: str) -> str:
        """`cable/plug` of what is in a socket, as the page has it from the server."""
        key = page.url.split("/b/")[1].split("/")[0]
        found = page.request.get(f"{self.live_server_url}/api/v1/builds/{key}").json()
        of = next(s for s in found["result"]["sockets"] if s["ref"] == socket)
        return f"{of['carrier']}/{of['plug']}"

    def test_house_rules_for_all_builds_and_what_is_assumed(self) -> None:
        key, other = self._demo("heron"), self._demo("curlew")
        page = self.go(key, "rules")
        never = page.get_by_role("radio", name=re.compile("Never both plugs"))
        expect(never).to_contain_text("1 run over or refused")
        page.get_by_role("radio", name=re.compile("As far as pins")).click()
        expect(page.get_by_text(re.compile("1 of .* differ"))).to_be_visible()
        # One build a request: what is left of many is asked for again.
        with patch.object(timely, "MOST_S", -1):
            page.get_by_role("button", name="Set these in every build").click()
            expect(page.get_by_text("same rules as this one")).to_be_visible()
            expect(page.get_by_text("1 of those that are there changed")).to_be_visible()
        found = actions.results.current(actions.find(current_owner(), other))
        self.assertEqual(found.house_rules.chained_graphics, "by pins")
        page.get_by_label("Search what is assumed").fill("16 awg")
        row = page.locator("[data-assumption=wire_16awg_a]")
        expect(row).to_contain_text("1 run")
        expect(page.locator("[data-assumption]")).to_have_count(1)

    def test_it_is_read_on_a_phone(self) -> None:
        page = self.window(viewport={"width": 360, "height": 760})
        self.go(self._demo("cormorant"), "loom", page)
        # One row of head, the strip in one line; between them every cable with its plugs.
        for name, most_px in (("header", 64), ("footer", 60)):
            box = page.locator(name).bounding_box()
            assert box
            self.assertLess(box["height"], most_px, name)
        feeding = page.get_by_role("list", name="Cables").locator("[data-plug]")
        expect(feeding.filter(has_text="Mudflat disk").first).to_be_visible()
