"""What the front end needs to know of the declarations, so that none is written twice."""

from __future__ import annotations

from collections.abc import Mapping
from dataclasses import asdict
from functools import lru_cache
from typing import Any

from easy_tally.analysis import SEVERITY_WORDS
from easy_tally.base import RAIL_WORDS, STATE_NAMES, Bounds
from easy_tally.catalogue import OFTEN, STARTERS, TEMPLATES
from easy_tally.entry import understood
from easy_tally.standards import COMMON_W, CONNECTORS, PLUGS
from easy_tally.tally import PATHS
from easy_tally.things import (
    HEADER_WORDS,
    KINDS,
    PORT_WORDS,
    PRESETS,
    RULES,
    Assumptions,
    DeclaredField,
)

from builds import schemas


@lru_cache(maxsize=1)
def reference() -> schemas.ReferenceOut:
    """Connectors, plugs, templates, fields of each kind, assumptions, common sizes."""
    return schemas.ReferenceOut(
        connectors=_connectors(),
        plugs={kind: shape.words for kind, shape in PLUGS.items()},
        plug_faces={kind: shape.whole for kind, shape in PLUGS.items()},
        templates=[
            schemas.TemplateOut(id=t.id, words=t.words, also=t.also, part=t.part) for t in TEMPLATES
        ],
        often={
            topic: [schemas.OftenOut(words=understood(part), part=part) for part in parts]
            for topic, parts in OFTEN.items()
        },
        starters=[schemas.StarterOut(**asdict(s)) for s in STARTERS],
        fields={name: [_field(f) for f in kind.fields] for name, kind in KINDS.items()},
        sought=_sought(),
        assumptions=[_assumption(n, f) for n, f in Assumptions.model_fields.items()],
        sizes_w=list(COMMON_W),
        presets=PRESETS,
        house_rules=_house_rules(),
        words=_words(),
    )


def _connectors() -> list[schemas.ConnectorOut]:
    return [
        schemas.ConnectorOut(
            kind=c.kind,
            words=c.words,
            face=list(c.face),
            side=c.side,
            latch=c.latch,
            coded=c.coded,
            may_lack_pins=c.may_lack_pins,
        )
        for c in CONNECTORS.values()
    ]


def _sought() -> list[schemas.SoughtOut]:
    """The words that parts are looked for by, those of a list of its own."""
    return [
        schemas.SoughtOut(word=word, several=called.several)
        for kind in KINDS.values()
        for word, called in kind.traits.names.items()
        if called.several
    ]


def _house_rules() -> list[schemas.RuleOut]:
    return [
        schemas.RuleOut(
            rule=name,
            words=rule.words,
            positions=[schemas.PositionOut(**p._asdict()) for p in rule.positions],
            maps=rule.maps,
        )
        for name, rule in RULES.items()
    ]


def _words() -> schemas.WordsOut:
    tables: dict[str, Mapping[Any, str]] = {
        "states": STATE_NAMES,
        "findings": SEVERITY_WORDS,
        "rails": RAIL_WORDS,
        "ports": PORT_WORDS,
        "headers": HEADER_WORDS,
    }
    said = {name: {str(k): w for k, w in table.items()} for name, table in tables.items()}
    return schemas.WordsOut(**said, paths=list(PATHS))


def _field(f: DeclaredField) -> schemas.FieldOut:
    return schemas.FieldOut(
        name=f.name,
        label=f.label,
        text=f.text,
        unit=f.unit,
        shape=f.shape,
        choices=[schemas.ChoiceOut(value=value, words=words) for value, words in f.choices],
        minimum=f.minimum,
        maximum=f.maximum,
        may_miss=f.may_miss,
        group=f.group,
        only=schemas.OnlyOut(field=f.only[0], value=f.only[1]) if f.only else None,
        default_from=list(f.default_from),
        needed=f.needed,
    )


def _assumption(name: str, field: Any) -> schemas.AssumptionOut:
    bounds = isinstance(field.default, Bounds)
    return schemas.AssumptionOut(
        name=name,
        text=field.description,
        unit=field.json_schema_extra["unit"],
        kind="bounds" if bounds else "number",
        default=field.default.model_dump() if bounds else field.default,
    )
