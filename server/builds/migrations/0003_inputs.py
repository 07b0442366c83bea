"""A connection goes into an input by its key: leads of adapters are inputs too, and a plug whose
halves go into two sockets is used twice."""

from typing import Any

import django.db.models.deletion
from django.db import migrations, models


def _fill(apps: Any, _: Any) -> None:
    for c in apps.get_model("builds", "Connection").objects.select_related("run", "part"):
        c.build_id, c.target = c.run.build_id, c.part.key
        c.save(update_fields=["build_id", "target"])


class Migration(migrations.Migration):
    """Keys in place of rows of parts."""

    dependencies = [("builds", "0002_owner_moved")]

    operations = [
        migrations.AddField(
            "connection", "build",
            models.ForeignKey("builds.Build", on_delete=django.db.models.deletion.CASCADE, null=True),
        ),
        migrations.AddField("connection", "target", models.CharField(default="", max_length=40)),
        migrations.RunPython(_fill, migrations.RunPython.noop),
        migrations.RemoveConstraint("connection", "one_plug_in_a_socket"),
        migrations.AlterField(
            "connection", "build",
            models.ForeignKey("builds.Build", on_delete=django.db.models.deletion.CASCADE),
        ),
        migrations.AlterField("connection", "target", models.CharField(max_length=40)),
        migrations.AlterField(
            "connection", "plug",
            models.ForeignKey("builds.Plug", on_delete=django.db.models.deletion.CASCADE),
        ),
        migrations.RemoveField("connection", "part"),
        migrations.AlterModelOptions("connection", {"ordering": ("plug__position", "half")}),
        migrations.AddConstraint(
            "connection",
            models.UniqueConstraint(
                fields=("build", "target", "instance", "socket"), name="one_plug_in_an_input"
            ),
        ),
        migrations.AddConstraint(
            "connection",
            models.UniqueConstraint(fields=("plug", "half"), name="one_use_of_a_half"),
        ),
    ]  # fmt: skip
