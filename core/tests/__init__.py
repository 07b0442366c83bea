"""Tests of the core. No test is timed: a slow machine is no fault of the code."""

from hypothesis import HealthCheck, settings

settings.register_profile("core", deadline=None, suppress_health_check=[HealthCheck.too_slow])
if settings.get_current_profile_name() == "default":
    settings.load_profile("core")
