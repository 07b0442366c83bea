"""What was thrown away lies in a bin for thirty days: it is nowhere else meanwhile, and can be
brought back."""

from __future__ import annotations

from collections.abc import Callable
from datetime import datetime, timedelta
from pathlib import Path
from typing import Any, Literal

from django.db import models
from django.utils import timezone
from ninja import Schema

Kind = Literal["part", "readings", "photo", "build"]
#: How long the bin keeps a thing.
KEPT = timedelta(days=30)


class InBin(Schema):
    """A thing in the bin: what kind, its key, its name, when it was thrown away and until when it
    is kept."""

    kind: Kind
    key: str
    name: str
    thrown: str
    until: str

    @classmethod
    def of(cls, row: Thrown, kind: Kind, key: str, name: str) -> InBin:
        """One that was thrown away."""
        at = row.thrown or timezone.now()
        return cls(
            kind=kind, key=key, name=name, thrown=at.isoformat(), until=(at + KEPT).isoformat()
        )


class Kept(models.Manager[Any]):
    """Those that were not thrown away."""

    def get_queryset(self) -> models.QuerySet[Any]:
        """Without those in the bin."""
        return super().get_queryset().filter(thrown=None)


class Thrown(models.Model):
    """Something that can be thrown away, and brought back."""

    #: When it was thrown away; None: it was not.
    thrown = models.DateTimeField(null=True, default=None, db_index=True)

    objects = Kept()
    every: models.Manager[Any] = models.Manager()

    class Meta:
        abstract = True

    def throw(self) -> None:
        """Put it into the bin."""
        self._put(timezone.now())

    def bring_back(self) -> None:
        """Take it out of the bin again."""
        self._put(None)

    def _put(self, when: datetime | None) -> None:
        type(self).every.filter(pk=self.pk).update(thrown=when)
        self.thrown = when


def in_bin(model: type[Thrown], **which: Any) -> models.QuerySet[Any]:
    """Those of a kind in the bin, the last thrown first."""
    return model.every.filter(**which).exclude(thrown=None).order_by("-thrown")


def sweep_files(model: type[Thrown], path_of: Callable[[str], Path], **which: Any) -> None:
    """Remove those of a kind whose time is over, or `which` are said, each with its file; the row
    first, so that nothing names a file that is gone."""
    for row in model.every.filter(**which) if which else long_gone(model):
        key = row.key
        row.delete()
        path_of(key).unlink(missing_ok=True)


def long_gone(model: type[Thrown]) -> models.QuerySet[Any]:
    """Those of a kind whose time in the bin is over."""
    return model.every.filter(thrown__lt=timezone.now() - KEPT)
