"""The supply in words: what the rules ask for, and each check of it."""

from __future__ import annotations

from ...base.saying import counted, money, number
from ...base.units import RAIL_WORDS, STATE_WORDS
from ...standards.sizes import FIFTH
from ...supplies.asked import SupplyCheck
from ...supplies.sizing import RuleId
from ...things.buying import Price
from ...things.rules import HouseRules
from .living import living_words

_RULES: dict[RuleId, str] = {
    "sum": "full load + {headroom} %",
    "floor": "card maker’s floor",
    "floor and a fifth": f"card maker’s floor + {FIFTH * 100:g} %",
    "quiet": "quiet point",
    "spikes": "spikes ridden through",
    "start": "power-on",
    "short": "processor’s short limit",
}

_WHAT = {"rating": "the most it draws", "combined": "5 V and 3.3 V together"}


def rule_words(house: HouseRules, rule: RuleId) -> str:
    """A sizing rule's name."""
    return _RULES[rule].format(headroom=f"{house.headroom * 100:g}")


def check_words(check: SupplyCheck) -> str:
    """A supply check in one sentence with its numbers."""
    living = living_words(check)
    if living is not None:
        return living
    if check.load is None:
        return f"{check.id}: not worked out, the check broke down"
    load = number(check.load, check.unit)
    limit = "not known" if check.limit is None else number(check.limit, check.unit)
    match check.id:
        case "watts":
            return _watts_words(check, load, limit)
        case "too big" if check.status == "warn":
            return f"{load} rated is over twice what is needed ({limit})"
        case "too big":
            return f"not too big: up to {limit} would do"
        case "spikes":
            return _spikes_words(check, load, limit)
        case _:
            return _rail_words(check, load, limit)


_AT_HIGH = "; over only at the high end of the figures"


def _watts_words(check: SupplyCheck, load: str, limit: str) -> str:
    if check.limit is None:
        return f"rating not known; the rules ask for at least {load}"
    if check.status == "unknown":
        return f"{limit} rated; a figure is missing, the rules ask for at least {load}"
    if "headroom" in check.more:
        return f"a little short: {check.more['headroom']} % headroom; the rules ask for {load}"
    if check.only_at_high:
        return f"{limit} rated; at the high end of the figures the rules ask for {load}"
    return f"{limit} rated; the rules ask for {load}"


def _spikes_words(check: SupplyCheck, load: str, limit: str) -> str:
    if check.limit is None:
        return f"spikes of {load}: its rating is not known, so neither is what it rides through"
    said = f"spikes: {load} for {check.window} ms, of {limit} that it rides through"
    if check.more.get("design") is None:
        said += " by the older design, since its own is not known"
    if check.status == "unknown":
        said += "; a figure is missing"
    if check.status in ("fail", "warn") and not check.only_at_high:
        said += "; it may trip"
    return said + _AT_HIGH * check.only_at_high


def buying_words(n: int, amount: float, without: int, currency: str) -> str:
    """How many things are to be bought, and what those come to that have a price."""
    if not n:
        return "Nothing to buy"
    said = f"{counted(n, 'thing')} to buy"
    if without == n:
        return f"{said}, no price is known"
    said += f", {money(amount, currency)}"
    return f"{said} and {without} without a price" if without else said


def price_words(price: Price, currency: str) -> str:
    """Money, moves and minutes in a phrase, in this order everywhere."""
    said = ["price not known" if price.money is None else "nothing to buy"]
    if price.money:
        said = [money(price.money, currency)]
    said.append(f"{counted(price.moves, 'end')} to move" if price.moves else "nothing moves")
    if price.minutes:
        said.append(f"about {price.minutes} min")
    return ", ".join(said)


def _rail_words(check: SupplyCheck, load: str, limit: str) -> str:
    subject = f"{RAIL_WORDS[check.rail]} rail" if check.rail else _WHAT[check.id]
    if not check.load and check.status == "pass":
        return f"{subject}: nothing draws from it"
    said = f"{subject}: {load} of {limit}"
    if check.state not in (None, "full"):
        said += f", at {STATE_WORDS[check.state]}"
    if check.status == "unknown" and check.limit is not None:
        said += "; a figure is missing, it may be more"
    return said + _AT_HIGH * check.only_at_high
