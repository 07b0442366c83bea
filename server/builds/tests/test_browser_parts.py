"""The Parts station in a real browser: the entry line, lists, opened numbers, the start."""

from __future__ import annotations

import re

from owners.models import current_owner
from playwright.sync_api import Locator, Route, expect

from builds import actions
from builds.tests.browser import BrowserCase
from builds.tests.support import ROOT


class Entry(BrowserCase):
    def test_a_part_is_said_asked_about_and_added(self) -> None:
        page = self.go(self.heron(), "parts")
        line = page.get_by_role("combobox", name="Add a part")
        told = page.locator("main").get_by_role("status")
        line.fill("card 450w slot 20w maybe")
        expect(told).to_contain_text("Which power sockets does the card have?")
        # Enter alone answers no question, and what is in doubt is told.
        line.press("Enter")
        expect(line).to_have_value("card 450w slot 20w maybe")
        expect(told).to_contain_text("Not understood: maybe.")
        expect(self.figure("full")).to_have_text("819 W")
        # As builders talk: one key answers, the line is empty and in hand, what it cost is told.
        line.fill("a blue graphics card, 450 W, slot 20w, $1,299.00")
        expect(told).to_contain_text("Left out: $1,299.00.")
        line.press("Alt+1")
        expect(page.get_by_role("region", name="Part in hand: Card, blue")).to_be_visible()
        expect(self.figure("full")).to_have_text("1,269 W")
        expect(line).to_have_value("")
        expect(line).to_be_focused()
        # None of these: the words are selected, to be said otherwise; Escape clears.
        line.fill("pump 10w")
        expect(page.get_by_role("option", name="none of these")).to_be_visible()
        line.press("Alt+0")
        line.press_sequentially("fan 120 zork")
        expect(told).to_contain_text("Kept as a note: zork.")
        line.press("Escape")
        expect(line).to_have_value("")

    def test_slots_several_things_and_own_words(self) -> None:
        page = self.go(self.heron(), "parts")
        line = page.get_by_role("combobox", name="Add a part")
        line.fill("usb 5 W and 3 fans 120 mm 0.2 A")
        slots = page.get_by_role("button", name="draw 5 W")
        expect(slots).to_be_visible()
        # By key into the slots: what is chosen is selected in the line, and typed anew.
        line.press("Tab")
        page.keyboard.press("Tab")
        expect(slots).to_be_focused()
        page.keyboard.press("Enter")
        page.keyboard.type("4 W")
        expect(line).to_have_value("usb 4 W and 3 fans 120 mm 0.2 A")
        expect(page.get_by_role("button", name="draw 4 W")).to_be_visible()
        line.press("Enter")
        expect(page.get_by_role("button", name="Undo: add 2 parts")).to_be_visible()
        page.get_by_role("button", name="Undo: add 2 parts").click()
        expect(self.figure("full")).to_have_text("819 W")
        # A word that nobody knows is asked once, and can be forgotten.
        line.fill("pump 10w zobel")
        page.get_by_label("What do you call zobel?").select_option("4-pin peripheral plug")
        expect(page.get_by_text("“zobel” is your own word: 4-pin peripheral plug")).to_be_visible()
        expect(page.locator("[data-option=said]")).to_contain_text("4-pin peripheral")
        page.get_by_role("button", name="Forget it").click()
        expect(page.get_by_label("What do you call zobel?")).to_be_visible()
        # What is no part goes to where it belongs, with its words.
        line.fill("sata lead with 4 plugs, 500 mm, then every 150 mm")
        expect(page.get_by_role("option", name="Take it to the Drawer")).to_be_visible()
        line.press("Enter")
        put = page.get_by_role("dialog", name="Put in the drawer: cable")
        expect(put.get_by_role("list", name="Understood as")).to_contain_text(
            "500, 650, 800, 950 mm"
        )

    def test_a_list_goes_in_and_what_is_not_understood_stays(self) -> None:
        page = self.go(self.heron(), "parts")
        page.get_by_role("button", name="Paste a list").click()
        text = page.get_by_role("dialog").get_by_role("textbox")
        text.fill("Part\tQty\tPrice\nfan 120 0.5a\t2\t12.90\nblue lamp\t1\nssd\t1\nusb 5w")
        taken = (
            page.get_by_role("dialog")
            .get_by_role("table", name="Understood")
            .locator("tbody")
            .get_by_role("row")
        )
        expect(page.get_by_role("dialog")).to_contain_text("1 line left out: no part is spoken of")
        expect(taken.nth(0)).to_contain_text("left out: 12.90")
        # A question is answered in its place.
        taken.nth(2).get_by_role("button", name="m.2").click()
        expect(taken.nth(2)).to_contain_text("M.2 drive")
        # A word of one's own is asked where it stands in a list, told there, and forgotten.
        lamp = page.get_by_label("What do you call lamp?")
        lamp.select_option("light strip")
        expect(page.get_by_text("“lamp” is your own word: light strip")).to_be_visible()
        page.get_by_role("button", name="Forget it").click()
        expect(lamp).to_be_visible()
        text.fill("fan 120 0.5a\t2\t12.90\nblue lamp\nusb 5w")
        page.get_by_role("button", name="Add 2 understood").click()
        expect(text).to_have_value("blue lamp")
        page.keyboard.press("Escape")
        # 2 × 6 W and 5 W more: 835.4 W.
        expect(self.figure("full")).to_have_text("836 W")
        page.get_by_role("button", name="Undo: add 2 parts").click()
        expect(self.figure("full")).to_have_text("819 W")

    def test_the_catalogue_is_offered_and_nothing_guessed(self) -> None:
        """Four fans are called Spurrey: Enter alone takes none of them."""
        page = self.go(self.heron(), "parts")
        line = page.get_by_role("combobox", name="Add a part")
        line.fill("spurrey x3")
        options = page.get_by_role("listbox", name="Parts to add").get_by_role("option")
        expect(options).to_have_count(4)
        line.press("Enter")
        expect(self.figure("full")).to_have_text("819 W")
        line.press("ArrowDown")
        line.press("Enter")
        # Three of 0.18 A × 12 V: 6.48 W more, 824.9 W.
        expect(self.figure("full")).to_have_text("825 W")
        held = page.get_by_role("region", name="Part in hand: Spurrey 120")
        expect(held).to_contain_text("From the catalogue: spurrey-120, revision 2")
        line.fill("spurrey 140 x2")
        expect(options).to_have_count(1)
        line.press("Enter")
        expect(page.get_by_role("region", name="Part in hand: Spurrey 140")).to_be_visible()
        # A name with a kind in it: the line alone would ask for sockets, the entry has them.
        line.fill("kittiwake card xxl")
        expect(page.locator("[data-option=entry-kittiwake-xxl]")).to_be_visible()
        line.press("Enter")
        expect(page.get_by_role("region", name="Part in hand: Kittiwake XXL")).to_be_visible()

    def test_enter_waits_for_the_templates(self) -> None:
        page, held = self.page, list[Route]()
        page.route("**/reference", lambda route: held.append(route))
        page = self.go(self.heron(), "parts")
        line = page.get_by_role("combobox", name="Add a part")
        line.fill("3.5-inch storage")
        line.press("Enter")
        for route in held:
            route.continue_()
        expect(page.get_by_role("region", name="Part in hand: 3.5-inch disk")).to_be_visible()

    def test_what_is_typed_while_a_part_goes_in_stays(self) -> None:
        page = self.go(self.heron(), "parts")
        held: list[Route] = []
        page.route("**/actions", lambda route: route.continue_() if held else held.append(route))
        line = page.get_by_role("combobox", name="Add a part")
        line.fill("usb 5w")
        expect(page.locator("[data-option=said]")).to_be_visible()
        with page.expect_request("**/actions"):
            line.press("Enter")
        line.fill("fan 120 0.5a")
        held[0].continue_()
        # 818.4 + 5 W.
        expect(self.figure("full")).to_have_text("824 W")
        expect(line).to_have_value("fan 120 0.5a")
        line.press("Enter")
        # 6 W more: 829.4 W.
        expect(self.figure("full")).to_have_text("830 W")

    def test_a_build_as_a_list_reads_back(self) -> None:
        page = self.go(self.heron(), "parts")
        page.get_by_role("button", name="Paste a list").click()
        dialog = page.get_by_role("dialog")
        dialog.get_by_role("button", name="Put Heron’s own parts here").click()
        expect(dialog.get_by_role("button", name="Add 13 understood")).to_be_visible()


class FromNothing(BrowserCase):
    def test_a_machine_to_start_from_is_edited_and_taken(self) -> None:
        page = self.page
        page.goto(self.live_server_url)
        page.get_by_label("Name of a new build").fill("Plover")
        page.get_by_role("button", name="Start it").click()
        begin = page.get_by_role("region", name="Where to begin")
        # What to write first is written for one, to be changed; nothing goes in by itself.
        begin.get_by_role("button", name="Write processor 125w").click()
        line = page.get_by_role("combobox", name="Add a part")
        expect(line).to_have_value("processor 125w")
        expect(line).to_be_focused()
        line.press("Escape")
        begin.get_by_role("button", name="A desk machine").click()
        text = page.get_by_role("dialog").get_by_role("textbox")
        expect(text).to_have_value(re.compile("^board 8pin"))
        text.fill(text.input_value().replace("keyboard and mouse", ""))
        page.get_by_role("button", name="Add 6 understood").click()
        expect(begin).to_have_count(0)
        # USB was taken out of the list: it nearly always draws, until it is said to be none.
        expect(self.figure("full")).to_contain_text("≥")
        row = page.get_by_role("region", name="Not spoken of yet")
        row.get_by_role("button", name="USB").press("Enter")
        page.get_by_role("menuitem", name="None here").press("Enter")
        expect(self.figure("full")).not_to_contain_text("≥")
        expect(row.get_by_role("button", name="USB")).to_have_count(0)
        row.get_by_role("button", name="Lights and their hub").click()
        page.get_by_role("menuitem", name="Add Light strip 5 V").click()
        expect(page.get_by_role("region", name="Part in hand: Light strip 5 V")).to_be_visible()
        page.reload()
        expect(row).to_contain_text("The front panel")
        expect(row.get_by_role("button", name="USB")).to_have_count(0)


class Numbers(BrowserCase):
    def test_a_column_opens_to_rows_that_add_up_and_lead_to_their_part(self) -> None:
        page = self.go(self.heron(), "parts")
        page.get_by_role("button", name="98 W: open board lead").click()
        dialog = page.get_by_role("dialog")
        expect(dialog).to_contain_text("Board lead, full: 98 W")
        expect(dialog.locator("tbody tr")).not_to_have_count(0)
        cells = dialog.locator("tbody tr td:nth-last-child(2)").all_inner_texts()
        self.assertAlmostEqual(sum(float(c) for c in cells[:-1]), float(cells[-1]), places=1)
        dialog.get_by_role("button", name="Eelgrass M.2 drive").click()
        expect(page.get_by_role("region", name="Part in hand: Eelgrass M.2 drive")).to_be_visible()

    def test_staggering_lowers_the_start_at_once(self) -> None:
        """Ten disks: 273 W at once; 2 × 27.3 + 8 × 9.6 = 131.4 W two at a time: 141.6 W less."""
        text = (ROOT / "demo/builds/cormorant.tally.json").read_text(encoding="utf-8")
        page = self.go(actions.open_file(current_owner(), text).key, "parts")
        page.locator("[data-state-choice=start]").click()
        shown = self.figure("start").get_attribute("data-watts") or ""
        field = page.get_by_label("Disks that spin up at a time")
        field.fill("2")
        field.press("Enter")
        expect(page.locator("footer")).to_have_attribute("data-typing", "false")
        expect(self.figure("start")).not_to_have_attribute("data-watts", shown)
        after = float(self.figure("start").get_attribute("data-watts") or 0)
        self.assertAlmostEqual(float(shown) - after, 141.6)

    def test_strip_stacks_and_spikes_open_and_lead_to_the_field(self) -> None:
        page = self.go(self.heron(), "loom")
        self.figure("full").click()
        dialog = page.get_by_role("dialog", name="Full: 819 W")
        self._adds_up(dialog, 818.4)
        page.keyboard.press("Escape")
        page.get_by_role("button", name="1,222 W: open spike 0.1 ms").click()
        dialog = page.get_by_role("dialog", name="Spike, 0.1 ms: 1,222 W")
        self._adds_up(dialog, float(self._spike()))
        expect(dialog).to_contain_text("excesses add as squares")
        row = dialog.get_by_role("row").filter(has_text="one module, at full")
        row.get_by_role("button", name="Memory, 32 GB module").click()
        expect(dialog).to_have_count(0)
        field = page.locator("aside").get_by_label("one module at full", exact=True)
        expect(field).to_be_focused()
        page.keyboard.type("6")
        page.keyboard.press("Enter")
        # Two modules of 6 W instead of 5.
        expect(self.figure("full")).to_have_text("821 W")
        self.unfold()
        page.get_by_role("button", name="169 W: open start").click()
        expect(page.get_by_role("dialog", name="Start: 169 W")).to_be_visible()

    def test_a_rail_opens(self) -> None:
        page = self.go(self.heron(), "parts")
        page.get_by_text("By rail, at full").click()
        page.get_by_role("button", name="16 W: open the 3.3 V rail").click()
        dialog = page.get_by_role("dialog", name="3.3 V rail, full: 16 W")
        self._adds_up(dialog, 15.2)

    def _spike(self) -> str:
        key = self.page.url.split("/b/")[1].split("/")[0]
        url = f"{self.live_server_url}/api/v1/builds/{key}"
        spikes = self.page.request.get(url).json()["result"]["strip"]["spikes"]
        return f"{spikes['ms_0_1']['likely']:.1f}"

    def _adds_up(self, dialog: Locator, total: float) -> None:
        """Rows are shown to a tenth: as many half tenths as there are rows may go missing."""
        expect(dialog.locator("tbody tr").nth(2)).to_be_visible()
        cells = [float(c) for c in dialog.locator("td:nth-last-child(2)").all_inner_texts()]
        self.assertAlmostEqual(cells[-1], total, delta=0.051)
        self.assertAlmostEqual(sum(cells[:-1]), total, delta=0.05 * len(cells))


class Editing(BrowserCase):
    def test_name_and_case_of_the_build(self) -> None:
        page = self.go(self.heron(), "parts")
        own = page.get_by_role("region", name="This build")
        expect(own).to_contain_text("390 mm long, 202 mm to the side panel")
        own.get_by_label("Case").select_option("Spit small case")
        expect(own).to_contain_text("322 mm long")
        own.get_by_label("Name of the build").fill("Heron, smaller")
        own.get_by_label("Name of the build").press("Enter")
        expect(page.locator("header")).to_contain_text("Heron, smaller")
        page.reload()
        expect(page.locator("header")).to_contain_text("Heron, smaller")
        expect(own.get_by_label("Case")).to_have_value("spit-small")

    def test_slots_and_headers_of_a_board(self) -> None:
        """Five fans of 0.18 A on one header of 0.5 A: 0.9 A, 180 %."""
        page = self.go(self.heron(), "parts?at=board")
        held = page.get_by_role("region", name="Part in hand: Tideline board")
        held.get_by_role("button", name="Remove slot-2").click()
        page.get_by_role("alertdialog").get_by_text("Knot R from slot-2").wait_for()
        page.get_by_role("button", name="Leave it as it is").click()
        held.get_by_label("Lanes of slot-2").select_option("4")
        held.get_by_label("What fan-1 gives").fill("0.5")
        held.get_by_label("What fan-1 gives").press("Enter")
        page.locator("[data-part=fan]").click()
        page.get_by_label("Header", exact=True).select_option("fan-1")
        through = page.get_by_role("region", name="Through the board")
        expect(through).to_contain_text("over, 180 %")
        expect(self.figure("mend")).to_contain_text("1 over")
        through.get_by_role("button", name="header fan-1").click()
        expect(held.get_by_label("What fan-1 is for")).to_be_focused()

    def test_signal_ports_are_counted_and_mended(self) -> None:
        """Ten disks, six ports, of which the M.2 drive switches off two: six are short."""
        text = (ROOT / "demo/builds/cormorant.tally.json").read_text(encoding="utf-8")
        page = self.go(actions.open_file(current_owner(), text).key, "parts")
        to_mend = page.get_by_role("button", name=re.compile("^To mend"))
        to_mend.click()
        page.get_by_role("link", name=re.compile("SATA data ports")).click()
        board = page.get_by_role("region", name="Part in hand: Breakwater board")
        ports = board.get_by_label("SATA data ports")
        expect(ports).to_be_focused()
        expect(board).to_contain_text("10 needed, 6 short")
        ports.fill("8")
        ports.press("Enter")
        expect(board).to_contain_text("10 needed, 4 short")
        off = board.get_by_label("Switches off SATA ports")
        off.fill("")
        off.press("Enter")
        expect(board).to_contain_text("10 needed, 2 short")
        off.fill("9")
        off.press("Enter")
        expect(page.get_by_role("alert").first).to_contain_text("it has 8, no 9")
        off.press("Escape")
        to_mend.click()
        page.get_by_role("button", name="Add a storage controller with 2 ports.").press("Enter")
        expect(page.get_by_role("link", name=re.compile("SATA data ports"))).to_have_count(0)
        expect(board).to_contain_text("10 needed")
        expect(board).not_to_contain_text("short")

    def test_a_wrong_header_is_refused_with_the_reason(self) -> None:
        page = self.go(self.heron(), "parts?at=strip")
        page.get_by_label("Header", exact=True).select_option("out-1")
        expect(page.get_by_role("alert")).to_contain_text(
            "a header for 5 V lights; out-1 is for fan"
        )

    def test_own_spike_factors(self) -> None:
        """Card 2 of 230 W: 1.5 instead of 2.0 at 0.1 ms."""
        page = self.go(self.heron(), "parts?at=card-2")
        self.unfold()
        before = self.page.get_by_role("button", name="open spike 0.1 ms").inner_text()
        page.get_by_role("combobox", name="Spikes").select_option("own")
        factor = page.locator("aside").get_by_label("0.1 ms", exact=True)
        factor.fill("1.5")
        factor.press("Enter")
        spike = page.get_by_role("button", name="open spike 0.1 ms")
        expect(spike).not_to_have_text(before)
        # The processor's: the larger of sustained and short, as assumed, until it has its own.
        after = spike.inner_text()
        self.go(page.url.split("/b/")[1].split("/")[0], "parts?at=processor&field=spikes")
        expect(page.get_by_role("combobox", name="Spikes")).to_be_focused()
        page.get_by_role("combobox", name="Spikes").select_option("own")
        # A list holds no letters: the keys take its change back, and bring it again.
        expect(factor).to_be_visible()
        page.get_by_role("combobox", name="Spikes").press("Control+z")
        expect(factor).to_have_count(0)
        page.get_by_role("combobox", name="Spikes").press("Control+Shift+z")
        factor.fill("2")
        factor.press("Enter")
        expect(factor).to_have_attribute("data-draft", "false")
        self.unfold()
        expect(spike).not_to_have_text(after)

    def test_slips_are_walked_by_arrows(self) -> None:
        page = self.go(self.heron(), "parts")
        page.locator("[data-part=processor]").focus()
        page.keyboard.press("ArrowRight")
        page.keyboard.press("ArrowDown")
        expect(page.locator("[data-part=card-2][data-tail=false]")).to_be_focused()
        page.keyboard.press("Enter")
        expect(page.get_by_role("region", name="Part in hand: Knot R")).to_be_visible()
