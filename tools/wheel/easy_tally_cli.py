"""`easy-tally`: the application from its wheel. Beside it lies all that it needs."""

from __future__ import annotations

import os
import subprocess
import sys
from pathlib import Path

HOME = Path(__file__).resolve().parent / "easy_tally_home"
SERVER = HOME / "server"
USE = """easy-tally: total what the parts of a PC draw, choose a supply, map its cables.

  easy-tally demo [PORT]     serve it with the demo builds (port 8000)
  easy-tally serve [PORT]    serve it with nothing but your own
  easy-tally tally FILE ...  the whole result of a build file, without a server; --help tells more
  easy-tally manage ...      backup, restore, integrity and the rest of the server's commands

What it keeps lies in $EASY_TALLY_VAR, or in ~/.local/share/easy-tally."""


def main() -> int:
    """One command; its exit status."""
    command, *rest = sys.argv[1:] or ["help"]
    share = os.environ.get("XDG_DATA_HOME") or Path.home() / ".local/share"
    os.environ.setdefault("EASY_TALLY_VAR", str(Path(share) / "easy-tally"))
    match command:
        case "demo":
            return _serve([], *rest)
        case "serve":
            return _serve(["--empty"], *rest)
        case "tally":
            return _manage("tally", *(_whole(word) for word in rest))
        case "manage":
            return _manage(*rest)
        case "help" | "--help" | "-h":
            print(USE)
            return 0
    print(f"easy-tally: there is no command {command}.\n\n{USE}", file=sys.stderr)
    return 2


def _whole(word: str) -> str:
    """A file's whole path: the command runs elsewhere."""
    return str(Path(word).resolve()) if not word.startswith("-") else word


def _serve(more: list[str], port: str = "8000") -> int:
    if not port.isdecimal() or not 1 <= int(port) <= 65_535:
        print(f"easy-tally: a port from 1 to 65535, got {port}", file=sys.stderr)
        return 2
    if status := _manage("load_demo", "--migrate", "--port", port, *more):
        return status
    print(f"Easy Tally is at http://127.0.0.1:{port}/   (Ctrl-C stops it)", flush=True)
    command = [sys.executable, "-m", "config.supervise", port]
    os.chdir(SERVER)
    return os.execv(sys.executable, command)


def _manage(*words: str) -> int:
    return subprocess.run([sys.executable, "manage.py", *words], cwd=SERVER, check=False).returncode


if __name__ == "__main__":
    sys.exit(main())
