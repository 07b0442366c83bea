"""How a supply fits and lives, in words: a sentence with its numbers for each check."""

from __future__ import annotations

from collections.abc import Callable

from ...base.rounding import percent, up
from ...base.saying import counted, number
from ...supplies.asked import SupplyCheck
from ...supplies.box import LeadCount
from ...things.adapters import Adapter

#: What a check lacks, as its sentence says it.
LACKS: dict[str, str] = {
    "regulation": "how it regulates its rails",
    "ports": "its ports and cables",
    "form": "its form",
    "case": "what the case has room for",
    "length_mm": "its length",
    "rated_w": "its rating",
    "fan_off_share": "when its fan stands",
    "grade": "its efficiency",
    "hold_up_ms": "its hold-up",
}


def lacks(missing: tuple[str, ...]) -> str:
    """What is missing, in words."""
    words = [LACKS[m] for m in missing]
    return " and ".join(filter(None, (", ".join(words[:-1]), words[-1])))


def _pc(share: float | None) -> str:
    return "not known" if share is None else f"{percent(share)} %"


def _regulation(c: SupplyCheck) -> str:
    low, v12 = _pc(c.more["low_share"]), _pc(c.more["v12_share"])
    if c.more["kind"] is None:
        said = f"nobody says how it regulates its rails; up to {v12} of the load is on 12 V"
        return said + ("; look whether each is regulated by itself" if c.status == "warn" else "")
    if c.more["kind"] == "group":
        said = f"12 V and 5 V regulated together, with up to {v12} of the load on 12 V"
        return said + ("; volts may drift" if c.status == "warn" else "")
    said = f"each rail regulated by itself, with up to {low} of the load on 5 V and 3.3 V"
    return said + ("; it is made for 12 V" if c.status == "warn" else "")


def _ports(c: SupplyCheck) -> str:
    short: tuple[LeadCount, ...] = c.more["short"]
    if not short:
        if "fed" in c.more:
            return f"leads: all {c.more['fed']} sockets fed, by the map"
        adapters = c.more.get("adapters", ())
        if adapters:
            lies = c.more.get("lies", {})
            said = " and ".join(_with_adapter(a, lies.get(a.name, "")) for a in adapters)
            if uncoded := c.more.get("uncoded"):
                names = " and ".join(uncoded)
                return f"leads: enough with {said}; nobody says for how many watts {names} is coded"
            return f"leads: enough of each kind with {said}, by count"
        return "leads: enough of each kind for the sockets, by count"
    had = c.more.get("had")
    with_it = f"; {had} would do, and is yet to be had" if had else ""
    return "leads: " + "; ".join(_short(s) for s in short) + with_it


def _with_adapter(a: Adapter, lies: str) -> str:
    """An adapter, where it lies, and what it costs against a lead of the supply's own."""
    said = f"{a.name} {f'from {lies}' if lies else 'of this build'}"
    takes, gives = len(a.leads), len(a.plugs)
    return f"{said}, {takes} leads in the place of one" if takes > gives == 1 else said


def _short(s: LeadCount) -> str:
    number_word = {1: "one", 2: "two", 3: "three"}.get(s.short, str(s.short))
    leads = "lead" if s.short == 1 else "leads"
    return f"{number_word} {s.kind} {leads} short, {s.there} of {s.needed}"


def _form(c: SupplyCheck) -> str:
    form, case, takes, bracket = (c.more[k] for k in ("form", "case", "takes", "bracket"))
    if c.status == "fail":
        said = f"form: {form}; {case} takes {takes}"
        return (
            f"{said}, and {bracket.name} holds {bracket.form} in {bracket.place}"
            if (bracket)
            else said
        )
    if c.status == "warn":
        return f"form: {form}, in {case} by a bracket, which is yet to be had"
    by = f" by {bracket.name}" if bracket and form not in takes.split(", ") else ""
    return f"form: {form}, in {case}{by}"


def _length(c: SupplyCheck) -> str:
    plugs = c.more.get("plugs")
    own = number(c.load or 0, "mm") + (f", {plugs:g} mm of it plugs," if plugs else "")
    return f"length: {own} of {number(c.limit or 0, 'mm')} in the case"


def _reach(c: SupplyCheck) -> str:
    if c.status != "pass":
        way, longest = number(c.load or 0, "mm"), number(c.limit or 0, "mm")
        short = number((c.load or 0) - (c.limit or 0), "mm")
        if c.more["cautious"]:
            return (
                f"reach: the {c.more['area']} may be {way} away and its longest plug reach "
                f"{longest}, by usual figures at their cautious end: measure it"
            )
        return (
            f"reach: the {c.more['area']} is {way} away, its longest plug reaches {longest}; "
            f"a cable or an extension longer by {short} is needed"
        )
    return "reach: its cables reach every area by the case’s routes"


def _share(c: SupplyCheck) -> str:
    idle, everyday, full = (_pc(c.more[s]) for s in ("idle", "everyday", "full"))
    return f"load: {idle} of its rating idle, {everyday} everyday, {full} at full"


def _quiet(c: SupplyCheck) -> str:
    load, limit = _pc(c.load), c.limit or 0.0
    if not c.more["said"]:
        degc = c.more["degc"]
        nobody = "nobody says when its fan stands"
        if degc is not None:
            nobody = f"its fan stands until it is {degc:g} °C inside, at what load nobody states"
        return f"quiet: at {load} of its rating in everyday use; {nobody}"
    if c.more["stands"]:
        return f"quiet: its fan stands in everyday use, {load} of its rating, still to {_pc(limit)}"
    said = f"quiet: its fan turns in everyday use, at {load} of its rating"
    return said + ("; over half" if c.status == "warn" else "")


def _efficiency(c: SupplyCheck) -> str:
    m = c.more
    by = {
        "measured": "as measured",
        "grade": "at the least, by its grade",
        "lowest": "at the least, by the lowest grade, since nobody says its own",
    }[m["own"]]
    return (
        f"efficiency: {m['everyday'] * 100:.1f} % everyday, {m['full'] * 100:.1f} % at full, {by}; "
        f"from the wall {number(m['wall_idle'], 'W')} idle, {number(m['wall_everyday'], 'W')} "
        f"everyday, {number(m['wall_full'], 'W')} at full, which is {m['btu_h']:,.0f} BTU/h of heat"
    )


def _cost(c: SupplyCheck) -> str:
    kwh = f"{up(c.load or 0):,} kWh a year"
    price = c.more["price"]
    if price is None:
        return f"cost: {kwh}; no price is entered"
    bands = f", over {counted(c.more['bands'], 'band')} of price" if c.more["bands"] else ""
    return f"cost: {kwh}, {price:,.2f} {c.more['currency']}".rstrip() + bands


def _mains(c: SupplyCheck) -> str:
    m, load = c.more, number(c.load or 0, "W")
    said = f"mains: {m['amps']:.1f} A at {m['mains_v']:g} V at full"
    if c.limit is None:
        return said
    return (
        f"{said}; {load} on a circuit of {m['mains_v']:g} V × {m['breaker_a']:g} A × 0.8 = "
        f"{number(c.limit, 'W')} for hours, as arithmetic: local codes decide"
    )


def _hold_up(c: SupplyCheck) -> str:
    if c.more["by"] == "no UPS":
        return "hold-up: no UPS is entered"
    by = "stated" if c.more["by"] == "stated" else "by its design"
    if by != "stated" and c.more.get("design") is None:
        by = "the least of any design, since its own is not known"
    return (
        f"hold-up: {number(c.limit or 0, 'ms')}, {by}, and the UPS takes "
        f"{number(c.load or 0, 'ms')} to step in"
    )


def _age(c: SupplyCheck) -> str:
    if c.load is None:
        return "age: nobody says when it was made"
    years = f"{c.load or 0:g} years old"
    return f"age: {years}, over {c.limit or 0:g}" if c.status == "warn" else f"age: {years}"


_SAYS: dict[str, Callable[[SupplyCheck], str]] = {
    "regulation": _regulation,
    "ports": _ports,
    "form": _form,
    "length": _length,
    "reach": _reach,
    "share": _share,
    "quiet": _quiet,
    "efficiency": _efficiency,
    "cost": _cost,
    "mains": _mains,
    "hold-up": _hold_up,
    "age": _age,
}
_NOT_THERE: dict[str, str] = {
    "form": "form: no case is chosen",
    "length": "length: no case is chosen",
    "reach": "reach: no case, or no cables",
    "age": "age: the year it was made is not told",
}


def living_words(check: SupplyCheck) -> str | None:
    """A check of how a supply fits and lives in one sentence; None where it is none of them."""
    says = _SAYS.get(check.id)
    if says is None:
        return None
    if check.status == "not checked":
        return _NOT_THERE[check.id]
    if check.missing:
        warm = check.more.get("degc")
        said = f"{check.id}: not known without {lacks(check.missing)}"
        if warm is None:
            return said
        return f"{said}; its fan stands until it is {warm:g} °C inside, at what load nobody states"
    if check.status == "unknown" and not check.more:
        return f"{check.id}: not worked out, the check broke down"
    said = says(check)
    return said + ("; a figure is missing, it may be more" if check.status == "unknown" else "")
