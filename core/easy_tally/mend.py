"""What is left to mend in a build, worst first, each with its place and its fix."""

from __future__ import annotations

from collections.abc import Iterator
from dataclasses import dataclass
from typing import Literal

from .build import Build
from .offers import free_ports_for
from .ratings.check import RunResult
from .sizing import SupplyResult
from .standards.connectors import CONNECTORS
from .supply import SocketRef
from .tally import Tally
from .through_board import BoardElement
from .wording import blank_headers, board_cause, board_fix, board_title, check_words, element_cause

MendKind = Literal["over", "refused", "failed", "unfed", "unknown"]
Station = Literal["parts", "supply", "loom"]


@dataclass(frozen=True, slots=True)
class Mend:
    """One thing to mend: a sentence with numbers, what to do, and where."""

    kind: MendKind
    title: str
    text: str
    fix: str
    station: Station
    subject: str
    field: str = ""


_ORDER: tuple[MendKind, ...] = ("over", "refused", "failed", "unfed", "unknown")


def mends(
    build: Build,
    tally: Tally,
    supply: SupplyResult | None,
    runs: tuple[RunResult, ...],
    board: tuple[BoardElement, ...],
    unfed: list[SocketRef],
) -> tuple[Mend, ...]:
    """Everything over, refused, failed, unfed or unknown."""
    found = [
        *_parts(build, tally),
        *_supply(build, supply, len(unfed)),
        *_runs(build, runs),
        *_board(build, board),
        # Without a supply nothing can be fed: that is one thing to mend, not one a socket.
        *(_unfed(build, ref) for ref in unfed if build.supply is not None),
    ]
    return tuple(sorted(found, key=lambda m: _ORDER.index(m.kind)))


def _parts(build: Build, tally: Tally) -> Iterator[Mend]:
    if not build.parts:
        yield Mend("unknown", "No parts", "There is nothing to tally yet.", "Add the first part.",
                   "parts", "")  # fmt: skip
    seen = set()
    for row in tally.rows:
        if row.missing and row.part not in seen:
            seen.add(row.part)
            yield Mend(
                "unknown", row.name, "Its watts are not known, so every total is “at least”.",
                "Enter the figure from its page or label.", "parts", row.part, row.field,
            )  # fmt: skip


def _supply(build: Build, result: SupplyResult | None, unfed: int) -> Iterator[Mend]:
    if result is None or build.supply is None:
        if build.parts:
            sockets = f"{unfed} socket{'s wait' if unfed != 1 else ' waits'} for one"
            yield Mend("unfed", "No supply", f"No supply is chosen; {sockets}.",
                       "Take one that the rules allow.", "supply", "")  # fmt: skip
        return
    for check in result.checks:
        if check.id == "spikes" and check.status == "fail":
            yield Mend(
                "failed", build.supply.name, check_words(check) + ".",
                "Take one of a newer design, or a larger one.", "supply", check.id,
            )  # fmt: skip
        elif check.status in ("fail", "unknown"):
            yield Mend(
                "failed" if check.status == "fail" else "unknown",
                build.supply.name,
                check_words(check) + ".",
                "Take a larger supply." if check.status == "fail" else "Enter its label’s figure.",
                "supply",
                check.id,
            )


def _board(build: Build, board: tuple[BoardElement, ...]) -> Iterator[Mend]:
    blank: dict[str, list[BoardElement]] = {}
    for b in board:
        if b.kind == "header" and b.at and b.judged.limit is None:
            blank.setdefault(b.part, []).append(b)
        elif b.judged.verdict in ("over", "unknown"):
            kind: MendKind = "over" if b.judged.verdict == "over" else "unknown"
            yield Mend(kind, board_title(build, b), board_cause(build, b), board_fix(b),
                       "parts", b.part, b.field)  # fmt: skip
    for part, of in blank.items():
        title, text = blank_headers(build, of)
        yield Mend("unknown", title, text, board_fix(of[0]), "parts", part, of[0].field)


def _runs(build: Build, runs: tuple[RunResult, ...]) -> Iterator[Mend]:
    for run in runs:
        e = run.governing
        if e is None or run.verdict not in ("over", "unknown"):
            continue
        labels = " ".join(p.label for p in run.ports)
        yield Mend(
            "unknown" if run.verdict == "unknown" else "refused" if e.refused else "over",
            f"{labels} {run.cable.name}".strip(),
            element_cause(build, run, e),
            _run_fix(build, run),
            "loom",
            run.cable.key,
        )


def _run_fix(build: Build, run: RunResult) -> str:
    if run.verdict == "unknown":
        return "Enter the figure that is missing, of the part, the cable or the supply."
    feeding = [u for u in run.plugs if u.connection is not None]
    if len(feeding) > 1:
        spare = spare_like(build, run)
        if spare is not None:
            return f"Move one plug to a cable of its own: {spare}."
        return "Move one of its plugs to another cable; there is no spare one with a free port."
    return "Use a cable that is rated for more, or lower the part’s power limit."


def spare_like(build: Build, run: RunResult) -> str | None:
    """A cable not in use with a plug like those of `run`, and a free port for it."""
    kinds = {u.plug.kind for u in run.plugs}
    in_use = {r.cable for r in build.runs}
    for cable in sorted(build.cables, key=lambda c: len(c.plugs)):
        if cable.key in in_use or not kinds & {p.kind for p in cable.plugs}:
            continue
        ports = free_ports_for(build, cable)
        if ports is not None:
            where = " and ".join(p.label for p in ports) or "the supply"
            return f"{cable.name} is in the box and {where} is free"
    return None


def _unfed(build: Build, ref: SocketRef) -> Mend:
    socket = build.socket(ref)
    words = CONNECTORS[socket.kind].words if socket else "socket"
    return Mend(
        "unfed", build.ref_words(ref), f"Its {words} socket is required and nothing feeds it.",
        "Plug a cable in.", "loom", str(ref),
    )  # fmt: skip
