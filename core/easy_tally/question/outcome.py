"""What becomes of a build: mapped with what is at hand, judged, and the work that leads there."""

from __future__ import annotations

from functools import cached_property
from typing import TYPE_CHECKING

from ..advice import Mapped, map_soon
from ..analysis import Analysis, analyse
from ..analysis.analyse import tried
from ..analysis.of_fit import fit_checks
from ..base.memory import Memory
from ..bench import Noted, Plan, bad_of, plan
from ..bench.covers import Known
from ..mapping import Wish, swaps
from ..supplies.buying import Item, sum_of, to_buy
from ..supplies.case.fit import FitCheck
from ..things.build import Build
from ..things.buying import Price
from .around import Around, Patience

if TYPE_CHECKING:
    from .verdicts import Verdict

#: What is kept of a build while its outcomes are worked out [bytes].
_MEMORY_BYTES = 40_000_000


class Before:
    """A build as it is, with its machine: what each outcome is held against."""

    def __init__(self, build: Build, around: Around) -> None:
        self.around = around
        self.analysis = analyse(build, around.year, Memory(_MEMORY_BYTES), around.drawer)
        self.record: tuple[Noted, ...]
        self.known: Known
        self.record, self.known = around.standing_of(self.analysis)
        self.bad = bad_of(self.record)
        self.has = {(i.of, i.name, i.price) for i in to_buy(build)}

    @property
    def build(self) -> Build:
        """The build as it is."""
        return self.analysis.build

    def as_it_is(self) -> Outcome:
        """The build as it is, as an outcome."""
        return Outcome(self, self.analysis, None)

    def judged(self, build: Build, mapped: Mapped | None = None) -> Outcome:
        """What a build comes to that is plugged already."""
        return Outcome(self, tried(self.analysis, build), mapped)

    def mapped(self, build: Build, patience: Patience) -> Outcome:
        """What a build comes to once it is mapped with what is in its boxes: with as little change
        as may be where anything is plugged in. Of one that can't be fed, as much as can; repairs
        are looked for while there is patience."""
        wish = Wish(prefer=any(r.connections for r in build.runs), least_moves=False)
        came = map_soon(
            build,
            wish,
            self.around.stock,
            patience.until(Patience.PARTLY),
            patience.until(Patience.REPAIRS),
        )
        return self.judged(came.after.build if came.after else build, came)


class Outcome:
    """A build as it would be: judged, with the work from how the machine stands. `mapped`: what
    mapping came to, where it was mapped."""

    def __init__(self, before: Before, a: Analysis, mapped: Mapped | None) -> None:
        self._before, self.analysis, self.mapped = before, a, mapped
        #: The verdicts on it, once they were worked out.
        self.judged: tuple[Verdict, ...] | None = None

    @property
    def build(self) -> Build:
        """The build as it would be."""
        return self.analysis.build

    @cached_property
    def fits(self) -> tuple[FitCheck, ...]:
        """Every check of room and air."""
        return fit_checks(self.analysis)

    @property
    def airflow(self) -> FitCheck | None:
        """The check of the air through the case, if it has one."""
        return next((c for c in self.fits if c.id == "airflow"), None)

    @cached_property
    def plan(self) -> Plan:
        """The work that leads there."""
        return plan(self.analysis, self._before.record, self._before.known, self._before.bad)

    @cached_property
    def moved(self) -> int:
        """Plugs and port ends that move from how it is plugged."""
        return sum(s.ends for s in swaps(self._before.build, self.build))

    @property
    def is_stopped(self) -> bool:
        """Whether something was found at a plug that ends all work."""
        return bool(self._before.bad)

    @property
    def open_steps(self) -> list[str]:
        """Ids of the steps that are to be done."""
        return [p.step.id for p in self.plan.steps if p.state == "open"]

    @cached_property
    def _new(self) -> tuple[Item, ...]:
        """What is to be bought that was not before."""
        has = self._before.has
        return tuple(i for i in to_buy(self.build) if (i.of, i.name, i.price) not in has)

    @property
    def bought(self) -> list[str]:
        """The names of that."""
        return [i.name for i in self._new]

    @cached_property
    def price(self) -> Price:
        """What it costs: what is to be bought that was not before, ends that move, minutes."""
        money, without = sum_of(self._new)
        minutes = self._before.around.pace.minutes(self.open_steps)
        return Price(None if without else money, self.moved, minutes)
