"""Owners in an app of their own; their table stays as it is."""

from django.db import migrations, models


class Migration(migrations.Migration):
    initial = True

    dependencies = [("builds", "0001_initial")]

    operations = [
        migrations.SeparateDatabaseAndState(
            state_operations=[
                migrations.CreateModel(
                    name="Owner",
                    fields=[
                        (
                            "id",
                            models.BigAutoField(
                                auto_created=True, primary_key=True, serialize=False,
                                verbose_name="ID",
                            ),
                        ),
                        ("name", models.CharField(max_length=80, unique=True)),
                    ],
                    options={"db_table": "builds_owner"},
                ),
            ],
        ),
    ]
