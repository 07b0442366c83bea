"""The drawer over the interface: put in, changed, taken out, in one build at a time."""

from __future__ import annotations

import json

from builds.tests.support import ROOT, ApiCase

DUNLIN = (ROOT / "demo/builds/dunlin.tally.json").read_text(encoding="utf-8")
CURLEW = (ROOT / "demo/builds/curlew.tally.json").read_text(encoding="utf-8")


class Lying(ApiCase):
    def test_an_adapter_that_lies_free_counts_for_the_supply(self) -> None:
        """*Dunlin* asks for a 16-pin lead that its supply has not, once its card is another."""
        text = json.loads(DUNLIN) | {"runs": []}
        text["cables"] = [c for c in text["cables"] if c["plugs"][0]["kind"] != "16pin"]
        card = next(p for p in text["parts"] if p["kind"] == "card")
        card["sockets"] = [{"key": "a", "kind": "16pin"}]
        key = self.open(json.dumps(text))["key"]

        def ports() -> tuple[str, str]:
            checks = self.call("get", f"/builds/{key}")[1]["result"]["supply"]["checks"]
            found = next(c for c in checks if c["id"] == "ports")
            return found["status"], found["text"]

        self.assertEqual(ports()[0], "fail")
        listed = self.call("get", "/builds")[1][0]["overall"]
        made = {"kind": "adapter", "slug": "adapter-16pin-2"}
        self.assertEqual(self.call("post", "/drawer", made)[0], 201)
        self.assertEqual(ports()[0], "pass")
        self.assertIn("from your drawer", ports()[1])
        self.assertEqual(self.call("get", "/builds")[1][0]["overall"] == listed, False)


class Putting(ApiCase):
    def put(self, **body: object) -> tuple[int, dict[str, object]]:
        return self.call("post", "/drawer", {"kind": "cable", **body})

    def test_by_its_line_and_by_its_slug(self) -> None:
        status, made = self.put(text='card 6+2 650mm family:"Saltern A"', count=3, lies="tin 2")
        self.assertEqual((status, made["family"], made["free"]), (201, "Saltern A", 3))
        status, made = self.put(kind="adapter", slug="adapter-16pin-2")
        self.assertEqual((status, made["kind"]), (201, "adapter"))
        names = [t["name"] for t in self.call("get", "/drawer")[1]]
        self.assertEqual(names, ["Graphics cable", "16-pin adapter, two leads"])

    def test_what_can_not_be_put_in(self) -> None:
        for body, text in (
            ({"text": "card 6+2 7"}, "words of a cable"),
            ({"kind": "bracket", "text": '"B" form:SFX'}, "place"),
            ({"kind": "supply", "slug": "marram-850", "count": 2}, "a count of 1"),
            ({"text": "sata 400mm", "since": 1890}, "1990"),
            ({"text": "sata 400mm", "standing": "looked at"}, "a supply, to be looked at"),
        ):
            status, problem = self.put(**body)
            self.assertEqual((status, text in problem["detail"]), (422, True), problem)  # type: ignore[operator]
        self.assertEqual(self.put(slug="nothing")[0], 404)
        self.assertEqual(self.call("get", "/drawer")[1], [])

    def test_what_is_understood_while_it_is_typed(self) -> None:
        _, found = self.call("post", "/drawer/read", {"kind": "cable", "text": "sata x2 300mm"})
        self.assertEqual((found["words"], len(found["problems"])), ([], 1))

    def test_changed_and_said_anew(self) -> None:
        key = self.put(text="sata 400mm", count=2)[1]["thing"]["key"]  # type: ignore[index]
        body = {"changes": {"condition": "worn", "count": 1}, "text": "sata x2 400+100mm"}
        status, made = self.call("patch", f"/drawer/{key}", body)
        self.assertEqual((status, made["thing"]["condition"], made["free"]), (200, "worn", 1))
        self.assertEqual(len(made["thing"]["thing"]["plugs"]), 2)
        for changes in ({"count": 0}, {"key": "x"}, {"colour": "red"}):
            status, _ = self.call("patch", f"/drawer/{key}", {"changes": changes})
            self.assertEqual(status, 422, changes)
        self.assertEqual(self.call("delete", f"/drawer/{key}")[0], 204)
        self.assertEqual(self.call("delete", f"/drawer/{key}")[0], 404)


class Using(ApiCase):
    def setUp(self) -> None:
        super().setUp()
        body = {"kind": "supply", "slug": "marram-850", "since": 2015}
        self.thing = self.call("post", "/drawer", body)[1]["thing"]["key"]
        self.heron = self.open()
        self.curlew = self.call("post", "/builds/open", {"text": CURLEW})[1]

    def take(self, build: dict[str, object]) -> tuple[int, dict[str, object]]:
        body = {"base_version": build["version"], "slug": f"drawer:{self.thing}", "release": True}
        status, written = self.call("post", f"/builds/{build['key']}/supply", body)
        build["version"] = written.get("version", build["version"])
        return status, written

    def builds(self) -> list[str]:
        return next(
            t["builds"] for t in self.call("get", "/drawer")[1] if t["thing"]["key"] == self.thing
        )

    def test_one_build_at_a_time_whatever_is_undone(self) -> None:
        self.assertEqual(self.take(self.curlew)[0], 200)
        self.assertEqual(self.builds(), [self.curlew["key"]])
        status, problem = self.take(self.heron)
        self.assertEqual((status, problem["type"]), (409, "urn:easy-tally:in-use"))
        self.assertIn("in Curlew", str(problem["detail"]))
        key, base = self.curlew["key"], {"base_version": self.curlew["version"]}
        undone = self.call("post", f"/builds/{key}/undo", base)[1]
        self.assertEqual(self.builds(), [])
        self.assertEqual(self.take(self.heron)[0], 200)
        status, _ = self.call("post", f"/builds/{key}/redo", {"base_version": undone["version"]})
        self.assertEqual(status, 409)
        self.assertEqual(self.builds(), [self.heron["key"]])
        self.assertEqual(self.call("delete", f"/drawer/{self.thing}")[0], 409)
        self.assertEqual(self.call("delete", f"/builds/{self.heron['key']}")[0], 204)
        self.assertEqual(self.builds(), [])

    def test_its_age_is_judged_and_what_is_not_to_be_used_is_left_out(self) -> None:
        path = f"/builds/{self.heron['key']}/candidates"
        found = self.call("get", path)[1]
        first = next(c for c in found if c["source"] == "owned")
        self.assertEqual(first["slug"], f"drawer:{self.thing}")
        # What does stands before what does not, whosever it is; of those it is the first.
        worse = [
            c["source"] for c in found if c["answer"]["verdict"] in ("too small", "does not fit")
        ]
        self.assertEqual(worse[0], "owned")
        age = next(c for c in first["answer"]["checks"] if c["id"] == "age")
        self.assertEqual(age["status"], "warn")
        self.call("patch", f"/drawer/{self.thing}", {"changes": {"condition": "not to be used"}})
        self.assertEqual({c["source"] for c in self.call("get", path)[1]}, {"catalogue"})

    def test_loose_cables_of_its_family_come_with_it(self) -> None:
        self.call("post", "/drawer", {"kind": "cable", "slug": "saltern-a-graphics", "count": 2})
        _, written = self.take(self.curlew)
        names = [
            e["value"]["name"]
            for e in written["changed"]
            if e["entity"].startswith("cable:")  # type: ignore[attr-defined]
            and e["value"]
        ]
        self.assertEqual(names.count("Graphics cable, single"), 2)
        free = [t["free"] for t in self.call("get", "/drawer")[1]]
        self.assertEqual(free, [0, 0])

    def test_a_file_that_names_a_thing_in_use_holds_a_copy(self) -> None:
        self.take(self.curlew)
        file = json.loads(CURLEW)
        file["supply"]["owned"] = self.thing
        _, copy = self.call("post", "/builds/open", {"text": json.dumps(file)})
        self.assertEqual(copy["doc"]["supply"]["owned"], "")
        self.assertEqual(self.builds(), [self.curlew["key"]])
