"""What a builder says that things cost which could be had, in the builder's one currency."""

from __future__ import annotations

from collections.abc import Mapping
from typing import Annotated, NamedTuple

from base.writing import writing
from easy_tally import BadInput, Build, NotThere
from easy_tally.base import problems_of
from owners.models import Owner
from pydantic import Field, TypeAdapter, ValidationError

from catalogue import supplies
from drawer.models import Thing

#: In front of the slug of what is sold by itself, and of the key of a thing in the drawer.
LOOSE, OF_DRAWER = "loose:", "drawer:"
_PRICE: TypeAdapter[float] = TypeAdapter(
    Annotated[float, Field(ge=0, le=100_000, allow_inf_nan=False)]
)


class Prices(NamedTuple):
    """Prices by what they are of: the slug of a supply, of what is sold by itself (`loose:`), of a
    supply that one looks at (`drawer:`)."""

    currency: str
    of: dict[str, float]


def prices_of(owner: Owner) -> Prices:
    """All that an owner gave."""
    row = Owner.objects.get(pk=owner.pk)
    return Prices(row.currency, dict(row.prices))


def prices_for(owner: Owner, build: Build) -> dict[str, float]:
    """The same, as far as they are in the currency of a build: one that names another has none."""
    given = prices_of(owner)
    own = build.place.currency
    return given.of if not own or not given.currency or own == given.currency else {}


def in_currency(owner: Owner, build: Build) -> Build:
    """A build that is only asked about, in the owner's currency where it names none."""
    if build.place.currency or not (currency := prices_of(owner).currency):
        return build
    place = build.place.model_copy(update={"currency": currency})
    return build.model_copy(update={"place": place})


@writing()
def give(owner: Owner, changes: Mapping[str, float | None], currency: str | None) -> Prices:
    """Set or (none) take back some prices, and the currency where one is given. Raises BadInput,
    NotThere."""
    row = Owner.objects.select_for_update().get(pk=owner.pk)
    prices = dict(row.prices)
    for slug, price in changes.items():
        if price is None:
            prices.pop(slug, None)
            continue
        _see(owner, slug)
        try:
            prices[slug] = _PRICE.validate_python(price)
        except ValidationError as error:
            raise BadInput(problems_of(error, slug)) from error
    row.prices = prices
    if currency is not None:
        row.currency = currency.strip()
    row.save(update_fields=["prices", "currency"])
    return Prices(row.currency, prices)


def _see(owner: Owner, slug: str) -> None:
    """Raises NotThere where nothing of that slug could be had."""
    if slug.startswith(LOOSE):
        known = slug.removeprefix(LOOSE) in supplies.loose()
    elif slug.startswith(OF_DRAWER):
        key = slug.removeprefix(OF_DRAWER)
        known = Thing.objects.filter(owner=owner, key=key).exists()
    else:
        known = slug in supplies.catalogue()
    if not known:
        raise NotThere(f"There is nothing called {slug} that could be had.")
