"""Tests of the core. None is timed: what else the machine does is no failure of ours."""

from hypothesis import settings

settings.register_profile("untimed", deadline=None)
settings.load_profile("untimed")
