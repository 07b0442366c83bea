"""A builder's own entries of the parts catalogue, and own words; the entries that ship are read
from their file."""

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


class OwnWord(models.Model):
    """What an owner calls a plug, a part or a grade: `means` is the entry line's own word for it,
    or nothing for a name."""

    id: int
    owner = models.ForeignKey(Owner, on_delete=models.CASCADE, related_name="own_words")
    word = models.CharField(max_length=40)
    means = models.CharField(max_length=40, blank=True)

    class Meta:
        ordering = ("word",)
        constraints = (
            models.UniqueConstraint(fields=("owner", "word"), name="one_meaning_a_word"),
        )
