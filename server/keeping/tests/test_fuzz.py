"""A short cut of `make fuzz`: every reader, the same inputs each time."""

from __future__ import annotations

import tempfile
import unittest
import unittest.mock
import warnings
from pathlib import Path

from django.test import override_settings

from keeping.tests import fuzzing


class Fuzz(unittest.TestCase):
    def test_no_input_is_a_fault(self) -> None:
        with (
            tempfile.TemporaryDirectory() as folder,
            override_settings(VAR=Path(folder)),
            warnings.catch_warnings(),
        ):
            warnings.simplefilter("ignore")
            for name in fuzzing.READERS:
                for fault in fuzzing.faults(name, seed=1, count=120):
                    with self.subTest(name):
                        self.fail(f"{fault.given}\n{fault.trace}")

    def test_a_fault_is_found_and_named_once(self) -> None:
        def breaks(given: object) -> None:
            raise ZeroDivisionError

        broken = {"lines": fuzzing.READERS["lines"]._replace(read=breaks)}
        with unittest.mock.patch.dict(fuzzing.READERS, broken):
            (fault,) = fuzzing.faults("lines", seed=1, count=30)
        self.assertIn("ZeroDivisionError", fault.trace)
