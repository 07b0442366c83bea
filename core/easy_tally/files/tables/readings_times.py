"""Times as instruments write them: numbers, moments with or without a date, with or without a
zone."""

from __future__ import annotations

import re
from datetime import UTC, date, datetime

_DATES: tuple[tuple[re.Pattern[str], tuple[int, int, int]], ...] = (
    (re.compile(r"(\d{4})-(\d\d?)-(\d\d?)"), (1, 2, 3)),
    (re.compile(r"(\d\d?)\.(\d\d?)\.(\d{4})"), (3, 2, 1)),
    (re.compile(r"(\d\d?)/(\d\d?)/(\d{4})"), (3, 1, 2)),
)
_STAMP = re.compile(
    r"(?:(?P<date>[0-9./-]{8,10})[T ]+)?(?P<h>\d\d?):(?P<m>\d\d)(?::(?P<s>\d\d?(?:[.,]\d+)?))?"
    r"\s*(?P<half>am|pm)?(?P<zone>Z|[+-]\d\d:?\d\d)?",
    re.IGNORECASE,
)


class Clock:
    """Times as seconds: numbers in the column's unit, or moments; a clock without a date goes on
    past midnight."""

    def __init__(self, factor: float, comma: bool) -> None:
        self.factor, self.comma = factor, comma
        self.first: str = ""
        self._days: dict[str, float] = {}
        self._minutes: dict[str, float] = {}
        self._last, self._over = -1.0, 0.0

    def __call__(self, text: str) -> float:
        if ":" not in text:
            return float(text.replace(",", ".") if self.comma else text) * self.factor
        # Most moments share their minute with the one before.
        base, second = self._minutes.get(text[:17]), text[17:]
        if base is not None and second.replace(".", "", 1).isdecimal():
            return base + float(second)
        return self._moment(text.strip().strip('"'), text[:17])

    def _moment(self, text: str, minute: str) -> float:
        match = _STAMP.fullmatch(text)
        if match is None:
            raise ValueError(f"no time: {text[:30]!r}")
        hour = int(match["h"])
        if match["half"]:
            hour = hour % 12 + (12 if match["half"].lower() == "pm" else 0)
        of_day = hour * 3600 + int(match["m"]) * 60 + float((match["s"] or "0").replace(",", "."))
        if match["date"] is None:
            if of_day + self._over < self._last - 43_200:
                self._over += 86_400
            at = of_day + self._over
        else:
            at = self._day(match["date"]) + of_day - _zone_s(match["zone"])
            if not match["zone"] and not match["half"] and minute.endswith(":"):
                self._minutes[minute] = at - float((match["s"] or "0").replace(",", "."))
        self._last = at
        self.first = self.first or (text if match["date"] else "")
        return at

    def _day(self, text: str) -> float:
        if text not in self._days:
            self._days[text] = _day_s(text)
        return self._days[text]


def _zone_s(zone: str | None) -> float:
    if not zone or zone in "Zz":
        return 0.0
    sign = -1 if zone[0] == "-" else 1
    return sign * (int(zone[1:3]) * 3600 + int(zone[-2:]) * 60)


def _day_s(text: str) -> float:
    for pattern, (y, m, d) in _DATES:
        match = pattern.fullmatch(text)
        if match is None:
            continue
        month, day = int(match[m]), int(match[d])
        if month > 12 and "/" in text:  # 26/11/2026: the day stands first
            month, day = day, month
        try:
            return float((date(int(match[y]), month, day) - date(1970, 1, 1)).days * 86_400)
        except ValueError:
            break
    raise ValueError(f"no date: {text[:30]!r}")


def began(clock: Clock, first: float) -> str:
    """The moment of the first time, in ISO form; empty where no date was written."""
    if not clock.first:
        return ""
    return datetime.fromtimestamp(first, UTC).replace(tzinfo=None).isoformat(timespec="seconds")
