"""A request is bounded by its head, before anything of its body is kept."""

from __future__ import annotations

import json
import unittest
from typing import Any

from waitress.adjustments import Adjustments

from config.bounds import LARGE, MOST_LARGE, BoundedRequest

_TOKEN = f"Cookie: csrftoken={'a' * 32}\r\nX-CSRFToken: {'a' * 32}\r\n"


class Bounds(unittest.TestCase):
    def ask(self, path: str, length: int | None, token: bool = True) -> BoundedRequest:
        """What is made of a head; without a length: in chunks."""
        size = "Transfer-Encoding: chunked" if length is None else f"Content-Length: {length}"
        head = f"POST {path} HTTP/1.1\r\nHost: localhost\r\n{_TOKEN if token else ''}{size}\r\n\r\n"
        found = BoundedRequest(Adjustments(max_request_body_size=401_000_000))
        found.received(head.encode())
        self.addCleanup(found.close)
        return found

    def code(self, *of: Any) -> int:
        """How a head is refused; 0: it is not."""
        found = self.ask(*of)
        found.close()
        return found.error.code if found.error else 0

    def test_by_what_it_is_for(self) -> None:
        photos, readings = "/api/v1/builds/k/photos", "/api/v1/builds/k/readings/file"
        for path, length, token, code in (
            ("/api/v1/builds", 9_000_000, True, 0),
            ("/api/v1/builds", 9_000_001, True, 413),
            (photos, 12_000_000, True, 0),
            (photos, 12_100_001, True, 413),
            (readings, 400_000_000, True, 0),
            (readings, 401_000_001, True, 413),
            (readings, 65_536, False, 0),
            (readings, 65_537, False, 413),
            ("/", 400_000_000, False, 413),
        ):
            with self.subTest(path=path, length=length, token=token):
                self.assertEqual(self.code(path, length, token), code)

    def test_chunks_are_counted(self) -> None:
        found = self.ask("/api/v1/builds", None, False)
        found.received(b"10000\r\n" + bytes(65_536) + b"\r\n1\r\n")
        self.assertEqual((found.error and found.error.code, found.completed), (413, True))

    def test_not_too_many_large_ones_at_once(self) -> None:
        path = "/api/v1/builds/k/readings/file"
        several = [self.ask(path, LARGE + 1) for _ in range(MOST_LARGE)]
        self.assertFalse(any(r.error for r in several))
        self.assertEqual(self.code(path, LARGE + 1), 503)
        self.assertEqual(self.code(path, 1000), 0)
        several[0].close()
        self.assertEqual(self.code(path, LARGE + 1), 0)

    def test_what_is_refused_so_is_shaped_as_everything_is(self) -> None:
        found = self.ask("/api/v1/builds", 9_000_001)
        status, headers, body = found.error.to_response()
        self.assertEqual(status, "413 Request Entity Too Large")
        self.assertEqual(json.loads(body)["type"], "urn:easy-tally:too-large")
        self.assertLessEqual(
            {"Content-Security-Policy", "X-Content-Type-Options", "Cross-Origin-Resource-Policy"},
            {name for name, _ in headers},
        )
        for head in (b"nonsense\r\n\r\n", b"GET / HTTP/1.1\r\nBad Header: \r\n\r\n"):
            broken = BoundedRequest(Adjustments())
            broken.received(head)
            self.assertEqual(broken.error.to_response()[1], headers)
