"""Records of versions that knew no acts, taken along once."""

from __future__ import annotations

from datetime import date
from typing import Any

from easy_tally import Build
from easy_tally.analysis import analyse
from easy_tally.bench import Ticked, acts_of_older
from easy_tally.things import individuals, kept
from pydantic import ValidationError


def acts(apps: Any) -> None:
    """Give each tick its acts, by the build as it is: a record of a build that can't be read, or
    worked out, stays as it is, words and all."""
    entries, builds, keeps = (
        apps.get_model(*names)
        for names in (("bench", "Entry"), ("builds", "Build"), ("bench", "Kept"))
    )
    with_record = entries.objects.values_list("build", flat=True).distinct()
    for row in builds._base_manager.filter(pk__in=list(with_record)):
        try:
            build = Build.model_validate_json(row.document)
            analysis = analyse(build, date.today().year)
        except (ValidationError, ValueError):
            continue
        ticks = list(entries.objects.filter(build=row, kind="done").order_by("at", "pk"))
        told, gone = acts_of_older(analysis, [Ticked(t.step, t.of, t.words) for t in ticks])
        for tick, several in zip(ticks, told, strict=True):
            tick.acts = [list(a) for a in several]
        entries.objects.bulk_update(ticks, ["acts"], batch_size=200)
        known = {i.id: i for i in individuals(build)} | gone
        keeps.objects.bulk_create(
            keeps(build=row, individual=id, data=kept(one)) for id, one in known.items()
        )
