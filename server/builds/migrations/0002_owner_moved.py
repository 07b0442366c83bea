"""Builds point at owners in their own app; the column stays as it is."""

import django.db.models.deletion
from django.db import migrations, models


class Migration(migrations.Migration):
    dependencies = [
        ("builds", "0001_initial"),
        ("owners", "0001_initial"),
        ("catalogue", "0002_owner_moved"),
    ]

    operations = [
        migrations.SeparateDatabaseAndState(
            state_operations=[
                migrations.AlterField(
                    model_name="build",
                    name="owner",
                    field=models.ForeignKey(
                        on_delete=django.db.models.deletion.CASCADE,
                        related_name="builds",
                        to="owners.owner",
                    ),
                ),
                migrations.DeleteModel(name="Owner"),
            ],
        ),
    ]
