"""What the front end needs to know of the declarations, so that none is written twice."""

from __future__ import annotations

from dataclasses import asdict
from functools import lru_cache
from typing import Any

from easy_tally.analysis import SEVERITY_WORDS
from easy_tally.base import RAIL_WORDS, STATE_NAMES, Bounds
from easy_tally.catalogue import OFTEN, STARTERS, TEMPLATES
from easy_tally.entry import understood
from easy_tally.standards import COMMON_W, CONNECTORS, PLUGS
from easy_tally.tally import PATHS
from easy_tally.things import HEADER_WORDS, PART_KINDS, PORT_WORDS, PRESETS, RULES, Assumptions

from builds import schemas


@lru_cache(maxsize=1)
def reference() -> schemas.ReferenceOut:
    """Connectors, plugs, templates, figures of each kind, assumptions, common sizes."""
    return schemas.ReferenceOut(
        connectors=[
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
        ],
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
        fields={kind.model_fields["kind"].default: _figures(kind) for kind in PART_KINDS},
        assumptions=[_assumption(n, f) for n, f in Assumptions.model_fields.items()],
        sizes_w=list(COMMON_W),
        presets=PRESETS,
        house_rules=[
            schemas.RuleOut(
                rule=name,
                words=rule.words,
                positions=[schemas.PositionOut(**p._asdict()) for p in rule.positions],
            )
            for name, rule in RULES.items()
        ],
        words=schemas.WordsOut(
            states={str(k): w for k, w in STATE_NAMES.items()},
            findings={str(k): w for k, w in SEVERITY_WORDS.items()},
            rails={str(k): w for k, w in RAIL_WORDS.items()},
            ports={str(k): w for k, w in PORT_WORDS.items()},
            headers={str(k): w for k, w in HEADER_WORDS.items()},
            paths=list(PATHS),
        ),
    )


def _extra(field: Any) -> dict[str, Any]:
    return dict(field.json_schema_extra or {})


def _figures(kind: Any) -> list[schemas.FieldOut]:
    return [
        schemas.FieldOut(
            name=name,
            text=field.description or name,
            unit=_extra(field)["unit"],
            maximum=_extra(field)["maximum"],
            default_from=_extra(field).get("default_from") or [],
            needed=bool(_extra(field).get("needed")),
        )
        for name, field in kind.model_fields.items()
        if "maximum" in _extra(field)
    ]


def _assumption(name: str, field: Any) -> schemas.AssumptionOut:
    bounds = isinstance(field.default, Bounds)
    return schemas.AssumptionOut(
        name=name,
        text=field.description,
        unit=_extra(field)["unit"],
        kind="bounds" if bounds else "number",
        default=field.default.model_dump() if bounds else field.default,
    )
