"""Everything that the core raises on purpose.

EasyTallyError
├── BadInput          a value that can't be taken: field, what is required, what was got
│   ├── BadFile       the same for a whole file: also says which place in it
│   └── NoJson        what should be JSON is none
├── Refused           a move that is never allowed: the reason, with its numbers
├── WouldRelease      an edit that would unplug something: names it, wants consent
├── NotDecided        a search that stopped at a bound of its own: nothing is proven
└── NotThere          a key that names nothing in this build
"""

from __future__ import annotations


class EasyTallyError(Exception):
    """Root of the tree; its text is fit to be shown."""


class BadInput(EasyTallyError):
    """A value that can't be taken.

    `problems` holds one `(field, required, got)` for each thing that is wrong.
    """

    def __init__(self, problems: list[tuple[str, str, str]]) -> None:
        self.problems = problems
        super().__init__("; ".join(f"{f}: needs {r}, got {g}" for f, r, g in problems))


class BadFile(BadInput):
    """A file that can't be read; nothing of it has been taken."""


class NoJson(BadInput):
    """What should be JSON is none: where it ceases to be."""


class Refused(EasyTallyError):
    """A move that is never allowed."""


class WouldRelease(EasyTallyError):
    """An edit that would unplug `released`, the names of plugs and their sockets."""

    def __init__(self, released: list[str]) -> None:
        self.released = released
        super().__init__("This unplugs " + ", ".join(released) + ".")


class NotThere(EasyTallyError):
    """A key that names nothing in this build."""


class NotDecided(EasyTallyError):
    """A search stopped at a bound of its own: it found nothing, and there may be something."""
