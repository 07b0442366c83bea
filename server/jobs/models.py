"""What is asked of the workers: a map, one a build; questions; which supplies feed all sockets."""

from __future__ import annotations

from typing import Any

from builds.models import Build
from django.db import models


class Job(models.Model):
    """What is asked of which version of a build, how far it is, and what came of it."""

    id: int
    build_id: int
    #: What its job is called where the workers are asked; "" until it was.
    token = models.CharField(max_length=32)
    #: How often it was given to a worker.
    tries = models.PositiveIntegerField(default=1)
    version = models.PositiveIntegerField()
    state = models.CharField(max_length=10, default="waiting")
    done = models.PositiveIntegerField(default=0)
    of = models.PositiveIntegerField(default=0)
    stop = models.BooleanField(default=False)
    answer = models.JSONField(null=True)
    error = models.CharField(max_length=300, default="")

    #: Each kind has a build of its own.
    build: models.ForeignKey[Build, Build]
    objects: models.Manager[Any] = models.Manager()

    class Meta:
        abstract = True


class MapJob(Job):
    """A map that is asked for: one a build."""

    build = models.OneToOneField(Build, on_delete=models.CASCADE, related_name="map_job")
    wish = models.JSONField()


class Question(Job):
    """A question that was asked of a build, with its answer and the builds that it tells of: as
    asked, then by each of its ways. The last ones are kept."""

    build = models.ForeignKey(Build, on_delete=models.CASCADE, related_name="questions")
    text = models.CharField(max_length=400)
    #: What its part comes in place of, by key, and the change that it was understood as; what else
    #: it may come in place of, and what of the line does not count.
    instead = models.CharField(max_length=60, default="")
    change = models.JSONField()
    places = models.JSONField(default=list)
    left_out = models.JSONField(default=list)
    #: A mark of what it is answered by: drawer, prices, record.
    around = models.CharField(max_length=64, default="")
    documents = models.JSONField(default=list)
    asked_at = models.DateTimeField(auto_now_add=True)

    class Meta:
        ordering = ("-pk",)


class SchoolJob(Job):
    """A build under every school: one a build. `documents`: the build as each school maps it, by
    the school's id."""

    build = models.OneToOneField(Build, on_delete=models.CASCADE, related_name="school_job")
    #: A mark of the schools, and of what they are answered by.
    around = models.CharField(max_length=64, default="")
    documents = models.JSONField(default=dict)


class Feeds(models.Model):
    """What a map of a build comes to with a supply that may be taken, or by a position of a house
    rule: by the build's version and the supply's slug, or `rule:` with rule and position."""

    id: int
    build = models.ForeignKey(Build, on_delete=models.CASCADE, related_name="feeds")
    version = models.PositiveIntegerField()
    slug = models.CharField(max_length=100)
    unfed = models.PositiveIntegerField()
    needed = models.PositiveIntegerField()
    text = models.CharField(max_length=300, default="")

    class Meta:
        constraints = (
            models.UniqueConstraint(
                fields=("build", "version", "slug"), name="one_answer_a_supply"
            ),
        )
