"""One headless Chromium a process, driven through Playwright against the live application."""

from __future__ import annotations

import atexit
import os
import shutil
import socket
from pathlib import Path
from typing import Any, ClassVar

from django.test import LiveServerTestCase
from owners.models import current_owner
from playwright.sync_api import Browser, Locator, Page, expect, sync_playwright

from builds import actions, results
from builds.tests.support import HERON, ROOT

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

#: Text that an ancestor cuts off, and texts that lie on one another.
LAYOUT = (Path(__file__).parent / "layout.js").read_text(encoding="utf-8")
#: The smallest font size in px among visible text.
SMALLEST = """
() => [...document.querySelectorAll('body *')]
  .filter(e => e.checkVisibility() && !e.closest('.sr-only'))
  .filter(e => [...e.childNodes].some(n => n.nodeType === 3 && n.textContent.trim()))
  .map(e => parseFloat(getComputedStyle(e).fontSize))
  .reduce((a, b) => Math.min(a, b), 99)
"""
AXE = """
async () => (await axe.run({ resultTypes: ["violations"] })).violations
  .map(v => [v.id, v.nodes.map(n => n.html.slice(0, 160))])
"""

#: A slow machine is no fault of the page: nothing here measures time.
PATIENCE_MS = 20_000
expect.set_options(timeout=PATIENCE_MS)

#: A service worker would answer where a test lets a connection fail; its own test lets it in.
WINDOW: dict[str, Any] = {"viewport": {"width": 1280, "height": 800}, "service_workers": "block"}
#: Below what the system gives away by itself.
_PORTS = range(20_000, 30_000)

_running: dict[str, Any] = {}


def browser() -> Browser:
    """The process's browser, started once."""
    if "browser" not in _running:
        path = shutil.which("chromium")
        if path is None:
            raise RuntimeError("Chromium is not installed: run tools/install-chromium.")
        _running["playwright"] = sync_playwright().start()
        _running["browser"] = _running["playwright"].chromium.launch(
            executable_path=path, args=ARGUMENTS
        )
        atexit.register(_stop)
    found: Browser = _running["browser"]
    return found


def _first_page() -> Page:
    """The page that each test has first: in a process that runs already, with the application in
    its cache, a page is there four times as soon."""
    page: Page | None = _running.get("page")
    if page is None or page.is_closed():
        page = _running["page"] = browser().new_context(**WINDOW).new_page()
    return page


def _port() -> int:
    """A free port; the same one again for each class of a process, or nothing is in the cache.
    Those of processes that start one after the other lie far apart: none takes the next one's."""
    first = _running.get("port", _PORTS[os.getpid() * 97 % len(_PORTS)])
    for port in (*range(first, _PORTS.stop), *_PORTS):
        with socket.socket() as tried:
            tried.setsockopt(socket.SOL_SOCKET, socket.SO_REUSEADDR, 1)
            try:
                tried.bind(("127.0.0.1", port))
            except OSError:
                continue
        _running["port"] = port
        return port
    raise RuntimeError("No port is free for the live server.")


def _stop() -> None:
    _running.pop("page", None)
    _running.pop("browser").close()
    _running.pop("playwright").stop()


class BrowserCase(LiveServerTestCase):
    """Gives a page at 1280 × 800; fails on any error that the page's console shows."""

    axe: ClassVar[str]
    #: Files are served as in use, to be cached, and not by the test server.
    static_handler = staticmethod(lambda application: application)

    @classmethod
    def setUpClass(cls) -> None:
        os.environ["DJANGO_ALLOW_ASYNC_UNSAFE"] = "true"
        cls.port = _port()
        super().setUpClass()
        cls.axe = (ROOT / "web/node_modules/axe-core/axe.min.js").read_text(encoding="utf-8")

    def setUp(self) -> None:
        results.forget()
        self.errors: list[str] = []
        self.page = self._first_window()

    def tearDown(self) -> None:
        self.assertEqual(self.errors, [])

    def _first_window(self) -> Page:
        page = _first_page()
        page.set_viewport_size(WINDOW["viewport"])
        page.emulate_media(color_scheme="light", media="screen")
        self._heed(page)
        self.addCleanup(self._leave, page)
        return page

    def _leave(self, page: Page) -> None:
        """Leave nothing of this test in the page that the next one has; or that has another."""
        _running.pop("page", None)
        page.remove_listener("pageerror", self._page_error)
        page.remove_listener("console", self._console)
        page.unroute_all(behavior="ignoreErrors")
        page.context.unroute_all(behavior="ignoreErrors")
        page.context.clear_cookies()
        page.goto(f"{self.live_server_url}/static/mark.svg")
        page.evaluate("() => localStorage.clear()")
        _running["page"] = page

    def window(self, **options: Any) -> Page:
        """Another window with a session of its own."""
        context = browser().new_context(**(WINDOW | options))
        self.addCleanup(context.close)
        page = context.new_page()
        self._heed(page)
        return page

    def _heed(self, page: Page) -> None:
        page.set_default_timeout(PATIENCE_MS)
        page.on("pageerror", self._page_error)
        page.on("console", self._console)

    def _page_error(self, error: Any) -> None:
        self.errors.append(str(error))

    def _console(self, message: Any) -> None:
        # A refused edit is answered with a 4xx, which Chromium also prints; that is no fault.
        if message.type == "error" and "status of 4" not in message.text:
            self.errors.append(message.text)

    def heron(self) -> str:
        """Heron in the database; its key."""
        return actions.open_file(current_owner(), HERON).key

    def go(self, key: str, station: str, page: Page | None = None) -> Page:
        """A station of a build."""
        page = page or self.page
        page.goto(f"{self.live_server_url}/b/{key}/{station}")
        expect(page.locator("h1")).to_be_visible()
        return page

    def unfold(self) -> None:
        """Show all of the watts by state, which fold while a part is in hand."""
        self.page.get_by_role("button", name="all of it").click()

    def figure(self, name: str, page: Page | None = None) -> Locator:
        """A figure of the tally strip."""
        return (page or self.page).locator(f"[data-strip={name}]")

    def axe_finds(self, page: Page) -> list[object]:
        """What axe finds wrong with a page."""
        if not page.evaluate("'axe' in window"):
            page.evaluate(self.axe)
        found: list[object] = page.evaluate(AXE)
        return found
