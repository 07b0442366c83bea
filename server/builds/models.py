"""Tables for what has identity; the figures of a thing are one JSON column each, declared and
validated in the core. Unique constraints hold the use of a plug, a socket and a port."""

from __future__ import annotations

import secrets

from django.db import models
from owners.models import Owner
from owners.thrown import Thrown


def new_key() -> str:
    """An opaque key for a build's address."""
    return secrets.token_urlsafe(9).replace("-", "x").replace("_", "y")


class Build(Thrown):
    """A build: its header (name, note, rules, assumptions), version and place in its history."""

    id: int
    key = models.CharField(max_length=16, unique=True, default=new_key)
    owner = models.ForeignKey(Owner, on_delete=models.CASCADE, related_name="builds")
    owner_id: int
    header = models.JSONField()
    #: Counts every write, undo and redo included.
    version = models.PositiveIntegerField(default=1)
    #: The last change that is in force; 0 before the first.
    head = models.PositiveIntegerField(default=0)
    changed_at = models.DateTimeField(auto_now=True)


class _Keyed(models.Model):
    id: int
    build = models.ForeignKey(Build, on_delete=models.CASCADE)
    key = models.CharField(max_length=40)
    position = models.PositiveIntegerField()
    data = models.JSONField()

    class Meta:
        abstract = True
        ordering = ("position",)


class Part(_Keyed):
    """A part; `data` is its image in the build file."""

    class Meta(_Keyed.Meta):
        constraints = (models.UniqueConstraint(fields=("build", "key"), name="one_part_a_key"),)


class Supply(models.Model):
    """The build's supply, without its ports."""

    id: int
    build = models.OneToOneField(Build, on_delete=models.CASCADE)
    data = models.JSONField()


class Port(_Keyed):
    """A port of the build's supply."""

    class Meta(_Keyed.Meta):
        constraints = (models.UniqueConstraint(fields=("build", "key"), name="one_port_a_key"),)


class Cable(_Keyed):
    """A cable, without its plugs."""

    class Meta(_Keyed.Meta):
        constraints = (models.UniqueConstraint(fields=("build", "key"), name="one_cable_a_key"),)


class Plug(models.Model):
    """A plug of a cable."""

    id: int
    cable = models.ForeignKey(Cable, on_delete=models.CASCADE, related_name="plugs")
    key = models.CharField(max_length=40)
    position = models.PositiveIntegerField()
    data = models.JSONField()

    class Meta:
        ordering = ("position",)
        constraints = (models.UniqueConstraint(fields=("cable", "key"), name="one_plug_a_key"),)


class Run(models.Model):
    """One cable in its ports."""

    id: int
    build = models.ForeignKey(Build, on_delete=models.CASCADE)
    cable = models.OneToOneField(Cable, on_delete=models.CASCADE)
    pinned = models.BooleanField(default=False)


class RunPort(models.Model):
    """The use of a port by a run."""

    id: int
    run = models.ForeignKey(Run, on_delete=models.CASCADE, related_name="run_ports")
    port = models.OneToOneField(Port, on_delete=models.CASCADE)
    position = models.PositiveIntegerField()

    class Meta:
        ordering = ("position",)


class Connection(models.Model):
    """The use of a plug's half and an input: a socket of an instance of a part, or a lead of what
    stands in between, by its key. Deleted and inserted, never updated."""

    id: int
    build = models.ForeignKey(Build, on_delete=models.CASCADE)
    run = models.ForeignKey(Run, on_delete=models.CASCADE, related_name="connections")
    plug = models.ForeignKey(Plug, on_delete=models.CASCADE)
    half = models.CharField(max_length=8)
    target = models.CharField(max_length=40)
    instance = models.PositiveIntegerField()
    socket = models.CharField(max_length=40)

    class Meta:
        ordering = ("plug__position", "half")
        constraints = (
            models.UniqueConstraint(
                fields=("build", "target", "instance", "socket"), name="one_plug_in_an_input"
            ),
            models.UniqueConstraint(fields=("plug", "half"), name="one_use_of_a_half"),
        )


class Card(models.Model):
    """What the list of builds shows of one, kept so that a list of hundreds need not work each out:
    of a version, by a program of a stamp, in a year. It is no source of anything; whatever differs
    makes it anew."""

    id: int
    build = models.OneToOneField(Build, on_delete=models.CASCADE, related_name="card")
    version = models.PositiveIntegerField()
    stamp = models.CharField(max_length=40)
    data = models.JSONField()


class Change(models.Model):
    """One action in a build's linear history: before and after images of what it touched."""

    id: int
    build = models.ForeignKey(Build, on_delete=models.CASCADE, related_name="changes")
    seq = models.PositiveIntegerField()
    title = models.CharField(max_length=200)
    format_version = models.PositiveIntegerField()
    images = models.JSONField()
    at = models.DateTimeField(auto_now_add=True)

    class Meta:
        ordering = ("seq",)
        constraints = (models.UniqueConstraint(fields=("build", "seq"), name="one_change_a_place"),)


class Write(models.Model):
    """What each version touched, undo and redo included, to tell whether a stale edit collides."""

    id: int
    build = models.ForeignKey(Build, on_delete=models.CASCADE, related_name="writes")
    version = models.PositiveIntegerField()
    touched = models.JSONField()

    class Meta:
        ordering = ("version",)
        constraints = (
            models.UniqueConstraint(fields=("build", "version"), name="one_write_a_version"),
        )
