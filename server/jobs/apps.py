"""The app, with the tasks that its worker runs."""

from django.apps import AppConfig


class JobsConfig(AppConfig):
    """Jobs, their rows and their tasks."""

    name = "jobs"
    default_auto_field = "django.db.models.BigAutoField"
