"""The catalogue over the interface: said, found, kept, taken in and given out as CSV."""

from __future__ import annotations

from typing import Any
from unittest.mock import patch

from builds.tests.support import ROOT, ApiCase
from easy_tally.base.declared import Figure
from easy_tally.things import Fan
from owners.models import current_owner

from catalogue import parts
from catalogue.models import OwnPart

HEAD = "slug,kind,name,sockets,power W,rated A\r\n"
SHED = HEAD + "shed-fan,fan,Shed fan,,,0.3\r\nshed-card,card,Shed card,2x8pin,240,\r\n"


class Saying(ApiCase):
    def test_what_is_understood_and_what_the_catalogue_has(self) -> None:
        status, found = self.call("post", "/entry", {"text": "spurrey 140 x3"})
        self.assertEqual(status, 200)
        self.assertEqual(found["said"]["unknown"], ["spurrey"])
        self.assertEqual([o["slug"] for o in found["offers"]], ["spurrey-140"])
        part = found["offers"][0]["part"]
        self.assertEqual((part["count"], part["catalogue"]), (3, "spurrey-140@2"))

    def test_what_a_page_leaves_out_is_told(self) -> None:
        _, found = self.call("get", "/catalogue?text=knot+s")
        self.assertEqual(found["found"][0]["lacks"], ["slot share"])

    def test_what_each_answer_comes_to_stands_beside_it(self) -> None:
        _, asked = self.call("post", "/entry", {"text": "aio 240 30 W sata"})
        first = asked["said"]["choices"][0]
        self.assertEqual(first, "aio 240mm sata pump:2.5a fan:0a controller:0w")
        told = [m.rpartition(": ")[2] for m in asked["meant"]]
        self.assertEqual(told, ["30 W in all", "36 W in all", "40 W in all"])
        _, asked = self.call("post", "/entry", {"text": "processor and memory"})
        self.assertEqual(asked["meant"], ["Processor: watts not known yet", ""])

    def test_nothing_said_offers_nothing(self) -> None:
        self.assertEqual(self.call("post", "/entry", {"text": "  "})[1]["offers"], [])

    def test_too_long_a_line(self) -> None:
        status, problem = self.call("post", "/entry", {"text": "x" * 20_001})
        self.assertEqual((status, problem["problems"][0]["field"]), (422, "text"))

    def test_a_list(self) -> None:
        _, found = self.call("post", "/entries", {"text": "fan x2\nblue lamp"})
        self.assertEqual([x["entry"]["part"] is not None for x in found], [True, False])


class Keeping(ApiCase):
    def test_others_brought_back_by_another_process_are_not_taken_for_those_before(self) -> None:
        """Five in a row: the second and third in the bin; then the first and fourth in their
        place. As many are left, of the same sum of keys, and the last is the same."""
        for n in range(5):
            parts.keep(current_owner(), Fan(key="f", name=f"Reed {'abcde'[n]}"))
        rows = list(OwnPart.objects.order_by("pk"))
        rows[1].throw()
        rows[2].throw()
        self.assertEqual(list(parts.own(current_owner())), ["reed-a", "reed-d", "reed-e"])
        for n in (1, 2):
            rows[n].bring_back()
        for n in (0, 3):
            rows[n].throw()
        self.assertEqual(list(parts.own(current_owner())), ["reed-b", "reed-c", "reed-e"])

    def test_a_part_of_a_build_becomes_an_entry_of_ones_own(self) -> None:
        """What ties it to the build stays there: count, hub, slot."""
        doc = self.open()["doc"]
        knot = next(p for p in doc["parts"] if p["name"] == "Knot R")
        for slug in ("knot-r-2", "knot-r-3"):  # Knot R ships
            status, kept = self.call("post", "/catalogue/entries", {"part": knot})
            self.assertEqual((status, kept["slug"], kept["own"]), (201, slug, True))
        self.assertEqual((kept["part"]["slot"], kept["lacks"]), (None, []))
        fan = next(p for p in doc["parts"] if p["kind"] == "fan")
        _, kept = self.call("post", "/catalogue/entries", {"part": fan | {"headers": ["fan-1"]}})
        self.assertEqual((kept["part"]["count"], kept["part"]["headers"]), (1, []))
        _, found = self.call("get", "/catalogue?text=knot")
        self.assertEqual([f["slug"] for f in found["found"]][:2], ["knot-r-2", "knot-r-3"])
        self.assertEqual(found["own"], 3)

    def test_removing_ones_own_and_not_what_ships(self) -> None:
        self.call("post", "/catalogue/file", {"text": SHED})
        self.assertEqual(self.call("delete", "/catalogue/entries/shed-fan")[0], 204)
        self.assertEqual([x["key"] for x in self.call("get", "/catalogue/bin")[1]], ["shed-fan"])
        self.assertEqual(self.call("get", "/catalogue/entries/shed-fan")[0], 404)
        self.assertEqual(self.call("post", "/catalogue/entries/shed-fan/back", {})[0], 200)
        self.assertEqual(self.call("post", "/catalogue/entries/shed-fan/back", {})[0], 404)
        self.assertEqual(self.call("delete", "/catalogue/entries/shed-fan")[0], 204)
        status, problem = self.call("delete", "/catalogue/entries/knot-r")
        self.assertEqual(status, 404)
        self.assertIn("it ships with Easy Tally", problem["detail"])
        self.assertEqual(OwnPart.objects.count(), 1)


class Files(ApiCase):
    def test_preview_writes_nothing(self) -> None:
        _, found = self.call("post", "/catalogue/preview", {"text": SHED})
        self.assertEqual([c["status"] for c in found["changes"]], ["new", "new"])
        self.assertEqual(OwnPart.objects.count(), 0)

    def test_taken_in_given_out_and_changed(self) -> None:
        self.assertEqual(self.call("post", "/catalogue/file", {"text": SHED})[0], 200)
        out = self.client.get("/api/v1/catalogue/file?own=true")
        self.assertIn("own-parts.csv", out["Content-Disposition"])
        _, again = self.call("post", "/catalogue/preview", {"text": out.content.decode()})
        self.assertEqual([c["status"] for c in again["changes"]], ["same", "same"])
        self.call("post", "/catalogue/file", {"text": SHED.replace("0.3", "0.35")})
        _, fan = self.call("get", "/catalogue/entries/shed-fan")
        self.assertEqual((fan["revision"], fan["part"]["rated_a"]["likely"]), (2, 0.35))
        _, card = self.call("get", "/catalogue/entries/shed-card")
        self.assertEqual(card["revision"], 1)

    def test_a_file_taken_again_counts_up_what_it_changes_alone(self) -> None:
        owner = current_owner()
        parts.take_file(owner, SHED)
        before = parts.own(owner)
        again = parts.take_file(owner, SHED.replace("240", "250"))
        self.assertEqual([c.status for c in again], ["same", "changed"])
        now = parts.own(owner)
        self.assertEqual([e.revision for e in now.values()], [1, 2])
        # What did not change is the very entry that was read before.
        self.assertIs(now["shed-fan"], before["shed-fan"])
        with self.assertNumQueries(1):
            parts.own(owner)

    def test_somebody_else_s_write_before_the_turn_is_seen(self) -> None:
        """Between looking and writing another window keeps an entry under one of the slugs."""
        owner = current_owner()
        looked = parts.preview

        def meanwhile(*args: Any) -> Any:
            found = looked(*args)
            if not OwnPart.objects.exists():
                data = {"kind": "fan", "key": "fan", "name": "Other fan"}
                OwnPart.objects.create(owner=owner, slug="shed-fan", data=data)
            return found

        with patch.object(parts, "preview", meanwhile):
            taken = parts.take_file(owner, SHED)
        self.assertEqual([c.status for c in taken], ["changed", "new"])
        row = OwnPart.objects.get(slug="shed-fan")
        self.assertEqual((row.revision, row.data["name"]), (2, "Shed fan"))

    def test_written_piece_by_piece_it_is_the_same(self) -> None:
        """Five entries, two of them there before: these change in their places."""
        owner = current_owner()
        parts.take_file(owner, SHED)
        keys = dict(OwnPart.objects.values_list("slug", "pk"))
        more = "".join(f"shed-fan-{i},fan,Fan {i},,,0.2\r\n" for i in range(3))
        with patch.object(parts, "_AT_ONCE", 2):
            taken = parts.take_file(owner, SHED.replace("240", "250").replace("0.3", "0.4") + more)
        self.assertEqual([c.status for c in taken], ["changed"] * 2 + ["new"] * 3)
        rows = list(OwnPart.objects.order_by("pk"))
        self.assertEqual({r.slug: r.pk for r in rows[:2]}, keys)
        self.assertEqual([r.revision for r in rows], [2, 2, 1, 1, 1])
        self.assertEqual({r.owner_id for r in rows}, {owner.pk})
        fan = parts.own(owner)["shed-fan"].part
        assert isinstance(fan, Fan)
        self.assertEqual(fan.rated_a, Figure(low=0.4, likely=0.4, high=0.4, origin="maker"))

    def test_a_fault_in_the_middle_leaves_nothing(self) -> None:
        owner = current_owner()
        there: list[int] = []

        def fails(*_: Any) -> None:
            there.append(OwnPart.objects.count())
            raise OSError("No space left on device")

        with patch.object(parts, "_give_over", fails):
            self.assertRaises(OSError, parts.take_file, owner, SHED)
        self.assertEqual((there, OwnPart.objects.count()), ([2], 0))
        self.assertEqual(parts.own(owner), {})

    def test_where_others_write_without_end_nothing_is_taken_in(self) -> None:
        owner = current_owner()
        looked = parts.preview

        def meanwhile(*args: Any) -> Any:
            found = looked(*args)
            data = {"kind": "fan", "key": "fan", "name": "Other fan"}
            slug = f"other-{OwnPart.objects.count()}"
            OwnPart.objects.create(owner=owner, slug=slug, data=data)
            return found

        with patch.object(parts, "preview", meanwhile):
            status, problem = self.call("post", "/catalogue/file", {"text": SHED})
        self.assertEqual((status, problem["type"]), (422, "urn:easy-tally:refused"))
        self.assertIn("Nothing was taken in", problem["detail"])
        self.assertEqual(set(parts.own(owner)), {"other-0", "other-1", "other-2"})

    def test_a_broken_line_is_named_and_nothing_goes_in(self) -> None:
        text = SHED + "bad,card,Bad,2x8pin,lots,\r\n"
        status, problem = self.call("post", "/catalogue/file", {"text": text})
        self.assertEqual(status, 422)
        self.assertEqual(
            problem["problems"],
            [
                {
                    "field": "line 4, power W",
                    "required": "a number of W, or low/likely/high",
                    "got": "'lots'",
                }
            ],
        )
        self.assertEqual(OwnPart.objects.count(), 0)

    def test_a_shipped_entry_is_not_changed(self) -> None:
        text = HEAD + "knot-r,card,Knot R,2x8pin,999,\r\n"
        status, problem = self.call("post", "/catalogue/file", {"text": text})
        self.assertEqual((status, problem["problems"][0]["field"]), (422, "line 2, slug"))

    def test_the_whole_catalogue_and_the_template(self) -> None:
        out = self.client.get("/api/v1/catalogue/file").content
        self.assertEqual(out, (ROOT / "catalogue/parts.csv").read_bytes())
        text = self.client.get("/api/v1/catalogue/template").content.decode()
        _, found = self.call("post", "/catalogue/preview", {"text": text})
        self.assertEqual({c["status"] for c in found["changes"]}, {"new"})

    def test_no_csv_at_all(self) -> None:
        status, problem = self.call("post", "/catalogue/preview", {"text": "\x00\x01"})
        self.assertEqual((status, problem["problems"][0]["field"]), (422, "text"))

    def test_entries_are_ones_own(self) -> None:
        self.call("post", "/catalogue/file", {"text": SHED})
        self.assertEqual({o.owner for o in OwnPart.objects.all()}, {current_owner()})


class Cases(ApiCase):
    def test_cases_and_a_build_without_one(self) -> None:
        _, found = self.call("get", "/cases")
        self.assertEqual(len(found), 12)
        _, built = self.call("post", "/builds", {"name": "Egret"})
        for case in (found[0], None, found[1]):
            changes = {"case": case}
            status, written = self.act(
                built["key"], built["version"], type="change build", changes=changes
            )
            self.assertEqual(status, 200, written)
            built["version"] = written["version"]
