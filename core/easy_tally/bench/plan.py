"""The plan as it stands: the steps of today's map, with what is done of them. What was done and is
no longer in the map is undone first, and its record stays."""

from __future__ import annotations

from collections.abc import Iterable, Mapping
from dataclasses import dataclass
from typing import Literal

from ..analysis import Analysis
from .joints import Joint
from .steps import Step, steps

#: What was found at a joint that ends the work there.
Bad = Literal["warm", "browned", "loose"]
JOINT, OUT = "joint:", "out:"
#: Steps that are to be done again where wiring is changed in a machine that ran.
AGAIN = ("safe", "last-look", "power-on", "readings")


@dataclass(frozen=True, slots=True, kw_only=True)
class Done:
    """A step that was done: by whom and when, in words as they were then, and to which very
    things; of earlier versions nobody said."""

    step: str
    of: str = ""
    words: str
    who: str = ""
    at: str = ""


@dataclass(frozen=True, slots=True, kw_only=True)
class Plan:
    """Steps, those done, the first that is not, and what stops the work."""

    steps: tuple[Step, ...]
    done: Mapping[str, Done]
    next: str
    stopped: str

    @property
    def left(self) -> int:
        """How many are not done."""
        return sum(s.id not in self.done for s in self.steps)


def plan(a: Analysis, done: Iterable[Done], bad: Mapping[str, Bad] | None = None) -> Plan:
    """The plan of a build with what is done of it; `found`: what was found bad at which step."""
    was = {d.step: d for d in done}
    bare = steps(a)
    here = {s.id for s in bare}
    gone = [d for d in was.values() if d.step.startswith(JOINT) and d.step not in here]
    all_ = steps(a, tuple((d.step.removeprefix(JOINT), d.words) for d in gone))
    ids = [s.id for s in all_]
    known = {s.id: d for s in all_ if (d := was.get(s.id)) and d.of in ("", s.of)}
    anew = (JOINT, OUT, "mount")
    if any(i.startswith(anew) and i not in known for i in ids) and "power-on" in known:
        # It ran, and its wiring is changed: made safe anew, looked over and switched on anew.
        known = {k: d for k, d in known.items() if k not in AGAIN}
    return Plan(
        steps=all_,
        done=known,
        next=next((s.id for s in all_ if s.id not in known), ""),
        stopped=_stopped(bad or {}),
    )


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
