"""A line's words sorted into what each of them says, and the kind of part they speak of."""

from __future__ import annotations

import re

from ..words import DETAILS, FIGURE_NAMES, FLAGS, GENERATIONS, KINDS, PLURALS, SAME, SETTINGS
from .asking import Ask
from .lexer import NUMBER, QUOTED, figure, number, unquoted
from .said import SOCKETS_SAID, Said, socket_said

_COUNT = re.compile(r"x([0-9]{1,4})|([0-9]{1,4})x")
_SEVERAL = re.compile(r"([0-9]{1,4}) (\S+)")
_NUMBER = re.compile(NUMBER)
_DETAIL = re.compile(rf"(?:([1-9][0-9]?)x)?({NUMBER})({'|'.join(DETAILS)})")


def sort_words(words: list[str], line: str) -> Said:
    said = Said(words, line)
    for at, word in enumerate(words):
        _sort(said, at, word)
    return said


def _sort(said: Said, at: int, word: str) -> None:
    label, colon, value = word.partition(":")
    socket = SOCKETS_SAID.fullmatch(word)
    if re.fullmatch(QUOTED, word) and said.name is None:
        said.name = unquoted(word)
    elif amount := figure(word):
        said.figures.append((word, *amount))
        if word in FIGURE_NAMES:
            said.labels.append((at, word))  # `12v`: volts, or the name of a figure
    elif colon and not word.startswith('"'):
        _setting(said, word, label, value)
    elif detail := _DETAIL.fullmatch(word):
        said.details.append((word, detail[3], number(detail[2])))
        said.counts += [int(detail[1])] if detail[1] else []  # `2x16gb`: two, of 16 GB each
    elif count := _COUNT.fullmatch(word):
        said.counts.append(int(count[1] or count[2]))
    elif (several := _SEVERAL.fullmatch(word)) and several[2] in PLURALS:
        said.several.append((int(several[1]), PLURALS[several[2]]))
        said.kinds.append(KINDS[PLURALS[several[2]]])
        if PLURALS[several[2]] == "fan":
            said.labels.append((at, "fan"))  # of a cooler: `3 fans 0.2a`
    elif socket and (name := socket_said(socket, word)):
        said.sockets += [name] * int(socket[1] or 1)
    elif _NUMBER.fullmatch(word):
        said.bare.append(word)
    elif counted := re.fullmatch(r"([0-9]{1,2})(headers|outputs)", word):
        said.settings[counted[2]] = counted[1]
    else:
        _plain_word(said, at, word)


def _setting(said: Said, word: str, label: str, value: str) -> None:
    amount = figure(value)
    if amount and label in FIGURE_NAMES and label not in said.named:
        said.named[label] = {"unit": amount[0]} | amount[1]
    elif label in SETTINGS and (label not in said.settings or label == "spikes") and value:
        # The spikes of a card may be said twice: the standard's worst, and factors of its own.
        said.settings[label] = "+".join(filter(None, (said.settings.get(label), value)))
    else:
        said.unknown.append(word)


def _plain_word(said: Said, at: int, word: str) -> None:
    known = False
    word = SAME.get(word, word)
    if word in KINDS or PLURALS.get(word) in KINDS:
        said.kinds.append(KINDS[PLURALS.get(word, word)])
        known = True
    if word in FLAGS and not (word in said.flags and word not in GENERATIONS):
        said.flags.add(word)
        known = True
    if word in FIGURE_NAMES:
        said.labels.append((at, word))
        known = True
    if not known:
        said.unknown.append(word)


def _of_processor(words: list[str]) -> bool:
    """Whether a cooler is said to be a processor's, and not one of two parts in a line."""
    at = [i for i, w in enumerate(words) if _kind_word(w) == "processor"]
    return all(i + 1 < len(words) and _kind_word(words[i + 1]) in ("cooler", "fan") for i in at)


#: What is offered for a plural without a count.
_USUAL_COUNTS = (2, 3, 4, 5, 6)


def _kind_word(word: str) -> str | None:
    """The kind that a word says, alone or behind its number."""
    several = _SEVERAL.fullmatch(word)
    return KINDS.get(PLURALS.get(several[2], "")) if several else KINDS.get(PLURALS.get(word, word))


def kind_of(said: Said) -> str | None:
    """The kind of part that a line speaks of; None where it says none. Raises Ask."""
    kinds = _kinds_of(said)
    if len(kinds) > 1:
        names = {w for w in said.words if _kind_word(w) in kinds}
        lines = [said.without(*(n for n in names if n != k)) for k in sorted(names)]
        raise Ask("One kind of part a line: which is it?", *lines)
    if not kinds:
        return None
    kind = kinds.pop()
    said.counts += [n for n, w in said.several if KINDS[w] == kind]
    said.several = [(n, w) for n, w in said.several if KINDS[w] != kind]
    _lanes(kind, said)
    if len(said.counts) > 1:
        raise Ask("There are two counts; say one of them.")
    if not said.counts and any(KINDS.get(PLURALS.get(w, "")) == kind for w in said.words):
        raise Ask("How many?", *([*said.words, f"x{n}"] for n in _USUAL_COUNTS))
    return kind


def _kinds_of(said: Said) -> set[str]:
    """The kinds that are said, less those that only tell of another."""
    kinds = set(said.kinds)
    if kinds == {"fan", "hub"} and not said.several:
        return {"hub"}  # a fan controller
    if "cooler" in kinds:
        kinds -= {"fan", "pump", "hub"}  # what a cooler has
        kinds -= {"processor"} if _of_processor(said.words) else set()  # what it cools
    return kinds - {"ssd"} if "m2" in kinds else kinds


def _lanes(kind: str, said: Said) -> None:
    """`x16` of a board is a slot: there is one board. Of a card with plugs so large a count is
    asked about, unless its lanes are said too: nobody has as many, and lanes are written so."""
    lanes = [w for w in said.words if w in ("x1", "x4", "x8", "x16")]
    # `x1` alone may be the number of boards.
    if kind == "board" and set(lanes) - {"x1"} and "slots" not in said.settings:
        said.settings["slots"] = ",".join(lanes)
        for word in lanes:
            said.counts.remove(int(word[1:]))
    if kind == "board" and said.counts not in ([], [1]):
        raise Ask("A build has one board: what is the number of?")
    has_lanes = "lanes" in said.settings or any(unit == "lanes" for _, unit, _ in said.figures)
    wide = [w for w in lanes if w in ("x8", "x16") and not has_lanes]
    if kind == "card" and said.sockets and len(wide) == 1:
        rest, n = said.without(*wide), wide[0][1:]
        raise Ask(f"The lanes of one, or {n} cards?", [*rest, f"lanes:{n}"], [*rest, f"{n}x"])
