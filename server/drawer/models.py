"""Things in the drawer, and their use: one row for each unit that is in a build."""

from __future__ import annotations

from django.db import models
from owners.models import Owner


class Thing(models.Model):
    """A thing; `data` is a core `DrawerThing`, validated there."""

    id: int
    owner = models.ForeignKey(Owner, on_delete=models.CASCADE, related_name="things")
    key = models.CharField(max_length=40)
    data = models.JSONField()

    class Meta:
        ordering = ("pk",)
        constraints = (models.UniqueConstraint(fields=("owner", "key"), name="one_thing_a_key"),)


class Use(models.Model):
    """One unit of a thing in a build, by the build's key: builds know of the drawer, not the other
    way round. `unit` counts from 1 to as many as there are of it."""

    id: int
    thing = models.ForeignKey(Thing, on_delete=models.PROTECT, related_name="uses")
    unit = models.PositiveIntegerField()
    build = models.CharField(max_length=16)

    class Meta:
        ordering = ("unit",)
        constraints = (models.UniqueConstraint(fields=("thing", "unit"), name="one_build_a_unit"),)
