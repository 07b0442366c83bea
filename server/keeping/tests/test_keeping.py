"""Copies go out and come back whole; a damaged one, a later one or a running server change
nothing."""

from __future__ import annotations

import io
import os
import sqlite3
import tempfile
from contextlib import closing
from pathlib import Path
from typing import Any
from unittest.mock import patch
from zipfile import ZipFile

import numpy as np
from bench import photos
from bench.models import Photo
from builds import actions
from builds.models import Build, Change
from builds.tests.support import HERON
from django.core.management import CommandError, call_command
from django.test import TransactionTestCase, override_settings
from easy_tally.readings import Channel, Readings
from owners.models import current_owner
from PIL import Image
from readings import rows, sets

from keeping import copies, starting


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
        self.photo, width, height = photos.keep(out.getvalue())
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
        (photos.folder() / "stray.jpg").write_bytes(b"")
        Build.objects.update(head=5)
        Change.objects.all().delete()
        out = io.StringIO()
        with self.assertRaisesRegex(CommandError, "3 found"):
            call_command("integrity", stdout=out)
        for said in ("history has a gap", "the photo", "belongs to no build"):
            self.assertIn(said, out.getvalue())


def _forget() -> None:
    with closing(sqlite3.connect(copies.database())) as at:
        at.execute("DELETE FROM django_migrations WHERE id = 999")
        at.commit()
