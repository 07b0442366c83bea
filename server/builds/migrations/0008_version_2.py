"""Builds, and what their histories keep of them, become of version 2 of the build file. What can't be
read stays as it lies."""

import json
from typing import Any

from builds.store import upgraded as upgraded_touched
from django.db import migrations
from easy_tally.files import upgraded


def _forward(apps: Any, schema: Any) -> None:
    with schema.connection.cursor() as at:
        at.execute("SELECT id, document FROM builds_build")
        for pk, text in at.fetchall():
            document = _parsed(text)
            if isinstance(document, dict) and document.get("version") == 1:
                text = json.dumps(upgraded(document, 2), ensure_ascii=False)
                at.execute("UPDATE builds_build SET document = %s WHERE id = %s", [text, pk])
        at.execute("SELECT id, images FROM builds_change WHERE format_version = 1")
        for pk, text in at.fetchall():
            images = _parsed(text)
            if isinstance(images, list) and all(_is_image(t) for t in images):
                text = json.dumps([upgraded_touched(t, 1) for t in images], ensure_ascii=False)
            at.execute(
                "UPDATE builds_change SET images = %s, format_version = 2 WHERE id = %s", [text, pk]
            )


def _is_image(touched: Any) -> bool:
    return isinstance(touched, dict) and {"entity", "before", "after"} <= touched.keys()


def _parsed(text: str) -> Any:
    try:
        return json.loads(text)
    except (ValueError, RecursionError):
        return None


class Migration(migrations.Migration):
    dependencies = (("builds", "0007_document"),)
    operations = (migrations.RunPython(_forward, migrations.RunPython.noop),)
