"""The record: sent twice it stands once, it outlasts the map; photos are without a place."""

from __future__ import annotations

import io
from datetime import timedelta
from typing import Any
from zipfile import ZipFile

from builds.tests.support import ApiCase
from django.core.files.uploadedfile import SimpleUploadedFile
from django.utils import timezone
from owners.thrown import sweep_files
from PIL import Image

from bench import photos
from bench.models import Entry, Photo

AT = "2026-11-25T21:00:00Z"


def _entry(uid: str, step: str, kind: str = "done", **more: Any) -> dict[str, Any]:
    return {"uid": uid, "step": step, "kind": kind, "words": step, "at": AT, "who": "W"} | more


class Record(ApiCase):
    def setUp(self) -> None:
        super().setUp()
        self.built = self.open()
        self.key = self.built["key"]

    def send(self, *entries: dict[str, Any]) -> tuple[int, Any]:
        """Send entries."""
        return self.call("post", f"/builds/{self.key}/bench", {"entries": list(entries)})

    def test_done_by_whom_and_when_and_the_next(self) -> None:
        _, found = self.call("get", f"/builds/{self.key}/bench")
        self.assertEqual((found["next"], found["left"]), ("safe", 34))
        _, found = self.send(_entry("1", "safe"))
        first = found["steps"][0]
        self.assertEqual(
            (first["done"], first["who"], first["at"]), (True, "W", "2026-11-25T21:00:00+00:00")
        )
        self.assertEqual((found["next"], found["left"]), ("pins", 33))
        _, found = self.send(_entry("2", "safe", "undone"))
        self.assertEqual(found["next"], "safe")

    def test_sent_twice_it_stands_once(self) -> None:
        """As by two windows, or a device that heard no answer."""
        self.send(_entry("1", "safe"), _entry("2", "pins"))
        self.send(_entry("1", "safe"), _entry("3", "sort"))
        self.assertEqual(Entry.objects.count(), 3)

    def test_what_can_not_be_read_adds_nothing(self) -> None:
        status, found = self.send(_entry("1", "safe"), _entry("2", "pins", at="yesterday"))
        self.assertEqual((status, found["problems"][0]["field"]), (422, "entries.1.at"))
        self.assertEqual(Entry.objects.count(), 0)

    def test_a_warm_plug_stops_the_work_until_both_were_looked_at(self) -> None:
        step = "joint:board/main>board#1/main"
        _, found = self.send(_entry("1", step, "warm"))
        self.assertIn("was warm", found["stopped"])
        self.assertEqual(found["stopped_at"], step)
        _, found = self.send(_entry("2", step, "looked at"))
        self.assertEqual(found["stopped"], "")

    def test_redoing_a_16_pin_joint_counts_as_a_mating(self) -> None:
        _, found = self.call("get", f"/builds/{self.key}/bench")
        step = next(s["step"]["id"] for s in found["steps"] if s["matings"] is not None)
        _, found = self.send(_entry("1", step), _entry("2", step, "undone"), _entry("3", step))
        self.assertEqual([s["matings"] for s in found["steps"] if s["matings"] is not None], [2])

    def test_the_record_outlasts_the_part_and_leaves_as_csv(self) -> None:
        step = "joint:graphics-1/b>card-2#1/b"
        self.send(_entry("1", step, words="=Graphics cable 1, plug b in Knot R · b"))
        self.act(self.key, 1, type="remove part", part="card-2", release=True)
        _, found = self.call("get", f"/builds/{self.key}/bench")
        titles = [s["step"]["title"] for s in found["steps"]]
        self.assertIn("Unplug =Graphics cable 1, plug b in Knot R · b", titles)
        text = self.client.get(f"/api/v1/builds/{self.key}/bench.csv").content.decode()
        self.assertIn(f"2026-11-25T21:00:00+00:00,W,done,{step},\"'=Graphics cable 1", text)

    def test_sheet_and_flags_and_a_size_that_is_none(self) -> None:
        for what in ("bench.pdf", "flags.pdf?paper=letter&width_mm=60&height_mm=15"):
            page = self.client.get(f"/api/v1/builds/{self.key}/{what}").content
            self.assertTrue(page.startswith(b"%PDF-"), what)
        status, found = self.call("get", f"/builds/{self.key}/flags.pdf?width_mm=5")
        self.assertEqual((status, found["problems"][0]["required"]), (422, "30 to 90 mm"))


class Photos(ApiCase):
    def setUp(self) -> None:
        super().setUp()
        self.key = self.open()["key"]
        self.addCleanup(
            lambda: [photos.path_of(p.key).unlink(missing_ok=True) for p in Photo.objects.all()]
        )

    def send(self, content: bytes) -> Any:
        """Send a photo of the first step."""
        photo = SimpleUploadedFile("a.jpg", content, content_type="image/jpeg")
        return self.client.post(
            f"/api/v1/builds/{self.key}/photos", {"step": "safe", "photo": photo}
        )

    def _picture(self) -> bytes:
        """120 × 80, lying on its side, with a place written in it."""
        exif = Image.Exif()
        exif[0x0112] = 6
        exif.get_ifd(0x8825)[2] = (53.0, 4.0, 0.0)
        out = io.BytesIO()
        Image.new("RGB", (120, 80), "teal").save(out, "JPEG", exif=exif)
        return out.getvalue()

    def test_upright_and_without_the_place(self) -> None:
        found = self.send(self._picture()).json()
        (photo,) = found["steps"][0]["photos"]
        answer = self.client.get(f"/api/v1/builds/{self.key}/photos/{photo}")
        with Image.open(io.BytesIO(b"".join(answer.streaming_content))) as kept:  # type: ignore[attr-defined]
            self.assertEqual((kept.size, dict(kept.getexif())), ((80, 120), {}))
        archive = self.client.get(f"/api/v1/builds/{self.key}/record.zip").content
        names = ZipFile(io.BytesIO(archive)).namelist()
        self.assertEqual(names, ["build.tally.json", "record.csv", f"photos/safe-{photo}.jpg"])
        left = self.client.delete(f"/api/v1/builds/{self.key}/photos/{photo}").json()
        self.assertEqual(left["steps"][0]["photos"], [])
        bin_ = f"/api/v1/builds/{self.key}/bin/photos"
        self.assertEqual([x["key"] for x in self.client.get(bin_).json()], [photo])
        back = self.client.post(f"{bin_}/{photo}", content_type="application/json").json()
        self.assertEqual(back["steps"][0]["photos"], [photo])
        self.client.delete(f"/api/v1/builds/{self.key}/photos/{photo}")
        sweep_files(Photo, photos.path_of)
        self.assertTrue(photos.path_of(photo).exists())
        Photo.every.update(thrown=timezone.now() - timedelta(days=31))
        sweep_files(Photo, photos.path_of)
        self.assertFalse(photos.path_of(photo).exists())
        self.assertEqual(self.client.get(bin_).json(), [])

    def test_no_picture_and_too_large(self) -> None:
        for content, said in (
            (b"not a picture", "JPEG, PNG or WebP"),
            (b"x" * 12_000_001, "12 MB"),
        ):
            answer = self.send(content)
            self.assertEqual(answer.status_code, 422)
            self.assertIn(said, answer.json()["problems"][0]["required"])
        self.assertEqual(Photo.objects.count(), 0)
