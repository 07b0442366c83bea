"""Errors of the interface speak one language: problem+json, whoever found them. Each request has an
id, which a fault's answer tells and the console's log has with the traceback."""

from __future__ import annotations

import errno
import json
import logging
import os
import secrets
from collections.abc import Callable
from typing import Any

from django.conf import settings
from django.core.exceptions import BadRequest, RequestDataTooBig, SuspiciousOperation
from django.db import DatabaseError
from django.http import HttpRequest, HttpResponse, HttpResponseBase, UnreadablePostError
from django.http.multipartparser import MultiPartParserError

Handler = Callable[[HttpRequest], HttpResponseBase]
API = "/api/"
TYPE = "application/problem+json"
_log = logging.getLogger("easy_tally")
#: status → (kind, title, what to do) of what Django answers by itself.
_PLAIN: dict[int, tuple[str, str, str]] = {
    400: ("unreadable", "That can't be read", "Send JSON as the interface's description has it."),
    403: ("forbidden", "Not allowed", "Load the page again: its token for writing has run out."),
    404: ("not-there", "There is nothing here", "There is nothing at this address."),
    405: ("method", "Not that way", "This address does not take that method."),
    413: ("too-large", "Too large", "Send less at once."),
    415: ("unreadable", "That can't be read", "Send JSON, or a form where a file is taken."),
}
#: kind → (status, title, what to do) of what a disk or a database does not do.
_DISK: dict[str, tuple[int, str, str]] = {
    "disk-full": (
        507,
        "The disk is full",
        "The disk is full; nothing was changed. Make room, then try again.",
    ),
    "read-only": (
        503,
        "It can't be written",
        "What is kept can't be written; nothing was changed. Give the right to write it.",
    ),
    "disk-failed": (
        503,
        "The disk fails",
        "The disk could not be read or written; nothing was changed. See to the disk first.",
    ),
    "damaged": (
        503,
        "The database is damaged",
        "The database is damaged; nothing was changed. Stop Easy Tally, and restore its last good "
        "copy: the README says how.",
    ),
    "busy": (
        503,
        "Busy",
        "Something else is writing for long; nothing was changed. Try again in a moment.",
    ),
}
#: What SQLite says → the kind.
_SAID = (
    ("disk is full", "disk-full"),
    ("readonly", "read-only"),
    ("locked", "busy"),
    ("disk i/o error", "disk-failed"),
    ("unable to open database file", "disk-failed"),
    ("disk image is malformed", "damaged"),
    ("not a database", "damaged"),
)
_ERRNO = {
    errno.ENOSPC: "disk-full",
    errno.EDQUOT: "disk-full",
    errno.EROFS: "read-only",
    errno.EACCES: "read-only",
    errno.EPERM: "read-only",
    errno.EIO: "disk-failed",
}
_FAULT = "It could not be worked out, so nothing was changed. It is a fault of Easy Tally."


class Busy(Exception):
    """As much of it goes on at once as may; the message says what to do."""


#: What a request is that can't be read: a form without its boundary, one that breaks off.
_UNREADABLE = (BadRequest, MultiPartParserError, SuspiciousOperation, UnreadablePostError)


def problem(status: int, kind: str, title: str, detail: str, **more: Any) -> HttpResponse:
    """A problem+json answer."""
    body = {"type": f"urn:easy-tally:{kind}", "title": title, "status": status, "detail": detail}
    return HttpResponse(json.dumps(body | more), status=status, content_type=TYPE)


def broke_down(request: HttpRequest, error: Exception) -> HttpResponse:
    """Whatever nobody foresaw: logged with its traceback and the request's id; nothing of the
    request was kept. A disk that is full or can't be written is said as that."""
    number = getattr(request, "request_id", "")
    _log.error("%s %s (request %s)", request.method, request.path, number, exc_info=error)
    kind = _of_disk(error)
    if kind:
        status, title, detail = _DISK[kind]
        return problem(status, kind, title, detail, request=number)
    return problem(
        500, "fault", "That did not work", f"{_FAULT} (request {number})", request=number
    )


def _of_disk(error: Exception) -> str:
    """Which kind of fault of the disk or the database an error is; empty: none."""
    kind = _ERRNO.get(getattr(error, "errno", None) or 0, "")
    if isinstance(error, DatabaseError):
        low = str(error).lower()
        kind = next((kind for said, kind in _SAID if said in low), "")
    if kind == "disk-failed" and not os.access(settings.VAR, os.W_OK):
        return "read-only"  # as the system makes a disk that fails
    return kind


def as_problems(get_response: Handler) -> Handler:
    """Give each request its id, and every error of the interface its shape; answers of the
    interface are never kept by a browser."""

    def middleware(request: HttpRequest) -> HttpResponseBase:
        request.request_id = secrets.token_hex(6)  # type: ignore[attr-defined]
        response = get_response(request)
        if request.path.startswith(API):
            response = _shaped(request, response)
            response["Cache-Control"] = "no-store"
        response["X-Request-ID"] = request.request_id  # type: ignore[attr-defined]
        return response

    return middleware


def _shaped(request: HttpRequest, response: HttpResponseBase) -> HttpResponseBase:
    status = response.status_code
    if status < 400 or response.get("Content-Type", "").startswith(TYPE):
        return response
    number = request.request_id  # type: ignore[attr-defined]
    if status >= 500:
        return problem(
            status, "fault", "That did not work", f"{_FAULT} (request {number})", request=number
        )
    shaped = of_status(status)
    if response.has_header("Allow"):
        shaped["Allow"] = response["Allow"]
    return shaped


def caught(get_response: Handler) -> Handler:
    """Innermost: what a view raises beside the interface's own handlers. A body that is too large
    is told as that."""

    def middleware(request: HttpRequest) -> HttpResponseBase:
        return get_response(request)

    def process_exception(request: HttpRequest, error: Exception) -> HttpResponse | None:
        if not request.path.startswith(API):
            return None
        if isinstance(error, RequestDataTooBig):
            return of_status(413)
        if isinstance(error, _UNREADABLE):
            return of_status(400)
        return broke_down(request, error)

    middleware.process_exception = process_exception  # type: ignore[attr-defined]
    return middleware


def of_status(status: int) -> HttpResponse:
    """What a status says by itself."""
    kind, title, detail = _PLAIN.get(status, ("error", "That did not work", "Try it otherwise."))
    return problem(status, kind, title, detail)


# -- their shapes, for the description of the interface -------------------------------------------

_TEXT = {"type": "string"}
_SHAPE: dict[str, Any] = {
    "type": "object",
    "required": ["type", "title", "status", "detail"],
    "description": "An error (RFC 9457). `type` tells which; what it has more depends on it.",
    "properties": {
        "type": _TEXT | {"description": "urn:easy-tally: and the kind"},
        "title": _TEXT,
        "status": {"type": "integer"},
        "detail": _TEXT,
        "request": _TEXT | {"description": "of a fault: the request's id, as the log has it"},
        "problems": {
            "description": "of bad input: each thing that is wrong",
            "type": "array",
            "items": {
                "type": "object",
                "required": ["field", "required", "got"],
                "properties": {"field": _TEXT, "required": _TEXT, "got": _TEXT},
            },
        },
        "conflicts": {
            "description": "of a stale edit: what somebody else changed meanwhile",
            "type": "array",
            "items": {
                "type": "object",
                "required": ["path", "yours", "theirs"],
                "properties": {"path": _TEXT, "yours": {}, "theirs": {}},
            },
        },
        "version": {"type": "integer", "description": "of a stale edit: the build's version now"},
        "released": {
            "description": "of an edit that would unplug something: what",
            "type": "array",
            "items": _TEXT,
        },
        "build": _TEXT | {"description": "of a thing in use: the key of the build that it is in"},
    },
}
_STATUSES = {
    "400": "unreadable",
    "403": "forbidden",
    "404": "not-there, no-build",
    "405": "method",
    "409": "stale, would-release, in-use",
    "413": "too-large",
    "422": "bad-input, refused, unreadable",
    "500": "fault",
    "503": "read-only, disk-failed, damaged, busy",
    "507": "disk-full",
}


def described(schema: dict[str, Any]) -> dict[str, Any]:
    """A description of the interface with every error that an operation may answer."""
    schema.setdefault("components", {}).setdefault("schemas", {})["Problem"] = _SHAPE
    content = {TYPE: {"schema": {"$ref": "#/components/schemas/Problem"}}}
    schema["components"]["responses"] = {
        f"Problem{status}": {"description": kinds, "content": content}
        for status, kinds in _STATUSES.items()
    }
    for methods in schema["paths"].values():
        for operation in methods.values():
            for status in _STATUSES:
                ref = {"$ref": f"#/components/responses/Problem{status}"}
                operation["responses"].setdefault(status, ref)
    return schema
