"""A build becomes one document. What stood in tables is put together, and each change is made into
today's shape; a build that can't be put together keeps what is there of it, as it lies."""

import json
from typing import Any

from builds.older import changes_of_today
from django.db import migrations, models

#: What is fetched of each table, as text: a column that is no JSON takes nothing else down.
_TABLES = {
    "parts": "SELECT key, position, data FROM builds_part WHERE build_id = %s ORDER BY position",
    "supply": "SELECT '', 0, data FROM builds_supply WHERE build_id = %s",
    "ports": "SELECT key, position, data FROM builds_port WHERE build_id = %s ORDER BY position",
    "cables": "SELECT key, position, data FROM builds_cable WHERE build_id = %s ORDER BY position",
}
_PLUGS = (
    "SELECT c.key, p.data FROM builds_plug p JOIN builds_cable c ON c.id = p.cable_id "
    "WHERE c.build_id = %s ORDER BY p.position"
)
_RUNS = (
    "SELECT c.key, r.pinned FROM builds_run r JOIN builds_cable c ON c.id = r.cable_id "
    "WHERE r.build_id = %s ORDER BY c.position"
)
_PORTS = (
    "SELECT c.key, o.key FROM builds_runport u JOIN builds_run r ON r.id = u.run_id "
    "JOIN builds_cable c ON c.id = r.cable_id JOIN builds_port o ON o.id = u.port_id "
    "WHERE r.build_id = %s ORDER BY u.position"
)
_PLUGGED = (
    "SELECT c.key, p.key, x.half, x.target, x.instance, x.socket FROM builds_connection x "
    "JOIN builds_plug p ON p.id = x.plug_id JOIN builds_cable c ON c.id = p.cable_id "
    "WHERE x.build_id = %s ORDER BY p.position, x.half"
)


def _documents(apps: Any, schema: Any) -> None:
    with schema.connection.cursor() as at:
        at.execute("SELECT id, header, head FROM builds_build")
        for pk, header, head in at.fetchall():
            rows = {name: _fetched(at, query, pk) for name, query in _TABLES.items()}
            try:
                document = json.dumps(_together(at, pk, json.loads(header), rows))
            except (ValueError, TypeError, KeyError, AttributeError):
                there = {n: [_parsed(text) for *_, text in of] for n, of in rows.items()}
                document = json.dumps({"build": _parsed(header)} | there)
            at.execute("UPDATE builds_build SET document = %s WHERE id = %s", [document, pk])
            places = {
                f"{kind}:{key}": position
                for kind in ("part", "cable") for key, position, _ in rows[f"{kind}s"]
            }  # fmt: skip
            _changes(at, pk, head, places)


def _fetched(at: Any, query: str, pk: int) -> list[Any]:
    at.execute(query, [pk])
    return list(at.fetchall())


def _parsed(text: str) -> Any:
    try:
        return json.loads(text)
    except ValueError:
        return text


def _together(at: Any, pk: int, header: Any, rows: dict[str, list[Any]]) -> Any:
    """The build in build-file shape. Raises what JSON that is none raises."""
    parts, ports = ([json.loads(text) for *_, text in rows[n]] for n in ("parts", "ports"))
    supply = next((json.loads(text) | {"ports": ports} for *_, text in rows["supply"]), None)
    plugs: dict[str, list[Any]] = {}
    for cable, text in _fetched(at, _PLUGS, pk):
        plugs.setdefault(cable, []).append(json.loads(text))
    cables = [json.loads(text) | {"plugs": plugs.get(key, [])} for key, _, text in rows["cables"]]
    runs: dict[str, Any] = {
        cable: {"cable": cable, "ports": [], "connections": [], "pinned": bool(pinned)}
        for cable, pinned in _fetched(at, _RUNS, pk)
    }
    for cable, port in _fetched(at, _PORTS, pk):
        runs[cable]["ports"].append(port)
    for cable, plug, half, part, instance, socket in _fetched(at, _PLUGGED, pk):
        of = {"part": part, "instance": instance, "socket": socket}
        runs[cable]["connections"].append({"plug": plug, "half": half, "socket": of})
    return header | {
        "parts": parts, "supply": supply, "cables": cables, "runs": list(runs.values()),
    }  # fmt: skip


def _changes(at: Any, pk: int, head: int, places: dict[str, int]) -> None:
    rows = _fetched(at, "SELECT id, images FROM builds_change WHERE build_id = %s ORDER BY seq", pk)
    try:
        new = changes_of_today([json.loads(images) for _, images in rows], head, places)
    except (ValueError, TypeError, KeyError, AttributeError):
        return  # of a build that can't be read: undo says so
    for (change, _), images in zip(rows, new, strict=True):
        at.execute(
            "UPDATE builds_change SET images = %s WHERE id = %s", [json.dumps(images), change]
        )


def _writes(apps: Any, schema: Any) -> None:
    """What each version touched: rows of the one table of writes."""
    with schema.connection.cursor() as at:
        at.execute(
            "INSERT INTO builds_change (build_id, version, seq, title, format_version, images, "
            "paths, at) SELECT w.build_id, w.version, NULL, '', 1, '[]', w.touched, b.changed_at "
            "FROM builds_write w JOIN builds_build b ON b.id = w.build_id"
        )


class Migration(migrations.Migration):
    dependencies = (("builds", "0006_into_the_bin"),)
    operations = (
        migrations.AddField("build", "document", models.TextField(default="")),
        migrations.AddField("change", "version", models.PositiveIntegerField(null=True)),
        migrations.AddField("change", "paths", models.JSONField(default=list)),
        migrations.AlterField("change", "seq", models.PositiveIntegerField(null=True)),
        migrations.AlterField("change", "title", models.CharField(default="", max_length=200)),
        migrations.AlterField("change", "images", models.JSONField(default=list)),
        migrations.RunPython(_documents, migrations.RunPython.noop),
        migrations.RunPython(_writes, migrations.RunPython.noop),
        migrations.AlterField("build", "document", models.TextField()),
        migrations.AlterModelOptions("change", {"ordering": ("seq", "version")}),
        migrations.AddConstraint(
            "change",
            models.UniqueConstraint(fields=("build", "version"), name="one_version_a_write"),
        ),
        migrations.DeleteModel("Connection"),
        migrations.DeleteModel("RunPort"),
        migrations.DeleteModel("Run"),
        migrations.DeleteModel("Plug"),
        migrations.DeleteModel("Cable"),
        migrations.DeleteModel("Port"),
        migrations.DeleteModel("Supply"),
        migrations.DeleteModel("Part"),
        migrations.DeleteModel("Write"),
        migrations.RemoveField("build", "header"),
    )
