"""The work itself in a real browser: from nothing to a checked map, by pointer and without."""

from __future__ import annotations

import io
import json
import tempfile
from contextlib import suppress
from pathlib import Path
from typing import Any

from django.core.management import call_command
from playwright.sync_api import Locator, Page, Route, expect

from builds.tests.browser import BrowserCase
from builds.tests.support import HERON

#: (template, figures to type) of the small machine.
PARTS: list[tuple[str, dict[str, str]]] = [
    ("board one 8-pin", {"SATA data ports": "4"}),
    ("processor cpu chip", {"package limit, sustained": "65"}),
    ("card two 8-pin", {"board power": "260", "what it takes from the slot": "50"}),
    ("3.5-inch storage", {}),
]


BOARD_POWER = "board power: all that the card draws"


class Headless:
    """The result of the file that the application saves, by the command line."""

    def __init__(self, page: Page, base: str, key: str) -> None:
        text = page.request.get(f"{base}/api/v1/builds/{key}/file").text()
        out = io.StringIO()
        with tempfile.TemporaryDirectory() as folder:
            path = Path(folder, "saved.tally.json")
            path.write_text(text, encoding="utf-8")
            with suppress(SystemExit):
                call_command("tally", str(path), "--json", stdout=out)
        self.file: dict[str, Any] = json.loads(text)
        self.result: dict[str, Any] = json.loads(out.getvalue())["result"]

    def part(self, key: str) -> dict[str, Any]:
        """A part of the saved file."""
        return next(x for x in self.file["parts"] if x["key"] == key)

    def lane(self, cable: str) -> dict[str, Any]:
        """A lane of the result."""
        return next(x for x in self.result["lanes"] if x["cable"] == cable)


class FromNothing(BrowserCase):
    """A card with two 8-pin sockets, 260 W: 210 W on its sockets, 150 W allowed on one cable."""

    def _figures(self, page: Page, figures: dict[str, str], keys: bool) -> None:
        for label, value in figures.items():
            field = page.get_by_label(label).and_(page.locator("aside input")).first
            if keys:
                field.focus()
                page.keyboard.type(value)
            else:
                field.click()
                field.fill(value)
            page.keyboard.press("Enter")

    def _key(self, page: Page) -> str:
        return page.url.split("/b/")[1].split("/")[0]

    def _left_as_found(self, page: Page) -> None:
        names = ("mend", "everyday", "full", "supply", "sockets", "ports")
        before = [self.figure(n).inner_text() for n in names]
        page.reload()
        for name, text in zip(names, before, strict=True):
            expect(self.figure(name)).to_have_text(text)
        expect(page.locator("[data-lane=graphics-1]")).to_have_attribute("data-verdict", "within")
        expect(page.locator("[data-lane=graphics-2]")).to_have_attribute("data-verdict", "within")

    def test_by_pointer(self) -> None:
        page = self.page
        page.goto(self.live_server_url)
        page.get_by_label("Name of a new build").fill("Egret")
        page.get_by_role("button", name="Start it").click()
        for words, figures in PARTS:
            page.get_by_role("combobox", name="Add a part").fill(words)
            page.get_by_role("listbox", name="Parts to add").get_by_role("option").first.click()
            expect(page.get_by_role("region", name="Part in hand")).to_be_visible()
            self._figures(page, figures, keys=False)
        # 25 board, 65 ÷ 0.9 = 72.2, card 260, disk 7.2 + 3: 367.4 W.
        expect(self.figure("full")).to_have_text("≥ 368 W")
        page.get_by_role("navigation", name="Stations").get_by_text("Supply").click()
        page.get_by_role("button", name="Take Fulmar 850").click()
        expect(self.figure("supply")).to_have_text("44 % at full")
        page.get_by_role("navigation", name="Stations").get_by_text("Loom").click()

        def plug(lane: str, key: str) -> Locator:
            return page.locator(f"[data-lane={lane}] [data-plug={key}]")

        def socket(ref: str) -> Locator:
            return page.locator(f'[data-socket="{ref}"]')

        for lane, key, ref in (
            ("board", "main", "board#1/main"),
            ("processor-1", "a", "board#1/cpu-1"),
            ("graphics-1", "a", "card#1/a"),
            ("graphics-1", "b", "card#1/b"),
            ("sata-1", "p1", "disk#1/power"),
        ):
            plug(lane, key).click()
            socket(ref).click()
            expect(socket(ref)).to_have_attribute("data-fed", "true")
        # 260 W less 50 W by the slot: 210 W of 150 W, 140 %.
        lane = page.locator("[data-lane=graphics-1]")
        expect(lane).to_have_attribute("data-verdict", "over")
        lane.locator("button").first.click()
        expect(page.get_by_label("Why: Graphics cable 1, chained")).to_contain_text(
            "210 W of 150 W"
        )
        self.figure("mend").click()
        # What would mend it is a button that does it.
        page.get_by_role("button", name="Graphics cable 2, chained is in the box").click()
        expect(lane).to_have_attribute("data-verdict", "within")
        expect(self.figure("mend")).to_have_text("nothing")
        page.keyboard.press("Escape")
        expect(socket("card#1/b")).to_contain_text("G2")
        expect(self.figure("sockets")).to_have_text("5 of 5")
        self._left_as_found(page)
        found = Headless(page, self.live_server_url, self._key(page))
        self.assertEqual(found.result["mend"], [])
        self.assertEqual(found.result["overall"]["verdict"], "not proven")

    def test_without_pointer(self) -> None:
        page = self.page
        page.goto(self.live_server_url)
        page.get_by_label("Name of a new build").focus()
        page.keyboard.type("Egret")
        page.keyboard.press("Enter")
        for words, figures in PARTS:
            page.get_by_role("combobox", name="Add a part").focus()
            page.keyboard.type(words)
            page.keyboard.press("Enter")
            expect(page.get_by_role("region", name="Part in hand")).to_be_visible()
            self._figures(page, figures, keys=True)
        expect(self.figure("full")).to_have_text("≥ 368 W")
        page.get_by_role("link", name="Supply", exact=True).focus()
        page.keyboard.press("Enter")
        page.get_by_role("button", name="Take Fulmar 850").focus()
        page.keyboard.press("Enter")
        expect(self.figure("supply")).to_have_text("44 % at full")
        page.get_by_role("link", name="Loom").focus()
        page.keyboard.press("Enter")
        for ref, offer in (
            ("board#1/main", "board/main"),
            ("board#1/cpu-1", "processor-1/a"),
            ("card#1/a", "graphics-1/a"),
            ("card#1/b", "graphics-1/b"),
            ("disk#1/power", "sata-1/p1"),
        ):
            self._feed_by_keys(page, ref, offer)
        lane = page.locator("[data-lane=graphics-1]")
        expect(lane).to_have_attribute("data-verdict", "over")
        self._feed_by_keys(page, "card#1/b", "graphics-2/a")
        expect(lane).to_have_attribute("data-verdict", "within")
        expect(self.figure("mend")).to_have_text("nothing")
        self._left_as_found(page)

    def _feed_by_keys(self, page: Page, ref: str, offer: str) -> None:
        """Walk the sockets with the arrows, Enter, walk what fits, Enter."""
        sockets = page.locator("[data-socket]")
        sockets.first.focus()
        for _ in range(sockets.count()):
            if page.evaluate("document.activeElement.dataset.socket") == ref:
                break
            page.keyboard.press("ArrowDown")
        page.keyboard.press("Enter")
        expect(page.locator("[data-offer]").first).to_be_focused()
        for _ in range(page.locator("[data-offer]").count()):
            if page.evaluate("document.activeElement.dataset.offer") == offer:
                break
            page.keyboard.press("ArrowDown")
        page.keyboard.press("Enter")
        expect(page.locator(f'[data-socket="{ref}"]')).to_have_attribute("data-fed", "true")
        expect(page.locator(f'[data-socket="{ref}"]')).to_be_focused()


class Figures(BrowserCase):
    def test_strip_ruler_and_lanes_follow_a_figure_at_once(self) -> None:
        """Card 2 from 230 to 300 W: 70 W more at full, 280 W instead of 210 W on its cable."""
        key = self.heron()
        before = Headless(self.page, self.live_server_url, key)
        page = self.go(key, "parts")
        page.locator("[data-part=card-2][data-tail=false]").click()
        field = page.locator("aside").get_by_label(BOARD_POWER, exact=True)
        self._holds(page, before)
        field.fill("300")
        # While it is typed nothing is written, and the strip shows it already.
        full = before.result["strip"]["watts"]["full"]["likely"]
        expect(page.locator("footer")).to_have_attribute("data-typing", "true")
        shown = float(self.figure("full").get_attribute("data-watts") or 0)
        self.assertAlmostEqual(shown, full + 70)
        self.assertEqual(Headless(page, self.live_server_url, key).result, before.result)
        field.press("Enter")
        expect(page.locator("footer")).to_have_attribute("data-typing", "false")
        after = Headless(page, self.live_server_url, key)
        self.assertAlmostEqual(after.result["strip"]["watts"]["full"]["likely"], full + 70)
        self._holds(page, after)
        self.go(key, "supply")
        rule = page.locator("[data-rule=sum]")
        expect(rule).to_be_visible()
        needed = after.result["sizing"]["needed"]["likely"]
        self.assertAlmostEqual(float(rule.get_attribute("data-watts") or 0), needed)
        bar = page.locator("[data-bar=full]").get_attribute("data-watts")
        self.assertAlmostEqual(float(bar or 0), full + 70)
        self.go(key, "loom")
        steps = after.lane("graphics-1")["steps"]
        lane = page.locator("[data-lane=graphics-1]")
        expect(lane).to_contain_text("187 % refused")
        drawn = [
            float(x.get_attribute("data-step") or 0) for x in lane.locator("[data-step]").all()
        ]
        self.assertEqual(drawn, [s["amps"]["full"] for s in steps])

    def _holds(self, page: Page, headless: Headless) -> None:
        for state in ("everyday", "full"):
            expected = headless.result["strip"]["watts"][state]["likely"]
            expect(self.figure(state, page)).to_have_attribute("data-watts", str(expected))

    def test_what_is_typed_while_a_figure_goes_in_goes_in_too(self) -> None:
        """Likely, then its low end, while the first write is on its way: neither undoes the other.
        230 W becomes 260 W, then 270 W, with a low end of 200 W instead of 220 W."""
        key = self.heron()
        page = self.go(key, "parts?at=card-2")
        held: list[Route] = []
        page.route("**/actions", lambda route: route.continue_() if held else held.append(route))
        field = page.locator("aside").get_by_label(BOARD_POWER, exact=True)
        field.fill("260")
        field.press("Enter")
        page.wait_for_timeout(100)
        self.assertEqual(len(held), 1)
        field.fill("270")
        field.press("Enter")
        page.get_by_label(f"Low: {BOARD_POWER}").fill("200")
        page.keyboard.press("Enter")
        held[0].continue_()
        expect(page.get_by_label(f"Low: {BOARD_POWER}")).to_have_attribute("data-draft", "false")
        expect(field).to_have_value("270")
        expect(self.figure("full")).to_have_text("859 W")
        power = Headless(page, self.live_server_url, key).part("card-2")["board_power_w"]
        self.assertEqual((power["low"], power["likely"]), (200, 270))
        # In a field whose figure is in, the keys take the last change of the build back.
        page.keyboard.press("Control+z")
        expect(page.get_by_label(f"Low: {BOARD_POWER}")).to_have_value("220")
        page.keyboard.press("Control+Shift+z")
        expect(page.get_by_label(f"Low: {BOARD_POWER}")).to_have_value("200")

    def test_a_network_that_goes_down_stops_nothing(self) -> None:
        """The browser says so where a cable is pulled; the server on this machine still answers."""
        page = self.go(self.heron(), "parts")
        page.evaluate("window.dispatchEvent(new Event('offline'))")
        page.get_by_role("combobox", name="Add a part").fill("fan 120 0.2a x2")
        page.keyboard.press("Enter")
        expect(page.get_by_role("region", name="Part in hand: Fan 120 mm")).to_be_visible()
        page.get_by_role("link", name="Loom").click()
        page.locator("[data-lane=graphics-1] button").first.click()
        expect(page.get_by_label("Why: Graphics cable 1, chained")).to_contain_text("W of 150 W")

    def test_a_server_that_does_not_answer_is_told_and_the_line_stays(self) -> None:
        page = self.go(self.heron(), "parts")
        page.context.route("**/api/**", lambda route: route.abort())
        line = page.get_by_role("combobox", name="Add a part")
        line.fill("fan 120 0.2a x2")
        line.press("Enter")
        expect(page.get_by_role("alert")).to_contain_text("The server does not answer")
        expect(line).to_have_value("fan 120 0.2a x2")
        page.context.unroute("**/api/**")
        line.press("Enter")
        expect(page.get_by_role("region", name="Part in hand: Fan 120 mm")).to_be_visible()
        self.errors.clear()  # Chromium prints each request that failed

    def test_what_cannot_be_taken_stays_in_the_field(self) -> None:
        page = self.go(self.heron(), "parts")
        page.locator("[data-part=card-2][data-tail=false]").click()
        field = page.locator("aside").get_by_label(BOARD_POWER, exact=True)
        field.fill("two hundred")
        field.press("Enter")
        expect(
            page.get_by_text("Needs a number of W, or nothing where it is not known")
        ).to_be_visible()
        expect(field).to_have_value("two hundred")
        field.fill("9000")
        field.press("Enter")
        expect(page.get_by_text("card-2.board_power_w: needs between 0 and 3000 W")).to_be_visible()
        expect(field).to_have_value("9000")
        field.press("Escape")
        expect(field).to_have_value("230")
        expect(self.figure("full")).to_have_text("819 W")

    def test_a_missing_figure_reads_unknown_and_leads_to_its_field(self) -> None:
        page = self.go(self.heron(), "parts")
        page.locator("[data-part=card-1][data-tail=false]").click()
        field = page.locator("aside").get_by_label(BOARD_POWER, exact=True)
        field.fill("")
        field.press("Enter")
        expect(self.figure("full")).to_have_text("≥ 499 W")
        expect(page.get_by_role("button", name="Undo: change Kittiwake L")).to_be_enabled()
        self.go(page.url.split("/")[4], "loom")
        expect(page.locator("[data-lane=sixteen-1]")).to_have_attribute("data-verdict", "unknown")
        expect(self.figure("whole")).to_have_text("to mend")
        self.figure("find").click()
        page.get_by_role("link", name="Its watts are not known").click()
        expect(page.get_by_role("region", name="Part in hand: Kittiwake L")).to_be_visible()

    def test_undo_and_redo_reach_over_a_reload(self) -> None:
        key = self.heron()
        page = self.go(key, "parts")
        page.locator("[data-part=card-2][data-tail=false]").click()
        page.get_by_role("button", name="Take Knot R out").click()
        page.get_by_role("button", name="Unplug and go on").click()
        expect(page.locator("[data-part=card-2]")).to_have_count(0)
        page.reload()
        page.get_by_role("button", name="Undo: remove Knot R").click()
        expect(page.locator("[data-part=card-2]")).to_have_count(2)
        self.assertEqual(
            page.request.get(f"{self.live_server_url}/api/v1/builds/{key}/file").text(), HERON
        )
        page.locator("h1").click()
        page.keyboard.press("Control+Shift+Z")
        expect(page.locator("[data-part=card-2]")).to_have_count(0)

    def test_house_rule_decides_over_the_chain(self) -> None:
        """By pins 5.83 A of 7 A a pin: tight; never both plugs: refused."""
        key = self.heron()
        page = self.go(key, "rules")
        page.get_by_role("radio", name="As far as pins and wires allow").click()
        expect(self.figure("mend")).to_have_text("1 not fed")
        page.get_by_role("radio", name="Never both plugs").click()
        expect(self.figure("mend")).to_have_text("1 refused, 1 not fed")
        self.go(key, "loom")
        expect(page.locator("[data-lane=graphics-1]")).to_contain_text("200 % refused")

    def test_the_bounds_of_an_assumption_by_keyboard(self) -> None:
        """The board's 12 V draw at most 30 W instead of 18 W: 12 W more at the high end."""
        page = self.go(self.heron(), "rules")
        expect(page.get_by_role("link", name="Full 819 W 794–855")).to_be_visible()
        draw = "the board's own draw at 12 V, at full"
        page.get_by_role("button", name=f"Bounds: {draw}, from 8 to 18").focus()
        page.keyboard.press("Enter")
        expect(page.get_by_label(f"Low: {draw}")).to_be_focused()
        page.keyboard.press("Tab")
        page.keyboard.type("30")
        page.keyboard.press("Enter")
        expect(page.get_by_role("link", name="Full 819 W 794–867")).to_be_visible()
        page.get_by_label(f"Low: {draw}").fill("13")
        page.keyboard.press("Enter")
        expect(page.get_by_role("alert")).to_contain_text("low ≤ likely ≤ high")
        expect(page.get_by_label(f"Low: {draw}")).to_have_value("13")
        expect(page.get_by_role("link", name="Full 819 W 794–867")).to_be_visible()


class Moves(BrowserCase):
    def test_tap_and_tap(self) -> None:
        page = self.window(has_touch=True)
        self.go(self.heron(), "loom", page)
        page.locator('[data-socket="disk#3/power"]').tap()
        page.locator("[data-lane=sata-1] [data-plug=p3]").tap()
        expect(page.locator('[data-socket="disk#3/power"]')).to_have_attribute("data-fed", "true")
        page.locator("[data-lane=sata-1] [data-plug=p3]").tap()
        page.get_by_role("button", name="Park it").tap()
        expect(page.locator('[data-socket="disk#3/power"]')).to_have_attribute("data-fed", "false")

    def test_what_is_hit_by_touch_is_44_px(self) -> None:
        page = self.window(has_touch=True, is_mobile=True)
        self.go(self.heron(), "loom", page)
        for name in ("[data-plug]", "[data-socket]", "[data-port]"):
            box = page.locator(name).first.bounding_box()
            self.assertIsNotNone(box)
            self.assertGreaterEqual(min(box["width"], box["height"]), 44, name)  # type: ignore[index]

    def test_a_refused_move_says_why_with_numbers(self) -> None:
        page = self.go(self.heron(), "loom")
        page.locator("[data-lane=processor-2] [data-plug=a]").click()
        page.locator('[data-socket="card-2#1/a"]').click()
        expect(page.get_by_role("alert")).to_contain_text("on 3 pins: a short circuit")
        page.get_by_role("button", name="Let go").click()
        page.locator('[data-socket="board#1/cpu-2"]').click()
        refused = page.get_by_role("list", name="Does not fit")
        expect(refused).to_contain_text(
            "puts 12 V where an 8-pin processor socket has ground, on 3 pins"
        )

    def test_cables_move_between_ports_and_back_to_the_bag(self) -> None:
        page = self.go(self.heron(), "loom")
        page.locator("[data-lane=graphics-1] button").first.click()
        page.get_by_role("button", name="Port C6, processor or graphics, free").click()
        expect(page.locator("[data-port=c6]")).to_have_attribute("data-free", "false")
        expect(page.locator("[data-port=c5]")).to_have_attribute("data-free", "true")
        page.get_by_role("button", name="Back in the bag").click()
        expect(page.locator("[data-lane=graphics-1]")).to_have_attribute("data-verdict", "bag")
        expect(self.figure("ports")).to_have_text("5")


class Windows(BrowserCase):
    def _both_type(self) -> tuple[Page, Locator, Locator]:
        """Two windows on one figure; the second commits 250 W after the first one's 300 W."""
        key = self.heron()
        one, two = self.go(key, "parts", self.window()), self.go(key, "parts", self.window())
        fields = []
        for page in (one, two):
            page.locator("[data-part=card-2][data-tail=false]").click()
            fields.append(page.locator("aside").get_by_label(BOARD_POWER, exact=True))
        fields[1].fill("250")
        fields[0].fill("300")
        fields[0].press("Enter")
        # The first one's figure is in once it can be undone; only then does the second commit.
        expect(one.get_by_role("button", name="Undo: change Knot R")).to_be_visible()
        # It has looked for news meanwhile, and takes none under what is being typed.
        with two.expect_response(lambda r: "/news/" in r.url and r.ok):
            pass
        with two.expect_response(lambda r: "/news/" in r.url and r.ok):
            pass
        fields[1].press("Enter")
        told = two.get_by_role("alertdialog", name="Changed meanwhile")
        expect(told).to_contain_text("250")
        expect(told).to_contain_text("300")
        expect(fields[1]).to_have_value("250")
        return two, fields[1], told

    def test_a_stale_edit_is_told_and_mine_can_be_kept(self) -> None:
        page, field, told = self._both_type()
        told.get_by_role("button", name="Keep mine").click()
        expect(told).to_have_count(0)
        expect(field).to_have_value("250")
        page.reload()
        expect(field).to_have_value("250")

    def test_a_stale_edit_is_told_and_theirs_can_be_taken(self) -> None:
        page, field, told = self._both_type()
        expect(told.get_by_role("button", name="Cancel mine, theirs stays")).to_be_focused()
        page.keyboard.press("Enter")
        expect(told).to_have_count(0)
        expect(field).to_have_value("300")
        page.reload()
        expect(field).to_have_value("300")

    def test_what_came_while_one_typed_shows_once_it_is_let_go(self) -> None:
        key = self.heron()
        one, two = self.go(key, "parts", self.window()), self.go(key, "parts", self.window())
        two.locator("[data-part=card-2][data-tail=false]").click()
        field = two.locator("aside").get_by_label(BOARD_POWER, exact=True)
        field.fill("250")
        one.locator("[data-part=card-1][data-tail=false]").click()
        one.get_by_label("Name", exact=True).fill("Left")
        one.get_by_label("Name", exact=True).press("Enter")
        with two.expect_response(lambda r: "/news/" in r.url and r.ok):
            pass
        other = two.locator("[data-part=card-1][data-tail=false]")
        expect(other).not_to_contain_text("Left")
        field.press("Escape")
        expect(other).to_contain_text("Left")

    def test_edits_to_different_things_both_go_in(self) -> None:
        key = self.heron()
        one, two = self.go(key, "parts", self.window()), self.go(key, "parts", self.window())
        for page, part, name in ((one, "card-1", "Left"), (two, "card-2", "Right")):
            page.locator(f"[data-part={part}][data-tail=false]").click()
            page.get_by_label("Name", exact=True).fill(name)
            page.get_by_label("Name", exact=True).press("Enter")
            expect(page.locator(f"[data-part={part}][data-tail=false]")).to_contain_text(name)
        # The second window learns of the first one's change by its own write.
        expect(two.locator("[data-part=card-1][data-tail=false]")).to_contain_text("Left")


class Files(BrowserCase):
    def test_open_save_and_a_broken_file(self) -> None:
        page = self.page
        page.goto(self.live_server_url)
        chooser = page.locator("input[type=file]")
        broken = HERON.replace('"rated_w": 1000', '"rated_w": -1')
        chooser.set_input_files(
            {"name": "b.json", "mimeType": "application/json", "buffer": broken.encode()}
        )
        expect(page.get_by_role("alert")).to_contain_text("supply.rated_w")
        expect(page.get_by_text("No build yet")).to_be_visible()
        chooser.set_input_files(
            {"name": "h.json", "mimeType": "application/json", "buffer": HERON.encode()}
        )
        expect(page.get_by_role("heading", name="Parts")).to_be_visible()
        page.goto(self.live_server_url)
        with page.expect_download() as download:
            page.get_by_role("button", name="Do… with Heron").press("Enter")
            page.get_by_role("menuitem", name="Save file").press("Enter")
        self.assertEqual(Path(download.value.path()).read_text(encoding="utf-8"), HERON)
        away, none = (
            page.get_by_role("button", name="Throw away Heron"),
            page.get_by_text("No build"),
        )
        away.press("Enter")
        expect(none).to_be_visible()
        expect(page.get_by_text("Heron is in the bin, for thirty days")).to_be_visible()
        page.keyboard.press("Control+z")
        expect(page.get_by_role("link", name="Heron", exact=True)).to_be_visible()
        away.click()
        expect(none).to_be_visible()
        page.get_by_role("button", name="What was thrown away").press("Enter")
        page.locator("[data-in-bin]").get_by_role("button").press("Enter")
        expect(page.locator("[data-in-bin]")).to_have_count(0)
        page.keyboard.press("Escape")
        expect(page.get_by_role("link", name="Heron", exact=True)).to_be_visible()
