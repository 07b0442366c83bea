"""Calls to the interface as the page makes them."""

from __future__ import annotations

import json
from pathlib import Path
from typing import Any

from django.test import TestCase
from easy_tally.editing import Edit
from owners.models import current_owner

from builds import actions, results
from builds.models import Build

ROOT = Path(__file__).resolve().parents[3]
HERON = (ROOT / "demo/builds/heron.tally.json").read_text(encoding="utf-8")


def heron() -> Build:
    """Heron in the database."""
    return actions.open_file(current_owner(), HERON)


def act(row: Build, edit: Edit, base: int | None = None) -> actions.Written:
    """Make an edit, on the newest version unless `base` names another."""
    row = Build.objects.get(pk=row.pk)
    return actions.act(current_owner(), row.key, row.version if base is None else base, edit)


class ApiCase(TestCase):
    """Speaks JSON with the interface."""

    def setUp(self) -> None:
        results.forget()

    def call(self, method: str, path: str, body: Any = None) -> tuple[int, Any]:
        """(status, parsed answer)."""
        response = getattr(self.client, method)(
            f"/api/v1{path}",
            **(
                {}
                if body is None
                else {"data": json.dumps(body), "content_type": "application/json"}
            ),
        )
        kind = response.headers.get("Content-Type", "")
        told = "json" in kind and response.content
        return response.status_code, json.loads(response.content) if told else None

    def open(self, text: str = HERON) -> dict[str, Any]:
        """Open a build file."""
        status, built = self.call("post", "/builds/open", {"text": text})
        assert status == 201, built
        return dict(built)

    def act(self, key: str, version: int, **action: Any) -> tuple[int, Any]:
        """Make an edit."""
        return self.call(
            "post", f"/builds/{key}/actions", {"base_version": version, "action": action}
        )
