"""Names that say nothing: `tools/vague.py` names each, and ends with 1 where there is one.

A local is called by what it holds, in the field's nouns: a run, a plug, a share. Parameters too.
"""

from __future__ import annotations

import ast
import sys
from collections.abc import Iterator
from pathlib import Path
from typing import NamedTuple

#: Names that would do for anything.
VAGUE = frozenset(("found", "of", "made", "what", "many", "stuff", "data", "tmp", "obj", "foo"))


Function = ast.FunctionDef | ast.AsyncFunctionDef


class Local(NamedTuple):
    """A name that is bound within a function."""

    name: str
    file: str
    line: int

    @property
    def is_vague(self) -> bool:
        """Whether it would do for anything."""
        return self.name in VAGUE


def locals_of(function: Function, file: str) -> Iterator[Local]:
    """Parameters and what is bound in a function, each name once; not in functions within it."""
    args = function.args
    names: dict[str, int] = {
        a.arg: a.lineno
        for a in (*args.posonlyargs, *args.args, *args.kwonlyargs)
        if a.arg not in ("self", "cls")
    }
    for node in _own(function):
        if isinstance(node, ast.Name) and isinstance(node.ctx, ast.Store):
            names.setdefault(node.id, node.lineno)
    yield from (Local(name, file, line) for name, line in names.items() if not name.startswith("_"))


def _own(node: ast.AST) -> Iterator[ast.AST]:
    for child in ast.iter_child_nodes(node):
        if not isinstance(child, ast.FunctionDef | ast.AsyncFunctionDef | ast.ClassDef):
            yield child
            yield from _own(child)


def main() -> int:
    """Name what is vague in core, server and tools."""
    root = Path(__file__).resolve().parent.parent
    vague: list[Local] = []
    for folder in ("core/easy_tally", "server", "tools"):
        for path in sorted((root / folder).rglob("*.py")):
            if not {"tests", "migrations"} & set(path.parts):
                tree = ast.parse(path.read_text(encoding="utf-8"))
                functions = (n for n in ast.walk(tree) if isinstance(n, Function))
                names = (x for f in functions for x in locals_of(f, str(path.relative_to(root))))
                vague += [x for x in names if x.is_vague]
    for local in vague:
        print(f"{local.file}:{local.line}: {local.name} would do for anything: say what it holds")
    return int(bool(vague))


if __name__ == "__main__":
    sys.exit(main())
