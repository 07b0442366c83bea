"""Checks of a supply beside its size: what it goes into, how it lives, what it costs to run.

Each reads unknown where it lacks a figure, and says which; not checked where what it is held
against is not there at all (no case, no UPS, no circuit).
"""

from __future__ import annotations

from collections.abc import Iterator
from typing import Any

from ..base.rounding import exceeds
from ..base.units import State
from ..standards.efficiency import HOLD_UP_80_MS, HOLD_UP_FULL_MS, HOLD_UP_SHARE, OLD_YEARS
from ..standards.sizes import QUIET_SHARE
from ..things.supply import Supply
from .asked import Asked, CheckStatus, SupplyCheck
from .box import leads
from .case.room import PLUG_ROOM_MM, out_of_reach
from .energy import circuit_w, efficiency_at, heat_btu_h, mains_a, points_of, wall_by_state, year

#: Over this part of the watts on 5 V and 3.3 V a build is one for an old supply; over this part on
#: 12 V it is one for a new. Source: assumption.
FIVE_VOLT_HEAVY = 0.5
TWELVE_VOLT_HEAVY = 0.8
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
    numbers = {"low_share": most, "v12_share": 1 - least, "kind": supply.regulation}
    status: CheckStatus = "pass"
    if supply.regulation is None:
        yield SupplyCheck(id="regulation", status="unknown", missing=("regulation",), more=numbers)
        return
    made_for_12v = supply.regulation == "independent"
    if (made_for_12v and most > FIVE_VOLT_HEAVY) or (
        not made_for_12v and 1 - least > TWELVE_VOLT_HEAVY
    ):
        status = "warn"
    yield SupplyCheck(id="regulation", status=_by_what_is_known(asked, status), more=numbers)


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
    counts, adapters = leads(
        supply,
        asked.cables,
        needed,
        asked.wired.build.adapters,
        eps4_in_eps8=asked.wired.eps4_in_eps8,
        one_each=asked.wired.build.house_rules.chained_graphics == "never",
        memory=asked.wired.memory,
    )
    short = [c for c in counts if c.short]
    # A narrower kind says nothing new where its wider one is short.
    told = [c for c in short if not any(w.kind in c.kind and w is not c for w in short)]
    more = {"short": tuple(told), "adapters": adapters}
    yield SupplyCheck(id="ports", status="fail" if told else "pass", more=more)


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
    if status == "fail" and bracket is not None and bracket.form == supply.form:
        status = "pass" if bracket.place in case.supply_forms else "fail"
    elif status == "fail" and supply.form in case.brackets:
        status = "warn"
    yield SupplyCheck(id="form", status=status, more=more)


def length(supply: Supply, asked: Asked) -> Iterator[SupplyCheck]:
    """Its length, and its plugs' where they are modular, against the room in the case."""
    case = asked.wired.build.case
    if case is None:
        yield SupplyCheck(id="length", status="not checked")
        return
    room, own = case.supply_length_mm, supply.length_mm
    missing = tuple(n for n, v in (("length_mm", own), ("case", room)) if v is None)
    plugs = 0.0 if supply.modular == "not" else PLUG_ROOM_MM
    long = None if own is None else own + plugs
    if missing:
        yield SupplyCheck(
            id="length", status="unknown", load=long, limit=room, unit="mm", missing=missing
        )
        return
    yield SupplyCheck(
        id="length",
        status="fail" if exceeds(long or 0.0, room or 0.0) else "pass",
        load=long,
        limit=room,
        unit="mm",
        more={"plugs": plugs},
    )


def reach(supply: Supply, asked: Asked) -> Iterator[SupplyCheck]:
    """Whether a plug of the cables in the box reaches each area, by the case's routes."""
    case = asked.wired.build.case
    needed = [asked.wired.inputs[r] for r in sorted(asked.needed)]
    if case is None or not needed or not asked.cables:
        yield SupplyCheck(id="reach", status="not checked")
        return
    short, unknown = out_of_reach(case, asked.cables, needed, asked.wired.eps4_in_eps8)
    if short:
        area, way, longest = max(short, key=lambda s: s[1] - s[2])
        yield SupplyCheck(
            id="reach", status="fail", load=way, limit=longest, unit="mm", more={"area": area}
        )
        return
    areas = ", ".join(unknown)
    yield SupplyCheck(
        id="reach",
        status="unknown" if unknown else "pass",
        missing=("case",) if unknown else (),
        more={"area": areas},
    )


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
    missing = tuple(
        n
        for n, lacks in (("rated_w", not supply.rated_w), ("fan_off_share", limit is None))
        if lacks
    )
    if missing or load is None or limit is None:
        yield SupplyCheck(
            id="quiet",
            status="unknown",
            load=load,
            limit=limit,
            missing=missing,
            more={"degc": supply.fan_off_degc},
        )
        return
    loud = exceeds(load, max(limit, QUIET_SHARE))
    yield SupplyCheck(
        id="quiet",
        status=_by_what_is_known(asked, "warn" if loud else "pass"),
        load=load,
        limit=limit,
        more={"stands": not exceeds(load, limit)},
    )


def lacks_for_wall(supply: Supply, asked: Asked) -> tuple[str, ...]:
    """What is missing to tell what it draws from the wall."""
    points = points_of(supply, asked.wired.build.place.mains_v)
    lacks = (("rated_w", not supply.rated_w), ("grade", points is None))
    return tuple(name for name, missing in lacks if missing)


def wall_of(supply: Supply, asked: Asked) -> dict[State, float] | None:
    """Watts from the wall [W] by state; None where its rating or efficiency is not known."""
    points = points_of(supply, asked.wired.build.place.mains_v)
    if points is None or not supply.rated_w:
        return None
    drawn = {s: asked.tally.total.at(s).likely for s in ("sleep", *_RUNNING)}
    return wall_by_state(drawn, supply.rated_w, points)


def efficiency(supply: Supply, asked: Asked) -> Iterator[SupplyCheck]:
    """What it converts, draws from the wall and warms the room by, everyday and at full."""
    points = points_of(supply, asked.wired.build.place.mains_v)
    wall = wall_of(supply, asked)
    if points is None or wall is None:
        lacks = lacks_for_wall(supply, asked)
        yield SupplyCheck(id="efficiency", status="unknown", missing=lacks)
        return
    more: dict[str, Any] = {
        **{s: efficiency_at(points, (_share(supply, asked, s) or 0.0)) for s in _RUNNING},
        **{f"wall_{s}": wall[s] for s in _RUNNING},
        "btu_h": heat_btu_h(wall["full"]),
        "own": "measured" if supply.efficiency else "grade",
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
        lacks = lacks_for_wall(supply, asked)
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
        lacks = lacks_for_wall(supply, asked)
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
    if asked.year is None or supply.made is None:
        yield SupplyCheck(id="age", status="not checked")
        return
    years = float(max(0, asked.year - supply.made))
    yield SupplyCheck(
        id="age", status="warn" if years > OLD_YEARS else "pass", load=years, limit=float(OLD_YEARS)
    )
