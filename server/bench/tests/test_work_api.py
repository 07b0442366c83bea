"""The work on a machine that stands, by the interface: taken over, out, into the drawer, taken
back; what a device sends that was away."""

from __future__ import annotations

from datetime import UTC, datetime, timedelta
from typing import Any

from builds.tests.support import ApiCase
from drawer import store as drawer
from drawer.models import Thing
from owners.models import current_owner

from bench import record
from bench.models import Entry, Kept

BEGUN = datetime(2026, 12, 1, 9, tzinfo=UTC)


class Work(ApiCase):
    def setUp(self) -> None:
        super().setUp()
        self.key = self.open()["key"]
        self.version = 1
        self.sent = 0

    def plan(self) -> dict[str, Any]:
        """The work as it is."""
        found: dict[str, Any] = self.call("get", f"/builds/{self.key}/bench")[1]
        return found

    def open_steps(self) -> list[dict[str, Any]]:
        """What is to be done."""
        return [s for s in self.plan()["steps"] if s["state"] == "open"]

    def send(self, step: str, kind: str, acts: list[Any], **more: Any) -> tuple[int, Any]:
        """Send one entry, a minute after the one before."""
        self.sent += 1
        at = (BEGUN + timedelta(minutes=self.sent)).isoformat()
        entry = {"uid": f"u{self.sent}", "step": step, "kind": kind, "words": step, "at": at}
        entry |= {"who": "MK", "acts": acts} | more
        return self.call("post", f"/builds/{self.key}/bench", {"entries": [entry]})

    def find(self) -> None:
        """Take the machine over as it stands."""
        _, found = self.call("get", f"/builds/{self.key}/found")
        self.send("found:whole", "found", found["whole"])

    def change(self, **edit: Any) -> None:
        """Change the build."""
        self.act(self.key, self.version, **edit)
        self.version += 1

    def tick(self, answer: str = "") -> dict[str, Any]:
        """Do the first open step; the step."""
        placed = self.open_steps()[0]
        step, acts = placed["step"], placed["acts"]
        if step["answers"]:
            told = {a["id"]: a["acts"] for a in step["answers"]}
            acts = told.get(answer, step["answers"][0]["acts"])
        self.send(step["id"], "done", acts, words=step["title"])
        return step  # type: ignore[no-any-return]

    def test_a_machine_that_was_taken_over_has_nothing_to_be_done(self) -> None:
        self.assertFalse(self.plan()["is_known"])
        self.find()
        found = self.plan()
        self.assertEqual((found["is_known"], found["left"], found["tools"]), (True, 0, []))
        self.assertEqual({s["state"] for s in found["steps"]}, {"stands"})

    def _out(self, answer: str) -> None:
        """Another supply is taken; the old one comes out, and goes where the answer says."""
        self.find()
        self.change(type="take supply", supply=self._another(), cables=[], release=True)
        for _ in range(40):
            if self.tick(answer)["id"].startswith("away:"):
                return
        self.fail("nobody asked where the old one goes")

    def _another(self) -> dict[str, Any]:
        _, found = self.call("get", f"/builds/{self.key}")
        supply: dict[str, Any] = found["doc"]["supply"]
        other = {"name": "Another supply", "family": "Another family", "ports": [], "owned": ""}
        return supply | other

    def test_the_drawer_is_settled_by_the_tick_and_by_its_undoing(self) -> None:
        self._out("drawer")
        thing = Thing.objects.get()
        self.assertEqual(thing.data["supply"]["name"], "Marram 1000")
        self.assertEqual(len(thing.data["cables"]), 6)
        self.assertEqual({c["individual"] for c in thing.data["cables"]}, {""})
        away = Entry.objects.get(step__startswith="away:")
        self.send(away.step, "undone", [])
        self.assertFalse(Thing.objects.exists())
        self.assertTrue(any(s["step"]["id"] == away.step for s in self.open_steps()))

    def test_what_is_thrown_away_is_in_no_drawer(self) -> None:
        self._out("bin")
        self.assertFalse(Thing.objects.exists())

    def test_of_ones_own_there_is_one_less_until_the_tick_is_taken_back(self) -> None:
        _, found = self.call("get", f"/builds/{self.key}")
        supply = found["doc"]["supply"]
        thing = drawer.put(current_owner(), {"supply": supply, "cables": []})
        own = supply | {"owned": thing.key}
        self.change(type="take supply", supply=own, cables=[], release=True)
        self._out("bin")
        self.assertFalse(Thing.objects.exists())
        self.send(Entry.objects.get(step__startswith="away:").step, "undone", [])
        self.assertEqual(Thing.objects.get().key, thing.key)

    def test_what_a_record_tells_of_is_kept_though_the_build_loses_it(self) -> None:
        self.find()
        self.assertEqual(Kept.objects.count(), len(record.known_of(Entry.objects.get().build)))
        self.change(type="remove part", part="card-2", release=True)
        titles = [s["step"]["title"] for s in self.open_steps()]
        self.assertIn("Take out Knot R", titles)

    def test_a_device_that_was_away_tells_of_what_the_build_has_lost(self) -> None:
        """It ticks a card's mount by a plan of before the card was removed: the history has it."""
        mount = next(s for s in self.plan()["steps"] if s["step"]["id"] == "mount:card-2")
        self.change(type="remove part", part="card-2", release=True)
        self.send("mount:card-2", "done", mount["acts"], words="Mount Knot R")
        self.assertIn("Take out Knot R", [s["step"]["title"] for s in self.open_steps()])

    def test_a_page_of_an_earlier_version_sends_no_acts(self) -> None:
        self.send("safe", "done", [])
        self.send("mount:card-1", "done", [])
        done = [s["step"]["id"] for s in self.plan()["steps"] if s["done"]]
        self.assertEqual(done, ["safe", "mount:card-1"])

    def test_acts_that_are_none_are_refused_and_nothing_is_added(self) -> None:
        for acts, required in (
            ([["danced", "x", "y"]], "one of found"),
            ([["plugged", "x"]], "act, thing and place"),
            ([["plugged", "", "y"]], "1 to 160 letters"),
            ([["plugged", "x" * 200, "y"]], "1 to 160 letters"),
            ([["plugged", "x", "y"]] * 6_001, "at most 6,000"),
        ):
            status, found = self.send("safe", "done", acts)
            self.assertEqual(status, 422)
            self.assertIn(required, found["problems"][0]["required"])
        self.assertEqual(Entry.objects.count(), 0)

    def test_how_long_it_takes_is_told_once_enough_steps_were_ticked(self) -> None:
        """A minute between two: nine gaps, and 36 steps of a minute are left."""
        self.assertIsNone(self.plan()["minutes"])
        for _ in range(10):
            self.tick()
        found = self.plan()
        self.assertEqual((found["left"], found["minutes"]), (36, 36))

    def test_the_prints_are_called_by_the_build(self) -> None:
        for what, name in (
            ("bench.pdf", "heron-work-order.pdf"),
            ("flags.pdf", "heron-cable-flags.pdf"),
            ("handover.pdf?paper=letter", "heron-handover.pdf"),
        ):
            answer = self.client.get(f"/api/v1/builds/{self.key}/{what}")
            self.assertTrue(answer.content.startswith(b"%PDF-"), what)
            self.assertIn(f"''{name}", answer["Content-Disposition"])
