"""A map that is asked for: one a build; and which supplies feed all sockets of one."""

from __future__ import annotations

from builds.models import Build
from django.db import models


class MapJob(models.Model):
    """What is asked of which version of a build, how far it is, and what came of it."""

    id: int
    build_id: int
    build = models.OneToOneField(Build, on_delete=models.CASCADE, related_name="map_job")
    #: What its job is called where the workers are asked; "" until it was.
    token = models.CharField(max_length=32)
    #: How often it was given to a worker.
    tries = models.PositiveIntegerField(default=1)
    version = models.PositiveIntegerField()
    wish = models.JSONField()
    state = models.CharField(max_length=10, default="waiting")
    done = models.PositiveIntegerField(default=0)
    of = models.PositiveIntegerField(default=0)
    stop = models.BooleanField(default=False)
    answer = models.JSONField(null=True)
    error = models.CharField(max_length=300, default="")


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
