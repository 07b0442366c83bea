"""Files of readings, read by the worker."""

from __future__ import annotations

import logging
import time

from builds import results
from easy_tally import BadInput, EasyTallyError
from easy_tally.files import readings_csv
from easy_tally.readings import one_card, one_plug
from huey.contrib.djhuey import db_task

from readings import rows, sets
from readings.models import Reading

_log = logging.getLogger(__name__)
_LOOK_S = 0.2


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


@db_task()  # type: ignore[untyped-decorator]
def read_file(pk: int) -> None:
    """Read the file of a job; what came of it stands in its row. The file is gone after it."""
    job = Reading.objects.select_related("build").filter(pk=pk, state="waiting").first()
    if job is None:
        return
    Reading.objects.filter(pk=pk).update(state="running")
    path = rows.folder() / f"{job.key}.upload"
    try:
        _read(job)
    except readings_csv.Stopped:
        Reading.objects.filter(pk=pk).update(state="stopped")
    except Exception as error:  # noqa: BLE001 - whatever broke, the job says so and nothing is kept
        if not isinstance(error, EasyTallyError):
            _log.exception("reading a file broke down")
        said = str(error) if isinstance(error, EasyTallyError) else "It could not be worked out."
        Reading.objects.filter(pk=pk).update(state="failed", error=said[:500])
    finally:
        path.unlink(missing_ok=True)


def _read(job: Reading) -> None:
    a = results.analysis(job.build)
    watch = _Watch(job)
    path = rows.folder() / f"{job.key}.upload"
    with path.open("rb") as file:
        made = readings_csv.read(file, job.names, one_card(a), one_plug(a), watch.tell, watch.stop)
    problems = [{"line": p.line, "reason": p.reason} for p in made.problems]
    found = {"problems": problems, "of_problems": made.of_problems}
    if made.of_problems and not job.keep_good:
        error = f"{made.of_problems} lines can’t be taken; nothing was kept."
        Reading.objects.filter(pk=job.pk).update(state="failed", error=error, **found)
        return
    said = []
    if made.of_problems:
        said.append(f"{made.of_problems} lines left out")
    if made.gaps:
        said.append(f"{made.gaps} gaps in time")
    row = sets.make(
        job.build, job.name, "file", made.readings, problems=problems, said=", ".join(said)
    )
    Reading.objects.filter(pk=job.pk).update(state="done", taken=row.key, **found)


def check_size(said: int, got: int) -> None:
    """Raises BadInput where less arrived than was sent."""
    if said and said != got:
        raise BadInput([("file", f"{said:,} bytes, as was said", f"{got:,}: it was cut off")])
