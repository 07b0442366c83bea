"""The one owner: looked up once, its rules read when they are asked for."""

from __future__ import annotations

from django.test import TransactionTestCase, override_settings

from owners import models
from owners.models import Owner, current_owner


class CurrentOwner(TransactionTestCase):
    def setUp(self) -> None:
        self.addCleanup(models._known.clear)
        running = override_settings(TESTING=False)
        running.enable()
        self.addCleanup(running.disable)

    def test_looked_up_once(self) -> None:
        first = current_owner()
        self.assertEqual((first.name, Owner.objects.count()), ("owner", 1))
        with self.assertNumQueries(0):
            again = current_owner()
        self.assertEqual((again, again.pk, again.name), (first, first.pk, "owner"))

    def test_rules_that_another_process_set_are_read(self) -> None:
        current_owner()
        Owner.objects.update(house_rules={"chained_graphics": "never"})
        owner = current_owner()
        with self.assertNumQueries(1):
            self.assertEqual(owner.house_rules, {"chained_graphics": "never"})

    def test_rules_are_set(self) -> None:
        current_owner()
        owner = current_owner()
        owner.house_rules = {"headroom": 0.3}
        owner.save(update_fields=["house_rules"])
        self.assertEqual(current_owner().house_rules, {"headroom": 0.3})

    def test_in_tests_each_begins_anew(self) -> None:
        with override_settings(TESTING=True):
            current_owner()
        self.assertEqual(models._known, [])
