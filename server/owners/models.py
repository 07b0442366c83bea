"""Whose things these are: one owner today; accounts come later and point here."""

from __future__ import annotations

from django.db import models
from django.http import HttpRequest


class Owner(models.Model):
    """Whose things these are. Not an account: accounts come later and point here."""

    id: int
    name = models.CharField(max_length=80, unique=True)
    #: House rules that a new build starts with, where they differ from the defaults.
    house_rules = models.JSONField(default=dict)

    class Meta:
        #: Owners stood among the builds first; their rows stay where they are.
        db_table = "builds_owner"


def current_owner(request: HttpRequest | None = None) -> Owner:
    """The owner that a request acts for: the one function that resolves it."""
    return Owner.objects.get_or_create(name="owner")[0]


def owner_of(request: HttpRequest) -> Owner:
    """The owner that a request was authenticated as."""
    owner: Owner = request.auth  # type: ignore[attr-defined]
    return owner
