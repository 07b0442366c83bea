"""How the interface reads and writes JSON and forms: plain text and numbers that end, both ways."""

from __future__ import annotations

from collections.abc import Iterable, Mapping
from typing import Any

from django.http import HttpRequest
from django.utils.datastructures import MultiValueDict
from easy_tally.base import NoJson, plain, read_json
from ninja import Schema
from ninja.parser import Parser
from ninja.renderers import JSONRenderer
from work.exchange import Worker


class PlainParser(Parser):
    """Refuses, by the one rule of the core, what is no text and no number."""

    def parse_body(self, request: HttpRequest) -> dict[str, Any]:
        """The JSON of a body. Raises BadInput."""
        try:
            text = request.body.decode("utf-8")
        except UnicodeDecodeError as error:
            raise NoJson([("body", "UTF-8", f"a byte at {error.start:,} that is none")]) from error
        body: dict[str, Any] = read_json(text, "body")
        return body

    def parse_querydict(
        self, query: MultiValueDict[str, Any], list_fields: list[str], request: HttpRequest
    ) -> dict[str, Any]:
        """The fields of a form or an address. Raises BadInput."""
        fields = super().parse_querydict(query, list_fields, request)
        return {
            name: [_plain(x, name) for x in value]
            if isinstance(value, list)
            else _plain(value, name)
            for name, value in fields.items()
        }


def _plain(value: Any, field: str) -> Any:
    """A field's text as it may come in; a file stays what it is."""
    return plain(value, field) if isinstance(value, str) else value


class FiniteRenderer(JSONRenderer):
    """Never NaN or infinity, which no JSON has: such an answer is a fault of ours."""

    json_dumps_params: Mapping[str, Any] = {"allow_nan": False}


class BusyOut(Schema):
    """What somebody who is waited for is busy with, and since when."""

    what: str
    since: str


def busy_out(workers: Iterable[Worker]) -> list[dict[str, str]]:
    """On what some workers are, where they said since when."""
    return [{"what": w.busy, "since": w.since.isoformat()} for w in workers if w.since]
