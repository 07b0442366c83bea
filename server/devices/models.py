"""The network's door: for which build, where, until when; and the devices that were let in."""

from __future__ import annotations

from datetime import datetime

from builds.models import Build
from django.db import models
from django.utils import timezone
from owners.models import Owner


class Door(models.Model):
    """A second address that the server answers on for some hours. One at most is open."""

    id: int
    owner = models.ForeignKey(Owner, on_delete=models.CASCADE)
    build = models.ForeignKey(Build, on_delete=models.CASCADE)
    address = models.GenericIPAddressField()
    port = models.PositiveIntegerField()
    opened_at = models.DateTimeField(auto_now_add=True)
    closes_at = models.DateTimeField()
    #: The code that lets one device in, once; "": none is out.
    code = models.CharField(max_length=6, default="", blank=True)
    code_until = models.DateTimeField(null=True)
    code_allows = models.CharField(max_length=10, default="bench")
    #: Wrong codes since this one was made, when the last came, and all that ever came.
    wrong = models.PositiveIntegerField(default=0)
    wrong_at = models.DateTimeField(null=True)
    wrong_ever = models.PositiveIntegerField(default=0)

    @property
    def is_open(self) -> bool:
        """Whether its hours last."""
        return self.closes_at > timezone.now()


class Device(models.Model):
    """One that was let in. It shows itself by a token, of which only a hash is kept."""

    id: int
    door = models.ForeignKey(Door, on_delete=models.CASCADE, related_name="devices")
    name = models.CharField(max_length=60)
    token_hash = models.CharField(max_length=64, unique=True)
    allows = models.CharField(max_length=10)
    let_in_at = models.DateTimeField(auto_now_add=True)
    seen_at = models.DateTimeField(default=timezone.now)
    sent_away_at: models.DateTimeField[datetime | None, datetime | None] = models.DateTimeField(
        null=True
    )

    class Meta:
        ordering = ("-let_in_at", "-pk")
