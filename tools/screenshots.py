"""`make screenshots`: one current picture of each main view, from the demo build."""

from __future__ import annotations

import os
import re
import shutil
import socket
import subprocess
import sys
import tempfile
import time
import urllib.request
from pathlib import Path

from playwright.sync_api import Page, sync_playwright

ROOT = Path(__file__).resolve().parent.parent
OUT = ROOT / "docs/screenshots"
ARGUMENTS = [
    "--headless",
    "--no-sandbox",
    "--disable-gpu",
    "--disable-quic",
    "--no-first-run",
    "--disable-background-networking",
    "--disable-component-update",
    "--disable-sync",
]


class Demo:
    """The served application with the demo builds, on a port and a database of its own."""

    def __enter__(self) -> str:
        self._folder = tempfile.TemporaryDirectory()
        with socket.socket() as s:
            s.bind(("127.0.0.1", 0))
            port = s.getsockname()[1]
        env = os.environ | {"EASY_TALLY_VAR": self._folder.name, "EASY_TALLY_TASKS": "at once"}
        manage = [sys.executable, str(ROOT / "server/manage.py")]
        command = [*manage, "load_demo", "--migrate"]
        subprocess.run(command, env=env, check=True, stdout=subprocess.DEVNULL)
        self._server = subprocess.Popen(
            [sys.executable, "-m", "config.serve", str(port)], cwd=ROOT / "server", env=env
        )
        base = f"http://127.0.0.1:{port}"
        for _ in range(300):
            try:
                urllib.request.urlopen(base, timeout=1).close()
                return base
            except OSError:
                time.sleep(0.1)
        raise RuntimeError("the server did not start")

    def __exit__(self, *_: object) -> None:
        self._server.terminate()
        self._server.wait()
        self._folder.cleanup()


def shoot(page: Page, name: str) -> None:
    """Save what the page shows."""
    page.wait_for_timeout(400)
    page.screenshot(path=OUT / f"{name}.png")


def main() -> None:
    """Walk the stations and take a picture of each."""
    OUT.mkdir(parents=True, exist_ok=True)
    with Demo() as base, sync_playwright() as playwright:
        browser = playwright.chromium.launch(
            executable_path=shutil.which("chromium"), args=ARGUMENTS
        )
        page = browser.new_page(viewport={"width": 1280, "height": 800})
        page.goto(base)
        page.get_by_role("link", name="Heron", exact=True).wait_for()
        shoot(page, "builds")
        page.get_by_role("link", name="Heron", exact=True).click()
        page.locator("[data-part=card-2][data-tail=false]").click()
        line = page.get_by_role("combobox", name="Add a part")
        line.fill("four 140 mm fans 0.2 A each at the front, teal")
        page.locator("[data-option=said]").wait_for()
        shoot(page, "parts")
        line.press("Escape")
        build = page.url.rsplit("/", 1)[0]
        page.goto(f"{build}/parts/catalogue")
        page.locator("[data-entry=knot-r]").click()
        shoot(page, "catalogue")
        page.goto(f"{build}/supply")
        page.locator("[data-ticket]").nth(2).wait_for()  # those that may be taken, too
        shoot(page, "supply")
        page.goto(f"{build}/supply/compare")
        page.locator("tbody tr").first.wait_for()
        shoot(page, "compare")
        page.goto(f"{build}/supply/fit")
        panel = page.get_by_label("Slot to side panel")
        panel.fill("180")  # the plug of the card has no room any more
        panel.press("Enter")
        page.locator("[data-collides=true]").first.wait_for()
        shoot(page, "fit")
        page.get_by_role("button", name="Undo: change build").click()
        page.goto(f"{build}/supply/energy")
        page.get_by_role("button", name="Prices by time of use").click()
        page.get_by_role("button", name="Use these prices").click()
        page.locator("[data-day=Mon]").scroll_into_view_if_needed()
        shoot(page, "energy")
        page.get_by_role("button", name="Undo: change build").click()
        page.goto(f"{build}/drawer")
        page.locator("[data-thing]").first.wait_for()
        shoot(page, "drawer")
        page.goto(f"{build}/loom?at=graphics-1")
        page.locator("[data-lane]").first.wait_for()
        shoot(page, "loom")
        page.emulate_media(color_scheme="dark")
        page.locator('[data-socket="disk#3/power"]').click()
        shoot(page, "loom-dark")
        page.emulate_media(color_scheme="light")
        for name, shot, heading in (
            ("Heron", "map", "The best map, proven"),
            ("Curlew", "no-map", "Not everything can be fed"),
        ):
            page.goto(base)
            page.get_by_role("link", name=name, exact=True).click()
            page.locator("[data-part]").first.wait_for()
            page.goto(page.url.rsplit("/", 1)[0] + "/loom")
            page.get_by_role("button", name="Map it", exact=True).click()
            page.get_by_role("heading", name=heading).wait_for()
            shoot(page, shot)
            page.get_by_role("button", name="Leave it as it is").click()
        curlew = page.url.rsplit("/", 1)[0]
        page.goto(f"{curlew}/ask")
        page.get_by_label("What would you change?").fill("a 450 W card, 16-pin, 300 x 105 x 45")
        page.keyboard.press("Enter")
        page.locator("[data-goes]").wait_for()
        shoot(page, "ask")
        page.locator("[data-way='1']").get_by_role("button", name="Make it a variant").click()
        page.locator("[data-differs]").first.wait_for()
        shoot(page, "sides")
        page.goto(base)
        page.get_by_role("button", name=re.compile("^Throw away Curlew, ")).click()
        page.goto(f"{build}/loom")
        page.get_by_role("button", name="Map it", exact=True).click()
        page.get_by_role("button", name="Take this map").click()
        page.goto(f"{build}/bench")
        # It runs, and gets another card: two steps are done, the plug comes next.
        page.get_by_role("button", name="It stands like this…").click()
        page.get_by_role("button", name="Everything is plugged as the map has it").click()
        page.get_by_text("This machine stands as it is wanted").wait_for()
        page.goto(f"{build}/parts")
        page.locator("[data-part]", has_text="Kittiwake L").first.click()
        page.get_by_role("button", name="Exchange it").click()
        page.get_by_text("Kittiwake L is another one now").wait_for()
        page.goto(f"{build}/bench")
        page.get_by_label("Who").fill("EM")
        page.get_by_role("heading", name="Bench").click()
        for i in range(2):
            page.locator("header p", has_text=f"{i} of").first.wait_for()
            boxes = page.get_by_role("region", name="Step").get_by_role("checkbox").count()
            for _ in range(boxes + 1 if boxes else 1):  # to the first that is open, then each
                page.keyboard.press("Space")
        page.locator("header p", has_text="2 of").first.wait_for()
        shoot(page, "bench")
        page.goto(f"{build}/readings?open=simulated")
        page.get_by_label("A fault in it").select_option("part-seated")
        page.get_by_label("Where").select_option(label="Kittiwake L")
        page.get_by_role("button", name="Run them").click()
        page.locator("[data-strip-of=A] canvas").wait_for()
        page.wait_for_timeout(800)
        shoot(page, "readings")
        page.goto(f"{build}/readings/trainer?exercise=7")
        page.locator("[data-plug='card-1#1/power']").wait_for()
        page.get_by_role("button", name="Look at Knot R · a").click()
        page.wait_for_timeout(800)
        shoot(page, "trainer")
        page.goto(f"{build}/rules")
        page.get_by_text("On this build").first.wait_for()
        page.get_by_text("The same map.").nth(5).wait_for()
        shoot(page, "rules")
        page.goto(base)
        page.get_by_label("Name of a new build").fill("Plover")
        page.get_by_role("button", name="Start it").click()
        page.get_by_role("region", name="Where to begin").wait_for()
        shoot(page, "begin")
        browser.close()


if __name__ == "__main__":
    main()
