"""Sets of readings, files that are being read, heads that were learnt, attempts at exercises."""

from __future__ import annotations

from builds.models import Build
from django.db import models
from owners.models import Owner
from owners.thrown import Thrown


class Taken(Thrown):
    """A set of readings of a build; its rows lie in a file outside the database."""

    id: int
    build = models.ForeignKey(Build, on_delete=models.CASCADE, related_name="readings")
    key = models.CharField(max_length=32, unique=True)
    name = models.CharField(max_length=120)
    #: typed, file, simulated, stream
    source = models.CharField(max_length=10)
    #: coming: a stream that runs; whole; broken off: a stream that ended by itself.
    state = models.CharField(max_length=10, default="whole")
    #: Why it ended, or what was left out of a file.
    said = models.CharField(max_length=300, default="")
    channels = models.JSONField()
    #: Spans that the builder or the file named; none: they are recognised.
    named = models.JSONField(default=list)
    problems = models.JSONField(default=list)
    samples = models.PositiveIntegerField(default=0)
    began = models.CharField(max_length=40, default="")
    at = models.DateTimeField(auto_now_add=True)
    #: When a stream last said something; and whether it was asked to end.
    seen = models.DateTimeField(auto_now=True)
    stop = models.BooleanField(default=False)
    version = models.PositiveIntegerField()
    #: Whether every number of it is known to end; sets of earlier versions were not looked over.
    looked_over = models.BooleanField(default=False)

    class Meta:
        ordering = ("-at", "-pk")


class Reading(models.Model):
    """A file that is being read: how far it is, and what came of it."""

    id: int
    build = models.ForeignKey(Build, on_delete=models.CASCADE, related_name="reading_jobs")
    key = models.CharField(max_length=32, unique=True)
    name = models.CharField(max_length=120)
    names = models.JSONField()
    #: Whether good lines are kept where others are broken.
    keep_good = models.BooleanField()
    version = models.PositiveIntegerField()
    state = models.CharField(max_length=10, default="waiting")
    done = models.BigIntegerField(default=0)
    of = models.BigIntegerField(default=0)
    stop = models.BooleanField(default=False)
    #: How often it was taken up.
    tries = models.PositiveIntegerField(default=1)
    taken = models.CharField(max_length=32, default="")
    problems = models.JSONField(default=list)
    of_problems = models.PositiveIntegerField(default=0)
    error = models.CharField(max_length=500, default="")


class Learnt(models.Model):
    """What a column's head means to an owner."""

    id: int
    owner = models.ForeignKey(Owner, on_delete=models.CASCADE)
    head = models.CharField(max_length=120)
    means = models.CharField(max_length=80)

    class Meta:
        constraints = (models.UniqueConstraint(fields=("owner", "head"), name="one_meaning"),)


class Attempt(models.Model):
    """An answer to an exercise: what was said, whether it was right, after how many looks."""

    id: int
    owner = models.ForeignKey(Owner, on_delete=models.CASCADE)
    exercise = models.PositiveIntegerField()
    #: The build and the seed of an exercise of one's own.
    build = models.CharField(max_length=16, default="")
    seed = models.PositiveIntegerField(default=0)
    joint = models.CharField(max_length=80)
    reason = models.CharField(max_length=20)
    right_joint = models.BooleanField()
    right_reason = models.BooleanField()
    looks = models.PositiveIntegerField(default=0)
    at = models.DateTimeField(auto_now_add=True)

    class Meta:
        ordering = ("-at", "-pk")
