"""One's own words over the interface: learned, used wherever something is said, forgotten."""

from __future__ import annotations

from builds.tests.support import ApiCase

from catalogue.models import OwnWord


class Words(ApiCase):
    def _said(self, text: str) -> dict[str, object]:
        return self.call("post", "/entry", {"text": text})[1]

    def test_learned_used_and_forgotten(self) -> None:
        self.assertIsNone(self._said("pump 10w zobel")["said"]["part"])  # type: ignore[index]
        status, word = self.call("post", "/words", {"word": "Zobel", "means": "peripheral"})
        self.assertEqual(
            (status, word["word"], word["label"]), (201, "zobel", "4-pin peripheral plug")
        )
        found = self._said("pump 10w zobel")
        self.assertEqual(found["said"]["part"]["sockets"][0]["kind"], "per4")  # type: ignore[index]
        self.assertEqual([w["word"] for w in found["own"]], ["zobel"])  # type: ignore[attr-defined]
        _, cable = self.call("post", "/drawer/read", {"kind": "cable", "text": "zobel lead 300 mm"})
        self.assertEqual((cable["problems"], cable["own"][0]["word"]), ([], "zobel"))
        _, rows = self.call("post", "/entries", {"text": "pump\t2\tzobel"})
        self.assertEqual([w["word"] for w in rows[0]["own"]], ["zobel"])
        self.assertEqual(rows[0]["entry"]["part"]["count"], 2)
        self.assertEqual(self.call("delete", "/words/zobel")[0], 204)
        self.assertIsNone(self._said("pump 10w zobel")["said"]["part"])  # type: ignore[index]

    def test_all_that_a_word_may_mean_is_told(self) -> None:
        _, words = self.call("get", "/words")
        self.assertEqual(words["words"], [])
        self.assertIn("gold", [m["means"] for m in words["meanings"]])

    def test_what_is_no_word_is_refused_and_nothing_kept(self) -> None:
        for word, means in (("fan", "pump"), ("12", "pump"), ("zobel", "laser"), ("x" * 60, "fan")):
            status, _ = self.call("post", "/words", {"word": word, "means": means})
            self.assertEqual(status, 422, word)
        self.assertEqual(OwnWord.objects.count(), 0)

    def test_said_again_it_means_the_other(self) -> None:
        for means in ("pump", "fan"):
            self.call("post", "/words", {"word": "zobel", "means": means})
        self.assertEqual([w.means for w in OwnWord.objects.all()], ["fan"])


class Beside(ApiCase):
    def test_slots_and_several_things(self) -> None:
        _, found = self.call("post", "/entry", {"text": "disk 6 W x2 and 3 fans 0.2 A"})
        self.assertEqual([p["kind"] for p in found["said"]["parts"]], ["drive", "fan"])
        self.assertEqual([s["words"] for s in found["slots"] if s["name"] == "count"], ["2", "3"])

    def test_what_is_no_part_says_where_it_goes(self) -> None:
        for text, goes in (("sata cable 500 mm", "cable"), ("tower case", "case"), ("fan", "")):
            self.assertEqual(self.call("post", "/entry", {"text": text})[1]["said"]["goes"], goes)

    def test_what_may_go_into_the_loom_is_read(self) -> None:
        body = {"text": "cage with 4 bays, two sata plugs", "family": "Saltern A"}
        _, read = self.call("post", "/loose/read", body)
        self.assertEqual((read["name"], len(read["thing"]["inputs"])), ("Drive cage, 4 bays", 2))
        _, read = self.call("post", "/loose/read", body | {"text": "sata lead 400 mm"})
        self.assertEqual(read["thing"]["family"], "Saltern A")
        _, read = self.call("post", "/loose/read", body | {"text": "SFX to ATX bracket"})
        self.assertIsNone(read["thing"])
        self.assertIn("on Fit", read["problems"][0])

    def test_the_head_noun_says_what_goes_into_the_drawer(self) -> None:
        body = {"kind": "cable", "text": "16-pin adapter from two 8-pin, 300 W, 200 mm"}
        status, thing = self.call("post", "/drawer", body)
        self.assertEqual((status, thing["kind"]), (201, "adapter"))
