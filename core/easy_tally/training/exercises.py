"""The trainer: a machine with a fault in it, readings to find it by, an answer judged by what was
planted and explained with the numbers."""

from __future__ import annotations

from dataclasses import dataclass

from ..analysis import Analysis
from ..base.arrays import np
from ..base.errors import BadInput, NotThere
from ..readings import METERED, Channel, Held, Readings, channels_of, hold, instrument_of, say
from ..simulate import FAULT_KINDS, FAULT_WORDS, Fault, FaultKind, Planted, Scene, places, plant

#: Machines by the names that exercises call them by; which files they are is the caller's.
Machine = str
_ALL = ("wall meter", "supply telemetry", "connector meter", "multimeter", "card")
_FEW = ("wall meter", "supply telemetry", "connector meter")


@dataclass(frozen=True, slots=True, kw_only=True)
class Exercise:
    """A fault to be found: in which machine, how hard it is to see, what there is to measure with.
    `place` counts the places at which such a fault can sit."""

    number: int
    machine: Machine
    kind: FaultKind
    place: int
    seed: int
    severity: float = 1.0
    spread: float = 0.02
    instruments: tuple[str, ...] = _ALL


def _rows() -> tuple[Exercise, ...]:
    """In order of difficulty: plain faults with every instrument, then fainter ones among contacts
    that differ, then with fewer instruments."""
    rows: tuple[tuple[Machine, FaultKind, int, float, float, tuple[str, ...]], ...] = (
        ("heron", "open pin", 5, 1.0, 0.01, _ALL),
        ("heron", "missing lead", 0, 1.0, 0.01, _ALL),
        ("heron", "part-seated", 5, 1.0, 0.02, _ALL),
        ("heron", "wrong code", 0, 1.0, 0.02, _ALL),
        ("cormorant", "hub state", 0, 1.0, 0.02, _ALL),
        ("curlew", "open pin", 2, 1.0, 0.02, _ALL),
        ("heron", "tired contact", 5, 1.0, 0.02, _ALL),
        ("curlew", "part-seated", 3, 1.0, 0.02, _ALL),
        ("heron", "chained", 0, 1.0, 0.02, _ALL),
        ("dunlin", "tired contact", 2, 1.0, 0.02, _ALL),
        ("heron", "pinched bend", 5, 1.0, 0.02, _ALL),
        ("dunlin", "part-seated", 1, 0.8, 0.02, _ALL),
        ("curlew", "chained", 1, 1.0, 0.02, _ALL),
        ("cormorant", "hub state", 1, 1.0, 0.03, _ALL),
        ("curlew", "tired contact", 4, 0.7, 0.03, _ALL),
        ("heron", "part-seated", 3, 0.6, 0.03, _ALL),
        ("curlew", "pinched bend", 2, 0.7, 0.03, _ALL),
        ("godwit", "tired contact", 0, 0.8, 0.03, _ALL),
        ("heron", "tired contact", 1, 0.6, 0.03, _FEW),
        ("dunlin", "pinched bend", 2, 0.7, 0.03, _FEW),
        ("curlew", "part-seated", 1, 0.5, 0.04, _FEW),
        ("heron", "part-seated", 5, 0.35, 0.04, _FEW),
        ("cormorant", "part-seated", 0, 0.4, 0.04, _FEW),
        ("heron", "pinched bend", 4, 0.5, 0.04, _FEW),
    )
    return tuple(
        Exercise(
            number=i,
            machine=m,
            kind=k,
            place=p,
            seed=100 + i,
            severity=s,
            spread=w,
            instruments=instruments,
        )
        for i, (m, k, p, s, w, instruments) in enumerate(rows, 1)
    )


EXERCISES: tuple[Exercise, ...] = _rows()
#: An exercise of a build of one's own has no number of these.
OWN = 0


def of_own(a: Analysis, seed: int) -> Exercise:
    """A fault at random in a build: of those kinds that can sit in it. Raises NotThere."""
    rng = np.random.default_rng(seed)
    kinds = [k for k in FAULT_KINDS if places(a, k)]
    if not kinds:
        raise NotThere("There is nothing in this build that a fault could be found at by readings.")
    kind = kinds[int(rng.integers(len(kinds)))]
    place = int(rng.integers(len(places(a, kind))))
    return Exercise(
        number=OWN,
        machine="",
        kind=kind,
        place=place,
        seed=seed,
        severity=float(rng.uniform(0.5, 1.0)),
        spread=0.02,
    )


def planted(a: Analysis, e: Exercise) -> Planted:
    """The machine of an exercise, with its fault in it. Raises NotThere."""
    at = places(a, e.kind)
    if not at:
        raise NotThere(f"This build has no place for the fault of exercise {e.number}.")
    fault = Fault(kind=e.kind, at=at[e.place % len(at)], severity=e.severity)
    return plant(a, fault, Scene(seed=e.seed, spread=e.spread))


def taken(a: Analysis, e: Exercise, planted: Planted) -> Readings:
    """The readings that there are to find it by."""
    return planted.running.readings(c for c in channels_of(a) if instrument_of(c) in e.instruments)


@dataclass(frozen=True, slots=True, kw_only=True)
class Choice:
    """A joint that may be the answer."""

    ref: str
    words: str
    port: str


def choices(a: Analysis) -> tuple[Choice, ...]:
    """Every joint that a fault can sit at, in the order of the map: the bench's list."""
    at = {r for k in FAULT_KINDS for r in places(a, k)}
    ports = {
        f.input.ref: " and ".join(p.label for p in run.ports)
        for run in a.wired.runs
        for f in run.feeds
    }
    return tuple(
        Choice(ref=r, words=a.wired.words(r), port=ports.get(r, ""))
        for r, f in a.wired.feeds.items()
        if r in at or (f.mated in METERED and f.input.between is None)
    )


@dataclass(frozen=True, slots=True, kw_only=True)
class Judged:
    """An answer judged: joint and reason each; what was planted, and what shows it."""

    right_joint: bool
    right_reason: bool
    joint: str
    reason: str
    numbers: tuple[str, ...]


def judge(
    a: Analysis, e: Exercise, planted: Planted, held: Held, joint: str, reason: str
) -> Judged:
    """Judge an answer. Raises BadInput for a joint or a reason that there is none of."""
    if joint not in {c.ref for c in choices(a)}:
        raise BadInput([("joint", "one of the joints listed", joint[:60])])
    if reason not in FAULT_KINDS:
        raise BadInput([("reason", f"one of {', '.join(FAULT_KINDS)}", reason[:60])])
    words = " and ".join(a.wired.words(r) for r in planted.joints)
    return Judged(
        right_joint=joint in planted.joints,
        right_reason=reason == planted.fault.kind,
        joint=words,
        reason=FAULT_WORDS[planted.fault.kind],
        numbers=tuple(_shows(a, planted, held)),
    )


def _shows(a: Analysis, planted: Planted, held: Held) -> list[str]:
    """What the readings say of the right joints; of the whole where they say nothing of them."""
    own = [
        f for f in held.found if f.severity in ("over", "tight") and f.channel.at in planted.joints
    ]
    return [say(a.wired, f)[0] for f in own][:4] + _heat(a, planted, held)


def _heat(a: Analysis, planted: Planted, held: Held) -> list[str]:
    """How warm the joint is at full: what tells a contact from a wire."""
    lines = []
    for ref in planted.joints:
        stats = held.stats.get(("full", Channel(ref, "", "degc")))
        if stats is not None:
            lines.append(f"{a.wired.words(ref)} is at {stats.mean:.0f} °C at full load.")
    return lines


def seen(a: Analysis, planted: Planted, joint: str) -> str:
    """What one sees of a joint at the bench, with the machine off and the case open."""
    if joint not in {c.ref for c in choices(a)}:
        raise BadInput([("joint", "one of the joints listed", joint[:60])])
    words = a.wired.words(joint)
    if joint not in planted.joints:
        return f"{words}: it clicked, there is no gap, it stays when pulled."
    return (
        f"{words}: "
        + {
            "part-seated": "between plug and socket a finger nail goes in on one side.",
            "open pin": "in the plug one contact stands further back than the others.",
            "tired contact": "one contact of the plug is dull and a little brown.",
            "pinched bend": "the cable is bent sharply against the side panel.",
            "chained": "its cable has its other plug in the socket beside it.",
            "wrong code": "its plug is marked for fewer watts than the card may draw.",
            "missing lead": "its other end is not in a port.",
            "hub state": "the switch on it stands at its highest position.",
        }[planted.fault.kind]
    )


def readings_and_held(a: Analysis, e: Exercise, planted: Planted) -> tuple[Readings, Held]:
    """The readings of an exercise, and what the analysis says of them."""
    readings = taken(a, e, planted)
    return readings, hold(a, readings)
