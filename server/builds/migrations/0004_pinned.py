"""A run may be kept as it is when the rest is mapped."""

from django.db import migrations, models


class Migration(migrations.Migration):
    """A flag, off for every run that is there."""

    dependencies = [("builds", "0003_inputs")]

    operations = [
        migrations.AddField("run", "pinned", models.BooleanField(default=False)),
    ]
