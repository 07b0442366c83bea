"""Changes as earlier versions kept them: places with gaps, and adapters, extensions and backplanes
as parts of the whole. Made into today's, for a database and for a history's file alike. Knows JSON
alone."""

from __future__ import annotations

from typing import Any

Change = list[dict[str, Any]]
_BETWEEN = {"adapter": "adapters", "extension": "extensions", "backplane": "backplanes"}


def changes_of_today(changes: list[Change], head: int, places: dict[str, int]) -> list[Change]:
    """What each change touched, in today's shape. `changes`: of each the images, in the order of
    the history; `head`: how many are in force; `places`: where each `part:KEY` and `cable:KEY` of
    the build as it is stands in its list."""
    todays: list[Change] = [[] for _ in changes]
    now = dict(places)
    for i in range(head - 1, -1, -1):
        before = _moved(now, changes[i], came="before", went="after")
        todays[i] = _today(changes[i], before, now)
        now = before
    now = dict(places)
    for i in range(head, len(changes)):
        after = _moved(now, changes[i], came="after", went="before")
        todays[i] = _today(changes[i], now, after)
        now = after
    return todays


def _moved(places: dict[str, int], change: Change, came: str, went: str) -> dict[str, int]:
    """Places on the other side of a change."""
    then = dict(places)
    for t in change:
        if t[came] is None:
            then.pop(t["entity"], None)
        elif t[went] is None:
            then[t["entity"]] = t["at"]
    return then


def _today(change: Change, before: dict[str, int], after: dict[str, int]) -> Change:
    touched: Change = []
    for t in change:
        if t["entity"] == "build":
            touched += _apart(t)
            continue
        at = 0
        if t["before"] is None or t["after"] is None:
            at = _rank(t["entity"], before if t["after"] is None else after)
        touched.append({**t, "at": at})
    return touched


def _rank(name: str, places: dict[str, int]) -> int:
    """The place in its list without gaps."""
    kind = name.partition(":")[0]
    mine = places.get(name, 0)
    return sum(n.startswith(f"{kind}:") and at < mine for n, at in places.items())


def _apart(t: dict[str, Any]) -> Change:
    """What stands in between, as entities of its own, and what is left of the whole."""
    before, after = t["before"] or {}, t["after"] or {}
    change: Change = []
    for kind, name in _BETWEEN.items():
        old = {x["key"]: x for x in before.get(name, [])}
        new = {x["key"]: x for x in after.get(name, [])}
        for key in [*old, *(k for k in new if k not in old)]:
            was, now = old.get(key), new.get(key)
            if was != now:
                at = 0 if was and now else list(old if now is None else new).index(key)
                change.append({"entity": f"{kind}:{key}", "at": at, "before": was, "after": now})
    left = [{k: v for k, v in x.items() if k not in _BETWEEN.values()} for x in (before, after)]
    if left[0] != left[1]:
        change.insert(0, {"entity": "build", "at": 0, "before": left[0], "after": left[1]})
    return change
