"""What the worker does by the hour: the day's copy, and the bin."""

from bench import photos
from bench.models import Photo
from catalogue.models import OwnPart
from config.writing import writing
from huey import crontab
from owners.thrown import long_gone, sweep_files
from readings import reading, rows
from readings.models import Taken

from keeping import copies

_HUEY = reading.exchange().huey


@_HUEY.periodic_task(crontab(minute="7"))  # type: ignore[untyped-decorator]
def daily_copy() -> None:
    """Once an hour, see whether the day's copy is due."""
    copies.daily()


@_HUEY.periodic_task(crontab())  # type: ignore[untyped-decorator]
def look_after_files() -> None:
    """Once a minute, take up files whose reader is gone."""
    reading.look_after_all()


@_HUEY.periodic_task(crontab(minute="37"))  # type: ignore[untyped-decorator]
def sweep() -> None:
    """Once an hour, let go of what has lain in the bin for thirty days, and of what kills left."""
    with writing():
        sweep_files(Photo, photos.path_of)
        sweep_files(Taken, rows.path_of)
        long_gone(OwnPart).delete()
    reading.sweep()
