"""Addresses: the interface under /api/v1/, everything else is the application's page."""

from devices.gate import IN, enter
from django.urls import path, re_path

from config.api import api
from config.views import app, service_worker

urlpatterns = [
    path("api/v1/", api.urls),
    path(IN.removeprefix("/"), enter),
    path("sw.js", service_worker),
    re_path(r"^(?!api/|static/).*$", app),
]
