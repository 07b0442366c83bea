"""The work order: what has to be done so that a machine as it stands becomes what is wanted, with
what was done of it. Derived each time from the record and the build."""

from __future__ import annotations

from collections.abc import Iterable, Iterator, Mapping
from dataclasses import dataclass
from typing import Literal, get_args

from ..analysis import Analysis
from .covers import Known
from .hands import TIES, TORCH, hand_of
from .joints import Joint
from .order import GROUP_WORDS, Group
from .record import MACHINE, Act, Noted, Standing, owner, standing, under_way
from .steps import Bench, Step
from .steps_in import in_steps
from .steps_out import away_steps, out_steps, photographs, questions
from .steps_whole import after_steps, cable_steps, safe_step

#: What was found at a joint that ends the work there.
Bad = Literal["warm", "browned", "loose"]
JOINT, OUT = "joint:", "out:"
#: Done in the work under way, done before it, or open.
State = Literal["open", "done", "stands"]
_WHOLE = ("made safe", "tied", "looked over", "started", "measured")


@dataclass(frozen=True, slots=True, kw_only=True)
class Placed:
    """A step in the work: what a tick of it says now, and how it stands."""

    step: Step
    state: State
    #: What a tick says: the acts of it that are open.
    acts: tuple[Act, ...]


@dataclass(frozen=True, slots=True, kw_only=True)
class Plan:
    """The work: its steps, the first that is open, what it takes, what stops it."""

    steps: tuple[Placed, ...]
    next: str
    stopped: str
    tools: tuple[str, ...]
    #: Whether anything at all is known of how it stands.
    is_known: bool

    @property
    def left(self) -> int:
        """How many are open."""
        return sum(s.state == "open" for s in self.steps)


def plan(
    a: Analysis,
    record: Iterable[Noted] = (),
    known: Known | None = None,
    bad: Mapping[str, Bad] | None = None,
) -> Plan:
    """The work order of a build. `record`: of its machine; `known`: individuals that it tells of
    and that the build no longer has; `bad`: what was found at which step and stops the work."""
    entries = list(record)
    stands = standing(entries)
    bench = Bench(a, stands, known or {})
    derived = [_placed(bench, s) for s in _steps(bench)]
    steps = list(_with_done(derived, _done_before(entries, stands)))
    return Plan(
        steps=tuple(steps),
        next=next((s.step.id for s in steps if s.state == "open"), ""),
        stopped=_stopped(bad or {}),
        tools=tuple(_tools(bench, steps)),
        is_known=bool(stands.acts),
    )


def steps(a: Analysis) -> tuple[Step, ...]:
    """Every step from nothing to a machine that runs."""
    return tuple(_steps(Bench(a, Standing(), {})))


def _steps(bench: Bench) -> Iterator[Step]:
    yield safe_step(bench)
    yield from questions(bench)
    yield from photographs(bench)
    yield from out_steps(bench)
    yield from away_steps(bench)
    yield from cable_steps(bench)
    yield from in_steps(bench)
    yield from after_steps(bench)


def _with_done(steps: Iterable[Placed], done: Iterable[Placed]) -> Iterator[Placed]:
    """Steps in their order; what is not derived any more, being done, at the head of its group, and
    after what makes safe."""
    groups: dict[Group, list[Placed]] = {}
    safe, *derived = steps
    for placed in (*done, *derived):
        groups.setdefault(placed.step.group, []).append(placed)
    yield safe
    for group in GROUP_WORDS:
        if group in _DONE.values():
            yield from groups.pop(group, ())
    yield from (p for p in derived if p.step.group in groups)


def _done_before(entries: list[Noted], stands: Standing) -> list[Placed]:
    """What came out in the work under way, went away, was answered: it is not derived any more, and
    stays in sight."""
    done: list[Placed] = []
    for entry in under_way(entries, stands):
        group = next((g for head, g in _DONE.items() if entry.step.startswith(head)), None)
        if group is not None:
            step = Step(id=entry.step, group=group, title=entry.words, acts=entry.acts)
            done.append(Placed(step=step, state="done", acts=entry.acts))
    return done


#: How the id of a step begins that is not derived any more once it is done → its group.
_DONE: dict[str, Group] = {"ask:": "before", OUT: "out", "bag": "away", "away:": "away"}


def _placed(bench: Bench, step: Step) -> Placed:
    states = [(act, _state(bench, act)) for act in step.acts]
    left = tuple(act for act, state in states if state == "open")
    if step.answers or left:
        return Placed(step=step, state="open", acts=left)
    stands_all = all(state == "stands" for _, state in states)
    return Placed(step=step, state="stands" if stands_all else "done", acts=step.acts)


def _state(bench: Bench, act: Act) -> State:
    stands = bench.stands
    kind, thing, place = act
    if kind in _WHOLE:
        at = _of_whole(bench, kind)
    elif kind == "looked at":
        at = stands.looked.get((thing, place), -1)
        if thing == MACHINE and at < stands.begun:
            at = -1
    elif thing in bench.machine.fixed:
        return "stands"
    else:
        is_there = thing in bench.machine.where and thing not in bench.difference.into
        at = stands.when.get(thing, -1) if is_there else -1
    if at < 0:
        return "open"
    return "done" if at >= stands.begun else "stands"


def _of_whole(bench: Bench, kind: str) -> int:
    """When something was done to the whole that still holds; -1: it is to be done."""
    stands = bench.stands
    at = stands.whole.get(kind, -1)
    if kind == "made safe":
        return _safe(bench, at)
    changes = bool(bench.difference.into or bench.difference.out)
    return -1 if changes or at < stands.changed else at


def _safe(bench: Bench, at: int) -> int:
    """A machine that ran since is made safe anew before a hand is in it."""
    stands = bench.stands
    changes = bench.difference.into or bench.difference.out
    unlooked = stands.whole.get("started", -1) < stands.changed
    if not changes and not unlooked:
        return max(at, stands.whole.get("started", -1))
    return -1 if stands.ran else at


def _tools(bench: Bench, placed: list[Placed]) -> Iterator[str]:
    """What is laid out before the work begins."""
    moved = [
        act.thing
        for p in placed
        if p.state == "open"
        for act in p.acts
        if act.act in ("mounted", "taken out")
    ]
    plugged = any(a.act == "plugged" for p in placed if p.state == "open" for a in p.acts)
    tools = [t for end in moved if (i := bench.known.get(owner(end))) for t in hand_of(i.of).tools]
    yield from dict.fromkeys((*tools, *((TORCH, TIES) if plugged or moved else ())))


def bad_of(record: Iterable[Noted]) -> dict[str, Bad]:
    """What was found at which step and stops the work, until somebody looked at it."""
    bad: dict[str, Bad] = {}
    for entry in record:
        if entry.kind in get_args(Bad):
            bad[entry.step] = entry.kind  # type: ignore[assignment]
        elif entry.kind == "looked at":
            bad.pop(entry.step, None)
    return bad


def _stopped(bad_steps: Mapping[str, Bad]) -> str:
    for step, bad in bad_steps.items():
        words = {
            "warm": "was warm: it carries more than it can, or its contacts are bad",
            "browned": "is browned: it was too hot, and its contacts no longer hold",
            "loose": "is loose: its contacts no longer press, and will grow hot",
        }[bad]
        return (
            f"A plug {words}. Switch off at the wall and stop: neither the plug nor what it was in "
            f"is to be used again until both were looked at. ({step.removeprefix(JOINT)})"
        )
    return ""


def joint_words(j: Joint) -> str:
    """A joint in a phrase, for the record."""
    plug = f", plug {j.plug}" if j.plug else ""
    return f"{j.name}{plug} in {j.where}"
