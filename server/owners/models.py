"""Whose things these are: one owner today; accounts come later and point here."""

from __future__ import annotations

from django.conf import settings
from django.db import connection, models
from django.http import HttpRequest

_NAME = "owner"


class Owner(models.Model):
    """Whose things these are. Not an account: accounts come later and point here."""

    id: int
    name = models.CharField(max_length=80, unique=True)
    #: House rules that a new build starts with, where they differ from the defaults.
    house_rules = models.JSONField(default=dict)
    #: The one currency of all prices, and those of what could be had, by its slug.
    currency = models.CharField(max_length=8, default="")
    prices = models.JSONField(default=dict)
    #: Schools of one's own, as the core has them.
    schools = models.JSONField(default=list)

    class Meta:
        #: Owners stood among the builds first; their rows stay where they are.
        db_table = "builds_owner"


#: The key of the one owner, once it was looked up: each request asks for it.
_known: list[int] = []


def current_owner(request: HttpRequest | None = None) -> Owner:
    """The owner that a request acts for: the one function that resolves it. What may change of it
    is read when it is asked for."""
    if not _known:
        owner = Owner.objects.get_or_create(name=_NAME)[0]
        # Not what could be rolled back yet, as in tests, which begin anew each time.
        if not (settings.TESTING or connection.in_atomic_block):
            _known.append(owner.pk)
        return owner
    return Owner.from_db(connection.alias, ("id", "name"), (_known[0], _NAME))


def owner_of(request: HttpRequest) -> Owner:
    """The owner that a request was authenticated as."""
    owner: Owner = request.auth  # type: ignore[attr-defined]
    return owner
