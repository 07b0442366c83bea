"""A short cut of `make soak`: broken files and generated requests, the same each time. Nothing that
is sent makes a fault, and every answer is one that the interface describes."""

from __future__ import annotations

import json
import tempfile
from pathlib import Path
from urllib.parse import urlencode

from django.conf import settings
from django.test import override_settings

from builds.models import Build
from builds.tests import flooding
from builds.tests.support import HERON, ApiCase

#: Operations that start processes, or take the build away that the others are asked of.
LEFT_OUT = {"hearStream", "removeBuild"}


class Flood(ApiCase):
    def setUp(self) -> None:
        super().setUp()
        folder = tempfile.TemporaryDirectory()
        self.addCleanup(folder.cleanup)
        var = override_settings(VAR=Path(folder.name))
        var.enable()
        self.addCleanup(var.disable)

    def test_broken_files_are_opened_or_refused(self) -> None:
        opened = 0
        for text in flooding.broken_files(HERON, seed=1, count=240):
            status, found = self.call("post", "/builds/open", {"text": text})
            self.assertIn(status, (201, 400, 422), text[:200])
            if status == 201:
                opened += 1
                again, _ = self.call("get", f"/builds/{found['key']}")
                self.assertEqual(again, 200)
        self.assertEqual(Build.objects.count(), opened)

    def test_every_operation_answers_as_it_is_described(self) -> None:
        text = (settings.ROOT / "docs/openapi.json").read_text(encoding="utf-8")
        key = self.open()["key"]
        asked: dict[str, int] = {}
        for r in flooding.requests(json.loads(text), key, seed=2, each=4):
            if r.operation in LEFT_OUT:
                continue
            data = {} if r.body is None else {"data": json.dumps(r.body)}
            response = (
                getattr(self.client, r.method)(
                    r.path, **data, content_type="application/json", QUERY_STRING=_query(r.query)
                )
                if r.method != "get"
                else self.client.get(r.path, r.query)
            )
            what = f"{r.operation} {r.path} {r.query} {json.dumps(r.body)[:300]}"
            self.assertLess(response.status_code, 500, what)
            self.assertIn(response.status_code, r.documented, what)
            if response.status_code >= 400:
                self.assertEqual(response["Content-Type"], "application/problem+json", what)
            asked[r.operation] = asked.get(r.operation, 0) + 1
        self.assertGreater(len(asked), 60)


def _query(query: dict[str, str]) -> str:
    return urlencode(query, errors="replace")
