"""A builder's own entries of the parts catalogue; those that ship are read from their file."""

from __future__ import annotations

from django.db import models
from owners.models import Owner
from owners.thrown import Thrown


class OwnPart(Thrown):
    """An entry of an owner's; `data` is its part in build-file shape, validated by the core."""

    id: int
    owner = models.ForeignKey(Owner, on_delete=models.CASCADE, related_name="own_parts")
    slug = models.CharField(max_length=60)
    #: Counts what was changed, so that a build which copied an older one can be told.
    revision = models.PositiveIntegerField(default=1)
    data = models.JSONField()

    class Meta:
        ordering = ("pk",)
        constraints = (
            # One in the bin does not keep another from its slug.
            models.UniqueConstraint(
                fields=("owner", "slug"), name="one_entry_a_slug", condition=models.Q(thrown=None)
            ),
        )
