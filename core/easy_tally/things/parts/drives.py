"""Drives with a power socket of their own."""

from __future__ import annotations

from typing import Annotated, ClassVar, Literal

from pydantic import Field

from ...base.declared import Amps, shown
from .common import WithSockets, known
from .traits import Called, Traits


class Drive(WithSockets):
    """A drive with a power socket of its own: 3.5- or 2.5-inch, optical, floppy."""

    kind: Literal["drive"] = "drive"
    traits: ClassVar[Traits] = Traits(
        {
            "disk": Called(("disk", "hdd", "harddisk"), "disks"),
            "drive": Called(("drive",)),
            "ssd": Called(("ssd",), "2.5-inch"),
            "optical": Called(("optical", "dvd"), "optical"),
            "floppy": Called(("floppy",), "floppy"),
        },
        fed_by=("drive",),
        has_main_figure=False,
    )
    form: Annotated[
        Literal["3.5", "2.5", "optical", "floppy"],
        Field(
            **shown(
                "Form",
                words={
                    "3.5": "3.5-inch",
                    "2.5": "2.5-inch",
                    "optical": "optical",
                    "floppy": "floppy",
                },
            )
        ),
    ] = "3.5"
    run_12v_a: Amps = known(
        "running, at 12 V",
        "disk35_12v_a",
        "optical_12v_a",
        "floppy_12v_a",
        said="12v",
        missed="amps at 12 V",
    )
    run_5v_a: Amps = known(
        "running, at 5 V",
        "disk35_5v_a",
        "drive25_5v_a",
        "optical_5v_a",
        "floppy_5v_a",
        said="5v",
        missed="amps at 5 V",
    )
    start_12v_a: Amps = known(
        "at spin-up, at 12 V: the label's peak",
        "disk35_start_12v_a",
        said="start",
        missed="amps at spin-up",
    )
    start_5v_a: Amps = known("at spin-up, at 5 V", "disk35_start_5v_a", said="start-5v")
    power_disable: Annotated[
        bool,
        Field(
            description="stays off where the third pin carries 3.3 V",
            **shown("Stays off where pin 3 carries 3.3 V"),
        ),
    ] = False
    data: Annotated[
        Literal["sata", "ribbon", "expander"] | None,
        Field(
            description="where its data goes; none: SATA, where its power plug is SATA",
            **shown(
                "Its data goes",
                words={
                    None: "as its plug tells",
                    "sata": "to a SATA port",
                    "ribbon": "by a ribbon",
                    "expander": "to an expander",
                },
            ),
        ),
    ] = None
