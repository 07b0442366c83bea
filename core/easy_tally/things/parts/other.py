"""What has no kind of its own."""

from __future__ import annotations

from typing import Annotated, ClassVar, Literal

from pydantic import Field

from ...base.declared import Watts, shown
from .common import WithSockets, known
from .traits import Called, Traits


class Other(WithSockets):
    """Anything else, by rail: what it draws through its own socket, or through the board."""

    kind: Literal["other"] = "other"
    traits: ClassVar[Traits] = Traits(
        {"other": Called(("load", "other"), "other")}, "Load", has_main_figure=False
    )
    v12_w: Watts = known("at 12 V", said="12v")
    v5_w: Watts = known("at 5 V", said="5v")
    v3v3_w: Watts = known("at 3.3 V", said="3.3v")
    v5sb_w: Watts = known("at 5 V standby, asleep too", said="standby")
    vneg12_w: Watts = known("at −12 V", said="-12v")
    vneg5_w: Watts = known("at −5 V", said="-5v")
    idle_share: Annotated[
        float,
        Field(
            ge=0,
            le=1,
            description="idle as a share of full",
            **shown("Idle, as a share of full", unit="×"),
        ),
    ] = 0.5
