"""What is written piece by piece is seen by nobody, and there whole or not at all."""

from __future__ import annotations

import time
from unittest.mock import patch

from builds import actions
from builds.models import Build
from builds.tests.support import HERON
from django.test import TestCase

from owners.incoming import incoming
from owners.models import Owner, current_owner


class Incoming(TestCase):
    def test_what_is_not_given_over_is_gone_at_the_end(self) -> None:
        with incoming() as held:
            row = actions.open_file(held, HERON)
            with self.assertRaises(actions.NoBuild):
                actions.find(current_owner(), row.key)
        self.assertFalse(Build.objects.exists())
        self.assertEqual([o.name for o in Owner.objects.all()], ["owner"])

    def test_what_is_given_over_stays(self) -> None:
        with incoming() as held:
            row = actions.open_file(held, HERON)
            row.owner = current_owner()
            row.save(update_fields=["owner"])
        self.assertEqual(actions.find(current_owner(), row.key).pk, row.pk)

    def test_a_fault_takes_it_away(self) -> None:
        def fails() -> None:
            with incoming() as held:
                actions.open_file(held, HERON)
                raise OSError("No space left on device")

        self.assertRaises(OSError, fails)
        self.assertFalse(Build.objects.exists())

    def test_what_a_killed_process_left_goes_after_an_hour(self) -> None:
        now = time.time()
        left = Owner.objects.create(name=f"incoming {int(now) - 3_700} aa")
        busy = Owner.objects.create(name=f"incoming {int(now) - 3_500} bb")
        actions.open_file(left, HERON)
        with incoming():
            self.assertFalse(Owner.objects.filter(pk=left.pk).exists())
            self.assertTrue(Owner.objects.filter(pk=busy.pk).exists())
        self.assertFalse(Build.objects.exists())

    def test_two_at_once_have_nothing_in_common(self) -> None:
        with patch("time.time", return_value=1_000.0), incoming() as a, incoming() as b:
            self.assertNotEqual((a.pk, a.name), (b.pk, b.name))
