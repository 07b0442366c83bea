"""The record of a build: entries are added and never changed; the map may change, they stay."""

from __future__ import annotations

from builds.models import Build
from django.db import models
from owners.thrown import Thrown


class Entry(models.Model):
    """One thing that was done or found. `uid` is made by whoever sends it, so that what is sent
    twice stands once."""

    id: int
    build = models.ForeignKey(Build, on_delete=models.CASCADE, related_name="bench")
    uid = models.CharField(max_length=40)
    step = models.CharField(max_length=200)
    #: done, undone, warm, browned, loose, looked at, note, photo
    kind = models.CharField(max_length=12)
    #: What the step was called then.
    words = models.CharField(max_length=300)
    text = models.CharField(max_length=1000, default="")
    #: Which very things it was done to, by the mark of the step; "" in records of earlier versions.
    of = models.CharField(max_length=40, default="")
    who = models.CharField(max_length=60, default="")
    #: When it was done, by the clock of the device; and when it arrived.
    at = models.DateTimeField()
    arrived = models.DateTimeField(auto_now_add=True)
    version = models.PositiveIntegerField()
    #: What it tells of individuals: [act, thing, place] each, as `easy_tally.bench.Act`.
    acts = models.JSONField(default=list)
    #: What a tick did beside the bench, to be undone with it: keys that it put into the drawer.
    settled = models.JSONField(default=dict)

    class Meta:
        ordering = ("at", "pk")
        constraints = (models.UniqueConstraint(fields=("build", "uid"), name="one_entry_a_uid"),)


class Kept(models.Model):
    """An individual that a record tells of, as it was then: the build may have it no longer."""

    id: int
    build = models.ForeignKey(Build, on_delete=models.CASCADE, related_name="individuals")
    individual = models.CharField(max_length=100)
    data = models.JSONField()

    class Meta:
        constraints = (
            models.UniqueConstraint(fields=("build", "individual"), name="one_of_an_individual"),
        )


class Photo(Thrown):
    """A photo at a step; its file lies outside the database."""

    id: int
    build = models.ForeignKey(Build, on_delete=models.CASCADE, related_name="photos")
    key = models.CharField(max_length=32, unique=True)
    step = models.CharField(max_length=200)
    #: Sockets, ports and headers that it shows: it comes back where one of them is plugged.
    places = models.JSONField(default=list)
    width = models.PositiveIntegerField()
    height = models.PositiveIntegerField()
    at = models.DateTimeField(auto_now_add=True)

    class Meta:
        ordering = ("pk",)
