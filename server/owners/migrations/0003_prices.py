"""Prices that a builder gave, and the one currency that they are in."""

from django.db import migrations, models


class Migration(migrations.Migration):
    """None at first."""

    dependencies = [("owners", "0002_house_rules")]

    operations = [
        migrations.AddField("owner", "currency", models.CharField(max_length=8, default="")),
        migrations.AddField("owner", "prices", models.JSONField(default=dict)),
    ]
