"""A build file inside a page that people read: put in, and taken out again."""

from __future__ import annotations

from html.parser import HTMLParser

#: By which the build in a page is known.
_HOLDS = "easy-tally-build"
_BEGINS = "<!doctype html"


def holding(build: str) -> str:
    """The piece of a page that holds a build file; nothing in it ends the piece."""
    text = build.replace("<", "\\u003c")
    return f'<script type="application/json" id="{_HOLDS}">{text}</script>'


def build_in(text: str) -> str | None:
    """The build file that a page holds; None where the text is no page, or holds none."""
    if not text.lstrip()[: len(_BEGINS)].lower().startswith(_BEGINS):
        return None
    reader = _Reader()
    reader.feed(text)
    return reader.held or None


class _Reader(HTMLParser):
    def __init__(self) -> None:
        super().__init__()
        self._within = False
        self.held = ""

    def handle_starttag(self, tag: str, attrs: list[tuple[str, str | None]]) -> None:
        """The piece begins."""
        self._within = tag == "script" and ("id", _HOLDS) in attrs

    def handle_endtag(self, tag: str) -> None:
        """It ends."""
        self._within = False

    def handle_data(self, text: str) -> None:
        """What it holds."""
        if self._within:
            self.held += text
