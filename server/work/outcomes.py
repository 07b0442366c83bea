"""What became of a job that was asked for, as its asker sees it."""

from __future__ import annotations

from typing import Any, Literal, NamedTuple

from work.exchange import GONE_S, Exchange, Worker, version


class Outcome(NamedTuple):
    """`lost`: who worked on it is gone. `forgotten`: it waits, and somebody has nothing to do."""

    state: Literal["waiting", "running", "lost", "forgotten", "answered"]
    told: dict[str, Any] = {}
    answer: str = ""


def look(exchange: Exchange, token: str) -> Outcome:
    """How far a job is. Raises Unreachable."""
    answer = exchange.answer_of(token)
    if answer is not None:
        return Outcome("answered", answer=answer)
    told = exchange.told(token)
    if told is not None:
        quiet = exchange.quiet_s(f"job:{token}", told.beat)
        return Outcome("lost" if quiet > GONE_S else "running", told.what)
    if exchange.quiet_s(f"job:{token}", "waits") > GONE_S and any(
        w.heard and not w.busy for w in _ours(exchange.workers())
    ):
        return Outcome("forgotten")
    return Outcome("waiting")


def _ours(every: list[Worker]) -> list[Worker]:
    return [w for w in every if w.version == version()]


def why_it_waits(exchange: Exchange, token: str) -> tuple[str, list[Worker]]:
    """Why a job still waits, in a sentence, and those who are busy; nothing at first. Raises
    Unreachable."""
    if exchange.quiet_s(f"job:{token}", "waits") < 1:
        return "", []
    every = exchange.workers()
    ours = _ours(every)
    if ours:
        return "", [w for w in ours if w.busy]
    if exchange.quiet_s(f"job:{token}", "waits") < GONE_S:
        return "", []
    if every:
        where = ", ".join(sorted({w.host for w in every}))
        return (
            f"No worker of this version is there; of another version there is one on {where}: "
            "update it.",
            [],
        )
    return "No worker is there: start Easy Tally again. It is done as soon as one is.", []
