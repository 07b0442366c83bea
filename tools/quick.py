"""`make quick`: the tests that stand nearest to what was changed since the last commit.

Of the core: tests that name a changed module, or a room's face where what it shows was changed; of
the server: those that name a changed module; of the web: those that a change reaches.
What takes long (every map of small builds, the second computation, soak) is left to `make test`.
"""

from __future__ import annotations

import ast
import subprocess
import sys
from collections.abc import Iterator
from pathlib import Path

ROOT = Path(__file__).resolve().parent.parent
#: Tests that take more than some seconds, and are run where they are changed themselves.
LONG = frozenset(
    (
        "test_exhaustive",
        "test_oracle",
        "test_limits_proven",
        "test_mapping_proof",
        "test_reuse",
        "test_properties_whole",
        "test_less_known",
        "test_swept",
        "test_offers",
        "test_omission",
    )
)


def changed() -> list[Path]:
    """Files that differ from the last commit, new ones too."""
    said = subprocess.run(
        ["git", "status", "--porcelain", "--untracked-files=all"],
        cwd=ROOT,
        capture_output=True,
        text=True,
        check=True,
    )
    return [ROOT / line[3:].split(" -> ")[-1] for line in said.stdout.splitlines()]


def imported(path: Path) -> set[str]:
    """Modules of the core that a test names, and names off faces as `room.name`."""
    names: set[str] = set()
    for node in ast.walk(ast.parse(path.read_text(encoding="utf-8"))):
        if isinstance(node, ast.ImportFrom) and (node.module or "").startswith("easy_tally"):
            names.add(str(node.module))
            names |= {f"{node.module}.{a.name}" for a in node.names}
    return names


def of_module(path: Path) -> set[str]:
    """What a changed module of the core may be named by: itself, and its names off its face."""
    parts = path.relative_to(ROOT / "core").with_suffix("").parts
    names = {".".join(parts).removesuffix(".__init__")}
    if path.exists():
        tree = ast.parse(path.read_text(encoding="utf-8"))
        shown = (n.name for n in tree.body if isinstance(n, ast.FunctionDef | ast.ClassDef))
        names |= {".".join((*parts[:2], name)) for name in shown}
    return names


def names_module(test: Path, modules: set[str]) -> bool:
    """Whether a test of the server names one of some modules of it."""
    for node in ast.walk(ast.parse(test.read_text(encoding="utf-8"))):
        if isinstance(node, ast.ImportFrom) and node.module:
            whole = {node.module, *(f"{node.module}.{a.name}" for a in node.names)}
            if whole & modules:
                return True
    return False


def core_tests(paths: list[Path]) -> Iterator[str]:
    """Test modules of the core for some changed files of it."""
    own = [p for p in paths if "tests" not in p.parts]
    named = {n for p in own for n in of_module(p)}
    tests = sorted((ROOT / "core/tests").glob("test_*.py"))
    short = [t for t in tests if t.stem not in LONG]
    near = [t for t in short if imported(t) & named]
    if own and not near:  # nobody names it: what stands on all of it
        near = short
    yield from (f"tests.{t.stem}" for t in tests if t in near or t in paths)


def server_tests(paths: list[Path]) -> Iterator[str]:
    """Test modules of the server that name a changed module, without those of a browser."""
    modules = {
        ".".join(p.relative_to(ROOT / "server").with_suffix("").parts)
        for p in paths
        if "tests" not in p.parts
    }
    for test in sorted((ROOT / "server").glob("*/tests/test_*.py")):
        if test in paths or ("browser" not in test.stem and names_module(test, modules)):
            yield ".".join(test.relative_to(ROOT / "server").with_suffix("").parts)


def main() -> int:
    """Run them; the number of runs that failed."""
    paths = changed()
    core = [p for p in paths if p.is_relative_to(ROOT / "core") and p.suffix == ".py"]
    server = [p for p in paths if p.is_relative_to(ROOT / "server") and p.suffix == ".py"]
    web = [str(p) for p in paths if p.is_relative_to(ROOT / "web/src") and p.exists()]
    failed = 0
    of_core, of_server = list(core_tests(core)), list(server_tests(server))
    if of_core:
        command = [sys.executable, "-m", "unittest", "-q", *of_core]
        failed += subprocess.run(command, cwd=ROOT / "core", check=False).returncode != 0
    if of_server:
        command = [sys.executable, "server/manage.py", "test", "--noinput", *of_server]
        failed += subprocess.run(command, cwd=ROOT, check=False).returncode != 0
    if web:
        command = ["npx", "vitest", "related", "--run", *web]
        failed += subprocess.run(command, cwd=ROOT / "web", check=False).returncode != 0
    if not of_core and not of_server and not web:
        print("Nothing that has tests was changed.")
    return failed


if __name__ == "__main__":
    sys.exit(main())
