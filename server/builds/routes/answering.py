"""How core types are answered: valid by their making, so they are dumped and not checked again."""

from __future__ import annotations

from functools import lru_cache
from typing import Any
from weakref import WeakKeyDictionary

from django.http import HttpResponse
from easy_tally.publishing import Compact
from pydantic import TypeAdapter

from builds import actions, results, schemas, store
from builds.models import Build
from builds.store import LISTS


@lru_cache(maxsize=32)
def _adapter(kind: Any) -> TypeAdapter[Any]:
    return TypeAdapter(kind)


def dump(kind: Any, value: Any) -> bytes:
    """JSON of a core type; validating it again takes milliseconds."""
    return _adapter(kind).dump_json(value)


def answer(*pieces: tuple[str, bytes], status: int = 200) -> HttpResponse:
    """A JSON object of pieces that are JSON already."""
    return _json(_object(*pieces), status)


def _object(*pieces: tuple[str, bytes]) -> bytes:
    return b"{" + b",".join(b'"%s":%s' % (name.encode(), value) for name, value in pieces) + b"}"


def _json(text: bytes, status: int = 200) -> HttpResponse:
    return HttpResponse(text, status=status, content_type="application/json")


def _history(titles: actions.Titles) -> bytes:
    return schemas.History(undo=titles.undo, redo=titles.redo).model_dump_json().encode()


def whole(row: Build, status: int = 200) -> HttpResponse:
    """A build with its result and its history."""
    worked = results.worked(row)
    return answer(
        ("key", dump(str, row.key)),
        ("version", dump(int, row.version)),
        ("began_as", dump(str, row.began_as)),
        ("began_name", dump(str, actions.began_name(row))),
        ("doc", worked.analysis.build.model_dump_json().encode()),
        ("result", dump(Compact, worked.result)),
        ("history", _history(actions.titles(row))),
        status=status,
    )


#: The words of what was written, for as long as somebody is to be told of it.
_WRITTEN: WeakKeyDictionary[actions.Written, bytes] = WeakKeyDictionary()


def written(done: actions.Written) -> HttpResponse:
    """What a write changed, with the new result; put in words once for those whose edits went in
    together."""
    said = _WRITTEN.get(done)
    if said is None:
        said = _WRITTEN[done] = _written(done)
    return _json(said)


def _written(done: actions.Written) -> bytes:
    row, build = done.row, done.build
    changed = [{"entity": t["entity"], "value": t["after"]} for t in done.changed]
    order = {name: [store.key_of(x) for x in getattr(build, name)] for name in LISTS.values()}
    return _object(
        ("key", dump(str, row.key)),
        ("version", dump(int, row.version)),
        ("changed", dump(list[Any], changed)),
        ("order", dump(dict[str, list[str]], order)),
        ("result", dump(Compact, done.worked.result)),
        ("history", _history(done.titles)),
    )
