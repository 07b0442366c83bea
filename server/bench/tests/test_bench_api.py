"""The record: sent twice it stands once, it outlasts the map; photos are without a place."""

from __future__ import annotations

import errno
import io
from datetime import timedelta
from pathlib import Path
from threading import BoundedSemaphore
from typing import Any
from unittest.mock import patch
from zipfile import ZipFile

from builds.tests.support import ApiCase
from django.core.files.uploadedfile import SimpleUploadedFile
from django.utils import timezone
from owners.thrown import sweep_files
from PIL import Image
from PIL.PngImagePlugin import PngInfo

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
        self.assertEqual((found["next"], found["left"]), ("safe", 46))
        _, found = self.send(_entry("1", "safe"))
        first = found["steps"][0]
        self.assertEqual(
            (first["done"], first["who"], first["at"]), (True, "W", "2026-11-25T21:00:00+00:00")
        )
        self.assertEqual((found["next"], found["left"]), ("pins", 45))
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
        self.assertIn("Unplug Graphics cable 1, chained, plug b, from Knot R · b", titles)
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

    def _kept(self) -> bytes:
        photo = Photo.objects.order_by("pk").last()
        assert photo is not None
        return photos.path_of(photo.key).read_bytes()

    def test_pixels_alone_are_kept(self) -> None:
        """A comment, text, XMP with a place, a script behind the picture, notes that are broken."""
        place = PngInfo()
        place.add_text("comment", "53.07 N")
        place.add_text("xmp", "53.07 N")
        place.add_itxt("XML:com.adobe.xmp", "<x>53.07 N</x>")
        plain = Image.new("RGB", (40, 30), "teal")
        for options in (
            {"format": "JPEG", "comment": b"53.07 N"},
            {"format": "PNG", "pnginfo": place},
            {"format": "JPEG", "exif": b"Exif\0\0MM\0*\0\0\0\x08\xff\xff53.07 N"},
            {"format": "WEBP", "xmp": b"53.07 N"},
            {"format": "JPEG", "xmp": b"53.07 N"},
        ):
            out = io.BytesIO()
            plain.save(out, **options)
            answer = self.send(out.getvalue() + b"<script>53.07 N</script>")
            self.assertEqual(answer.status_code, 200, answer.content)
            kept = self._kept()
            self.assertNotIn(b"53.07", kept)
            with Image.open(io.BytesIO(kept)) as again:
                self.assertEqual((again.size, "comment" in again.info), ((40, 30), False))
        archive = self.client.get(f"/api/v1/builds/{self.key}/record.zip").content
        with ZipFile(io.BytesIO(archive)) as packed:
            for name in packed.namelist():
                self.assertNotIn(b"53.07", packed.read(name))

    def test_a_second_picture_behind_the_first_is_left_out(self) -> None:
        out = io.BytesIO()
        first, second = (Image.new("RGB", (40, 30), c) for c in ("teal", "red"))
        first.save(out, "MPO", save_all=True, append_images=[second])
        self.assertEqual(self.send(out.getvalue()).status_code, 200)
        with Image.open(io.BytesIO(self._kept())) as kept:
            self.assertEqual((kept.format, kept.size), ("JPEG", (40, 30)))

    def test_what_an_earlier_version_kept_is_made_bare(self) -> None:
        self.send(self._picture())
        photo = Photo.objects.get()
        before = self._kept()
        photos.make_bare(photo.key)
        self.assertEqual(self._kept(), before)  # nothing to take away
        out = io.BytesIO()
        exif = Image.Exif()
        exif[0x010F] = "Invented"
        Image.new("RGB", (40, 30), "teal").save(out, "JPEG", comment=b"53.07 N", exif=exif)
        photos.path_of(photo.key).write_bytes(out.getvalue())
        photos.make_bare(photo.key)
        self.assertNotIn(b"53.07", self._kept())
        self.assertNotIn(b"Invented", self._kept())
        for content in (b"", b"no picture", out.getvalue()[:200]):
            photos.path_of(photo.key).write_bytes(content)
            photos.make_bare(photo.key)
            self.assertEqual(self._kept(), content)

    def test_pixels_are_bounded_before_they_are_decoded(self) -> None:
        for kind, options in (
            ("progressive JPEG", {"format": "JPEG", "progressive": True}),
            ("PNG", {"format": "PNG"}),
            ("WebP", {"format": "WEBP"}),
            ("JPEG", {"format": "JPEG"}),
        ):
            out = io.BytesIO()
            Image.new("RGB", (90, 70), "teal").save(out, **options)
            most = dict.fromkeys(photos.MOST_PIXELS, 6_000)
            with patch.object(photos, "MOST_PIXELS", most):
                answer = self.send(out.getvalue())
            self.assertEqual(answer.status_code, 422)
            self.assertIn(f"megapixels of a {kind}", answer.json()["problems"][0]["required"])

    def test_one_at_a_time_and_not_too_many_wait(self) -> None:
        with patch.object(photos, "_WAITING", BoundedSemaphore(1)) as waiting:
            waiting.acquire()
            answer = self.send(self._picture())
        self.assertEqual(
            (answer.status_code, "in a moment" in answer.json()["detail"]), (503, True)
        )

    def test_a_full_disk_keeps_nothing_of_it(self) -> None:
        full = OSError(errno.ENOSPC, "No space left on device")
        before = sorted(photos.folder().iterdir())
        with patch.object(Path, "write_bytes", side_effect=full), self.assertLogs("easy_tally"):
            self.assertEqual(self.send(self._picture()).status_code, 507)
        with patch.object(Photo.objects, "create", side_effect=full), self.assertLogs("easy_tally"):
            self.assertEqual(self.send(self._picture()).status_code, 507)
        self.assertEqual(sorted(photos.folder().iterdir()), before)

    def test_a_name_without_end(self) -> None:
        photo = SimpleUploadedFile("a" * 5000 + ".jpg", self._picture(), content_type="image/jpeg")
        fields = {"step": "s" * 5000, "photo": photo}
        answer = self.client.post(f"/api/v1/builds/{self.key}/photos", fields)
        self.assertEqual(answer.status_code, 200)
        fields = {"step": "safe\x07", "photo": SimpleUploadedFile("a.jpg", self._picture())}
        answer = self.client.post(f"/api/v1/builds/{self.key}/photos", fields)
        self.assertEqual(answer.status_code, 422)

    def test_no_picture_and_too_large(self) -> None:
        for content, said in (
            (b"not a picture", "JPEG, PNG or WebP"),
            (b"x" * 12_000_001, "12 MB"),
            (self._picture()[:300], "JPEG, PNG or WebP"),
        ):
            answer = self.send(content)
            self.assertEqual(answer.status_code, 422)
            self.assertIn(said, answer.json()["problems"][0]["required"])
        self.assertEqual(Photo.objects.count(), 0)
