"""Entries of the parts catalogue: found as one types, and what each page leaves out."""

from __future__ import annotations

import re
from collections.abc import Iterable
from typing import Annotated, Self

from pydantic import Field, model_validator

from ..base.declared import Model
from ..entry import say
from ..entry.line import in_digits
from ..entry.words import DETAILS, FIGURES, GENERATIONS, KINDS
from ..standards.connectors import CONNECTORS
from ..things.parts import KINDS as PARTS
from ..things.parts import Card, Drive, Part

Slug = Annotated[str, Field(pattern=r"^[a-z0-9][a-z0-9-]{0,59}$")]


class CatalogueEntry(Model):
    """A part as its page describes it, by slug and revision."""

    slug: Slug
    revision: Annotated[int, Field(ge=1, le=9999)] = 1
    part: Part

    @model_validator(mode="after")
    def _stands_alone(self) -> Self:
        part = self.part
        if part.count != 1 or part.catalogue:
            raise ValueError("a part by itself: a count of 1, and no entry that it came from")
        if getattr(part, "on", None) is not None or getattr(part, "slot", None) is not None:
            raise ValueError("a part by itself: on no hub and in no slot")
        return self

    def copied(self) -> Part:
        """The part to put in a build, which remembers where it came from."""
        return self.part.model_copy(update={"catalogue": f"{self.slug}@{self.revision}"})


#: Field → what a page leaves out, in a word or two.
FIGURE_WORDS: dict[str, str] = {
    f.name: f.missed for kind in PARTS.values() for f in kind.figures if f.missed
}


def lacks(part: Part) -> tuple[str, ...]:
    """Fields that the tally is built on and this part does not have: what of them a page leaves out
    is assumed, or where no default is honest the total reads “at least”. A board's own draw is on
    no page."""
    asked = [f.name for f in PARTS[part.kind].figures if f.missed]
    if isinstance(part, Drive):
        of_disks = {"run_12v_a": part.form != "2.5", "start_12v_a": part.form == "3.5"}
        asked = [name for name in asked if of_disks.get(name, True)]
    if isinstance(part, Card) and not part.sockets:
        asked.remove("slot_w")
    return tuple(name for name in asked if getattr(part, name) is None)


def search_text(entry: CatalogueEntry) -> str:
    """The words that an entry is found by: its name, its kind's names, its line, its sockets."""
    part = entry.part
    kinds: set[str] = {part.kind}
    words = [part.name, say(part), entry.slug]
    if isinstance(part, Drive):
        kinds.add({"3.5": "disk", "2.5": "ssd"}.get(part.form, part.form))
        words += [f"{part.form}-inch", f"{part.form}in", part.form]
    words += [w for w, k in KINDS.items() if k in kinds and w not in GENERATIONS]
    kinds_of_sockets = [s.kind for s in part.sockets]
    for kind in dict.fromkeys(kinds_of_sockets):
        short = kind.removeprefix("pcie").removeprefix("eps")
        words += [CONNECTORS[kind].words, f"{kinds_of_sockets.count(kind)}x{short}"]
    for named in FIGURES[part.kind]:
        if (figure := getattr(part, named.field)) is not None:
            words.append(f"{figure.likely:g}{named.unit}")
    return " ".join(words).lower()


def said_count(text: str) -> tuple[list[str], int]:
    """The words to search by, and the count that was said among them.

    It is `x4`, `4x`, a number word, or a number that stands first (`22 tb` is none). A second count
    stays a word, so that nothing is found."""
    text = in_digits(text.lower().replace("×", "x"))
    said = text.replace(",", " ").replace('"', " ").split()
    words: list[str] = []
    counts: list[int] = []
    for at, word in enumerate(said):
        first = at == 0 and len(said) > 1 and said[1] not in (*DETAILS, "mm", "in")
        match = re.fullmatch(r"x([0-9]{1,2})|([0-9]{1,2})x" + "|([0-9]{1,2})" * first, word)
        n = int(next(g for g in match.groups() if g)) if match else 0
        if 1 <= n <= 64 and not counts:
            counts.append(n)
        else:
            words.append(word)
    return words, (counts or [1])[0]


def search(
    entries: Iterable[tuple[CatalogueEntry, str]], said: list[str], most: int = 12
) -> list[CatalogueEntry]:
    """Entries whose text has a word that starts with each word said, names first.

    `entries` are pairs of an entry and its `search_text`.
    """
    near = [
        (_distance(entry, said), i, entry)
        for i, (entry, words) in enumerate(entries)
        if all(_fits(word, words) for word in said)
    ]
    return [entry for _, _, entry in sorted(near, key=lambda x: x[:2])[:most]]


def _fits(word: str, words: str) -> bool:
    """Whether some word starts with this one; a number stands alone, or before its millimetres,
    so that `12` finds no 120 and `4` no `4pin`."""
    if re.fullmatch(r"[0-9]+(?:[.][0-9]+)?", word):
        return bool(re.search(rf"(?<![\w.]){re.escape(word)}(?:mm)?(?![\w.])", words))
    return f" {word}" in f" {words}"


def _distance(entry: CatalogueEntry, said: list[str]) -> int:
    """How many of the words said the name does not start a word with."""
    name = f" {entry.part.name.lower()}"
    return sum(f" {word}" not in name for word in said)
