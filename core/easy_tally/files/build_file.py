"""The build file, `*.tally.json`: read whole or not at all, written in canonical form."""

from __future__ import annotations

import json
from typing import Any

from pydantic import ValidationError

from ..base.errors import BadFile, BadInput
from ..base.plain import read_json
from ..base.problems import problems_of
from ..things.build import FORMAT, FORMAT_VERSION, Build
from ..things.individuals import unsettled
from .canonical import to_text
from .page import build_in
from .upgrades import upgraded

#: Largest file that is read, in characters; a build of 400 parts takes a tenth of it.
MOST_CHARACTERS = 4_000_000


def read(text: str) -> Build:
    """The build that a file's text holds, or a page that holds one.

    Raises BadFile with the place, what is required there, and what was got.
    """
    if len(text) > MOST_CHARACTERS:
        raise BadFile([("file", f"at most {MOST_CHARACTERS:,} characters", f"{len(text):,}")])
    value = upgraded(_parse(build_in(text) or text), FORMAT_VERSION)
    try:
        build = Build.model_validate_json(json.dumps(value))
    except ValidationError as error:
        raise BadFile(problems_of(error)) from error
    return in_order(build)


def _parse(text: str) -> dict[str, Any]:
    try:
        value = read_json(text, "file")
    except BadInput as error:
        raise BadFile(error.problems) from error
    if not isinstance(value, dict) or value.get("format") != FORMAT:
        format_said = value.get("format") if isinstance(value, dict) else type(value).__name__
        raise BadFile([("format", f'"{FORMAT}"', repr(format_said)[:80])])
    version = value.get("version")
    if type(version) is not int or not 1 <= version <= FORMAT_VERSION:
        required = f"a whole number from 1 to {FORMAT_VERSION}"
        raise BadFile([("version", required, repr(version)[:80])])
    return value


def in_order(build: Build) -> Build:
    """Runs in the order of the cables and connections in the order of the plugs."""
    cables = {c.key: i for i, c in enumerate(build.cables)}
    runs = []
    for run in sorted(build.runs, key=lambda r: cables[r.cable]):
        plugs = {p.key: i for i, p in enumerate(build.cables[cables[run.cable]].plugs)}
        connections = tuple(sorted(run.connections, key=lambda c: (plugs[c.plug], c.half)))
        runs.append(run.model_copy(update={"connections": connections}))
    return build.model_copy(update={"runs": tuple(runs)})


def write(build: Build) -> str:
    """The canonical text of a build's file."""
    return to_text(unsettled(build).model_dump(mode="json"))


def schema() -> dict[str, Any]:
    """The JSON Schema of the build file, made from the declarations that validate it."""
    schema_of_build = Build.model_json_schema()
    schema_of_build["$schema"] = "https://json-schema.org/draft/2020-12/schema"
    schema_of_build["title"] = "Easy Tally build file"
    return schema_of_build
