"""House rules that new builds start with."""

from django.db import migrations, models


class Migration(migrations.Migration):
    """None differ at first."""

    dependencies = [("owners", "0001_initial")]

    operations = [
        migrations.AddField("owner", "house_rules", models.JSONField(default=dict)),
    ]
