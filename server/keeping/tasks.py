"""What the worker does by the hour: the day's copy, and the bin."""

from bench import photos
from bench.models import Photo
from catalogue.models import OwnPart
from config.writing import writing
from huey import crontab
from huey.contrib.djhuey import db_periodic_task, on_startup
from owners.thrown import long_gone, sweep_files
from readings import rows
from readings.models import Taken

from keeping import copies


@db_periodic_task(crontab(minute="7"))  # type: ignore[untyped-decorator]
def daily_copy() -> None:
    """Once an hour, see whether the day's copy is due."""
    copies.daily()


@db_periodic_task(crontab(minute="37"))  # type: ignore[untyped-decorator]
def sweep() -> None:
    """Once an hour, let go of what has lain in the bin for thirty days."""
    with writing():
        sweep_files(Photo, photos.path_of)
        sweep_files(Taken, rows.path_of)
        long_gone(OwnPart).delete()


@on_startup()  # type: ignore[untyped-decorator]
def hold() -> None:
    """Nothing is put in the place of what the worker reads."""
    copies.in_use()
