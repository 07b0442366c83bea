"""Files of readings: sent to a process beside the server, which reads them; looked after, so that
one whose reader is gone is taken up again, or ended."""

from __future__ import annotations

import logging
import secrets
import time
from contextlib import suppress
from functools import lru_cache
from pathlib import Path
from typing import NamedTuple

from builds import results
from builds.models import Build
from django.conf import settings
from django.db import transaction
from easy_tally import BadInput, EasyTallyError, NotThere
from easy_tally.files import readings_csv
from easy_tally.readings import one_card, one_plug
from ninja import UploadedFile
from work.exchange import Exchange, Unreachable, Worker
from work.outcomes import look, why_it_waits
from work.worker import Busy

from readings import rows, sets
from readings.models import Reading

_log = logging.getLogger(__name__)
#: Seconds between two looks at the row; how often a file is taken up.
_LOOK_S, TRIES = 0.2, 2
UNDER_WAY = ("waiting", "running")
_LOST = "Whoever read it was ended, and so was the next. Nothing was kept: send it again."


@lru_cache(maxsize=1)
def exchange() -> Exchange:
    """Where files wait for the process that reads them: always on this machine, where they lie."""
    exchange = Exchange("" if settings.TASKS_AT_ONCE else str(settings.QUEUE), "files")
    exchange.works(lambda token: read_file(token, None))
    return exchange


class State(NamedTuple):
    """A file as the page sees it; `waits`: why it does; `busy`: on what its reader is."""

    job: Reading
    waits: str = ""
    busy: tuple[Worker, ...] = ()


def upload_of(key: str) -> Path:
    """Where a file lies until it is read."""
    return rows.folder() / f"{key}.upload"


def take(
    build: Build, file: UploadedFile, names: dict[str, str], name: str, keep_good: bool, size: int
) -> Reading:
    """Keep a file and have it read. `size`: its bytes, as they were said; 0: they were not. Raises
    BadInput where fewer came, OSError where there is no room: then nothing is kept."""
    got = file.size or 0
    if size and size != got:
        raise BadInput([("file", f"{size:,} bytes, as was said", f"{got:,}: it was cut off")])
    job = Reading(
        build=build,
        key=secrets.token_hex(12),
        name=name[:120],
        of=got,
        names=names,
        keep_good=keep_good,
        version=build.version,
    )
    path = upload_of(job.key)
    try:
        with path.open("wb") as out:
            for chunk in file.chunks():
                out.write(chunk)
        job.save()
    except BaseException:
        path.unlink(missing_ok=True)
        raise
    transaction.on_commit(lambda: _ask(job))
    return job


def _ask(job: Reading) -> None:
    try:
        exchange().ask(job.key, job.key)
    except Unreachable as error:
        _end(job, "failed", str(error))


def state(build: Build, key: str) -> State:
    """How far a file is. One whose reader is gone is taken up again, or ended. Raises NotThere."""
    job = Reading.objects.filter(build=build, key=key).first()
    if job is None:
        raise NotThere("No such file is being read.")
    if job.state not in UNDER_WAY:
        return State(job)
    try:
        return look_after(job)
    except Unreachable as error:
        return State(job, str(error))


def look_after(job: Reading) -> State:
    """See whether a file's reader is still there. Raises Unreachable."""
    told = look(exchange(), job.key)
    if told.state in ("lost", "forgotten"):
        return _again(job)
    if told.state == "waiting" and job.stop:
        return _end(job, "stopped")
    words, busy = ("", []) if told.state == "running" else why_it_waits(exchange(), job.key)
    return State(job, words, tuple(busy))


def _again(job: Reading) -> State:
    exchange().drop(job.key)
    if job.stop:
        return _end(job, "stopped")
    if job.tries >= TRIES or not upload_of(job.key).exists():
        return _end(job, "failed", _LOST)
    Reading.objects.filter(pk=job.pk).update(state="waiting", done=0, tries=job.tries + 1)
    job.refresh_from_db()
    _ask(job)
    return State(job)


def _end(job: Reading, state_: str, error: str = "") -> State:
    """End a file that nobody reads any more."""
    Reading.objects.filter(pk=job.pk, state__in=UNDER_WAY).update(state=state_, error=error[:500])
    upload_of(job.key).unlink(missing_ok=True)
    with suppress(Unreachable):
        exchange().drop(job.key)
    job.refresh_from_db()
    return State(job)


def look_after_all() -> None:
    """The same of every file, by the minute: nobody may be looking."""
    for job in Reading.objects.filter(state__in=UNDER_WAY):
        look_after(job)


# -- in the process that reads them ---------------------------------------------------


class _Watch:
    def __init__(self, job: Reading) -> None:
        self.job, self.looked, self.off = job, 0.0, False

    def tell(self, done: int) -> None:
        Reading.objects.filter(pk=self.job.pk).update(done=done)

    def stop(self) -> bool:
        now = time.monotonic()
        if not self.off and now - self.looked > _LOOK_S:
            self.looked = now
            self.off = not Reading.objects.filter(pk=self.job.pk, stop=False).exists()
        return self.off


def read_file(token: str, busy: Busy | None) -> None:
    """Read the file of a job; what came of it stands in its row. The file is gone after it."""
    job = Reading.objects.select_related("build").filter(key=token, state__in=UNDER_WAY).first()
    if job is None or exchange().job(token) is None:
        return
    Reading.objects.filter(pk=job.pk).update(state="running")
    exchange().tell(token, {})
    if busy:
        busy.on(job.name, lambda: exchange().tell(token, {}))
    try:
        _read(job)
    except readings_csv.Stopped:
        _end(job, "stopped")
    except Exception as error:  # noqa: BLE001 - whatever broke, the job says so and nothing is kept
        if not isinstance(error, EasyTallyError):
            _log.exception("reading a file broke down")
        said = str(error) if isinstance(error, EasyTallyError) else "It could not be worked out."
        _end(job, "failed", said)
    finally:
        if busy:
            busy.on("")
        upload_of(token).unlink(missing_ok=True)
        with suppress(Unreachable):
            exchange().drop(token)


def _read(job: Reading) -> None:
    a = results.analysis(job.build)
    watch = _Watch(job)
    with upload_of(job.key).open("rb") as file:
        imported = readings_csv.read(
            file, job.names, one_card(a), one_plug(a), watch.tell, watch.stop
        )
    problems = [{"line": p.line, "reason": p.reason} for p in imported.problems]
    outcome = {"problems": problems, "of_problems": imported.of_problems}
    if imported.of_problems and not job.keep_good:
        error = f"{imported.of_problems} lines can’t be taken; nothing was kept."
        Reading.objects.filter(pk=job.pk).update(state="failed", error=error, **outcome)
        return
    said = []
    if imported.of_problems:
        said.append(f"{imported.of_problems} lines left out")
    if imported.gaps:
        said.append(f"{imported.gaps} gaps in time")
    row = sets.make(
        job.build, job.name, "file", imported.readings, problems=problems, said=", ".join(said)
    )
    Reading.objects.filter(pk=job.pk).update(state="done", taken=row.key, **outcome)
