"""Records tell of acts on individuals; what those of earlier versions say is taken along."""

from typing import Any

import django.db.models.deletion
from django.db import migrations, models


def _taken_along(apps: Any, schema: Any) -> None:
    from bench import migrated

    migrated.acts(apps)


class Migration(migrations.Migration):
    dependencies = (("bench", "0004_photos_bare"), ("builds", "0008_version_2"))
    operations = (
        migrations.AddField("entry", "acts", models.JSONField(default=list)),
        migrations.AddField("entry", "settled", models.JSONField(default=dict)),
        migrations.AddField("photo", "places", models.JSONField(default=list)),
        migrations.CreateModel(
            name="Kept",
            fields=[
                (
                    "id",
                    models.BigAutoField(
                        auto_created=True, primary_key=True, serialize=False, verbose_name="ID"
                    ),
                ),
                ("individual", models.CharField(max_length=100)),
                ("data", models.JSONField()),
                (
                    "build",
                    models.ForeignKey(
                        on_delete=django.db.models.deletion.CASCADE,
                        related_name="individuals",
                        to="builds.build",
                    ),
                ),
            ],
        ),
        migrations.AddConstraint(
            model_name="kept",
            constraint=models.UniqueConstraint(
                fields=("build", "individual"), name="one_of_an_individual"
            ),
        ),
        migrations.RunPython(_taken_along, migrations.RunPython.noop),
    )
