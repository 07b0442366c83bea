"""Files that a command is given: read or written, or the command ends with a sentence."""

from __future__ import annotations

import sys
from pathlib import Path

from django.core.management.base import BaseCommand
from easy_tally import BadFile, Build
from easy_tally.files import build_file


def read(command: BaseCommand, path: str) -> Build:
    """The build of a file; what is wrong with it goes to standard error, with exit status 2."""
    try:
        return build_file.read(Path(path).read_text(encoding="utf-8"))
    except (OSError, UnicodeDecodeError) as error:
        command.stderr.write(f"{path}: can't be read: {error}")
    except BadFile as error:
        for field, required, got in error.problems:
            command.stderr.write(f"{path}: {field}: needs {required}, got {got}")
    sys.exit(2)


def put(command: BaseCommand, path: str, content: bytes) -> None:
    """Write a file; where that can't be, exit status 2."""
    try:
        Path(path).write_bytes(content)
    except OSError as error:
        command.stderr.write(f"{path}: can't be written: {error}")
        sys.exit(2)
