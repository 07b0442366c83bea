"""Copies go out and come back whole; a damaged one, a later one or a running server change
nothing."""

from __future__ import annotations

import io
import json
import os
import sqlite3
import tempfile
from contextlib import closing
from datetime import timedelta
from pathlib import Path
from typing import Any
from unittest.mock import patch
from zipfile import ZIP_DEFLATED, ZipFile

import numpy as np
from bench import photos
from bench.models import Photo
from builds import actions
from builds.models import Build, Change
from builds.tests.support import HERON
from config import serve
from django.core.management import CommandError, call_command
from django.db import connection
from django.test import TransactionTestCase, override_settings
from django.utils import timezone
from easy_tally.readings import Channel, Readings
from owners.models import current_owner
from PIL import Image
from readings import rows, sets

from keeping import copies, starting, tasks


def _run(*command: Any) -> str:
    out = io.StringIO()
    call_command(*command, stdout=out)
    return out.getvalue()


class Keeping(TransactionTestCase):
    def setUp(self) -> None:
        folder = tempfile.TemporaryDirectory()
        self.addCleanup(folder.cleanup)
        self.var = Path(folder.name)
        settings = override_settings(VAR=self.var)
        settings.enable()
        self.addCleanup(settings.disable)
        self.build = actions.open_file(current_owner(), HERON)
        out = io.BytesIO()
        Image.new("RGB", (40, 30), "red").save(out, "PNG")
        self.photo, width, height = photos.keep(out)
        Photo.objects.create(
            build=self.build, key=self.photo, step="safe", width=width, height=height
        )
        self.file = self.var / "copy.zip"
        wall = Channel("wall", "", "w")
        readings = Readings(times=np.arange(3.0), columns={wall: np.ones(3)})
        self.readings = sets.make(self.build, "meter", "typed", readings)

    def test_everything_comes_back(self) -> None:
        self.assertIn("1 builds, 1 photos", _run("backup", self.file))
        picture = photos.path_of(self.photo).read_bytes()
        Build.objects.all().delete()
        photos.path_of(self.photo).unlink()
        rows.path_of(self.readings.key).unlink()
        self.assertIn("Put back: 1 builds, 1 photos, 1 readings", _run("restore", self.file))
        self.assertEqual(rows.load(self.readings).samples, 3)
        self.assertEqual(Build.objects.get().key, self.build.key)
        self.assertEqual(photos.path_of(self.photo).read_bytes(), picture)
        self.assertIn("all is whole", _run("integrity"))
        self.assertEqual(len(list(copies.folder().glob("*-before-restore.zip"))), 1)

    def test_a_damaged_copy_is_refused_and_changes_nothing(self) -> None:
        _run("backup", self.file)
        good = self.file.read_bytes()
        Build.objects.update(version=99)
        for at in range(0, len(good), max(1, len(good) // 40)):
            bad = bytearray(good)
            bad[at] ^= 0xFF
            self.file.write_bytes(bad)
            try:
                copies.check(self.file)
            except copies.Damaged:
                continue
            # A byte between the members, which none of them holds, is no damage.
            with ZipFile(self.file) as opened, ZipFile(io.BytesIO(good)) as first:
                self.assertTrue(all(opened.read(n) == first.read(n) for n in first.namelist()))
        for content in (good[: len(good) // 2], b"", b"not an archive"):
            self.file.write_bytes(content)
            with self.assertRaisesRegex(CommandError, "Nothing was changed. copy.zip is damaged"):
                _run("restore", self.file)
        self.assertEqual(Build.objects.get().version, 99)

    def test_what_lies_elsewhere_or_is_later_is_refused(self) -> None:
        _run("backup", self.file)
        with ZipFile(self.file, "a") as opened:
            opened.writestr("photos/../../evil.jpg", b"")
        with self.assertRaisesRegex(CommandError, "what it holds differ"):
            _run("restore", self.file)
        with closing(sqlite3.connect(copies.database())) as at:
            at.execute("INSERT INTO django_migrations VALUES (999, 'builds', '0999_x', '')")
            at.commit()
        self.addCleanup(_forget)
        with self.assertRaisesRegex(CommandError, "made by a later Easy Tally .builds 0999_x"):
            _run("backup", self.var / "later.zip")
        with self.assertRaisesRegex(copies.Damaged, "written by a later Easy Tally"):
            starting.migrate()

    def test_it_is_not_put_back_under_a_running_server(self) -> None:
        _run("backup", self.file)
        handle = copies.in_use()
        self.addCleanup(os.close, handle)
        with self.assertRaisesRegex(CommandError, "Nothing was changed. Easy Tally is running"):
            _run("restore", self.file)

    def test_seven_of_each_kind_and_one_a_day(self) -> None:
        for _ in range(9):
            copies.keep("before-migration")
        self.assertIsNotNone(copies.daily())
        self.assertIsNone(copies.daily())
        self.assertEqual(len(list(copies.folder().glob("*-before-migration.zip"))), 7)
        self.assertEqual(len(list(copies.folder().glob("*-daily.zip"))), 1)

    def test_a_migration_that_is_due_is_preceded_by_a_copy(self) -> None:
        due = patch.object(starting.MigrationExecutor, "migration_plan", return_value=["one"])
        with due, patch.object(starting, "call_command") as called:
            starting.migrate()
        called.assert_called_once_with("migrate", verbosity=0)
        self.assertEqual(len(list(copies.folder().glob("*-before-migration.zip"))), 1)

    def test_integrity_names_what_is_not_whole(self) -> None:
        photos.path_of(self.photo).write_bytes(b"no picture")
        rows.path_of(self.readings.key).write_bytes(b"")
        Build.objects.update(head=5)
        Change.objects.all().delete()
        out = io.StringIO()
        with self.assertRaisesRegex(CommandError, "3 damaged. `restore` puts a copy back"):
            call_command("integrity", stdout=out)
        for said in ("history has a gap", "the photo", "readings 'meter' are not whole"):
            self.assertIn(said, out.getvalue())

    def _old(self, path: Path, content: bytes = b"") -> Path:
        path.write_bytes(content)
        os.utime(path, (0, 0))
        return path

    def test_what_is_left_over_is_no_damage_and_is_taken_away_when_asked(self) -> None:
        left = [
            self._old(photos.folder() / "stray.jpg"),
            self._old(rows.folder() / "stray.rows"),
            self._old(rows.folder() / "stray.upload"),
            self._old(rows.folder() / "stray.part"),
            self._old(photos.folder() / "stray.part"),
            self._old(self.var / "probe.17"),
        ]
        (rows.folder() / "young.upload").write_bytes(b"")  # its row may come yet
        with connection.cursor() as at:
            at.execute("PRAGMA foreign_keys=OFF")
            at.execute("UPDATE bench_photo SET build_id = 4711")
            at.execute("PRAGMA foreign_keys=ON")
        said = _run("integrity")
        self.assertIn("7 left over", said)
        self.assertIn("of bench_photo is of something that is gone from builds_build", said)
        self.assertIn("all is whole", said)
        self.assertTrue(all(f.exists() for f in left))
        os.utime(photos.path_of(self.photo), (0, 0))
        said = _run("integrity", "--clean")
        self.assertNotIn("left over", said)
        self.assertFalse(any(f.exists() for f in left) or photos.path_of(self.photo).exists())
        self.assertTrue((rows.folder() / "young.upload").exists())
        self.assertEqual(Photo.every.count(), 0)
        self.assertTrue(rows.path_of(self.readings.key).exists())

    def test_by_the_hour_what_kills_left_goes_and_nothing_else(self) -> None:
        names = ("a.upload", "b.part", "c.rows")
        for name in names:
            (rows.folder() / name).write_bytes(b"")
        tasks.sweep.call_local()
        self.assertTrue(all((rows.folder() / name).exists() for name in names))
        for name in names:
            os.utime(rows.folder() / name, (0, 0))
        tasks.sweep.call_local()
        left = sorted(f.name for f in rows.folder().iterdir())
        self.assertEqual(left, sorted(["c.rows", rows.path_of(self.readings.key).name]))

    def test_a_removed_build_lies_in_the_bin_and_then_takes_all_along(self) -> None:
        owner, key = current_owner(), self.build.key
        actions.remove(owner, key)
        self.assertEqual([b.key for b in actions.in_the_bin(owner)], [key])
        tasks.sweep.call_local()
        self.assertIn("0 builds looked over: all is whole", _run("integrity"))
        self.assertNotIn("left over", _run("integrity"))
        self.assertEqual(actions.bring_back(owner, key).key, key)
        self.assertEqual(actions.in_the_bin(owner), [])
        self.assertRaises(actions.NoBuild, actions.bring_back, owner, key)
        actions.remove(owner, key)
        Build.every.update(thrown=timezone.now() - timedelta(days=31))
        with copies._files_stay():  # a copy is being made: next hour, then
            tasks.sweep.call_local()
        self.assertEqual(Build.every.count(), 1)
        tasks.sweep.call_local()
        self.assertEqual((Build.every.count(), Photo.every.count()), (0, 0))
        self.assertEqual(list(photos.folder().iterdir()), [])
        self.assertEqual(list(rows.folder().iterdir()), [])
        self.assertNotIn("left over", _run("integrity"))

    def test_a_copy_while_a_stream_comes_is_of_one_moment(self) -> None:
        path = rows.path_of(self.readings.key)
        whole = path.read_bytes()
        path.write_bytes(whole + whole + b"half a row")  # written, not counted yet
        self.assertIn("all is whole", _run("integrity"))
        _run("backup", self.file)
        _run("restore", self.file)
        self.assertEqual(path.read_bytes(), whole)
        self.assertIn("all is whole", _run("integrity"))

    def test_archives_that_are_none(self) -> None:
        _run("backup", self.file)
        with ZipFile(self.file) as opened:
            about = json.loads(opened.read(copies.LIST))
        lists: tuple[Any, ...] = (
            [],
            None,
            7,
            "x",
            {},
            about | {"files": []},
            about | {"files": {"a": 1}},
            about | {"missing": 5},
            about | {"files": {}},
            about | {"format": 2},
            about | {"made": ["x"]},
            about | {"more": 1},
            about | {"format": float("nan")},
        )
        for odd in lists:
            with ZipFile(self.file, "w") as out:
                out.writestr(copies.LIST, json.dumps(odd))
            with self.subTest(odd), self.assertRaisesRegex(CommandError, "Nothing was changed"):
                _run("restore", self.file)
        with ZipFile(self.file, "w", ZIP_DEFLATED) as out, out.open("photos/a.jpg", "w") as packed:
            for _ in range(400):
                packed.write(bytes(1_000_000))
        with self.assertRaisesRegex(CommandError, "would unpack to 400 MB; at most 1"):
            _run("restore", self.file)

    def test_a_copy_dated_ahead_does_not_stop_the_daily_ones(self) -> None:
        ahead = copies.folder() / "2031-01-01T000000000000-daily.zip"
        ahead.write_bytes(b"")
        os.utime(ahead, (2e9, 2e9))
        self.assertIsNotNone(copies.daily())
        self.assertIsNone(copies.daily())

    def test_a_later_database_is_not_served(self) -> None:
        with closing(sqlite3.connect(copies.database())) as at:
            at.execute("INSERT INTO django_migrations VALUES (999, 'builds', '0999_x', '')")
            at.commit()
        self.addCleanup(_forget)
        with self.assertRaisesRegex(SystemExit, "written by a later Easy Tally"):
            serve.main("8000")


def _forget() -> None:
    with closing(sqlite3.connect(copies.database())) as at:
        at.execute("DELETE FROM django_migrations WHERE id = 999")
        at.commit()
