"""How large a request may be, decided by its head before anything of its body is kept: by what it
is for, and whether it has the token for writing. What is refused so answers as everything does."""

from __future__ import annotations

import copy
import json
from typing import Any
from weakref import WeakSet

from waitress.channel import HTTPChannel
from waitress.parser import HTTPRequestParser
from waitress.utilities import Error

#: Bytes of a body: without a token, with one, of a photo, of a file of readings with their form.
MOST_BARE, MOST_USUAL, MOST_PHOTO, MOST_READINGS = 65_536, 9_000_000, 12_100_000, 401_000_000
#: A body larger than this lies on the disk meanwhile; so many of them at once.
LARGE, MOST_LARGE = 20_000_000, 3
_SAID = {
    400: ("unreadable", "That can't be read", "The request is not one of HTTP."),
    413: (
        "too-large",
        "Too large",
        "Send less at once, or load the page again: without its token for writing little is taken.",
    ),
    431: ("too-large", "Too large", "The head of the request is too large."),
    503: ("busy", "Busy", "Several large files are being sent; send this one again in a moment."),
}


class Refused(Error):  # type: ignore[misc]
    """What is answered before Django hears of a request."""

    def __init__(self, code: int, reason: str) -> None:
        super().__init__("")
        self.code, self.reason = code, reason

    def to_response(self, ident: str | None = None) -> tuple[str, list[tuple[str, str]], bytes]:
        """The same shape and the same policies as everything else."""
        kind, title, detail = _SAID.get(self.code, _SAID[400])
        body = {
            "type": f"urn:easy-tally:{kind}",
            "title": title,
            "status": self.code,
            "detail": detail,
        }
        headers = [
            ("Content-Type", "application/problem+json"),
            ("Cache-Control", "no-store"),
            ("Content-Security-Policy", "default-src 'none'; frame-ancestors 'none'"),
            ("X-Content-Type-Options", "nosniff"),
            ("X-Frame-Options", "DENY"),
            ("Cross-Origin-Resource-Policy", "same-origin"),
        ]
        return f"{self.code} {self.reason}", headers, json.dumps(body).encode()


#: Requests whose large body is coming or is worked on.
_large: WeakSet[BoundedRequest] = WeakSet()


class BoundedRequest(HTTPRequestParser):  # type: ignore[misc]
    """A request whose body is bounded by its head."""

    def parse_header(self, header_plus: bytes) -> None:
        """Read the head, and take the bound of its body from it."""
        super().parse_header(header_plus)
        most = self._most()
        # The bounds of this request alone: chunks are counted against them too.
        self.adj: Any = copy.copy(self.adj)
        self.adj.max_request_body_size = most + 1
        if self.content_length > LARGE or (self.chunked and most > LARGE):
            self.is_one_too_many = len(_large) >= MOST_LARGE
            _large.add(self)

    is_one_too_many = False
    error: Any = None

    def _most(self) -> int:
        cookie, token = self.headers.get("COOKIE", ""), self.headers.get("X_CSRFTOKEN", "")
        if "csrftoken=" not in cookie or len(token) < 32:
            return MOST_BARE
        if self.path.endswith("/readings/file"):
            return MOST_READINGS
        return MOST_PHOTO if self.path.endswith("/photos") else MOST_USUAL

    def received(self, received_bytes: bytes) -> int:
        """Take what came."""
        taken: int = super().received(received_bytes)
        if self.is_one_too_many and self.headers_finished and self.error is None:
            self.error = Refused(503, "Service Unavailable")
            self.completed = True
        elif self.error is not None and not isinstance(self.error, Refused):
            self.error = Refused(self.error.code, self.error.reason)
        return taken

    def close(self) -> None:
        """It is answered, or given up."""
        _large.discard(self)
        super().close()


class BoundedChannel(HTTPChannel):  # type: ignore[misc]
    """A connection of such requests."""

    parser_class: Any = BoundedRequest
