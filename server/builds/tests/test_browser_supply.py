"""The Supply station in a real browser: can it stay, what it costs to run, every check."""

from __future__ import annotations

import re

from owners.models import current_owner
from playwright.sync_api import expect

from builds import actions
from builds.tests.browser import BrowserCase
from builds.tests.support import ROOT


class Choosing(BrowserCase):
    def _demo(self, name: str) -> str:
        text = (ROOT / f"demo/builds/{name}.tally.json").read_text(encoding="utf-8")
        return actions.open_file(current_owner(), text).key

    def test_can_it_stay(self) -> None:
        """Curlew's card at 330 W is too much for 650 W; at 323 W every check of the size passes."""
        page = self.go(self._demo("curlew"), "supply")
        own = page.locator("[data-in-build=true]")
        expect(own).to_contain_text("too small")
        own.get_by_role("button", name="Hold Whimbrel XL to 323 W").press("Enter")
        expect(own).to_contain_text("right size")
        expect(own.get_by_role("heading", name="Can it stay?")).to_have_count(0)
        page.get_by_role("button", name=re.compile("Undo")).click()
        expect(own).to_contain_text("too small")

    def test_a_year_by_the_price(self) -> None:
        """377 kWh a year at 0.40: 150.17; at 115 V its grade converts less."""
        page = self.go(self._demo("dunlin"), "supply")
        own = page.locator("[data-in-build=true]")
        expect(own).to_contain_text("377 kWh")
        page.get_by_role("link", name="Energy").click()
        price = page.get_by_label("One price for a kWh")
        price.fill("0,40")
        price.press("Enter")
        energy = page.get_by_role("list", name="Energy checks")
        expect(energy).to_contain_text(re.compile(r"377 kWh a year, 150\.\d\d"))
        page.get_by_label("A day at full").fill("9")
        page.get_by_label("A day at full").press("Enter")
        expect(page.get_by_role("alert").first).to_contain_text("at most 24 hours in all")
        page.get_by_label("A day at full").press("Escape")
        page.get_by_label("Mains").select_option("115")
        expect(energy).not_to_contain_text("377 kWh")
        page.reload()
        expect(page.get_by_label("Mains")).to_have_value("115")

    def test_every_check_has_an_address(self) -> None:
        page = self.go(self._demo("heron"), "supply")
        ticket = page.locator("[data-ticket='Campion 450']")
        ticket.get_by_role("button", name=re.compile("^All")).press("Enter")
        dialog = page.get_by_role("dialog", name="Campion 450, every check")
        expect(dialog).to_contain_text("450 W rated; the rules ask for")
        expect(dialog.get_by_role("row", name=re.compile("^0.1 ms"))).to_contain_text("too much")
        expect(page).to_have_url(re.compile("open=campion-450"))
        page.reload()
        expect(dialog).to_be_visible()
        page.keyboard.press("Escape")
        expect(dialog).to_have_count(0)

    def test_what_is_not_known_is_led_to_and_entered(self) -> None:
        page = self.go(self._demo("curlew"), "supply")
        own = page.locator("[data-in-build=true]")
        own.get_by_text("Its label says otherwise?").click()
        rail = own.get_by_label("12 V", exact=True)
        rail.fill("")
        rail.press("Enter")
        find = page.get_by_role("button", name=re.compile("^To find out"))
        find.click()
        page.get_by_role("link", name=re.compile("12 V rail")).click()
        expect(rail).to_be_focused()
        page.keyboard.type("50")
        page.keyboard.press("Enter")
        expect(find).to_have_count(0)

    def test_a_house_rule_says_what_it_would_make_of_the_build(self) -> None:
        """Curlew: with headroom trusted the rules ask for 650 W, and the old supply does."""
        page = self.go(self._demo("curlew"), "supply/compare")
        with page.expect_download() as download:
            page.get_by_role("link", name="All as CSV").click()
        text = download.value.path().read_text(encoding="utf-8")
        self.assertTrue(text.startswith(",Fulmar 650,"))
        self.assertIn("verdict,too small", text)
        page.get_by_role("link", name="House rules").click()
        trust = page.get_by_role("radio", name=re.compile("Trust the headroom"))
        expect(trust).to_contain_text("650 W, next common size 650; Fulmar 650: right size")
        trust.press("Space")
        expect(trust).to_be_checked()
        expect(self.figure("supply")).not_to_contain_text("too small")

    def test_a_price_is_given_once_and_stands_in_the_list_to_buy(self) -> None:
        """The supply at 129.50 and an extension at 9 are 138.50; the one is here by now."""
        page = self.go(self._demo("dunlin"), "supply")
        ticket = page.locator("[data-ticket='Sedge 400']")
        price = ticket.get_by_label("Price of Sedge 400")
        price.fill("129,5")
        price.press("Enter")
        ticket.get_by_role("button", name=re.compile("^Take")).press("Enter")
        page.get_by_role("button", name="Unplug and go on").press("Enter")
        expect(self.figure("buy")).to_have_text("129.50")
        page.get_by_role("link", name="Loom").click()
        page.get_by_role("button", name="Add a cable or adapter").press("Enter")
        page.get_by_label("Search cables and adapters, or say one").fill("board extension")
        own = page.get_by_label("Price of Board extension, 300 mm")
        own.fill("9")
        own.press("Enter")
        expect(own).to_have_attribute("data-draft", "false")
        page.get_by_role("button", name="Add Board extension").press("Enter")
        expect(self.figure("buy")).to_have_text("138.50")
        page.keyboard.press("Escape")
        self.figure("buy").click()
        currency = page.get_by_label("All prices are in")
        currency.fill("EUR")
        currency.press("Enter")
        expect(self.figure("buy")).to_have_text("138.50 EUR")
        page.get_by_role("button", name="I have it Sedge 400").press("Enter")
        expect(self.figure("buy")).to_have_text("9.00 EUR")

    def test_what_came_in_the_box_is_said_and_put_in(self) -> None:
        page = self.go(self._demo("curlew"), "supply/fit")
        line = page.get_by_label("Something that came in its box")
        line.fill("five of something")
        line.press("Enter")
        expect(page.get_by_role("alert").first).to_contain_text("needs an adapter, an extension")
        line.fill("cage with 5 bays, two sata plugs")
        line.press("Enter")
        expect(line).to_have_value("")
        put = page.get_by_role("button", name=re.compile("^Put it in"))
        before = put.count()
        put.last.press("Enter")
        expect(put).to_have_count(before - 1)
        page.get_by_role("link", name="Loom").click()
        expect(page.get_by_text("Between cable and socket")).to_be_visible()

    def test_prices_by_time_of_use(self) -> None:
        """A gap in the week is told and nothing lost; Dunlin's work falls into the day's price."""
        page = self.go(self._demo("dunlin"), "supply/energy")
        page.get_by_role("button", name="Prices by time of use").click()
        night = page.locator("[data-band=night]")
        night.get_by_label("From").fill("23:00")
        night.get_by_label("From").press("Enter")
        page.get_by_role("button", name="Use these prices").click()
        expect(page.get_by_role("alert").first).to_contain_text(
            "a price for Mon 22:00 to 23:00; no band has it"
        )
        expect(night.get_by_label("From")).to_have_value("23:00")
        night.get_by_label("From").fill("22")
        night.get_by_label("From").press("Enter")
        page.get_by_role("button", name="Use these prices").press("Enter")
        energy = page.get_by_role("list", name="Energy checks")
        expect(energy).to_contain_text("over 2 bands of price")
        expect(page.locator("[data-day=Mon] [data-state=full]")).to_have_count(1)
        page.get_by_role("checkbox", name=re.compile("Other hours on Saturday")).click()
        page.get_by_label("Weekend, at full").fill("0")
        page.get_by_label("Weekend, at full").press("Enter")
        expect(page.locator("[data-day=Sat] [data-state=full]")).to_have_count(0)
        expect(page.locator("[data-day=Mon] [data-state=full]")).to_have_count(1)

    def test_what_has_no_room_is_drawn_told_and_measured(self) -> None:
        page = self.go(self._demo("heron"), "supply/fit")
        expect(page.locator("[data-collides=true]")).to_have_count(0)
        panel = page.get_by_label("Slot to side panel")
        panel.fill("180")
        panel.press("Enter")
        rooms = page.get_by_role("list", name="Checks of room and air")
        expect(rooms).to_contain_text("take 194 mm; the side panel is at 180 mm")
        expect(page.locator("[data-shape=plug][data-collides=true]")).to_have_count(1)
        expect(self.figure("mend")).to_contain_text("1 failed")
        panel.fill("")
        panel.press("Enter")
        expect(rooms).to_contain_text(
            "assumed, by usual measures, and not so at their cautious end"
        )
        find = page.get_by_role("button", name=re.compile("^To find out"))
        find.press("Enter")
        asked = page.get_by_role("dialog", name="To find out")
        expect(asked).to_contain_text("194 mm or more: it fits; less: it may not fit")
        asked.get_by_label("The room above the slots").fill("202")
        page.keyboard.press("Enter")
        expect(asked).to_contain_text("Nothing that could change anything")
        expect(panel).to_have_value("202")

    def test_what_one_owns_is_in_one_build_at_a_time(self) -> None:
        heron, curlew = self._demo("heron"), self._demo("curlew")
        page = self.go(curlew, "drawer")
        page.get_by_role("button", name="Put a supply in").press("Enter")
        page.get_by_label("From the catalogue").select_option("marram-850")
        page.get_by_label("Where it lies").fill("top shelf")
        page.get_by_role("button", name="Put it in").press("Enter")
        row = page.locator("[data-thing=marram-850]")
        expect(row).to_contain_text("no build")
        page.get_by_role("link", name="Supply", exact=True).click()
        ticket = page.locator("[data-ticket='Marram 850']", has_text="yours")
        expect(ticket).to_contain_text("yours, top shelf")
        ticket.get_by_role("button", name="Take Marram 850").click()
        page.get_by_role("alertdialog").get_by_role("button", name="Unplug and go on").click()
        own = page.locator("[data-in-build=true]")
        expect(own).to_contain_text("yours, in this build")
        self.go(heron, "supply")
        ticket = page.locator("[data-ticket='Marram 850']", has_text="yours")
        expect(ticket).to_contain_text("in Curlew")
        ticket.get_by_role("button", name="Take Marram 850").click()
        page.get_by_role("alertdialog").get_by_role("button", name="Unplug and go on").click()
        expect(page.get_by_role("alert").first).to_contain_text(
            "Marram 850: it is in Curlew. Take it out there first."
        )
        expect(own).to_contain_text("Marram 1000")

    def test_one_that_is_looked_at_is_said_from_its_box_and_compared(self) -> None:
        page = self.go(self._demo("heron"), "supply")
        page.get_by_role("button", name="One I am looking at").press("Enter")
        box = page.get_by_role("dialog").get_by_role("textbox")
        box.fill("Sandling 1000, 1000 W, 12 V 95 A")
        expect(page.get_by_role("dialog")).to_contain_text("at most 1000 W ÷ 12 V = 83.3 A")
        box.fill(
            "Sandling 1000, 1000 W, 3.1, ATX, 160 mm, 12 V 83 A: 2 board, 5 processor or "
            "graphics, 1 16-pin, 4 drive ports\nboard 20+4 600 mm\n2 processor 4+4 700 mm\n"
            "2 card 6+2 650 mm\n16-pin 600 W 700 mm\n2 sata x4 450+120 mm"
        )
        expect(page.get_by_role("list", name="Understood as")).to_contain_text("Processor cable 2")
        page.get_by_role("button", name="Judge it for this build").press("Enter")
        ticket = page.locator("[data-ticket='Sandling 1000']")
        expect(ticket).to_contain_text("looking at it")
        ticket.get_by_role("button", name="Compare Sandling 1000").press("Enter")
        page.get_by_role("button", name="Compare Thrift 1200").press("Enter")
        page.get_by_role("button", name="Compare the 2").press("Enter")
        first = page.locator("tbody tr").first
        expect(first).to_have_attribute("data-differs", "true")
        expect(page.locator("tbody")).to_contain_text(
            "by the lowest grade, since nobody says its own"
        )

    def test_the_one_in_front_of_one_without_a_ruler(self) -> None:
        """A modular supply of 850 W with eleven cables in under 40 taps: no length and no gauge is
        asked, and what is left to find out are three things at most."""
        page = self.go(self._demo("heron"), "supply")
        taps = 0

        def tap(name: str, of: str = "", times: int = 1) -> None:
            nonlocal taps
            at = page.get_by_role("region", name=of) if of else page
            for _ in range(times):
                at.get_by_role("button", name=name, exact=True).click()
                taps += 1

        tap("The one in front of me")
        for label, figure in (("Rated", "850"), ("12 V", "70"), ("5 V", "20"), ("3.3 V", "20")):
            page.get_by_role("dialog").get_by_label(label, exact=True).fill(figure)
        for label, figure in (("5 V + 3.3 V", "120"), ("Standby", "3")):
            page.get_by_role("dialog").get_by_label(label, exact=True).fill(figure)
        taps += 6
        tap("Board, two sockets")
        tap("Processor or graphics", times=5)
        tap("Next row")
        tap("16-pin", "Its panel")
        tap("Drive", times=4)
        tap("Board, 24-pin")
        tap("Processor, 4+4", times=2)
        tap("Graphics, one plug", times=2)
        tap("Graphics, two plugs in a chain")
        tap("16-pin", "Its cables")
        tap("SATA", times=3)
        tap("4-pin peripheral")
        tap("600 W")
        tap("Take it into this build")
        page.get_by_role("alertdialog").get_by_role("button", name="Unplug and go on").click()
        self.assertLess(taps + 1, 40)
        own = page.locator("[data-in-build=true]")
        expect(own).to_contain_text("Supply of 850 W")
        expect(own).to_contain_text("12 ports, 11 cables")
        find = self.figure("find")
        if find.count():
            self.assertLessEqual(int(find.inner_text()), 3)

    def test_what_comes_in_a_box_is_put_in_from_where_it_lies(self) -> None:
        """Heron's case brings fans, its card an adapter: each once, and back by undo."""
        page = self.go(self._demo("heron"), "supply/fit")
        box = page.get_by_role("region", name="In its box")
        box.get_by_role("button", name="Put it in 3 × Fans, 140 mm").press("Enter")
        expect(box).to_have_count(0)
        page.get_by_role("button", name="Undo: add Fans").press("Enter")
        expect(box).to_contain_text("3 × Fans, 140 mm")
        self.go(page.url.split("/")[4], "loom")
        page.get_by_role("button", name="Add a cable or adapter").press("Enter")
        boxes = page.get_by_role("region", name="In the boxes of this build")
        expect(boxes).to_contain_text("16-pin adapter, three leads, of Kittiwake L")
        boxes.get_by_role("button", name=re.compile("three leads")).press("Enter")
        expect(boxes).not_to_contain_text("three leads")

    def test_the_ruler_by_keyboard(self) -> None:
        page = self.go(self._demo("cormorant"), "supply")
        page.locator("[data-on-ruler]").first.wait_for()
        page.locator("[data-on-ruler='dulse-300']").focus()
        for _ in range(3):
            page.keyboard.press("ArrowRight")
        page.keyboard.press("End")
        last = page.locator("[data-on-ruler]").last
        expect(last).to_be_focused()
        page.keyboard.press("Enter")
        expect(page.get_by_role("dialog", name=re.compile("every check$"))).to_be_visible()
