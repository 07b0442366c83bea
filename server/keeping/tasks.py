"""What the worker does by the hour: the day's copy, and the bin."""

from bench import photos
from bench.models import Photo
from builds.models import Build
from catalogue.models import OwnPart
from huey import crontab
from owners.thrown import long_gone, sweep_files
from readings import reading, rows
from readings.models import Reading, Taken

from keeping import copies, whole

#: What was not written or read to its end, and lies for so long [s], was left by a kill.
_LEFT_S = 3600
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
    with copies.files_may_go() as may:
        if not may:
            return  # a copy is being made of what would go
        # Each row goes for good before its file does: a kill in between leaves a file that nothing
        # names, and no row without its file.
        for build in long_gone(Build):
            remove_for_good(build)
        sweep_files(Photo, photos.path_of)
        sweep_files(Taken, rows.path_of)
        long_gone(OwnPart).delete()
        for file, _ in whole.left_files(_LEFT_S):
            if file.suffix in (".part", ".upload"):
                file.unlink(missing_ok=True)


def remove_for_good(build: Build) -> None:
    """Remove a build with all that is of it, files too; in no transaction."""
    sweep_files(Photo, photos.path_of, build=build)
    sweep_files(Taken, rows.path_of, build=build)
    for job in Reading.objects.filter(build=build):
        reading.upload_of(job.key).unlink(missing_ok=True)
    Build.every.filter(pk=build.pk).defer("document").delete()
