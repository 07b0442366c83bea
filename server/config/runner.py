"""Django's test runner, closing on one line: `N passed, N failed`. No test run is a failure."""

import os
import traceback
import unittest
from typing import Any

from django.test.runner import DiscoverRunner
from hypothesis import HealthCheck, settings

# A slow machine is no fault of the code; a submission is judged by examples that come again.
settings.register_profile(
    "easy-tally",
    deadline=None,
    suppress_health_check=[HealthCheck.too_slow],
    derandomize=os.environ.get("CI") == "true",
)
settings.load_profile("easy-tally")


class CountingRunner(DiscoverRunner):
    """Counts what ran and says so last."""

    def suite_result(self, suite: unittest.TestSuite, result: Any, **kwargs: Any) -> int:
        """Tests that failed, each once however many of its subtests did."""
        bad = [t for t, _ in (*result.failures, *result.errors)] + list(result.unexpectedSuccesses)
        failed = len({getattr(t, "test_case", t).id() for t in bad})
        self._passed = max(0, result.testsRun - failed - len(result.skipped))
        self._failed = failed
        return failed if self._passed + failed else 1

    def run_tests(self, *args: Any, **kwargs: Any) -> int:
        try:
            failed = super().run_tests(*args, **kwargs)
        except Exception:  # noqa: BLE001 - the last line must come whatever broke
            traceback.print_exc()
            print("0 passed, 1 failed", flush=True)
            return 1
        print(f"{self._passed} passed, {self._failed} failed", flush=True)
        return failed


os.environ.setdefault("DJANGO_ALLOW_ASYNC_UNSAFE", "true")
