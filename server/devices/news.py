"""What several windows ask for by the second: whether something is new, and nothing of it."""

from __future__ import annotations

from bench.models import Entry, Photo
from builds.models import Build
from django.db.models import Count, Max
from readings.models import Taken


def of_build(row: Build) -> dict[str, str | int]:
    """The version of a build, and stamps of what lies beside it: its record with its photos, its
    readings."""
    entries = Entry.objects.filter(build=row).aggregate(last=Max("pk"))["last"] or 0
    photos = Photo.objects.filter(build=row).aggregate(last=Max("pk"), many=Count("pk"))
    sets = Taken.objects.filter(build=row).aggregate(
        last=Max("pk"), many=Count("pk"), seen=Max("seen")
    )
    seen = sets["seen"].timestamp() if sets["seen"] else 0
    return {
        "version": row.version,
        "bench": f"{entries} {photos['last'] or 0} {photos['many']}",
        "readings": f"{sets['last'] or 0} {sets['many']} {seen:.3f}",
    }
