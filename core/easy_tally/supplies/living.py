"""Checks of a supply beside its size: what it goes into, how it lives, what it costs to run.

Each reads unknown where it lacks a figure, and says which; not checked where what it is held
against is not there at all (no case, no UPS, no circuit).
"""

from __future__ import annotations

from collections.abc import Iterable, Iterator
from dataclasses import replace
from typing import Any

from ..base.rounding import exceeds
from ..base.units import RAIL_V, State
from ..ratings.limits import LEAD_W, coded_w
from ..standards.connectors import PLUGS, is_coded
from ..standards.efficiency import (
    GRADES,
    HOLD_UP_80_MS,
    HOLD_UP_FULL_MS,
    HOLD_UP_SHARE,
    OLD_YEARS,
    Points,
)
from ..standards.sizes import QUIET_SHARE
from ..things.adapters import Adapter
from ..things.cables import Plug
from ..things.case import Case
from ..things.parts import Card
from ..things.supply import Supply
from ..usual import End, taken_cables, taken_case, taken_supply
from ..wiring import Input
from .asked import Asked, CheckStatus, SupplyCheck
from .at_hand import adapters as adapters_of
from .at_hand import at_hand
from .at_hand import brackets as brackets_of
from .box import leads
from .case.room import PLUG_ROOM_MM, out_of_reach
from .energy import circuit_w, efficiency_at, heat_btu_h, mains_a, points_of, wall_by_state, year

#: Over this part of the watts on 5 V and 3.3 V a build is one for an old supply; over this part on
#: 12 V it is one for a new. Source: assumption.
FIVE_VOLT_HEAVY = 0.5
TWELVE_VOLT_HEAVY = 0.8
#: The share of its rating at 12 V from which on a supply is one made for 12 V.
NEARLY_ALL = 0.95
#: As usual, and the end at which things may not reach or fit.
BOTH_ENDS: tuple[End, End] = ("likely", "short")
_RUNNING: tuple[State, ...] = ("idle", "everyday", "full")


def _by_what_is_known(asked: Asked, status: CheckStatus) -> CheckStatus:
    """Never a pass while a part's figure is missing: then it may be more."""
    return "unknown" if status == "pass" and asked.tally.total.missing else status


def regulation(supply: Supply, asked: Asked) -> Iterator[SupplyCheck]:
    """Which rails carry the load, against how the supply regulates them."""
    rails = asked.tally.by_rail
    shares = {}
    for state in _RUNNING:
        v12 = rails["v12"].at(state).likely
        low = rails["v5"].at(state).likely + rails["v3v3"].at(state).likely
        if v12 + low > 0:
            shares[state] = low / (v12 + low)
    if not shares:
        return
    most, least = max(shares.values()), min(shares.values())
    numbers: dict[str, Any] = {"low_share": most, "v12_share": 1 - least}
    status: CheckStatus = "pass"
    # Where nobody says which it is, it may be the one that does worse.
    kinds = ("independent", "group") if supply.regulation is None else (supply.regulation,)
    if _is_independent(supply):
        kinds = ("independent",)
    numbers["kind"] = kinds[0] if len(kinds) == 1 else None
    if ("independent" in kinds and most > FIVE_VOLT_HEAVY) or (
        "group" in kinds and 1 - least > TWELVE_VOLT_HEAVY
    ):
        status = "warn"
    yield SupplyCheck(id="regulation", status=_by_what_is_known(asked, status), more=numbers)


def _is_independent(supply: Supply) -> bool:
    """Whether it regulates each rail by itself: as it says, or as every supply does that gives
    nearly all of its rating at 12 V. Source: assumption."""
    if supply.regulation is not None:
        return supply.regulation == "independent"
    if supply.v12_a is None or not supply.rated_w:
        return supply.design in ("3.0", "3.1")
    return supply.v12_a * RAIL_V["v12"] >= NEARLY_ALL * supply.rated_w


def ports(supply: Supply, asked: Asked) -> Iterator[SupplyCheck]:
    """Leads of every kind: needed, and there to be plugged in at once."""
    needed = [asked.wired.inputs[r] for r in sorted(asked.needed)]
    if not needed:
        return
    own = asked.wired.build.supply
    if (supply is own or supply == own) and asked.needed <= asked.wired.live:
        # The map that is laid is the proof; a count would not know of adapters.
        yield SupplyCheck(id="ports", status="pass", more={"short": (), "fed": len(needed)})
        return
    if not asked.cables or (not supply.ports and any(c.needs for c in asked.cables)):
        yield SupplyCheck(id="ports", status="unknown", missing=("ports",))
        return
    lying = at_hand(asked.wired.build, supply)
    at_hand_too = (*adapters_of(lying), *asked.drawer)
    fitting = (x for x in at_hand_too if is_coded_for(x, asked, needed) is not False)
    there = (*asked.wired.build.adapters, *fitting)
    counts, adapters = leads(
        supply,
        asked.cables,
        needed,
        there,
        eps4_in_eps8=asked.wired.eps4_in_eps8,
        one_each=asked.wired.build.house_rules.chained_graphics == "never",
        memory=asked.wired.memory,
    )
    short = [c for c in counts if c.short]
    # A narrower kind says nothing new where its wider one is short.
    told = [c for c in short if not any(w.kind in c.kind and w is not c for w in short)]
    lies = {t.name: "your drawer" for t in asked.drawer}
    lies |= {x.thing.name: f"the box of {x.whose}" for x in lying}
    more: dict[str, Any] = {"short": tuple(told), "adapters": adapters, "lies": lies}
    status: CheckStatus = "fail" if told else "pass"
    if told and (had := _could_be_had(supply, asked, needed, there)):
        status, more = "warn", more | {"had": had}
    unsaid = [x.name for x in adapters if is_coded_for(x, asked, needed) is None]
    if status == "pass" and unsaid:
        status, more = "unknown", more | {"uncoded": tuple(unsaid)}
    yield SupplyCheck(id="ports", status=status, more=more)


def _could_be_had(
    supply: Supply, asked: Asked, needed: list[Input], there: tuple[Adapter, ...]
) -> str:
    """Adapters that could be had with which, and with those that are there, no lead is short: one
    that does alone, else several; empty where none do."""
    fitting = [x for x in asked.could_be_had if is_coded_for(x, asked, needed)]
    for several in (*((x,) for x in fitting), tuple(fitting)):
        counts, used = leads(
            supply,
            asked.cables,
            needed,
            (*there, *several),
            eps4_in_eps8=asked.wired.eps4_in_eps8,
            one_each=asked.wired.build.house_rules.chained_graphics == "never",
            memory=asked.wired.memory,
        )
        had = [x.name for x in several if x in used]
        if had and not any(c.short for c in counts):
            return " and ".join(had)
    return ""


def is_coded_for(adapter: Adapter, asked: Asked, needed: Iterable[Input]) -> bool | None:
    """Whether a 16-pin adapter is coded for as much as some card of the build takes by its socket;
    one that is not is no advice. None where nobody says its code, and what its leads bring would
    do."""
    plug = next((p for p in adapter.plugs if is_coded(PLUGS[p.kind].whole)), None)
    cards = {i.at: i for i in needed if is_coded(i.socket.kind) and isinstance(i.part, Card)}
    if plug is None or not cards:
        return True
    answers = [_is_coded(adapter, plug, asked, i) for i in cards.values()]
    if True in answers:
        return True
    return None if None in answers else not answers


def _is_coded(adapter: Adapter, plug: Plug, asked: Asked, into: Input) -> bool | None:
    """Of one card by all leads of an adapter; what it takes from the slot comes off."""
    card, leads = into.part, len(adapter.leads)
    if not isinstance(card, Card) or card.board_power_w is None:
        return None
    slot = card.slot_w.likely if card.slot_w else asked.assume.slot_share_with_16pin_w.likely
    watts = card.board_power_w.likely * card.power_limit - slot
    rated = coded_w(adapter, plug, leads, into.socket.version).rated
    if rated is not None:
        return not exceeds(watts, rated)
    return False if exceeds(watts, LEAD_W * leads) else None


def form(supply: Supply, asked: Asked) -> Iterator[SupplyCheck]:
    """Whether the case takes its form, by itself or by a bracket."""
    case = asked.wired.build.case
    if case is None:
        yield SupplyCheck(id="form", status="not checked")
        return
    bracket = asked.wired.build.bracket
    more = {
        "form": supply.form,
        "case": case.name,
        "takes": ", ".join(case.supply_forms),
        "bracket": bracket,
    }
    missing = tuple(
        n for n, lacks in (("form", supply.form is None), ("case", not case.supply_forms)) if lacks
    )
    if missing:
        yield SupplyCheck(id="form", status="unknown", missing=missing, more=more)
        return
    status: CheckStatus = "pass" if supply.form in case.supply_forms else "fail"
    boxed = [b for b in brackets_of(at_hand(asked.wired.build, supply)) if b.form == supply.form]
    if status == "fail" and bracket is not None and bracket.form == supply.form:
        status = "pass" if bracket.place in case.supply_forms else "fail"
    elif status == "fail" and any(b.place in case.supply_forms for b in boxed):
        status = "pass"
        more["bracket"] = next(b for b in boxed if b.place in case.supply_forms)
    elif status == "fail" and supply.form in case.brackets:
        status = "warn"
    yield SupplyCheck(id="form", status=status, more=more)


def length(supply: Supply, asked: Asked) -> Iterator[SupplyCheck]:
    """Its length, and its plugs' where they are modular, against the room in the case."""
    case = asked.wired.stated.case
    if case is None:
        yield SupplyCheck(id="length", status="not checked")
        return
    usual, worst = (_length_at(supply, case, asked, end) for end in BOTH_ENDS)
    is_assumed = supply.length_mm is None or case.supply_length_mm is None
    if usual.status == "fail" and is_assumed:
        missing = ("length_mm",) if supply.length_mm is None else ("case",)
        yield replace(usual, status="unknown", missing=missing)
    else:
        yield worst if usual.status == "pass" and worst.status == "warn" else usual


def _length_at(supply: Supply, case: Case, asked: Asked, end: End) -> SupplyCheck:
    """By what is usual at one end; what breaks at the cautious end alone is worth a look."""
    memory = asked.wired.memory
    room = taken_case(case, end, memory).supply_length_mm
    own = taken_supply(supply, end, memory).length_mm
    missing = tuple(n for n, v in (("length_mm", own), ("case", room)) if v is None)
    plugs = 0.0 if supply.modular == "not" else PLUG_ROOM_MM
    long = None if own is None else own + plugs
    status: CheckStatus = "fail" if exceeds(long or 0.0, room or 0.0) else "pass"
    if status == "fail" and end != "likely":
        status = "warn"
    return SupplyCheck(
        id="length",
        status="unknown" if missing else status,
        load=long,
        limit=room,
        unit="mm",
        missing=missing,
        more={"plugs": plugs, "cautious": end != "likely"},
    )


def reach(supply: Supply, asked: Asked) -> Iterator[SupplyCheck]:
    """Whether a plug of the cables in the box reaches each area, by the case's routes; at the
    cautious end too of what nobody measured."""
    case = asked.wired.stated.case
    needed = [asked.wired.inputs[r] for r in sorted(asked.needed)]
    if case is None or not needed or not asked.cables:
        yield SupplyCheck(id="reach", status="not checked")
        return
    for end in BOTH_ENDS:
        through = taken_case(case, end, asked.wired.memory)
        cables = taken_cables(asked.cables, supply, end, asked.wired.memory)
        short = out_of_reach(through, cables, needed, asked.wired.eps4_in_eps8)
        if short:
            area, way, longest = max(short, key=lambda s: s[1] - s[2])
            more = {"area": area, "cautious": end != "likely"}
            yield SupplyCheck(
                id="reach",
                status="warn" if more["cautious"] else "fail",
                load=way,
                limit=longest,
                unit="mm",
                more=more,
            )
            return
    yield SupplyCheck(id="reach", status="pass")


# -- how it lives ------------------------------------------------------------------------------


def _share(supply: Supply, asked: Asked, state: State) -> float | None:
    return asked.tally.total.at(state).likely / supply.rated_w if supply.rated_w else None


def share(supply: Supply, asked: Asked) -> Iterator[SupplyCheck]:
    """Its load as a share of its rating; a low everyday share is no fault."""
    shares: dict[str, float | None] = {s: _share(supply, asked, s) for s in _RUNNING}
    missing = () if supply.rated_w else ("rated_w",)
    status: CheckStatus = "unknown" if missing else _by_what_is_known(asked, "pass")
    yield SupplyCheck(id="share", status=status, missing=missing, more=shares)


def quiet(supply: Supply, asked: Asked) -> Iterator[SupplyCheck]:
    """Whether its fan stands still in everyday use, or at least runs slowly."""
    load = _share(supply, asked, "everyday")
    limit = supply.fan_off_share
    if load is None:
        yield SupplyCheck(id="quiet", status="unknown", missing=("rated_w",))
        return
    # Where nobody says when its fan stands it is taken to turn always.
    said = limit is not None
    limit = limit or 0.0
    loud = exceeds(load, max(limit, QUIET_SHARE))
    yield SupplyCheck(
        id="quiet",
        status=_by_what_is_known(asked, "warn" if loud else "pass"),
        load=load,
        limit=limit,
        more={"stands": not exceeds(load, limit), "degc": supply.fan_off_degc, "said": said},
    )


def _points(supply: Supply, asked: Asked) -> Points:
    """Its efficiency, or the floors of the lowest grade where nobody says its own: it draws no more
    from the wall than by those."""
    mains_v = asked.wired.build.place.mains_v
    return points_of(supply, mains_v) or GRADES["base", mains_v]


def lacks_for_wall(supply: Supply) -> tuple[str, ...]:
    """What is missing to tell what it draws from the wall."""
    return () if supply.rated_w else ("rated_w",)


def wall_of(supply: Supply, asked: Asked) -> dict[State, float] | None:
    """Watts from the wall [W] by state; None where its rating or efficiency is not known."""
    if not supply.rated_w:
        return None
    points = _points(supply, asked)
    drawn = {s: asked.tally.total.at(s).likely for s in ("sleep", *_RUNNING)}
    return wall_by_state(drawn, supply.rated_w, points)


def efficiency(supply: Supply, asked: Asked) -> Iterator[SupplyCheck]:
    """What it converts, draws from the wall and warms the room by, everyday and at full."""
    points, wall = _points(supply, asked), wall_of(supply, asked)
    if wall is None:
        lacks = lacks_for_wall(supply)
        yield SupplyCheck(id="efficiency", status="unknown", missing=lacks)
        return
    more: dict[str, Any] = {
        **{s: efficiency_at(points, (_share(supply, asked, s) or 0.0)) for s in _RUNNING},
        **{f"wall_{s}": wall[s] for s in _RUNNING},
        "btu_h": heat_btu_h(wall["full"]),
        "own": "measured" if supply.efficiency else "grade" if supply.grade else "lowest",
    }
    yield SupplyCheck(
        id="efficiency",
        status=_by_what_is_known(asked, "pass"),
        load=wall["full"],
        unit="W",
        state="full",
        more=more,
    )


def cost(supply: Supply, asked: Asked) -> Iterator[SupplyCheck]:
    """Kilowatt-hours of a year, and what they cost where the price is known."""
    place, wall = asked.wired.build.place, wall_of(supply, asked)
    if wall is None:
        lacks = lacks_for_wall(supply)
        yield SupplyCheck(id="cost", status="unknown", missing=lacks)
        return
    in_a_year = year(wall, place, asked.wired.memory)
    yield SupplyCheck(
        id="cost",
        status=_by_what_is_known(asked, "pass"),
        load=in_a_year.kwh,
        more={
            "price": in_a_year.cost,
            "currency": place.currency,
            "bands": len({b.name for b in place.tariff}),
        },
    )


def mains(supply: Supply, asked: Asked) -> Iterator[SupplyCheck]:
    """Amperes from the mains, and the circuit that it hangs on, where its breaker is known."""
    place, wall = asked.wired.build.place, wall_of(supply, asked)
    if wall is None:
        lacks = lacks_for_wall(supply)
        yield SupplyCheck(id="mains", status="unknown", missing=lacks)
        return
    amps = mains_a(wall["full"], place.mains_v)
    more: dict[str, Any] = {"amps": amps, "mains_v": float(place.mains_v)}
    load = wall["full"] + place.other_w
    if place.breaker_a is None:
        status = _by_what_is_known(asked, "pass")
        yield SupplyCheck(id="mains", status=status, load=load, unit="W", more=more)
        return
    limit = circuit_w(place.mains_v, place.breaker_a)
    status = _by_what_is_known(asked, "fail" if exceeds(load, limit) else "pass")
    yield SupplyCheck(
        id="mains",
        status=status,
        load=load,
        limit=limit,
        unit="W",
        more=more | {"breaker_a": place.breaker_a, "other_w": place.other_w},
    )


def hold_up(supply: Supply, asked: Asked) -> Iterator[SupplyCheck]:
    """How long it lasts without the mains, against the time that a UPS takes to step in."""
    transfer = asked.wired.build.place.ups_transfer_ms
    if transfer is None:
        yield SupplyCheck(id="hold-up", status="pass", more={"by": "no UPS"})
        return
    load, stated = _share(supply, asked, "full"), supply.hold_up_ms
    limit = stated
    if limit is None and load is not None:
        light = not exceeds(load, HOLD_UP_SHARE)
        limit = HOLD_UP_80_MS if light else _hold_up_full_ms(supply.design)
    if limit is None:
        missing = tuple(
            n for n, lacks in (("hold_up_ms", stated is None), ("rated_w", load is None)) if lacks
        )
        yield SupplyCheck(id="hold-up", status="unknown", load=transfer, unit="ms", missing=missing)
        return
    status: CheckStatus = "fail" if exceeds(transfer, limit) else "pass"
    if stated is None:  # by the load, too
        status = _by_what_is_known(asked, status)
    yield SupplyCheck(
        id="hold-up",
        status=status,
        load=transfer,
        limit=limit,
        unit="ms",
        more={"by": "stated" if stated is not None else "design", "design": supply.design},
    )


def _hold_up_full_ms(design: str | None) -> float:
    """At full load; of a design that is not known the shortest of any."""
    return min(HOLD_UP_FULL_MS.values()) if design is None else HOLD_UP_FULL_MS[design]


def age(supply: Supply, asked: Asked) -> Iterator[SupplyCheck]:
    """Years since it was made; a new one has none."""
    if asked.new:
        return
    if asked.year is None:
        yield SupplyCheck(id="age", status="not checked")
        return
    if supply.made is None:
        yield SupplyCheck(id="age", status="pass")
        return
    years = float(max(0, asked.year - supply.made))
    yield SupplyCheck(
        id="age", status="warn" if years > OLD_YEARS else "pass", load=years, limit=float(OLD_YEARS)
    )
