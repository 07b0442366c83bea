"""What would make it go: each way worked out on the whole build, alone or two together where one
alone does nothing."""

from __future__ import annotations

from collections.abc import Iterable, Iterator
from contextlib import suppress
from dataclasses import dataclass
from itertools import combinations

from ..advice import Way, cards_by_watts, power_limit_that_does, supplies_that_do, ways_to_stay
from ..analysis import Analysis
from ..analysis.analyse import sized
from ..analysis.of_fit import fit_checks
from ..editing import ChangePart
from ..mapping import LOWEST_LIMIT, Repair, Stopped, applied, other_supplies
from ..things.build import Build
from ..things.buying import Price, cheapest_first
from ..things.case import Case
from .around import Patience
from .change import house
from .outcome import Before, Outcome
from .verdicts import VerdictId, rank, verdicts

#: Ways that are told at the most, and repairs of the map that each are looked at with a lower
#: power limit; cases that are told.
MOST, _MOST_REPAIRS, _MOST_CASES = 6, 4, 2
#: Cards of which two are held lower together.
_MOST_CARDS = 3


#: One thing that a remedy does: a repair of the map, a way for the supply to stay, another case.
Step = Repair | Way | Case


@dataclass(frozen=True, slots=True, kw_only=True)
class Remedy:
    """A way to make it go: what it does, which verdicts it mends, and what then becomes of it."""

    steps: tuple[Step, ...]
    mends: tuple[VerdictId, ...]
    outcome: Outcome

    @property
    def price(self) -> Price:
        """What it costs, beside the change itself."""
        return self.outcome.price


def remedies(before: Before, then: Outcome, patience: Patience) -> tuple[Remedy, ...]:
    """What would mend the verdicts of an outcome that fail, in the one order of ways to mend."""
    return _Remedies(before, then, patience).all()


class _Remedies:
    def __init__(self, before: Before, then: Outcome, patience: Patience) -> None:
        self.before, self.then, self.patience = before, then, patience
        self.is_now = {v.id: v.status for v in verdicts(then)}
        self.fails = tuple(v for v, status in self.is_now.items() if status == "fail")

    def all(self) -> tuple[Remedy, ...]:
        """Every way that is found, the cheapest first; the best that do it all before the rest."""
        if not self.fails:
            return ()
        several = list(_each_once(self._found()))
        if not any(set(r.mends) == set(self.fails) for r in several):
            several += self._with_case(several)
        several.sort(key=lambda r: (-len(r.mends), cheapest_first(r.price), len(r.steps)))
        return tuple(several[:MOST])

    def _found(self) -> Iterator[Remedy]:
        if "leads" in self.fails:
            yield from self._of_leads()
        elif "watts" in self.fails:
            yield from self._of_watts((), self.then)
        if {"watts", "leads"} & {*self.fails}:
            yield from self._supplies()
        if "room" in self.fails:
            yield from self._cases()

    # -- watts and leads ---------------------------------------------------------------------

    def _of_leads(self) -> Iterator[Remedy]:
        """Repairs of the map, each with what then lets the supply stay where its size does not
        do."""
        mapped = self.then.mapped
        if mapped is None:
            return
        own = [r for r in mapped.repairs if r.id != "supply"]
        for repair in own[:_MOST_REPAIRS]:
            laid = applied(repair.added.to(mapped.build), repair.found)
            outcome = self.before.judged(laid)
            if remedy := self._if_it_does((repair,), outcome):
                yield remedy
                continue
            for with_way in self._of_watts((repair,), outcome):
                yield with_way
                break

    def _of_watts(self, steps: tuple[Step, ...], outcome: Outcome) -> Iterator[Remedy]:
        """What lets the supply stay by its size: one step, or two cards held lower together."""
        a = outcome.analysis
        alone = False
        for way in ways_to_stay(a):
            if remedy := self._by_way(steps, way, a):
                alone = True
                yield remedy
        if not alone and not steps:
            yield from self._two_cards(a)

    def _by_way(self, steps: tuple[Step, ...], way: Way, a: Analysis) -> Remedy | None:
        changed = way.edit.where_it_goes(a.build)
        return self._if_it_does((*steps, way), self.before.judged(changed)) if changed else None

    def _two_cards(self, a: Analysis) -> Iterator[Remedy]:
        """Two cards held lower, where one alone does nothing: the first as low as it may be, the
        second as high as does."""
        for low, other in combinations(cards_by_watts(a.build)[:_MOST_CARDS], 2):
            share = min(low.power_limit, LOWEST_LIMIT)
            edit = ChangePart(part=low.key, changes={"power_limit": share})
            held = self.before.judged(edit.apply(a.build)).analysis
            way = power_limit_that_does(held, other)
            if way is None or low.board_power_w is None:
                continue
            watts = round(share * low.board_power_w.likely)
            first = Way(
                id="power-limit", edit=edit, part=low.key, name=low.name, watts=watts, share=share
            )
            if remedy := self._by_way((first,), way, held):
                yield remedy

    def _supplies(self) -> Iterator[Remedy]:
        """Another supply: one that is owned, and the cheapest that is not."""
        mapped = self.then.mapped
        build = mapped.build if mapped else self.then.build
        kits = [k for k in self.before.around.kits if not (k.source == "owned" and k.builds)]
        others = supplies_that_do(build, kits, self.before.around.year)
        until = self.patience.until(Patience.SUPPLIES)
        for repair in _while_there_is_time(other_supplies(build, others, until)):
            laid = applied(repair.added.to(build), repair.found)
            if remedy := self._if_it_does((repair,), self.before.judged(laid)):
                yield remedy

    # -- room --------------------------------------------------------------------------------

    def _cases(self) -> Iterator[Remedy]:
        """Another case in which all of it has room."""
        told = 0
        for case in self.before.around.cases:
            if told == _MOST_CASES:
                return
            changed = house(case).where_it_goes(self.then.build)
            if changed is None or not _has_room(self.then.analysis, changed):
                continue
            if remedy := self._if_it_does((case,), self.before.judged(changed)):
                told += 1
                yield remedy

    def _with_case(self, several: list[Remedy]) -> Iterator[Remedy]:
        """The cheapest way that does the rest, and a case with it, where none does it all."""
        cases = [s for r in several for s in r.steps if isinstance(s, Case)]
        others = [r for r in several if not any(isinstance(s, Case) for s in r.steps)]
        others.sort(key=lambda r: (-len(r.mends), cheapest_first(r.price)))
        for remedy, case in ((r, c) for r in others[:1] for c in cases[:1]):
            if changed := house(case).where_it_goes(remedy.outcome.build):
                outcome = self.before.judged(changed)
                if both := self._if_it_does((*remedy.steps, case), outcome):
                    yield both

    # -- whether it does ---------------------------------------------------------------------

    def _if_it_does(self, steps: tuple[Step, ...], outcome: Outcome) -> Remedy | None:
        """The remedy by some steps; None where it mends nothing, or spoils another verdict. What
        is to be mended of the supply's size and leads is mended whole or not at all."""
        after = {v.id: v.status for v in verdicts(outcome)}
        if any(rank(after[v]) < rank(self.is_now[v]) for v in after if v not in ("work", "cost")):
            return None
        mends = tuple(v for v in self.fails if after[v] != "fail")
        of_power = {"watts", "leads"} & {*self.fails}
        if not mends or (of_power & {*mends} and not of_power <= {*mends}):
            return None
        return Remedy(steps=steps, mends=mends, outcome=outcome)


def _while_there_is_time(several: Iterable[Repair]) -> Iterator[Repair]:
    with suppress(Stopped):
        yield from several


def _has_room(a: Analysis, build: Build) -> bool:
    """Whether nothing that a case decides by itself speaks against it: looked at before all is."""
    then = sized(a, build)
    of_supply = then.supply.checks if then.supply else ()
    fails = [c for c in of_supply if c.id in ("form", "length") and c.status == "fail"]
    return not fails and all(c.status != "fail" for c in fit_checks(then))


def _each_once(several: Iterable[Remedy]) -> Iterator[Remedy]:
    """Ways that lead to one build once: the first."""
    seen: set[str] = set()
    for remedy in several:
        image = remedy.outcome.build.model_dump_json()
        if image not in seen:
            seen.add(image)
            yield remedy
