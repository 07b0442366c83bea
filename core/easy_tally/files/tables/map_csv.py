"""The connection list of a map as CSV: a row a connection, cables in the order of their ports."""

from __future__ import annotations

import csv
import io
from collections.abc import Iterator

from ...analysis import Analysis
from ...base.series import Series, likelies
from ...base.units import RAIL_V, RUN_STATES
from ...publishing.wording import element_title
from ...ratings.flows import Flows
from ...ratings.runs import RunResult
from ...standards.connectors import PLUGS
from ...wiring import Feed, Wired
from .cells import harmless

COLUMNS = (
    "cable",
    "family",
    "port",
    "plug",
    "at mm",
    "through",
    "socket",
    "W at full",
    "A at 12 V, full",
    "governing limit",
    "share %",
    "verdict",
)
_FULL = RUN_STATES.index("full")


def write(a: Analysis) -> str:
    """The CSV of a build's map. What is in a port and feeds nothing is a row too."""
    out = io.StringIO()
    writer = csv.writer(out, lineterminator="\r\n")
    writer.writerow(COLUMNS)
    for run in a.runs:
        for row in _rows(a, run):
            writer.writerow([harmless(cell) for cell in row])
    return out.getvalue()


def _rows(a: Analysis, run: RunResult) -> Iterator[tuple[str, ...]]:
    cable = run.wired.cable
    port = " ".join(p.label for p in run.ports) or "fixed"
    limit = element_title(a.wired, run, run.governing) if run.governing else ""
    verdict = "refused" if run.governing and run.governing.refused else run.verdict
    share = "" if run.percent is None else str(run.percent)
    judged = (limit, share, verdict)
    ends = [x for feed in run.wired.feeds for x in _beyond(a.wired, feed, feed, ())]
    if not ends:
        yield (cable.name, cable.family, port, "", "", "", "", "", "", *judged)
    flows = Flows(a.wired)
    for root, through, feed in ends:
        flow = flows.into(a.carried, feed.input)
        watts = sum(_at_full(amps) * RAIL_V[rail] for rail, amps in flow.amps.items())
        missing = "≥ " if flow.missing else ""
        yield (
            cable.name,
            cable.family,
            port,
            _plug(root),
            f"{root.plug.mm:g}",
            ", ".join(through),
            a.wired.words(feed.input.ref),
            f"{missing}{watts:.1f}",
            f"{missing}{_at_full(flow.of('v12')):.2f}",
            *judged,
        )


def _beyond(
    wired: Wired, root: Feed, feed: Feed, through: tuple[str, ...]
) -> Iterator[tuple[Feed, tuple[str, ...], Feed]]:
    between = feed.input.between
    if between is None:
        yield root, through, feed
        return
    further = wired.onward(feed.input)
    for onward in further:
        yield from _beyond(wired, root, onward, (*through, between.name))
    if not further:
        yield root, through, feed


def _plug(feed: Feed) -> str:
    half = "" if feed.half == "whole" else f", {feed.half} half"
    return f"{feed.plug.key}, {PLUGS[feed.plug.kind].words}{half}"


def _at_full(series: Series) -> float:
    return likelies(series)[_FULL]
