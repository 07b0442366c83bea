"""The trainer: exercises, their readings, looks at the bench, answers, results."""

from __future__ import annotations

from typing import Any

from builds import actions
from builds.models import Build
from django.http import HttpRequest
from easy_tally.readings import ChannelWords, HeldAnswer, answer, channel_words
from easy_tally.simulate import FAULT_KINDS, FAULT_WORDS
from easy_tally.training import EXERCISES, Choice, Judged, choices, judge, seen
from ninja import Router, Schema
from owners.models import owner_of

from readings import trainer
from readings.api import series_of
from readings.models import Attempt
from readings.schemas import DrawnOut, Seconds

router = Router()
#: Attempts that the page shows.
_SHOWN = 100


class ExerciseOut(Schema):
    """An exercise in the list: what machine, what there is to measure with, how it went."""

    number: int
    machine: str
    instruments: list[str]
    tries: int
    solved: bool


class AttemptOut(Schema):
    """An answer that was given."""

    exercise: int
    at: str
    right_joint: bool
    right_reason: bool
    looks: int
    reason: str


class TrainerOut(Schema):
    """All exercises in order of difficulty, and the last answers."""

    exercises: list[ExerciseOut]
    attempts: list[AttemptOut]


class PlayedOut(Schema):
    """An exercise being played: figures without sentences, joints and reasons to choose from."""

    number: int
    machine: str
    held: HeldAnswer
    channels: list[ChannelWords]
    seconds: float
    joints: list[Choice]
    reasons: list[tuple[str, str]]


class LookIn(Schema):
    """A joint that one looks at."""

    joint: str


class SeenOut(Schema):
    """What one sees there."""

    text: str


class AnswerIn(Schema):
    """An answer: which joint, why, after how many looks."""

    joint: str
    reason: str
    looks: int = 0


@router.get("/trainer", response=TrainerOut, operation_id="listExercises")
def list_exercises(request: HttpRequest) -> dict[str, Any]:
    """The exercises, and how they went."""
    rows = list(Attempt.objects.filter(owner=owner_of(request)))
    by = {e.number: [a for a in rows if a.exercise == e.number] for e in EXERCISES}
    return {
        "exercises": [
            {
                "number": e.number,
                "machine": e.machine.capitalize(),
                "instruments": list(e.instruments),
                "tries": len(by[e.number]),
                "solved": any(a.right_joint and a.right_reason for a in by[e.number]),
            }
            for e in EXERCISES
        ],
        "attempts": [
            {
                "exercise": a.exercise,
                "at": a.at.isoformat(),
                "right_joint": a.right_joint,
                "right_reason": a.right_reason,
                "looks": a.looks,
                "reason": a.reason,
            }
            for a in rows[:_SHOWN]
        ],
    }


def _play(request: HttpRequest, number: int, build: str, seed: int) -> trainer.Played:
    row: Build | None = actions.find(owner_of(request), build) if build else None
    return trainer.play(number, row, seed % 2**31)


@router.get("/trainer/{number}", response=PlayedOut, operation_id="playExercise")
def play(request: HttpRequest, number: int, build: str = "", seed: int = 1) -> dict[str, Any]:
    """An exercise; 0 with a build: one of one's own, with a fault at random by the seed."""
    p = _play(request, number, build, seed)
    return {
        "number": number,
        "machine": p.analysis.build.name,
        "held": answer(p.analysis, p.held, sentences=False),
        "channels": channel_words(p.analysis, list(p.readings.columns)),
        "seconds": float(p.readings.times[-1]),
        "joints": list(choices(p.analysis)),
        "reasons": [(k, FAULT_WORDS[k]) for k in FAULT_KINDS],
    }


@router.get("/trainer/{number}/series", response=list[DrawnOut], operation_id="exerciseSeries")
def series(
    request: HttpRequest,
    number: int,
    channels: str,
    build: str = "",
    seed: int = 1,
    from_s: Seconds = 0,
    to_s: Seconds = 1e12,
    buckets: int = 1000,
) -> list[dict[str, Any]]:
    """Some channels of an exercise between two times."""
    r = _play(request, number, build, seed).readings
    return series_of(r, channels, from_s, to_s, buckets)


@router.post("/trainer/{number}/seen", response=SeenOut, operation_id="lookAtJoint")
def look(
    request: HttpRequest, number: int, body: LookIn, build: str = "", seed: int = 1
) -> dict[str, str]:
    """What one sees of a joint."""
    p = _play(request, number, build, seed)
    return {"text": seen(p.analysis, p.planted, body.joint)}


@router.post("/trainer/{number}/answer", response=Judged, operation_id="answerExercise")
def give(
    request: HttpRequest, number: int, body: AnswerIn, build: str = "", seed: int = 1
) -> Judged:
    """Judge an answer, and keep it."""
    p = _play(request, number, build, seed)
    judged = judge(p.analysis, p.exercise, p.planted, p.held, body.joint, body.reason)
    Attempt.objects.create(
        owner=owner_of(request),
        exercise=number,
        build=build[:16],
        seed=seed % 2**31,
        joint=body.joint[:80],
        reason=body.reason[:20],
        right_joint=judged.right_joint,
        right_reason=judged.right_reason,
        looks=min(10_000, max(0, body.looks)),
    )
    return judged
