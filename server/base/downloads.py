"""Files that leave: called by what they are of, in any alphabet."""

from __future__ import annotations

import re
from urllib.parse import quote

from django.http import HttpResponse


def as_file(content: bytes | str, kind: str, name: str, ending: str) -> HttpResponse:
    """A file of a media type, called by what it is of."""
    response = HttpResponse(content, content_type=kind)
    response["Content-Disposition"] = called(name, ending)
    return response


def called(name: str, ending: str) -> str:
    """The head of an answer that names a file: letters and digits of any alphabet."""
    stem = re.sub(r"\W+", "-", name.lower()).strip("-_")[:80] or "file"
    return f"attachment; filename*=UTF-8''{quote(f'{stem}.{ending}')}"
