"""A million samples: read, held, drawn; beside the bare readers of NumPy and Polars in one run."""

from __future__ import annotations

import multiprocessing
import resource
import tempfile
import time
from collections.abc import Callable
from pathlib import Path

import numpy as np
import polars
from easy_tally import analyse
from easy_tally.files import build_file, readings_csv
from easy_tally.readings import Channel, drawn, hold
from easy_tally.simulate import Running, Scene

SAMPLES = 1_000_000


def _made(file: Path, root: Path) -> None:
    """A file of a million samples of four channels, simulated."""
    text = (root / "demo/training/heron.tally.json").read_text(encoding="utf-8")
    states = (("idle", 200.0), ("everyday", 300.0), ("full", 500.0))
    running = Running(analyse(build_file.read(text)), Scene(states=states, rate_hz=1000))  # type: ignore[arg-type]
    plug = "card-1#1/power"
    channels = [
        Channel("wall", "", "w"),
        Channel("dc", "", "w"),
        Channel(plug, "pin1", "a"),
        Channel(plug, "pin2", "a"),
    ]
    r = running.readings(channels)
    head = ",".join(["time (s)", *(str(c) for c in r.columns)])
    rows = np.column_stack([r.times, *r.columns.values()])
    np.savetxt(file, rows, delimiter=",", fmt="%.3f", header=head, comments="")


def readings(show: Callable[[str, float, float, str], None], unit: float, root: Path) -> None:
    """The lines of the table."""
    text = (root / "demo/training/heron.tally.json").read_text(encoding="utf-8")
    a = analyse(build_file.read(text))
    with tempfile.TemporaryDirectory() as folder:
        file = Path(folder) / "million.csv"
        # In a process of its own: what it takes is not counted.
        maker = multiprocessing.get_context("spawn").Process(target=_made, args=(file, root))
        maker.start()
        maker.join()

        def timed(title: str, work: Callable[[], object], goal: str = "") -> object:
            start = time.perf_counter()
            readings = work()
            show(title, (time.perf_counter() - start) * 1000, unit, goal)
            return readings

        timed("bare reader, NumPy loadtxt", lambda: np.loadtxt(file, delimiter=",", skiprows=1))
        timed("bare reader, Polars read_csv", lambda: polars.read_csv(file))
        before = resource.getrusage(resource.RUSAGE_SELF).ru_maxrss / 1024

        def whole() -> object:
            with file.open("rb") as opened:
                r = readings_csv.read(opened, {}).readings
            hold(a, r.calling(()))
            return [drawn(r, c, 0, 1e9, 1000) for c in r.columns]

        timed(f"{SAMPLES:,} samples read, held, drawn", whole, "5,000 ms")
        after = resource.getrusage(resource.RUSAGE_SELF).ru_maxrss / 1024
        print(f"  memory of this process: {before:.0f} MB before, {after:.0f} MB at the most after")
