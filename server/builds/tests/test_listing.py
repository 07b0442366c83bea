"""The list of builds: what was worked out before is not worked out again, and never shown stale."""

from __future__ import annotations

from unittest.mock import patch

from builds import listing, results
from builds.models import Build, Card
from builds.tests.support import ApiCase


class Cards(ApiCase):
    def setUp(self) -> None:
        super().setUp()
        self.keys = [self.open()["key"] for _ in range(3)]
        self.call("get", "/builds")

    def worked(self) -> int:
        """How many builds a list works out, in a process that knows none."""
        results.forget()
        with patch.object(results, "work_out", wraps=results.work_out) as counted:
            status, found = self.call("get", "/builds")
        self.assertEqual((status, len(found)), (200, 3))
        return counted.call_count

    def test_each_once_and_again_after_an_edit(self) -> None:
        self.assertEqual(self.worked(), 0)
        self.act(self.keys[0], 1, type="change build", changes={"name": "Other"})
        self.assertEqual(self.worked(), 1)
        self.assertEqual(self.worked(), 0)
        self.assertEqual(self.call("get", "/builds")[1][0]["name"], "Other")

    def test_another_program_or_year_works_all_out(self) -> None:
        for what in ("_program", "stamp"):
            with patch.object(listing, what, return_value=f"other {what}"):
                self.assertEqual(self.worked(), 3)

    def test_the_same_as_worked_out(self) -> None:
        kept = self.call("get", "/builds")[1]
        Card.objects.all().delete()
        self.assertEqual(self.call("get", "/builds")[1], kept)

    def test_one_that_turns_out_unreadable_says_so(self) -> None:
        row = Build.objects.get(key=self.keys[1])
        Build.objects.filter(pk=row.pk).update(document='{"parts": [{"kind": "nonsense"}]}')
        results.forget()
        self.assertEqual(self.call("get", f"/builds/{row.key}")[0], 422)
        cards = {c["key"]: c for c in self.call("get", "/builds")[1]}
        self.assertIn("can’t be read", cards[row.key]["problem"])
