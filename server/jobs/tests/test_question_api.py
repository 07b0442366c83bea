"""Questions over the interface: asked, answered, taken, kept as variants, printed; builds side by
side; schools."""

from __future__ import annotations

import csv
import io
import json
from pathlib import Path
from tempfile import TemporaryDirectory
from typing import Any

from builds.tests.support import ROOT, ApiCase
from django.core.management import call_command
from drawer.models import Use

from jobs.models import Question
from jobs.tests.test_map_api import CURLEW, GONE_S, workers

CARD = "a 250 W card with two 8-pin, 267 mm"
DUNLIN = ROOT / "demo/builds/dunlin.tally.json"


class Asking(ApiCase):
    """Asks as the page does."""

    def ask(self, built: dict[str, Any], text: str, **more: Any) -> Any:
        """A question with its answer; the worker is done when this returns."""
        body = {"base_version": built["version"], "text": text, **more}
        with self.captureOnCommitCallbacks(execute=True):
            status, asked = self.call("post", f"/builds/{built['key']}/questions", body)
        if status != 200 or not asked["id"]:
            return asked
        return self.call("get", f"/builds/{built['key']}/questions/{asked['id']}")[1]

    def answered(self, text: str = CARD, of: str = CURLEW) -> tuple[dict[str, Any], Any]:
        built = self.open(of)
        asked = self.ask(built, text)
        self.assertEqual(asked["state"], "done", asked)
        return built, asked

    def variant(self, built: dict[str, Any], asked: Any, at: int = 0) -> Any:
        path = f"/builds/{built['key']}/questions/{asked['id']}/variant"
        status, made = self.call("post", path, {"at": at, "name": ""})
        self.assertEqual(status, 201, made)
        return made


class Questions(Asking):
    def test_what_is_open_is_asked_back_and_nothing_is_kept(self) -> None:
        built = self.open(CURLEW)
        asked = self.ask(built, "a 300 W card")
        self.assertEqual((asked["id"], asked["state"]), (0, "open"))
        self.assertIn("a 300w card 2x8pin", asked["choices"])
        self.assertFalse(Question.objects.exists())

    def test_taken_it_is_one_change_with_one_undo_and_the_figures_are_those_told(self) -> None:
        built, asked = self.answered()
        path = f"/builds/{built['key']}/questions/{asked['id']}/take"
        status, done = self.call("post", path, {"base_version": 1, "at": 0})
        self.assertEqual((status, done["version"]), (200, 2))
        strip = done["result"]["strip"]
        told = {v["id"]: v["figure"] for v in asked["answer"]["verdicts"]}
        self.assertTrue(
            told["leads"].startswith(f"{strip['sockets_fed']} of {strip['sockets_needed']} fed")
        )
        needed = done["result"]["sizing"]["needed"]["likely"]
        self.assertEqual(told["watts"], f"{-int(-needed // 1)} W of {strip['supply_w']:.0f} W")
        self.assertEqual(done["result"]["overall"]["text"], asked["answer"]["overall"]["text"])
        self.assertEqual(done["history"]["undo"], "take 250 W card in place of Whimbrel XL")
        self.call("post", f"/builds/{built['key']}/undo", {"base_version": 2})
        _, now = self.call("get", f"/builds/{built['key']}")
        self.assertEqual(now["doc"], built["doc"])

    def test_of_a_build_that_changed_it_is_not_taken(self) -> None:
        built, asked = self.answered()
        self.act(built["key"], 1, type="change build", changes={"note": "x"})
        path = f"/builds/{built['key']}/questions/{asked['id']}/take"
        status, problem = self.call("post", path, {"base_version": 2, "at": 0})
        self.assertEqual((status, problem["detail"][:29]), (422, "The build has changed since t"))
        status, problem = self.call("post", path, {"base_version": 2, "at": 9})
        self.assertEqual(status, 422)
        _, again = self.call("get", f"/builds/{built['key']}/questions/{asked['id']}")
        self.assertFalse(again["current"])

    def test_asked_again_it_is_not_worked_out_again(self) -> None:
        built, asked = self.answered()
        self.assertEqual(self.ask(built, CARD)["id"], asked["id"])
        other = self.ask(built, CARD, instead="beside")
        self.assertNotEqual(other["id"], asked["id"])
        _, several = self.call("get", f"/builds/{built['key']}/questions")
        self.assertEqual([q["text"] for q in several], [CARD, CARD])

    def test_a_worker_that_is_gone_and_an_answer_that_is_none(self) -> None:
        built = self.open(CURLEW)
        with workers(self) as at:
            asked = self.ask(built, CARD)
            self.assertEqual(asked["state"], "waiting")
            token = Question.objects.get().token
            at.tell(token, {"done": 0, "of": 0})
            self.call("get", f"/builds/{built['key']}/questions/{asked['id']}")
            at.pass_s(GONE_S + 1)
            _, asked = self.call("get", f"/builds/{built['key']}/questions/{asked['id']}")
            self.assertEqual(asked["state"], "waiting")
            token = Question.objects.get().token
            at.answer(token, json.dumps({"state": "done", "answer": {"answer": {}}}))
            with self.assertLogs("jobs.rows"):
                _, asked = self.call("get", f"/builds/{built['key']}/questions/{asked['id']}")
            self.assertEqual((asked["state"], asked["answer"]), ("failed", None))

    def test_one_file_that_opens_anywhere_holds_the_build(self) -> None:
        built, asked = self.answered()
        path = f"/api/v1/builds/{built['key']}/questions/{asked['id']}/answer"
        page = self.client.get(f"{path}.html")
        self.assertIn("attachment", page["Content-Disposition"])
        made = self.open(page.content.decode())
        self.assertEqual(made["doc"]["parts"][4]["name"], "250 W card")
        self.assertTrue(self.client.get(f"{path}.pdf").content.startswith(b"%PDF"))
        self.assertEqual(self.client.get(f"{path}.pdf?at=7").status_code, 404)

    def test_names_that_may_be_asked_about(self) -> None:
        _, names = self.call("get", f"/builds/{self.open(CURLEW)['key']}/shelf")
        self.assertIn("Marram 850", names)

    def test_the_command_says_the_same(self) -> None:
        _, asked = self.answered()
        with TemporaryDirectory() as folder:
            file, out = Path(folder) / "curlew.json", Path(folder) / "then.json"
            file.write_text(CURLEW, encoding="utf-8")
            said = io.StringIO()
            with self.assertRaises(SystemExit) as ended:
                call_command("ask", str(file), CARD, "--json", "--take", str(out), stdout=said)
            answer = json.loads(said.getvalue())
            self.assertEqual(ended.exception.code, 0)
            figures = [v["figure"] for v in answer["verdicts"]]
            self.assertEqual(figures, [v["figure"] for v in asked["answer"]["verdicts"]])
            self.assertIn("250 W card", out.read_text(encoding="utf-8"))
            with self.assertRaises(SystemExit) as ended:
                call_command("ask", str(file), "a 300 W card", stderr=io.StringIO())
            self.assertEqual(ended.exception.code, 3)
            with self.assertRaises(SystemExit) as ended:
                call_command("ask", f"{folder}/none", CARD, stderr=io.StringIO())
            self.assertEqual(ended.exception.code, 2)


class Variants(Asking):
    def test_it_knows_what_it_began_as_and_the_same_things_are_the_same(self) -> None:
        built, asked = self.answered()
        made = self.variant(built, asked)
        self.assertEqual((made["began_as"], made["began_name"]), (built["key"], "Curlew"))
        self.assertEqual(made["doc"]["name"], "Curlew, 250 W card in place of Whimbrel XL")
        then = {p["key"]: p["individual"] for p in made["doc"]["parts"]}
        was = {p["key"]: p["individual"] for p in built["doc"]["parts"]}
        self.assertNotEqual(then.pop("card"), was.pop("card"))
        self.assertEqual(then, was)
        _, cards = self.call("get", "/builds")
        self.assertEqual([c["began_as"] for c in cards], [built["key"], ""])

    def test_taken_it_is_one_change_and_another_builds_variant_is_refused(self) -> None:
        built, asked = self.answered()
        made = self.variant(built, asked)
        path = f"/builds/{built['key']}/take-variant"
        status, done = self.call("post", path, {"base_version": 1, "variant": made["key"]})
        self.assertEqual((status, done["version"]), (200, 2))
        _, now = self.call("get", f"/builds/{built['key']}")
        self.assertEqual(now["doc"], {**made["doc"], "name": "Curlew"})
        self.call("post", f"/builds/{built['key']}/undo", {"base_version": 2})
        _, now = self.call("get", f"/builds/{built['key']}")
        self.assertEqual(now["doc"], built["doc"])
        other = self.open()
        path = f"/builds/{other['key']}/take-variant"
        status, _ = self.call("post", path, {"base_version": 1, "variant": made["key"]})
        self.assertEqual(status, 422)

    def test_one_that_was_changed_meanwhile_is_a_conflict(self) -> None:
        built, asked = self.answered()
        made = self.variant(built, asked)
        self.act(built["key"], 1, type="change part", part="card", changes={"name": "Whimbrel"})
        path = f"/builds/{built['key']}/take-variant"
        status, problem = self.call("post", path, {"base_version": 1, "variant": made["key"]})
        self.assertEqual((status, problem["type"]), (409, "urn:easy-tally:stale"))

    def test_its_work_begins_at_the_machine_that_stands_and_is_ticked_there(self) -> None:
        built = self.open(CURLEW)
        _, found = self.call("get", f"/builds/{built['key']}/found")
        entry = {
            "uid": "u1",
            "step": "found:whole",
            "kind": "found",
            "words": "as it is",
            "at": "2026-12-01T10:00:00Z",
            "acts": found["whole"],
        }
        self.call("post", f"/builds/{built['key']}/bench", {"entries": [entry]})
        asked = self.ask(built, "without the Mudflat disk 3.5")
        made = self.variant(built, asked)
        _, plan = self.call("get", f"/builds/{made['key']}/bench")
        titles = [s["step"]["title"] for s in plan["steps"] if s["state"] == "open"]
        self.assertTrue(any("Mudflat disk" in t for t in titles), titles)
        self.assertFalse(any("Take out Whimbrel" in t for t in titles), titles)
        path = f"/builds/{made['key']}/bench"
        status, problem = self.call("post", path, {"entries": [{**entry, "uid": "u2"}]})
        self.assertEqual((status, "ticked in Curlew" in problem["detail"]), (422, True))

    def test_it_holds_nothing_of_the_drawer_until_it_is_taken(self) -> None:
        body = {"kind": "supply", "slug": "marram-1000"}
        status, thing = self.call("post", "/drawer", body)
        self.assertEqual(status, 201, thing)
        built, slug = self.open(CURLEW), f"drawer:{thing['thing']['key']}"
        status, made = self.call("post", f"/builds/{built['key']}/variant", {"name": "Plan"})
        body = {"base_version": 1, "slug": slug, "release": True}
        status, done = self.call("post", f"/builds/{made['key']}/supply", body)
        self.assertEqual(status, 200, done)
        self.assertFalse(Use.objects.exists())
        path = f"/builds/{built['key']}/take-variant"
        self.call("post", path, {"base_version": 1, "variant": made["key"]})
        self.assertEqual([u.build for u in Use.objects.all()], [built["key"]])

    def test_copied_renamed_grouped(self) -> None:
        built = self.open()
        self.call("put", f"/builds/{built['key']}/group", {"group": " Boathouse "})
        status, copied = self.call("post", f"/builds/{built['key']}/copy", {"name": ""})
        self.assertEqual((status, copied["doc"]["name"]), (201, "Heron, copy"))
        self.assertEqual(copied["began_as"], "")
        _, cards = self.call("get", "/builds")
        self.assertEqual([c["group"] for c in cards], ["Boathouse", "Boathouse"])


class SideBySide(Asking):
    def compare(self, *sides: str) -> Any:
        return self.call("get", f"/compare?sides={','.join(sides)}")

    def line(self, compared: Any, group: str, words: str) -> Any:
        return next(x for x in compared["lines"] if (x["group"], x["words"]) == (group, words))

    def test_a_variant_lines_up_with_what_it_began_as(self) -> None:
        built, asked = self.answered()
        made = self.variant(built, asked)
        status, compared = self.compare(built["key"], made["key"])
        self.assertEqual(status, 200)
        cards = self.line(compared, "parts", "Card")
        texts = [c["text"] for c in cards["cells"]]
        self.assertEqual(texts, ["Whimbrel XL, 330 W", "250 W card, 250 W"])
        self.assertTrue(cards["differs"])
        self.assertFalse(self.line(compared, "parts", "Board")["differs"])
        # 522 W at full with the card of 330 W: 80 W less with 250 W.
        full = [c["text"] for c in self.line(compared, "watts", "full")["cells"]]
        self.assertEqual([t.split()[0] for t in full], ["522", "442"])
        ends = self.line(compared, "work", "Plugs and port ends that move")["cells"]
        self.assertEqual(ends[0]["text"], "0")
        self.assertEqual(compared["sides"][1]["price"]["moves"], int(ends[1]["text"]))
        self.assertEqual(asked["answer"]["price"]["moves"], int(ends[1]["text"]))
        groups = [g for g, _ in compared["groups"]]
        places = [groups.index(x["group"]) for x in compared["lines"]]
        self.assertEqual(places, sorted(places))

    def test_two_builds_that_have_nothing_to_do_with_each_other(self) -> None:
        one, other = self.open(), self.open(DUNLIN.read_text(encoding="utf-8"))
        _, compared = self.compare(one["key"], other["key"])
        boards = self.line(compared, "parts", "Board")["cells"]
        self.assertEqual([c["text"] for c in boards], ["Tideline board", "Rill board, small"])

    def test_with_its_own_past_by_a_mark_and_by_a_change(self) -> None:
        built = self.open()
        key = built["key"]
        self.call("post", f"/builds/{key}/past", {"name": "as bought"})
        self.act(key, 1, type="remove part", part="card-2", release=True)
        self.act(key, 2, type="change build", changes={"note": "less"})
        _, moments = self.call("get", f"/builds/{key}/past")
        self.assertEqual(
            [m["words"] for m in moments],
            ["marked as bought", "before: change build", "before: remove Knot R"],
        )
        _, compared = self.compare(key, f"{key}@as bought", f"{key}@0", f"{key}@1")
        cards = self.line(compared, "parts", "Card")["cells"]
        knots = [c["text"] for c in cards]
        self.assertEqual(knots, ["—", "Knot R, 230 W", "Knot R, 230 W", "—"])
        status, _ = self.compare(f"{key}@never")
        self.assertEqual(status, 404)
        status, _ = self.call("post", f"/builds/{key}/past", {"name": "a,b"})
        self.assertEqual(status, 422)

    def test_as_csv_and_as_pages(self) -> None:
        built = self.open()
        answer = self.client.get(f"/api/v1/compare.csv?sides={built['key']}")
        rows = list(csv.reader(io.StringIO(answer.content.decode())))
        self.assertEqual(rows[0], ["of", "what", "differs", "Heron"])
        self.assertIn(["Parts", "Board", "", "Tideline board"], rows)
        answer = self.client.get(f"/api/v1/compare.pdf?sides={built['key']}")
        self.assertTrue(answer.content.startswith(b"%PDF"))

    def test_five_are_too_many_and_none_too_few(self) -> None:
        self.assertEqual(self.compare(*"abcde")[0], 422)
        self.assertEqual(self.compare("")[0], 422)
        self.assertEqual(self.compare("nothing")[0], 404)


class Schools(Asking):
    def test_a_build_under_each_of_them_side_by_side(self) -> None:
        key = self.open(CURLEW)["key"]
        ids = ["a-cable-for-every-socket", "by-the-pins"]
        status, _ = self.call("get", f"/compare?sides={key}~{ids[0]}")
        self.assertEqual(status, 404)
        with self.captureOnCommitCallbacks(execute=True):
            self.call("post", f"/builds/{key}/schools")
        _, state = self.call("get", f"/builds/{key}/schools")
        self.assertEqual(state["state"], "done")
        self.assertEqual([a["id"] for a in state["answers"]][:2], ids)
        sides = ",".join(f"{key}~{id}" for id in ids)
        _, compared = self.call("get", f"/compare?sides={sides}")
        self.assertEqual([s["name"] for s in compared["sides"]][1], "By the pins")
        self.assertIn("What it risks", compared["sides"][0]["note"])
        lines = {x["words"]: [c["text"] for c in x["cells"]] for x in compared["lines"]}
        # Three 8-pin sockets and two chained cables: one plug each leaves one socket.
        self.assertEqual(lines["Sockets fed"], ["5 of 6", "6 of 6"])
        self.assertEqual(self.call("get", f"/builds/{key}")[1]["version"], 1)

    def test_ones_own_is_kept_and_removed(self) -> None:
        body = {"name": "Ours", "positions": {"headroom": 0.3, "chained_graphics": "never"}}
        status, kept = self.call("post", "/schools", body)
        self.assertEqual((status, kept["positions"]["headroom"]), (200, 0.3))
        _, every = self.call("get", "/schools")
        self.assertEqual([s["own"] for s in every], [False] * 4 + [True])
        self.call("post", "/schools", {**body, "positions": {"headroom": 0.4}})
        _, every = self.call("get", "/schools")
        self.assertEqual((len(every), every[-1]["school"]["positions"]), (5, {"headroom": 0.4}))
        self.assertEqual(self.call("delete", f"/schools/{kept['id']}")[0], 204)
        self.assertEqual(self.call("delete", "/schools/by-the-pins")[0], 404)

    def test_positions_that_are_none_are_refused(self) -> None:
        body = {"name": "Ours", "positions": {"headroom": "much"}}
        status, problem = self.call("post", "/schools", body)
        self.assertEqual((status, "headroom" in json.dumps(problem)), (422, True))
