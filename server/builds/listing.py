"""The list of builds: each by itself, so that one which can't be read takes no other down."""

from __future__ import annotations

import hashlib
import logging
from functools import lru_cache
from pathlib import Path
from typing import Any

import easy_tally
from base.writing import writing
from django.db import DatabaseError
from django.db.models import F
from django.utils import timezone
from drawer import store as drawer
from easy_tally.publishing import Overall, Strip
from owners.models import Owner
from pydantic import TypeAdapter

from builds import models, results, store

_log = logging.getLogger(__name__)
_STRIP: TypeAdapter[Any] = TypeAdapter(Strip)
_OVERALL: TypeAdapter[Any] = TypeAdapter(Overall)


@lru_cache(maxsize=1)
def _program() -> str:
    """What tells this program from another: the core's files, by name, size and time."""
    files = sorted(Path(easy_tally.__file__).parent.rglob("*.py"))
    told = [(f.name, (s := f.stat()).st_size, s.st_mtime_ns) for f in files]
    return hashlib.sha256(repr(told).encode()).hexdigest()[:32]


def stamp(owner: Owner) -> str:
    """Of this program, this year, since what depends on age does on that, and of the adapters that
    lie in the owner's drawer: they are at hand."""
    lying = [a.model_dump_json() for a in drawer.adapters(owner.pk)]
    told = repr((_program(), timezone.now().year, lying))
    return hashlib.sha256(told.encode()).hexdigest()[:40]


def cards(owner: Owner) -> list[dict[str, Any]]:
    """A card for each build of an owner, the one changed last first. What was worked out before, of
    the same version by the same program, is not worked out again."""
    rows = list(owner.builds.defer("document").order_by("-changed_at", "-pk"))
    now = stamp(owner)
    kept = {
        c.build_id: c.data
        for c in models.Card.objects.filter(
            build__owner=owner, stamp=now, version=F("build__version")
        )
    }
    cards, new = [], []
    for row in rows:
        at = {
            "key": row.key,
            "changed_at": row.changed_at,
            "group": row.group,
            "began_as": row.began_as,
        }
        card = kept.get(row.pk)
        if card is None:
            card = _card(row)
            if not card["problem"]:
                new.append(models.Card(build=row, version=row.version, stamp=now, data=card))
        cards.append(at | card)
    if new:
        _keep(new)
    return cards


def _keep(new: list[models.Card]) -> None:
    """Keep cards; where that can't be, the list is none the worse."""
    try:
        with writing():
            models.Card.objects.filter(build__in=[c.build for c in new]).delete()
            models.Card.objects.bulk_create(new)
    except DatabaseError:
        _log.exception("cards could not be kept")


def _card(row: models.Build) -> dict[str, Any]:
    try:
        worked = results.worked(row)
    except store.Unreadable as error:
        return _unreadable(row, str(error))
    except Exception:  # noqa: BLE001 - whatever broke, the other builds are listed
        _log.exception("build %s can't be worked out", row.key)
        return _unreadable(row, "It can’t be worked out: a fault of Easy Tally.")
    build = worked.analysis.build
    return {
        "name": build.name,
        "note": build.note,
        "problem": "",
        "strip": _STRIP.dump_python(worked.result.strip, mode="json"),
        "overall": _OVERALL.dump_python(worked.result.overall, mode="json"),
    }


def _unreadable(row: models.Build, problem: str) -> dict[str, Any]:
    return {
        "name": store.name_of(row),
        "note": "",
        "strip": None,
        "overall": None,
        "problem": problem,
    }
