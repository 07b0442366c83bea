"""Photos that earlier versions kept are written anew without what stood beside their pixels."""

from typing import Any

from django.db import migrations


def _bare(apps: Any, schema: Any) -> None:
    from bench import photos

    for key in apps.get_model("bench", "Photo")._base_manager.values_list("key", flat=True):
        photos.make_bare(key)


class Migration(migrations.Migration):
    dependencies = (("bench", "0003_into_the_bin"),)
    operations = (migrations.RunPython(_bare, migrations.RunPython.noop),)
