"""Entries point at owners in their own app; the column stays as it is."""

import django.db.models.deletion
from django.db import migrations, models


class Migration(migrations.Migration):
    dependencies = [("catalogue", "0001_initial"), ("owners", "0001_initial")]

    operations = [
        migrations.SeparateDatabaseAndState(
            state_operations=[
                migrations.AlterField(
                    model_name="ownpart",
                    name="owner",
                    field=models.ForeignKey(
                        on_delete=django.db.models.deletion.CASCADE,
                        related_name="own_parts",
                        to="owners.owner",
                    ),
                ),
            ],
        ),
    ]
