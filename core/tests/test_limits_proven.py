"""Checker and solver judge with the same limits: each, put wrong, is found out by what shares none
of them, the second computation or the search through every map."""

from __future__ import annotations

import inspect
import sys
import unittest
from collections.abc import Callable, Iterator
from contextlib import ExitStack, contextmanager
from typing import Any
from unittest import mock

from easy_tally.base.errors import NotDecided
from easy_tally.mapping import solve
from easy_tally.ratings import limits
from easy_tally.ratings.limits import Contact, Limit

from .exhaustive import TooMany, best, values
from .machines import machine
from .small import made_up
from .test_oracle import cased, differences, reach_differences, shelf, start_differences


def _more(found: Any) -> Any:
    """The same, but for its figures: a tenth more than it should be."""
    if isinstance(found, Limit):
        return found._replace(rated=None if found.rated is None else found.rated * 1.1 + 0.01)
    if isinstance(found, Contact):
        return found._replace(heat=found.heat * 1.1, rated_a=found.rated_a and found.rated_a * 1.1)
    if isinstance(found, tuple | list):
        return type(found)(map(_more, found))
    return found * 1.1 if isinstance(found, float) else found


def _sixteen(found: str) -> str:
    return "port" if found == "16pin" else "16pin"


#: Functions of the limits, and what makes a wrong figure of what they give.
_WRONG: dict[str, Callable[[Any], Any]] = {
    "chained": lambda found: None,
    "code_w": lambda watts: watts and watts / 2,
    "coded_w": _more,
    "conductor": _more,
    "contacts_ohm": _more,
    "drop_v": _more,
    "granted_a": _more,
    "granted_w": _more,
    "lead_contact": _more,
    "lost_more": _more,
    "over_current": _more,
    "plug_contact": _more,
    "port_contact": _more,
    "port_pins_12v": lambda pins: pins + 1,
    "port_shares": lambda shares: [2 / len(shares) * x for x in shares],
    "reached": _more,
    "spanned": lambda found: (found[0], Limit(found[0])),
    "supply_end_contact": _more,
    "supply_end_kind": _sixteen,
    "way_mm": _more,
    "wire_ohm": _more,
}
#: The same of what every limit does.
_WRONG_METHODS: dict[tuple[type, str], Callable[[Any], Any]] = {
    (Limit, "eased"): lambda loads: (*loads[:-1], loads[-1] * 1.5),
    (Limit, "held"): _more,
    (Limit, "exceeded"): lambda is_over: False,
    (Contact, "limit"): _more,
}


@contextmanager
def _put_wrong(of: Callable[..., Any], wrong: Callable[[Any], Any]) -> Iterator[None]:
    """What a function gives put wrong, wherever the core calls it by its name."""

    def other(*given: Any) -> Any:
        return wrong(of(*given))

    with ExitStack() as stack:
        for name, module in list(sys.modules.items()):
            if name.startswith("easy_tally.") and getattr(module, of.__name__, None) is of:
                stack.enter_context(mock.patch.object(module, of.__name__, other))
        yield


def _found_out() -> bool:
    """Whether anything outside says something else than the core."""
    for seed in range(24):
        b, disks = machine(seed), shelf(seed)
        several = [differences(b), start_differences(disks)]
        several += [reach_differences(cased(x, seed)) for x in (b, disks) if not x.backplanes]
        if any(next(of, "") for of in several):
            return True
    return any(map(_searched_out, range(40)))


def _searched_out(seed: int) -> bool:
    """Whether the search through every map comes to another one."""
    b = made_up(seed)
    try:
        want = best(b, 300)
    except TooMany:
        return False
    try:
        found = solve(b)
    except NotDecided:  # the map that it found is refused by the checker
        return True
    return values(found) != want


class EachLimitIsHeldByWhatStandsOutside(unittest.TestCase):
    def test_nothing_is_found_out_of_what_is_right(self) -> None:
        self.assertFalse(_found_out())

    def test_each_function_put_wrong_is_found_out(self) -> None:
        own = {
            name
            for name, of in inspect.getmembers(limits, inspect.isfunction)
            if of.__module__ == limits.__name__ and not name.startswith("_")
        }
        self.assertEqual(own, set(_WRONG))
        for name, wrong in _WRONG.items():
            with self.subTest(name), _put_wrong(getattr(limits, name), wrong):
                self.assertTrue(_found_out())

    def test_what_every_limit_does_put_wrong_is_found_out(self) -> None:
        for (of, name), wrong in _WRONG_METHODS.items():
            own = getattr(of, name)
            with (
                self.subTest(name),
                mock.patch.object(of, name, lambda *a, own=own, wrong=wrong: wrong(own(*a))),
            ):
                self.assertTrue(_found_out())
