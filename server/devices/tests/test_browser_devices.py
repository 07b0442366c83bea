"""Several devices at one machine: what one does shows on the others; a phone by the door; a bench
without a connection."""

from __future__ import annotations

import os
import time
from unittest import mock

from bench.models import Entry, Photo
from builds import actions
from builds.models import Build
from builds.tests.browser import BrowserCase
from builds.tests.support import ROOT
from config.bounds import BoundedChannel
from config.wsgi import application
from owners.models import current_owner
from playwright.sync_api import Page, expect

from devices import letting
from devices.listening import Doorway, doorway
from devices.models import Device

ADDRESS = "127.0.0.2"
PHONE = {"viewport": {"width": 360, "height": 740}, "has_touch": True}
#: Whether there is a service worker, waited for so long as for anything else.
READY = """() => Promise.race([
  navigator.serviceWorker.ready.then(() => true),
  new Promise((late) => setTimeout(() => late(false), 20_000)),
])"""
PICTURE = ROOT / "docs/screenshots/bench.png"


class SeveralDevices(BrowserCase):
    """Two windows and more."""

    def setUp(self) -> None:
        super().setUp()
        self.key = self.heron()
        self.row = Build.objects.get(key=self.key)

    def note(self, page: Page) -> object:
        """What the head of the bench says."""
        return page.locator("[data-note]")

    def tick(self, page: Page) -> None:
        """Look at what the step asks for, and so tick it."""
        step = page.get_by_role("region", name="Step")
        title = step.get_by_role("heading").first.inner_text()
        for box in step.get_by_role("checkbox").all():
            box.click()
        expect(step.get_by_role("heading").first).not_to_have_text(title)

    def test_what_one_does_shows_on_the_others(self) -> None:
        desk = self.go(self.key, "bench")
        other = self.go(self.key, "bench", self.window())
        looking = self.go(self.key, "parts", self.window())
        expect(self.note(desk)).to_contain_text("0 of")
        self.tick(other)
        expect(self.note(desk)).to_contain_text("1 of")
        # An edit of one is the other's figure, untouched; a page that only shows it too.
        before = self.figure("full", looking).inner_text()
        self.go(self.key, "parts", other)
        other.locator("[data-line]").fill("fan 120 mm 0.2 A x4")
        other.keyboard.press("Enter")
        expect(self.figure("full", looking)).not_to_have_text(before)
        expect(self.figure("full", desk)).to_have_text(self.figure("full", looking).inner_text())

    def door(self) -> None:
        """Let this process open one."""
        named = mock.patch.dict(os.environ, EASY_TALLY_DOOR_ADDRESSES=ADDRESS)
        named.start()
        self.addCleanup(named.stop)
        doorway.serve(application, BoundedChannel, lambda: letting.current() is not None)
        self.addCleanup(lambda: doorway.__dict__.update(Doorway().__dict__))
        self.addCleanup(doorway.close)

    def test_a_phone_by_the_door(self) -> None:
        self.door()
        desk = self.go(self.key, "bench")
        desk.get_by_role("button", name="File").click()
        desk.get_by_role("menuitem", name="Take it to the bench…").click()
        desk.get_by_role("button", name="Open the door").click()
        code = desk.locator("[data-door=code]")
        expect(code).to_be_visible()
        expect(desk.get_by_alt_text("A code to be read by a phone")).to_be_visible()
        self.assertEqual(self.axe_finds(desk), [])
        url = letting.origin(letting.current())  # type: ignore[arg-type]
        phone = self.window(**PHONE)
        phone.goto(f"{url}/b/{self.key}/parts")  # a stranger comes to the page for its code
        self.assertTrue(phone.url.endswith("/in"))
        self.assertEqual(self.axe_finds(phone), [])
        phone.get_by_label("Code").fill("000 00")
        phone.get_by_role("button", name="Let it in").tap()
        expect(phone.get_by_role("alert")).to_contain_text("not the code")
        expect(desk.get_by_text("1 wrong code was tried.")).to_be_visible()
        phone.wait_for_timeout(1_000)  # a wrong one costs a second
        phone.get_by_label("Code").fill(code.inner_text())
        phone.get_by_label("What this device is called").fill("Shelf phone")
        phone.get_by_role("button", name="Let it in").tap()
        expect(phone.get_by_role("heading", name="Bench")).to_be_visible()
        expect(desk.get_by_text("Shelf phone", exact=True)).to_be_visible()
        self.tick(phone)
        desk.keyboard.press("Escape")
        expect(self.note(desk)).to_contain_text("1 of")
        # It is let in for the bench: its stations are these.
        phone.get_by_role("button", name="Bench the other stations").tap()
        expect(phone.get_by_role("menuitem")).to_have_text(["Loom", "Bench", "Readings"])
        phone.get_by_role("menuitem", name="Loom").tap()
        expect(phone.get_by_role("list", name="Cables")).to_be_visible()
        expect(phone.get_by_role("button", name="Map it")).to_have_count(0)
        # Everything: the head has what changes a build, within two seconds and by itself.
        desk.get_by_role("button", name="Door open until").click()
        desk.get_by_label("Shelf phone may").select_option("everything")
        expect(phone.get_by_role("button", name="Map it")).to_be_visible()
        desk.get_by_role("button", name="Send Shelf phone away").click()
        phone.wait_for_url("**/in")
        self.assertEqual(Device.objects.filter(sent_away_at=None).count(), 0)
        desk.get_by_role("button", name="Close the door").click()
        expect(desk.get_by_role("button", name="Open the door")).to_be_visible()
        self.assertFalse(doorway.is_open)
        self.errors = [e for e in self.errors if "CONNECTION_REFUSED" not in e]  # the phone's

    def all_kept(self, page: Page) -> None:
        """Wait until what the stations show was fetched."""
        asked = "performance.getEntriesByType('resource').map(e => e.name).join(' ')"
        until = time.monotonic() + 60
        while "/positions" not in page.evaluate(asked) and time.monotonic() < until:
            page.wait_for_timeout(100)
        page.wait_for_load_state("networkidle")

    def test_without_a_connection_on_an_open_page(self) -> None:
        """No service worker: as over the door without TLS."""
        page = self.go(self.key, "bench", self.window(**PHONE))
        self.all_kept(page)
        page.context.set_offline(True)
        expect(page.get_by_text("No connection.")).to_be_visible()
        self.tick(page)
        with page.expect_file_chooser() as chooser:
            page.get_by_role("button", name="Add a photo").first.tap()
        chooser.value.set_files(PICTURE)
        kept = page.get_by_text("1 photo are kept on this device")
        expect(kept).to_be_visible()
        expect(page.get_by_text("kept here")).to_be_visible()
        # To the Loom and back, with why a cable stands as it does.
        page.get_by_role("button", name="Bench the other stations").tap()
        page.get_by_role("menuitem", name="Loom").tap()
        cable = page.get_by_role("list", name="Cables").get_by_role("listitem").first
        cable.get_by_role("button").first.tap()
        expect(page.get_by_role("list", name="What limits it most")).not_to_be_empty()
        page.keyboard.press("Escape")
        page.get_by_role("button", name="Loom the other stations").tap()
        page.get_by_role("menuitem", name="Bench").tap()
        self.assertEqual((Entry.objects.count(), Photo.objects.count()), (0, 0))
        page.context.set_offline(False)
        expect(page.get_by_text("kept on this device")).to_have_count(0)
        expect(page.get_by_text("No connection.")).to_have_count(0)
        self.assertEqual((Entry.objects.count() > 0, Photo.objects.count()), (True, 1))
        self.errors = [e for e in self.errors if "ERR_INTERNET_DISCONNECTED" not in e]

    def test_the_service_worker_opens_it_without_a_connection(self) -> None:
        page = self.go(self.key, "bench", self.window(service_workers="allow"))
        self.assertTrue(page.evaluate(READY))
        page.reload()  # what it shows goes through the worker now
        self.all_kept(page)
        page.context.set_offline(True)
        page.reload()
        expect(page.locator("h1")).to_have_text("Bench")
        expect(page.get_by_text("No connection.")).to_be_visible()
        self.tick(page)
        page.reload()
        expect(page.get_by_text("kept here")).to_be_visible()
        page.goto(f"{self.live_server_url}/b/{self.key}/loom")  # never opened by its address before
        expect(page.get_by_role("list", name="Cables").get_by_role("listitem")).not_to_have_count(0)
        self.go(self.key, "bench", page)
        page.context.set_offline(False)
        expect(page.get_by_text("No connection.")).to_have_count(0)
        expect(page.get_by_text("kept here")).to_have_count(0)
        self.assertGreater(Entry.objects.count(), 0)
        # What is removed at the desk is not shown from what was kept.
        actions.remove(current_owner(), self.key)
        page.reload()
        expect(page.get_by_role("alert").first).to_contain_text("There is no build")
        gone = ("ERR_INTERNET_DISCONNECTED", "ERR_FAILED")
        self.errors = [e for e in self.errors if not any(g in e for g in gone)]
