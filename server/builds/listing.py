"""The list of builds: each by itself, so that one which can't be read takes no other down."""

from __future__ import annotations

import logging
from typing import Any

from owners.models import Owner

from builds import models, results, store

_log = logging.getLogger(__name__)


def cards(owner: Owner) -> list[dict[str, Any]]:
    """A card for each build of an owner, the one changed last first."""
    rows = owner.builds.defer("header").order_by("-changed_at", "-pk")
    return [_card(row) for row in rows]


def _card(row: models.Build) -> dict[str, Any]:
    at = {"key": row.key, "changed_at": row.changed_at}
    try:
        found = results.worked(row)
    except store.Unreadable as error:
        return at | _unreadable(row, str(error))
    except Exception:  # noqa: BLE001 - whatever broke, the other builds are listed
        _log.exception("build %s can't be worked out", row.key)
        return at | _unreadable(row, "It can’t be worked out: a fault of Easy Tally.")
    build = found.analysis.build
    return at | {
        "name": build.name, "note": build.note, "strip": found.result.strip,
        "overall": found.result.overall, "problem": "",
    }  # fmt: skip


def _unreadable(row: models.Build, problem: str) -> dict[str, Any]:
    return {
        "name": store.name_of(row), "note": "", "strip": None, "overall": None,
        "problem": problem,
    }  # fmt: skip
