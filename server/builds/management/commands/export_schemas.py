"""`manage.py export_schemas`: write the snapshots in docs/ that the tests hold against the code."""

from __future__ import annotations

import json
from pathlib import Path
from typing import Any

from config.api import api
from django.conf import settings
from django.core.management.base import BaseCommand
from easy_tally import Report
from easy_tally.files import build_file
from pydantic import TypeAdapter


def snapshots() -> dict[str, str]:
    """File name in docs/ → its text."""
    result = TypeAdapter(Report).json_schema(mode="serialization")
    result["$schema"] = "https://json-schema.org/draft/2020-12/schema"
    things = {
        "openapi.json": api.get_openapi_schema(),
        "build-file.schema.json": build_file.schema(),
        "result.schema.json": result,
    }
    return {n: json.dumps(t, indent=1, ensure_ascii=False) + "\n" for n, t in things.items()}


class Command(BaseCommand):
    """Writes the OpenAPI description and the two JSON Schemas."""

    help = "Write the schema snapshots in docs/."

    def handle(self, *args: Any, **options: Any) -> None:
        for name, text in snapshots().items():
            Path(settings.ROOT / "docs" / name).write_text(text, encoding="utf-8")
            self.stdout.write(f"docs/{name}")
