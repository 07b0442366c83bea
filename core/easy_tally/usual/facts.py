"""What is missing of a build and may be taken as usual: each fact with its band, thing by thing."""

from __future__ import annotations

from collections.abc import Iterator
from typing import Literal, NamedTuple, get_args

from ..base.declared import Model
from ..standards import unmeasured as usual
from ..standards.connectors import CONNECTORS, PLUGS
from ..standards.unmeasured import Band
from ..things.adapters import Adapter, Extension
from ..things.build import Build
from ..things.cables import Cable, Plug
from ..things.case import Area, Case
from ..things.parts import Board, Card, Cooler, Fan, Hub, Part
from ..things.supply import Supply

FactOf = Literal["cable", "adapter", "extension", "case", "supply", "part"]


class Fact(NamedTuple):
    """A figure that nobody says: of a thing by its key, `at` one of its plugs, headers or areas;
    `field` as its file calls it. In the file's own unit."""

    of: FactOf
    key: str
    at: str
    field: str
    band: Band


class Leads(NamedTuple):
    """What the supply says of its leads: whether it is small or old, and for small cases."""

    small: bool = False
    short: bool = False


def is_of_runs(fact: Fact) -> bool:
    """Whether a run may be judged by it."""
    return fact.of in ("cable", "adapter", "extension") or fact.field == "routes"


def leads_of(supply: Supply | None) -> Leads:
    """What goes for the leads of a supply."""
    if supply is None:
        return Leads()
    old = supply.made is not None and supply.made <= usual.OLD_YEAR
    weak = supply.rated_w is not None and supply.rated_w <= usual.SMALL_W
    return Leads(
        small=old or weak or supply.form in usual.SMALL_FORMS,
        short=supply.form in usual.SHORT_FORMS,
    )


def facts_of(build: Build) -> tuple[Fact, ...]:
    """Everything that is missing of a build, has a usual figure and is held against something: room
    and air only in a case."""
    leads = leads_of(build.supply)
    several = [f for c in build.cables for f in of_cable(leads, c)]
    several += [f for x in build.adapters for f in of_adapter(x)]
    several += [f for x in build.extensions for f in of_extension(x)]
    several += [f for p in build.parts for f in of_part(p)]
    if build.case is None:
        return tuple(f for f in several if f.of != "part" or f.field not in ROOM)
    several += of_case(build.case)
    return (*several, *(of_supply(build.supply) if build.supply is not None else ()))


#: Facts of a part that are held against a case alone.
ROOM = frozenset({"length_mm", "height_mm", "covers", "flow_m3h"})


def of_cable(leads: Leads, cable: Cable) -> list[Fact]:
    """What is missing of a cable."""
    kind = PLUGS[cable.plugs[0].kind].whole
    several: list[Fact] = []
    if cable.gauge is None:
        band = usual.gauge(kind, leads.small and not cable.needs)
        several.append(Fact("cable", cable.key, "", "gauge", band))
    away = (usual.AWAY_SMALL if leads.short else usual.AWAY)[CONNECTORS[kind].family]
    for plug, band in _away(cable.plugs, away):
        several.append(Fact("cable", cable.key, plug, "at_mm", band))
    return several


def _away(plugs: tuple[Plug, ...], away: usual.Away) -> Iterator[tuple[str, Band]]:
    """How far plugs hang of which nobody says: the first as usual, each next a step further than
    the one before it; never further than one beyond that is measured."""
    before: Band | None = None
    for i, plug in enumerate(plugs):
        if plug.at_mm is not None:
            before = Band(plug.at_mm, plug.at_mm)
            continue
        band = away.first if before is None else Band(*(x + away.step for x in before))
        beyond = min((p.at_mm for p in plugs[i:] if p.at_mm is not None), default=None)
        if beyond is not None:
            band = Band(*(min(x, beyond) for x in band))
        yield plug.key, band
        before = band


def of_adapter(adapter: Adapter) -> list[Fact]:
    """What is missing of an adapter."""
    several: list[Fact] = []
    if adapter.gauge is None:
        band = usual.gauge(adapter.leads[0].kind, small=False)
        several.append(Fact("adapter", adapter.key, "", "gauge", band))
    for plug in adapter.plugs:
        if plug.at_mm is None:
            several.append(Fact("adapter", adapter.key, plug.key, "at_mm", usual.ADAPTER_MM))
    return several


def of_extension(extension: Extension) -> list[Fact]:
    """What is missing of an extension."""
    several: list[Fact] = []
    if extension.gauge is None:
        band = usual.gauge(PLUGS[extension.kind].whole, small=False)
        several.append(Fact("extension", extension.key, "", "gauge", band))
    if extension.length_mm is None:
        several.append(Fact("extension", extension.key, "", "length_mm", usual.EXTENSION_MM))
    return several


def of_case(case: Case) -> list[Fact]:
    """Ways through the case, and its room, that nobody measured."""
    there = {r.area for r in case.routes}
    areas = (area for area in get_args(Area) if area not in there)
    ways = [Fact("case", "", area, "routes", usual.route(case.size, area)) for area in areas]
    return ways + _measures("case", "", case, usual.case_measures(case.size))


def of_supply(supply: Supply) -> list[Fact]:
    """What is missing of a supply, and is no figure of its label."""
    if supply.length_mm is not None or supply.form is None:
        return []
    return [Fact("supply", "", "", "length_mm", usual.supply_mm(supply.form, supply.rated_w))]


def _measures(kind: FactOf, key: str, thing: Model, bands: usual.Measures) -> list[Fact]:
    missing = ((name, band) for name, band in bands.items() if getattr(thing, name) is None)
    return [Fact(kind, key, "", name, band) for name, band in missing]


def of_part(part: Part) -> list[Fact]:
    """What is missing of a part: headers' amperes, air that fans move, what a card measures."""
    several: list[Fact] = []
    if isinstance(part, Board | Hub):
        headers = part.headers if isinstance(part, Board) else part.outputs
        field = "headers" if isinstance(part, Board) else "outputs"
        for h in headers:
            if h.limit_a is None:
                several.append(Fact("part", part.key, h.key, field, usual.HEADER_A[h.kind]))
    elif isinstance(part, Fan | Cooler):
        if part.flow_m3h is None:
            several.append(Fact("part", part.key, "", "flow_m3h", usual.flow_m3h(_fan_mm(part))))
    elif isinstance(part, Card):
        several += _of_card(part)
    return several


def _fan_mm(part: Fan | Cooler) -> int:
    """The size of a part's fans [mm]: of a cooler by its radiator."""
    if isinstance(part, Fan):
        return part.size_mm
    return 140 if part.radiator_mm and part.radiator_mm % 140 == 0 else 120


def _of_card(card: Card) -> list[Fact]:
    if card.board_power_w is None and card.use != "plain":
        return []  # nobody knows what class it is of
    watts = card.board_power_w.likely if card.board_power_w is not None else 0.0
    return _measures("part", card.key, card, usual.card_measures(watts, card.use == "plain"))
