"""`make measures`: what the code is like inside, row by row, beside what it is to reach.

Counted off the syntax, with the models' own ways: a decision is what makes a path more (if, loop,
except, case, and/or, a condition of a comprehension); complexity of a function is its decisions and
one.
"""

from __future__ import annotations

import ast
import json
import re
import subprocess
import sys
from collections import defaultdict
from collections.abc import Iterator
from pathlib import Path
from typing import NamedTuple

ROOT = Path(__file__).resolve().parent.parent
SERVER_APPS = sorted(p.parent.name for p in (ROOT / "server").glob("*/__init__.py"))
sys.path.insert(0, str(ROOT / "tools"))
from vague import Local, locals_of  # noqa: E402

Function = ast.FunctionDef | ast.AsyncFunctionDef


class Code(NamedTuple):
    """A file of code: where it is, its lines that are not blank, and its syntax."""

    path: Path
    lines: int
    tree: ast.Module

    @property
    def is_test(self) -> bool:
        """Whether it tests others."""
        return "tests" in self.path.parts


def code_in(folder: str) -> list[Code]:
    """Every Python file of a folder; of migrations none."""
    codes = []
    for path in sorted((ROOT / folder).rglob("*.py")):
        if "migrations" not in path.parts and ".venv" not in path.parts:
            text = path.read_text(encoding="utf-8")
            lines = sum(1 for line in text.splitlines() if line.strip())
            codes.append(Code(path, lines, ast.parse(text)))
    return codes


def decisions(node: ast.AST, nested: bool = True) -> int:
    """What makes a path more; without what stands in functions of its own, unless `nested`."""
    count = 0
    for child in ast.iter_child_nodes(node):
        if isinstance(child, Function | ast.Lambda | ast.ClassDef) and not nested:
            continue
        match child:
            case ast.If() | ast.For() | ast.While() | ast.IfExp() | ast.ExceptHandler():
                count += 1
            case ast.BoolOp():
                count += len(child.values) - 1
            case ast.comprehension():
                count += 1 + len(child.ifs)
            case ast.match_case() if not _takes_all(child):
                count += 1
        count += decisions(child, nested)
    return count


def _takes_all(case: ast.match_case) -> bool:
    return isinstance(case.pattern, ast.MatchAs) and case.pattern.pattern is None


def functions(code: list[Code]) -> Iterator[tuple[Code, Function]]:
    """Every function, methods and nested ones too."""
    for file in code:
        for node in ast.walk(file.tree):
            if isinstance(node, Function):
                yield file, node


def complexity(code: list[Code]) -> tuple[float, int, str]:
    """Percent of functions over 10; the largest, and which."""
    each = [(1 + decisions(f, nested=False), f.name, c.path.name) for c, f in functions(code)]
    largest = max(each)
    over = sum(n > 10 for n, *_ in each) / len(each) * 100
    return over, largest[0], f"{largest[2]}: {largest[1]}"


def rooms() -> dict[str, int]:
    """Modules in each room of the core, and in each folder of a room."""
    counted: dict[str, int] = defaultdict(int)
    for path in (ROOT / "core/easy_tally").rglob("*.py"):
        if path.name != "__init__.py":
            counted[str(path.parent.relative_to(ROOT / "core/easy_tally"))] += 1
    return counted


def past_faces(code: list[Code]) -> tuple[int, int]:
    """Imports of the core that name a module in place of a room's face; and all."""
    past = whole = 0
    for file in code:
        for node in ast.walk(file.tree):
            if isinstance(node, ast.ImportFrom) and (node.module or "").startswith("easy_tally"):
                whole += 1
                past += (node.module or "").count(".") > 1
    return past, whole


def both_ways(code: list[Code]) -> list[tuple[str, str]]:
    """Pairs of apps of the server that import each other."""
    arrows: set[tuple[str, str]] = set()
    for file in code:
        mine = file.path.relative_to(ROOT / "server").parts[0]
        for node in ast.walk(file.tree):
            if isinstance(node, ast.ImportFrom) and node.module and not node.level:
                theirs = node.module.split(".")[0]
                if theirs in SERVER_APPS and theirs != mine:
                    arrows.add((mine, theirs))
    return sorted((a, b) for a, b in arrows if a < b and (b, a) in arrows)


def vague(code: list[Code]) -> tuple[int, int, list[Local]]:
    """Locals whose name says nothing, and all."""
    each = [x for c, f in functions(code) for x in locals_of(f, str(c.path.relative_to(ROOT)))]
    said_nothing = [x for x in each if x.is_vague]
    return len(said_nothing), len(each), said_nothing


def web() -> dict[str, float | str]:
    """The front end's rows, by the compiler's own reader."""
    script = ROOT / "tools/measures_web.mjs"
    ran = subprocess.run(
        ["node", str(script)], cwd=ROOT / "web", capture_output=True, text=True, check=True
    )
    return dict(json.loads(ran.stdout))


def held_back(folders: tuple[str, ...]) -> int:
    """Lines that are kept from the formatter."""
    files = [p for f in folders for p in (ROOT / f).rglob("*.py") if "migrations" not in p.parts]
    pattern = re.compile(r"#\s*fmt:\s*(skip|off)")
    return sum(len(pattern.findall(p.read_text(encoding="utf-8"))) for p in files)


class Row(NamedTuple):
    """A row of the table: the point, how it is here, what is to be reached."""

    point: str
    here: str
    to_reach: str = ""


def rows() -> Iterator[Row]:
    """The table."""
    core, server = code_in("core"), code_in("server")
    own_core, own_server = ([c for c in code if not c.is_test] for code in (core, server))
    front = web()
    tests = sum(c.lines for c in (*core, *server) if c.is_test) + int(front["test_lines"])
    lines = [sum(c.lines for c in code) for code in (own_core, own_server)]
    lines.append(int(front["lines"]))
    sizes = " · ".join(f"{n / 1000:.1f} k" for n in lines)
    yield Row("lines of code, tests apart: core · server · web", sizes, "core ≤ 25 k")
    yield from _complex([*own_core, *own_server], front)
    in_100 = sum(decisions(c.tree) for c in own_core) / lines[0] * 100
    yield Row("decisions in 100 lines, core", f"{in_100:.1f}", "≤ 20")
    kept = held_back(("core", "server", "tools"))
    yield Row("lines held back from the formatter", str(kept), "0")
    said_nothing, every_local, _ = vague([*own_core, *own_server])
    yield Row("locals that say nothing", f"{said_nothing / every_local * 100:.1f} %", "0")
    room, most = max(rooms().items(), key=lambda x: x[1])
    yield Row("modules in one room", f"{most} ({room})", "≤ 12")
    past, every = past_faces([*own_server, *code_in("tools")])
    yield Row("imports past a room's face, server and tools", f"{past} of {every}", "0")
    yield Row("folder pairs both ways, server", str(len(both_ways(own_server))), "0")
    yield from _components(front)
    yield Row("unit tests of the web", f"{front['test_share']:.1f} %", "≥ 15 %")
    share = tests / (sum(lines) + tests) * 100
    yield Row("tests, of all lines", f"{share:.1f} %", "25 to 33 %")


def _complex(code: list[Code], front: dict[str, float | str]) -> Iterator[Row]:
    over, largest, which = complexity(code)
    reach = "≤ 5 %; ≤ 20"
    yield Row(
        "functions of Python over complexity 10; the largest", f"{over:.1f} %; {largest}", reach
    )
    yield Row("", which)
    said = f"{front['over']:.1f} %; {front['largest']}"
    yield Row("functions of the web over 10; the largest", said, reach)
    yield Row("", str(front["largest_name"]))


def _components(front: dict[str, float | str]) -> Iterator[Row]:
    said = f"{front['component_lines']} · {front['component_branches']}"
    yield Row("largest component of the web: lines · branches", said, "≤ 150 · ≤ 15")
    yield Row("", f"{front['component']} · {front['component_by_branches']}")


def main() -> None:
    """Print the table."""
    for row in rows():
        print(f"{row.point:58}{row.here:>28}   {row.to_reach}")


if __name__ == "__main__":
    main()
