"""A build is one row with its document; a write to it is one row with what it touched."""

from __future__ import annotations

import secrets

from django.db import models
from owners.models import Owner
from owners.thrown import Thrown


def new_key() -> str:
    """An opaque key for a build's address."""
    return secrets.token_urlsafe(9).replace("-", "x").replace("_", "y")


class Build(Thrown):
    """A build: its document, version and place in its history."""

    id: int
    key = models.CharField(max_length=16, unique=True, default=new_key)
    owner = models.ForeignKey(Owner, on_delete=models.CASCADE, related_name="builds")
    owner_id: int
    #: The build in build-file shape. Text: one that can't be read is kept as it is.
    document = models.TextField()
    #: Counts every write, undo and redo included.
    version = models.PositiveIntegerField(default=1)
    #: The last change that is in force; 0 before the first.
    head = models.PositiveIntegerField(default=0)
    changed_at = models.DateTimeField(auto_now=True)
    #: Of a variant: the key of the build that it began as, and at which version. It is a plan: what
    #: it names of the drawer it holds only once it is taken.
    began_as = models.CharField(max_length=16, default="", blank=True, db_index=True)
    began_version = models.PositiveIntegerField(default=0)
    #: What the builder put it together with.
    group = models.CharField(max_length=80, default="", blank=True)

    @property
    def is_variant(self) -> bool:
        """Whether it is a plan of another build."""
        return bool(self.began_as)

    def stamp(self, version: int) -> str:
        """What things are told by that come with a version: those of a variant from those of the
        build that it began as."""
        return f"{version}v{self.pk}" if self.is_variant else str(version)


class Card(models.Model):
    """What the list of builds shows of one, kept so that a list of hundreds need not work each out:
    of a version, by a program of a stamp, in a year. It is no source of anything; whatever differs
    makes it anew."""

    id: int
    build = models.OneToOneField(Build, on_delete=models.CASCADE, related_name="card")
    version = models.PositiveIntegerField()
    stamp = models.CharField(max_length=40)
    data = models.JSONField()


class Mark(models.Model):
    """A build as it was when somebody marked it: kept whole, whatever becomes of its history."""

    id: int
    build = models.ForeignKey(Build, on_delete=models.CASCADE, related_name="marks")
    name = models.CharField(max_length=60)
    version = models.PositiveIntegerField()
    document = models.TextField()
    at = models.DateTimeField(auto_now=True)

    class Meta:
        constraints = (models.UniqueConstraint(fields=("build", "name"), name="one_mark_a_name"),)


class Change(models.Model):
    """One write to a build. An action has its place in the linear history, and images of what it
    touched, before and after; a step back or forth has none, nor has what can't be redone any
    more. Of what each touched, the paths tell whether a stale edit collides."""

    id: int
    build = models.ForeignKey(Build, on_delete=models.CASCADE, related_name="changes")
    #: The version that it made; None: before there was one row a write.
    version = models.PositiveIntegerField(null=True)
    seq = models.PositiveIntegerField(null=True)
    title = models.CharField(max_length=200, default="")
    format_version = models.PositiveIntegerField()
    images = models.JSONField(default=list)
    paths = models.JSONField(default=list)
    at = models.DateTimeField(auto_now_add=True)

    class Meta:
        ordering = ("seq", "version")
        constraints = (
            models.UniqueConstraint(fields=("build", "seq"), name="one_change_a_place"),
            models.UniqueConstraint(fields=("build", "version"), name="one_version_a_write"),
        )
