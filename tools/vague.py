"""Names that say nothing: `tools/vague.py FILE...` names each local that has one, and ends with 1.

A local is called by what it holds, in the field's nouns: a run, a plug, a share. Parameters too.
"""

from __future__ import annotations

import ast
import sys
from collections.abc import Iterator
from pathlib import Path
from typing import NamedTuple

#: Names that would do for anything.
VAGUE = frozenset(
    ("found", "of", "made", "what", "many", "things", "thing", "stuff", "data", "tmp", "obj", "foo")
)


class Local(NamedTuple):
    """A name that is bound within a function."""

    name: str
    file: str
    line: int

    @property
    def is_vague(self) -> bool:
        """Whether it would do for anything."""
        return self.name in VAGUE


def locals_of(function: ast.FunctionDef | ast.AsyncFunctionDef, file: str) -> Iterator[Local]:
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


def main(paths: list[str]) -> int:
    """Name what is vague in some files; 1 where there is any."""
    bad = 0
    for path in paths:
        tree = ast.parse(Path(path).read_text(encoding="utf-8"))
        for node in ast.walk(tree):
            if isinstance(node, ast.FunctionDef | ast.AsyncFunctionDef):
                for local in locals_of(node, path):
                    if local.is_vague:
                        print(f"{path}:{local.line}: {local.name} would do for anything")
                        bad += 1
    return int(bad > 0)


if __name__ == "__main__":
    sys.exit(main(sys.argv[1:]))
