"""Exercises as they are played: the machine, its readings, an answer; one's own results."""

from __future__ import annotations

from functools import lru_cache
from typing import NamedTuple

from builds import results
from builds.models import Build
from django.conf import settings
from django.utils import timezone
from easy_tally import Analysis, NotThere, analyse
from easy_tally.files import build_file
from easy_tally.readings import Held, Readings
from easy_tally.simulate import Planted
from easy_tally.training import EXERCISES, OWN, Exercise, of_own, planted, readings_and_held


class Played(NamedTuple):
    """An exercise with everything that is worked out of it."""

    analysis: Analysis
    exercise: Exercise
    planted: Planted
    readings: Readings
    held: Held


@lru_cache(maxsize=8)
def _machine(name: str, year: int) -> Analysis:
    text = (settings.DEMO / "training" / f"{name}.tally.json").read_text(encoding="utf-8")
    return analyse(build_file.read(text), year)


@lru_cache(maxsize=4)
def _played(number: int) -> Played:
    e = EXERCISES[number - 1]
    a = _machine(e.machine, timezone.now().year)
    scene = planted(a, e)
    return Played(a, e, scene, *readings_and_held(a, e, scene))


@lru_cache(maxsize=4)
def _own(pk: int, version: int, seed: int) -> Played:
    a = results.analysis(Build.objects.get(pk=pk))
    e = of_own(a, seed)
    scene = planted(a, e)
    return Played(a, e, scene, *readings_and_held(a, e, scene))


def play(number: int, build: Build | None, seed: int) -> Played:
    """An exercise by its number, or of a build with a fault at random. Raises NotThere."""
    if number == OWN and build is not None:
        return _own(build.pk, build.version, seed)
    if not 1 <= number <= len(EXERCISES):
        raise NotThere(f"There are exercises 1 to {len(EXERCISES)}; none is called {number}.")
    return _played(number)
