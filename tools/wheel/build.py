"""`make wheel`: one file with the core, the server, the built front end, catalogue and demo in it.

The tree is staged as it lies here, without tests, so that every path within it holds; the package
that is built of it has one command, `easy-tally`.
"""

from __future__ import annotations

import shutil
import subprocess
import sys
import tomllib
from pathlib import Path

ROOT = Path(__file__).resolve().parents[2]
STAGE, OUT = ROOT / "build/wheel", ROOT / "dist"
LEFT_OUT = shutil.ignore_patterns("tests", "__pycache__", "*.pyc", ".hypothesis", "var")

PYPROJECT = """\
[build-system]
requires = ["setuptools>=77", "wheel"]
build-backend = "setuptools.build_meta"

[project]
name = "easy-tally"
version = "{version}"
description = "Total what the parts of a PC draw, choose a supply, map its cables, prove it."
requires-python = "{python}"
dependencies = {dependencies}

[project.scripts]
easy-tally = "easy_tally_cli:main"

[tool.setuptools]
packages = ["easy_tally_home"]
py-modules = ["easy_tally_cli"]

[tool.setuptools.package-data]
easy_tally_home = ["**/*", "web/dist/.vite/*"]
"""


def dependencies() -> list[str]:
    """What the application needs, without the reasons."""
    lines = (ROOT / "requirements.txt").read_text(encoding="utf-8").splitlines()
    return [word for line in lines if (word := line.partition("#")[0].strip())]


def stage() -> None:
    """Put all of it in its place."""
    shutil.rmtree(STAGE, ignore_errors=True)
    home = STAGE / "easy_tally_home"
    for folder in ("core/easy_tally", "server", "web/dist", "demo", "catalogue"):
        shutil.copytree(ROOT / folder, home / folder, ignore=LEFT_OUT)
    (home / "__init__.py").write_text('"""The application, as it lies in its repository."""\n')
    shutil.copy(ROOT / "tools/wheel/easy_tally_cli.py", STAGE)
    project = tomllib.loads((ROOT / "pyproject.toml").read_text(encoding="utf-8"))["project"]
    said = PYPROJECT.format(
        version=project["version"], python=project["requires-python"], dependencies=dependencies()
    )
    (STAGE / "pyproject.toml").write_text(said, encoding="utf-8")


def main() -> int:
    """Build it; the exit status of what builds it."""
    stage()
    OUT.mkdir(exist_ok=True)
    for old in OUT.glob("easy_tally-*.whl"):
        old.unlink()
    command = [
        sys.executable,
        "-m",
        "pip",
        "wheel",
        "--quiet",
        "--no-deps",
        str(STAGE),
        "-w",
        str(OUT),
    ]
    status = subprocess.run(command, check=False).returncode
    for wheel in OUT.glob("easy_tally-*.whl"):
        print(f"{wheel.relative_to(ROOT)}: {wheel.stat().st_size / 1e6:.1f} MB")
    return status


if __name__ == "__main__":
    sys.exit(main())
