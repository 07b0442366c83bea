"""Readings of a build: typed, from files, simulated, streamed; drawn, held, taken over."""

from __future__ import annotations

from datetime import datetime
from typing import Any

from base.downloads import as_file, called
from base.formats import busy_out
from base.writing import writing
from builds import actions, results
from builds.models import Build
from django.http import HttpRequest, HttpResponse, StreamingHttpResponse
from easy_tally import Analysis, BadInput, NotThere
from easy_tally.files import readings_csv, readings_heads, readings_svg
from easy_tally.readings import (
    Channel,
    HeldAnswer,
    Named,
    Readings,
    Settled,
    Typed,
    answer,
    channel_words,
    channels_of,
    drawn,
    of_typed,
    one_card,
    one_plug,
    parse,
    settle,
)
from easy_tally.simulate import FAULT_KINDS, FAULT_WORDS, Fault, Running, Scene, places, plant
from ninja import File, Form, Router, UploadedFile
from owners.models import owner_of
from owners.thrown import InBin, in_bin

from readings import reading, rows, sets, streams
from readings.models import Learnt, Reading, Taken
from readings.schemas import (
    ColumnOut,
    DrawnOut,
    HeadIn,
    NamedIn,
    NamesIn,
    ReadingOut,
    ReadingsOut,
    Seconds,
    SettledOut,
    SimulateIn,
    StreamIn,
    TakenOut,
    TypedIn,
)

router = Router()
#: Bytes of a file at the most; buckets of a picture; channels drawn at once.
MOST_BYTES, MOST_BUCKETS, MOST_DRAWN = 400_000_000, 3000, 24


def _find(request: HttpRequest, key: str, taken: str) -> Taken:
    return sets.find(actions.find(owner_of(request), key), taken)


def _find_shown(request: HttpRequest, key: str, taken: str) -> Taken:
    return sets.find_shown(actions.find(owner_of(request), key), taken)


def _out(row: Taken, a: Analysis) -> dict[str, Any]:
    state, said = row.state, row.said
    shown = sets.can_be_shown(row)
    if not shown:
        state, said = "damaged", "It holds numbers that do not end; it can only be thrown away"
    return {
        "key": row.key,
        "name": row.name,
        "source": row.source,
        "state": state,
        "said": said,
        "channels": channel_words(a, [parse(c) for c in row.channels]),
        "samples": row.samples,
        "seconds": rows.seconds(row) if shown else 0.0,
        "began": row.began,
        "at": row.at.isoformat(),
        "problems": row.problems,
    }


@router.get("/builds/{key}/readings", response=ReadingsOut, operation_id="listReadings")
def list_readings(request: HttpRequest, key: str) -> dict[str, Any]:
    """The sets of a build, and what can be measured of it."""
    build = actions.find(owner_of(request), key)
    a = results.analysis(build)
    streams.end_gone()
    faults = [
        {
            "kind": k,
            "words": FAULT_WORDS[k],
            "places": [(ref, a.wired.words(ref)) for ref in places(a, k)],
        }
        for k in FAULT_KINDS
    ]
    return {
        "sets": [_out(row, a) for row in Taken.objects.filter(build=build)],
        "channels": channel_words(a, list(channels_of(a))),
        "faults": [f for f in faults if f["places"]],
    }


@router.post("/builds/{key}/readings/typed", response=TakenOut, operation_id="typeReadings")
def type_readings(request: HttpRequest, key: str, body: TypedIn) -> dict[str, Any]:
    """Keep figures that were read off. Raises BadInput: a channel, a figure below nothing."""
    build = actions.find(owner_of(request), key)
    a = results.analysis(build)
    if not 1 <= len(body.rows) <= 500:
        raise BadInput([("rows", "1 to 500 figures", str(len(body.rows)))])
    there = set(channels_of(a))
    typed = []
    for i, (text, state, value) in enumerate(body.rows):
        channel = parse(text)
        if channel not in there:
            raise BadInput([(f"rows.{i}", "a channel of this build", text)])
        if not -60 <= value <= 100_000 or (value < 0 and channel.unit != "degc"):
            raise BadInput([(f"rows.{i}", "a figure of nothing or more", f"{value:g}")])
        typed.append(Typed(channel=channel, state=state, value=value))
    row = sets.make(build, body.name or "typed in", "typed", of_typed(tuple(typed)))
    return _out(row, a)


@router.post("/builds/{key}/readings/simulated", response=TakenOut, operation_id="simulate")
def simulate(request: HttpRequest, key: str, body: SimulateIn) -> dict[str, Any]:
    """Run the simulated instruments of a build, faster than real time, and keep what they read."""
    build = actions.find(owner_of(request), key)
    a = results.analysis(build)
    whole = sum(s for _, s in body.states) * body.rate_hz
    lasting = 1 <= len(body.states) <= 100 and all(s > 0 for _, s in body.states)
    if not (lasting and 0 < whole <= 60_000 and 0.1 <= body.rate_hz <= 1000):
        need = "1 to 100 states, 1 to 60,000 samples, 0.1 to 1000 a second"
        raise BadInput([("states", need, f"{whole:,.0f} at {body.rate_hz:g} a second")])
    if not a.wired.live:
        raise BadInput([("build", "a build with something plugged in", "none that is")])
    scene = Scene(states=tuple(body.states), rate_hz=body.rate_hz, seed=body.seed % 2**31)
    running, name = Running(a, scene), f"simulated, seed {body.seed}"
    if body.fault:
        fault = _fault(a, body.fault, body.at)
        running, name = plant(a, fault, scene).running, f"simulated with a fault, seed {body.seed}"
    row = sets.make(build, name, "simulated", running.readings(channels_of(a)))
    return _out(row, a)


def _fault(a: Analysis, kind: str, at: str) -> Fault:
    known = next((k for k in FAULT_KINDS if k == kind), None)
    if known is None:
        raise BadInput([("fault", f"one of {', '.join(FAULT_KINDS)}", kind[:40])])
    there = places(a, known)
    if not there:
        raise NotThere(f"This build has no place for this fault: {FAULT_WORDS[known]}.")
    return Fault(kind=known, at=at or there[0])


@router.post("/builds/{key}/readings/stream", response=TakenOut, operation_id="hearStream")
def hear_stream(request: HttpRequest, key: str, body: StreamIn) -> dict[str, Any]:
    """Hear instruments on a local socket; each row is kept as it comes."""
    build = actions.find(owner_of(request), key)
    a = results.analysis(build)
    if not 0 <= body.speed <= 100:
        raise BadInput([("speed", "0 to 100 times", f"{body.speed:g}")])
    address, name = body.address, body.name or f"stream from {body.address}"
    if body.simulated:
        if body.fault:
            _fault(a, body.fault, body.at)
        name = body.name or "simulated instruments, live"
    with streams.place():
        if body.simulated:
            address = streams.simulated(build, body.speed, body.seed, body.fault, body.at)
        return _out(streams.start(build, address, name), a)


@router.post("/builds/{key}/readings/{taken}/stop", response=TakenOut, operation_id="stopStream")
def stop_stream(request: HttpRequest, key: str, taken: str) -> dict[str, Any]:
    """End a stream; what came is kept."""
    row = _find(request, key, taken)
    Taken.objects.filter(pk=row.pk).update(stop=True)
    streams.end_gone()
    return _out(_find(request, key, taken), results.analysis(row.build))


# -- files ----------------------------------------------------------------------


def _names(request: HttpRequest) -> dict[str, str]:
    names = Learnt.objects.filter(owner=owner_of(request)).values_list("head", "means")
    return dict(names)


@router.post("/builds/{key}/readings/head", response=list[ColumnOut], operation_id="readHead")
def read_head(request: HttpRequest, key: str, body: HeadIn) -> list[dict[str, str]]:
    """What the columns of a file are taken for, off its first lines."""
    a = results.analysis(actions.find(owner_of(request), key))
    columns = readings_heads.heads(
        body.text[:64_000].encode(), _names(request), one_card(a), one_plug(a)
    )
    return [{"head": c.head, "means": c.means} for c in columns]


@router.put("/readings/names", response=NamesIn, operation_id="learnHeads")
def learn(request: HttpRequest, body: NamesIn) -> dict[str, Any]:
    """Remember what heads mean: `time`, `state`, `ignore` or a channel."""
    owner = owner_of(request)
    for head, means in body.names.items():
        if means not in (readings_heads.TIME, readings_heads.STATE, readings_heads.IGNORE):
            parse(means)
        if not 1 <= len(head) <= 120:
            raise BadInput([("names", "heads of 1 to 120 characters", head[:60])])
    if Learnt.objects.filter(owner=owner).count() + len(body.names) > 1000:
        raise BadInput([("names", "at most 1,000 heads", "more")])
    with writing():
        for head, means in body.names.items():
            Learnt.objects.update_or_create(owner=owner, head=head, defaults={"means": means})
    return {"names": _names(request)}


@router.post("/builds/{key}/readings/file", response=ReadingOut, operation_id="readFile")
def read_file(
    request: HttpRequest,
    key: str,
    file: File[UploadedFile],
    name: Form[str] = "",
    keep_good: Form[bool] = True,
    size: Form[int] = 0,
) -> dict[str, Any]:
    """Read a file of readings; how far it is stands in its job."""
    build = actions.find(owner_of(request), key)
    if (file.size or 0) > MOST_BYTES:
        need = f"at most {MOST_BYTES // 1_000_000} MB"
        raise BadInput([("file", need, f"{(file.size or 0) / 1e6:.0f} MB")])
    called = name or file.name or "file"
    job = reading.take(build, file, _names(request), called, keep_good, size)
    return _job(job.key, build)


@router.get("/builds/{key}/readings/file/{job}", response=ReadingOut, operation_id="fileState")
def file_state(request: HttpRequest, key: str, job: str) -> dict[str, Any]:
    """How far a file is."""
    return _job(job, actions.find(owner_of(request), key))


@router.delete("/builds/{key}/readings/file/{job}", response=ReadingOut, operation_id="stopFile")
def stop_file(request: HttpRequest, key: str, job: str) -> dict[str, Any]:
    """Stop reading a file; nothing of it is kept."""
    build = actions.find(owner_of(request), key)
    Reading.objects.filter(build=build, key=job).update(stop=True)
    return _job(job, build)


def _job(key: str, build: Build) -> dict[str, Any]:
    job_state = reading.state(build, key)
    job = job_state.job
    return {
        "key": job.key,
        "state": job.state,
        "done": job.done,
        "of": job.of,
        "taken": job.taken,
        "problems": job.problems,
        "of_problems": job.of_problems,
        "error": job.error,
        "waits": job_state.waits,
        "busy": busy_out(job_state.busy),
    }


# -- a set ----------------------------------------------------------------------


@router.get("/builds/{key}/readings/{taken}", response=TakenOut, operation_id="getReadings")
def get_readings(request: HttpRequest, key: str, taken: str) -> dict[str, Any]:
    """A set."""
    row = _find(request, key, taken)
    return _out(row, results.analysis(row.build))


@router.delete(
    "/builds/{key}/readings/{taken}", response=ReadingsOut, operation_id="removeReadings"
)
def remove(request: HttpRequest, key: str, taken: str) -> dict[str, Any]:
    """Throw a set away: thirty days it lies in the bin, and the record keeps that it was taken."""
    row = _find(request, key, taken)
    with writing():
        row.throw()
    return list_readings(request, key)


@router.get("/builds/{key}/bin/readings", response=list[InBin], operation_id="readingsInBin")
def sets_in_bin(request: HttpRequest, key: str) -> list[InBin]:
    """Sets of a build that were thrown away in the last thirty days."""
    build = actions.find(owner_of(request), key)
    return [InBin.of(r, "readings", r.key, r.name) for r in in_bin(Taken, build=build)]


@router.post(
    "/builds/{key}/bin/readings/{taken}", response=TakenOut, operation_id="bringReadingsBack"
)
def bring_back(request: HttpRequest, key: str, taken: str) -> dict[str, Any]:
    """Take a set out of the bin."""
    build = actions.find(owner_of(request), key)
    with writing():
        row = sets.bring_back(build, taken)
    return _out(row, results.analysis(build))


@router.get("/builds/{key}/readings/{taken}/held", response=HeldAnswer, operation_id="heldReadings")
def get_held(request: HttpRequest, key: str, taken: str) -> HeldAnswer:
    """A set held against its build."""
    row = _find_shown(request, key, taken)
    return answer(results.analysis(row.build), sets.held(row))


@router.put("/builds/{key}/readings/{taken}/named", response=HeldAnswer, operation_id="nameStates")
def name_states(request: HttpRequest, key: str, taken: str, body: list[NamedIn]) -> HeldAnswer:
    """Name the states of a set; none: they are recognised."""
    row = _find_shown(request, key, taken)
    sets.call(row, [Named(from_s=n.from_s, to_s=n.to_s, state=n.state) for n in body[:200]])
    return answer(results.analysis(row.build), sets.held(row))


def _chosen(channels: str, r: Readings) -> list[Channel]:
    wanted = [parse(c) for c in channels.split(",") if c]
    lacks = [str(c) for c in wanted if c not in r.columns]
    if lacks or not 1 <= len(wanted) <= MOST_DRAWN:
        need = f"1 to {MOST_DRAWN} channels of these readings"
        raise BadInput([("channels", need, ", ".join(lacks)[:80] or str(len(wanted)))])
    return wanted


def series_of(
    r: Readings, channels: str, from_s: float, to_s: float, buckets: int
) -> list[dict[str, Any]]:
    """Channels between two times, in buckets."""
    buckets = min(MOST_BUCKETS, max(1, buckets))
    return [
        {"channel": str(c), "drawn": drawn(r, c, from_s, to_s, buckets)}
        for c in _chosen(channels, r)
    ]


@router.get("/builds/{key}/readings/{taken}/series", response=list[DrawnOut], operation_id="series")
def series(
    request: HttpRequest,
    key: str,
    taken: str,
    channels: str,
    from_s: Seconds = 0,
    to_s: Seconds = 1e12,
    buckets: int = 1000,
) -> list[dict[str, Any]]:
    """Some channels between two times, so that no peak is lost."""
    return series_of(rows.load(_find_shown(request, key, taken)), channels, from_s, to_s, buckets)


@router.get(
    "/builds/{key}/readings/{taken}/settled",
    response=list[SettledOut],
    operation_id="settledFigures",
)
def get_settled(request: HttpRequest, key: str, taken: str) -> list[dict[str, Any]]:
    """The figures that a set settles."""
    row = _find_shown(request, key, taken)
    a = results.analysis(row.build)
    day = f"{_began(row):%-d %b %Y}"
    simulated = row.source == "simulated"
    return [_settled(a, x) for x in settle(a, sets.held(row), day, simulated)]


def _began(row: Taken) -> datetime:
    """When a set began; of one that does not say: when it was taken."""
    try:
        return datetime.fromisoformat(row.began)
    except ValueError:
        return row.at


def _settled(a: Analysis, x: Settled) -> dict[str, Any]:
    part = a.build.part(x.of)
    return {
        "of": x.of,
        "name": part.name if part else (a.build.supply.name if a.build.supply else ""),
        "field": x.field,
        "unit": x.unit,
        "instrument": f"{'simulated ' if x.then.origin == 'simulated' else ''}{x.instrument}",
        "now": (x.now.low, x.now.likely, x.now.high) if x.now else None,
        "origin": x.now.origin if x.now else "",
        "edit": x.edit,
        "then": (x.then.low, x.then.likely, x.then.high),
    }


@router.get("/builds/{key}/readings/{taken}/file.csv", operation_id="readingsFile")
def as_csv(request: HttpRequest, key: str, taken: str) -> StreamingHttpResponse:
    """A set as CSV."""
    row = _find_shown(request, key, taken)
    r = rows.load(row)
    response = StreamingHttpResponse(readings_csv.write(r), content_type="text/csv; charset=utf-8")
    origin = "simulated readings" if r.simulated else "readings"
    name = f"{results.current(row.build).name} {origin} {row.name}"
    response["Content-Disposition"] = called(name, "csv")
    return response


@router.get("/builds/{key}/readings/{taken}/picture.svg", operation_id="readingsPicture")
def as_svg(
    request: HttpRequest,
    key: str,
    taken: str,
    channels: str,
    from_s: Seconds = 0,
    to_s: Seconds = 1e12,
) -> HttpResponse:
    """Some channels between two times as SVG."""
    row = _find_shown(request, key, taken)
    r, held = rows.load(row), sets.held(row)
    last = float(r.times[-1]) if r.samples else 0.0
    text = readings_svg.write(
        results.analysis(row.build),
        r,
        held.named,
        tuple(_chosen(channels, r)),
        max(0.0, from_s),
        min(to_s, last),
    )
    name = f"{results.current(row.build).name} readings {row.name}"
    return as_file(text, "image/svg+xml", name, "svg")
