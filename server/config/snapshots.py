"""`python -m config.snapshots`: write the snapshots in docs/ that tests hold against the code."""

from __future__ import annotations

import json
import os
import sys
from pathlib import Path

ROOT = Path(__file__).resolve().parents[2]


def snapshots() -> dict[str, str]:
    """File name in docs/ → its text."""
    from easy_tally import Report
    from easy_tally.files import build_file
    from pydantic import TypeAdapter

    from config.api import api

    result = TypeAdapter(Report).json_schema(mode="serialization")
    result["$schema"] = "https://json-schema.org/draft/2020-12/schema"
    things = {
        "openapi.json": api.get_openapi_schema(),
        "build-file.schema.json": build_file.schema(),
        "result.schema.json": result,
    }
    return {n: json.dumps(t, indent=1, ensure_ascii=False) + "\n" for n, t in things.items()}


def main() -> None:
    """Write the OpenAPI description and the two JSON Schemas."""
    sys.path.insert(0, str(ROOT / "core"))
    os.environ.setdefault("DJANGO_SETTINGS_MODULE", "config.settings")
    import django

    django.setup()
    for name, text in snapshots().items():
        (ROOT / "docs" / name).write_text(text, encoding="utf-8")
        print(f"docs/{name}")


if __name__ == "__main__":
    main()
