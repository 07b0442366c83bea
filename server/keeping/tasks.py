"""The day's copy, made by the worker."""

from huey import crontab
from huey.contrib.djhuey import db_periodic_task, on_startup

from keeping import copies


@db_periodic_task(crontab(minute="7"))  # type: ignore[untyped-decorator]
def daily_copy() -> None:
    """Once an hour, see whether the day's copy is due."""
    copies.daily()


@on_startup()  # type: ignore[untyped-decorator]
def hold() -> None:
    """Nothing is put in the place of what the worker reads."""
    copies.in_use()
