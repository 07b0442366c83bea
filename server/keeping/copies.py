"""Copies: one archive with the database, photos and readings, and a list with their sums. A copy is
made while edits go on, and read back before it is called made."""

from __future__ import annotations

import errno
import fcntl
import hashlib
import json
import os
import sqlite3
import struct
import tempfile
import zlib
from collections.abc import Callable, Iterator
from contextlib import AbstractContextManager, ExitStack, closing, contextmanager
from dataclasses import dataclass
from datetime import UTC, datetime, timedelta
from pathlib import Path
from typing import IO, Annotated, Any, Literal
from zipfile import ZIP_DEFLATED, ZIP_STORED, BadZipFile, ZipFile, ZipInfo

from bench import photos
from django.conf import settings
from django.db import connection
from django.db.migrations.loader import MigrationLoader
from pydantic import BaseModel, ConfigDict, Field, ValidationError
from readings import rows

DATABASE, LIST = "database.sqlite3", "list.json"
FORMAT = 1
#: Automatic copies of each kind that are kept, and how old the last daily one may grow.
KEPT, DAY = 7, timedelta(hours=24)
#: Bytes that an archive may unpack to.
_MOST = 20_000_000_000

#: What lies in files beside the database: folder in the archive → (keys and how many bytes of each
#: are of this moment, none: all; end of its files' names, where a file of a key lies).
BESIDE: dict[str, tuple[str, str, Callable[[str], Path]]] = {
    "photos": ("SELECT key, NULL FROM bench_photo ORDER BY id", ".jpg", photos.path_of),
    # A stream goes on meanwhile: what was counted when the database was copied is of that moment.
    "readings": (
        "SELECT key, samples * 8 * (1 + json_array_length(channels)) FROM readings_taken "
        "ORDER BY id",
        ".rows",
        rows.path_of,
    ),
}
#: Bytes of its list at the most; times that an archive may be larger unpacked, beside some.
_MOST_LIST, _TIMES, _BESIDE = 50_000_000, 200, 100_000_000
_PIECE = 1_000_000

Kind = Literal["daily", "before-migration", "before-restore"]


class Damaged(Exception):
    """A copy that is not as it was written, or not for this version; the message says what and
    where."""


@dataclass(frozen=True, slots=True, kw_only=True)
class Copied:
    """What a copy holds; `missing`: files that were gone when it was made."""

    made: str
    builds: int
    photos: int
    readings: int
    bytes: int
    missing: tuple[str, ...]


def database() -> Path:
    """The file that the database lies in."""
    return Path(str(connection.settings_dict["NAME"]))


def write(file: Path, with_files: bool = True) -> Copied:
    """Copy everything into `file`, whole or not at all. Raises OSError, Damaged."""
    with _files_stay(), tempfile.TemporaryDirectory(dir=file.parent) as folder:
        copy, packed = Path(folder, DATABASE), Path(folder, "packed")
        with closing(sqlite3.connect(database())) as live, closing(sqlite3.connect(copy)) as to:
            live.backup(to)
            # A copy stands alone: no journal beside it.
            to.execute("PRAGMA journal_mode=DELETE")
        _pack(packed, copy, with_files)
        copied = check(packed)
        with packed.open("rb") as written:
            os.fsync(written.fileno())
        packed.replace(file)
    return copied


def _pack(packed: Path, copy: Path, with_files: bool) -> None:
    files: dict[str, Any] = {}
    missing = []
    with ZipFile(packed, "w", ZIP_DEFLATED) as out:
        files[DATABASE] = _put_in(out, DATABASE, copy, None)
        for name, path, size in _beside(copy) if with_files else []:
            try:
                files[name] = _put_in(out, name, path, size)
            except FileNotFoundError:
                missing.append(name)
        at = datetime.now(UTC).isoformat(timespec="seconds")
        about = {"format": FORMAT, "made": at, "files": files, "missing": missing}
        out.writestr(LIST, json.dumps(about, indent=1))


def _beside(copy: Path) -> list[tuple[str, Path, int | None]]:
    """(name in the archive, file, bytes of it) of everything that a copied database names beside
    itself."""
    with closing(sqlite3.connect(copy)) as at:
        return [
            (f"{folder_}/{key}{end}", path_of(key), size)
            for folder_, (query, end, path_of) in BESIDE.items()
            for key, size in at.execute(query)
        ]


class _Sum(BaseModel):
    """What a file must be: how long, and its sum."""

    model_config = ConfigDict(extra="forbid")
    bytes: int
    sha256: str


class _List(BaseModel):
    """What an archive says that it holds."""

    model_config = ConfigDict(extra="forbid")
    format: Literal[1]
    made: Annotated[str, Field(max_length=60)]
    files: dict[str, _Sum]
    missing: list[str]


def _put_in(out: ZipFile, name: str, path: Path, size: int | None) -> dict[str, Any]:
    """Pack a file, or the first so many bytes of it, piece by piece; gives its sum."""
    with path.open("rb") as file:
        kind = ZIP_STORED if name.endswith(".jpg") else ZIP_DEFLATED
        info = ZipInfo(name, datetime.now(UTC).timetuple()[:6])
        info.compress_type = kind
        with out.open(info, "w", force_zip64=True) as packed:
            return _through(file, packed, size).model_dump()


def _through(file: IO[bytes], out: IO[bytes] | None, size: int | None = None) -> _Sum:
    """Read a file piece by piece, `size` bytes of it at the most, into another where there is one;
    gives its sum."""
    digest, count = hashlib.sha256(), 0
    while size is None or count < size:
        piece = file.read(_PIECE if size is None else min(_PIECE, size - count))
        if not piece:
            break
        digest.update(piece)
        count += len(piece)
        if out is not None:
            out.write(piece)
    return _Sum(bytes=count, sha256=digest.hexdigest())


#: What reading an archive raises that is none, or damaged.
_BROKEN = (
    BadZipFile,
    KeyError,
    ValueError,
    RuntimeError,
    EOFError,
    NotImplementedError,
    OverflowError,
    struct.error,
    zlib.error,
)


@contextmanager
def _opened(file: Path) -> Iterator[tuple[ZipFile, _List]]:
    try:
        with ZipFile(file) as opened:
            _bounded(file, opened)
            try:
                about = _List.model_validate_json(opened.read(LIST))
            except ValidationError as error:
                raise Damaged(
                    f"{file.name} is not a copy of this kind (format {FORMAT}), or its list is "
                    f"damaged: {error.errors()[0]['msg']}."
                ) from error
            yield opened, about
    except _BROKEN as error:
        raise Damaged(f"{file.name} is damaged, or no copy: {error}") from error
    except OSError as error:
        if error.errno != errno.EINVAL:  # a place in the file that is none
            raise
        raise Damaged(f"{file.name} is damaged, or no copy: {error}") from error


def _bounded(file: Path, opened: ZipFile) -> None:
    """See that an archive is not much larger inside than out, before anything of it is unpacked.
    Raises Damaged."""
    inside = sum(i.file_size for i in opened.infolist())
    most = min(_MOST, _BESIDE + _TIMES * file.stat().st_size)
    if inside > most:
        raise Damaged(
            f"{file.name} would unpack to {inside / 1e6:,.0f} MB; at most {most / 1e6:,.0f} MB "
            "for its size."
        )
    if opened.getinfo(LIST).file_size > _MOST_LIST:
        raise Damaged(f"{file.name}: its list is larger than {_MOST_LIST // 1_000_000} MB.")


def check(file: Path) -> Copied:
    """Read a copy through: every file by its sum, the database by its own check. Raises Damaged,
    FileNotFoundError."""
    with _opened(file) as (opened, about), tempfile.TemporaryDirectory() as folder:
        names = set(opened.namelist()) - {LIST}
        if names != set(about.files) or DATABASE not in names:
            odd = ", ".join(sorted((names ^ set(about.files)) or {DATABASE})[:3])
            raise Damaged(f"{file.name}: its list and what it holds differ: {odd}.")
        for name, said in about.files.items():
            if name != DATABASE and _place(name) is None:
                raise Damaged(f"{file.name}: {name} does not belong in a copy.")
            with opened.open(name) as packed, ExitStack() as stack:
                path = Path(folder, DATABASE) if name == DATABASE else None
                out = stack.enter_context(path.open("wb")) if path else None
                if _through(packed, out) != said:
                    raise Damaged(f"{file.name}: {name} is not as it was written.")
        builds = _look_over(file, Path(folder, DATABASE))
        return Copied(
            made=about.made,
            builds=builds,
            bytes=file.stat().st_size,
            photos=sum(n.startswith("photos/") for n in names),
            readings=sum(n.startswith("readings/") for n in names),
            missing=tuple(about.missing),
        )


def _place(name: str) -> Path | None:
    """Where a file of an archive belongs; None: nowhere."""
    folder_, _, file = name.partition("/")
    if folder_ not in BESIDE:
        return None
    _, end, path_of = BESIDE[folder_]
    key = file.removesuffix(end)
    return path_of(key) if file == f"{key}{end}" and key.isalnum() else None


def _look_over(file: Path, copy: Path) -> int:
    """How many builds a copied database holds. Raises Damaged where it can't be used here."""
    try:
        with closing(sqlite3.connect(copy)) as at:
            (said,) = at.execute("PRAGMA integrity_check").fetchone()
            if said != "ok":
                raise Damaged(f"{file.name}: its database is damaged: {said}.")
            unknown = later(set(at.execute("SELECT app, name FROM django_migrations")))
            if unknown:
                raise Damaged(
                    f"{file.name} was made by a later Easy Tally ({unknown}): use that one, or "
                    "newer."
                )
            (builds,) = at.execute("SELECT count(*) FROM builds_build").fetchone()
            return int(builds)
    except sqlite3.DatabaseError as error:
        raise Damaged(f"{file.name}: its database can’t be read: {error}.") from error


def later(applied: set[tuple[str, str]]) -> str:
    """A migration of ours that this version does not have; empty where there is none."""
    loader = MigrationLoader(None)
    return next(
        (
            f"{app} {name}"
            for app, name in sorted(applied)
            if app in loader.migrated_apps and (app, name) not in loader.disk_migrations
        ),
        "",
    )


def restore(file: Path) -> Copied:
    """Put a copy in the place of what is kept, which is copied itself first. Raises Damaged,
    InUse, FileNotFoundError; then nothing is changed. Migrating what came is the caller's."""
    copied = check(file)
    with alone():
        if database().exists():
            keep("before-restore")
        with _opened(file) as (opened, about), tempfile.TemporaryDirectory() as folder:
            for name in about.files:
                place = _place(name)
                if place is not None:
                    _put(place, opened, name)
            copy = Path(opened.extract(DATABASE, folder))
            connection.close()
            with closing(sqlite3.connect(copy)) as came, closing(sqlite3.connect(database())) as to:
                came.backup(to)
    return copied


def _put(path: Path, opened: ZipFile, name: str) -> None:
    part = path.with_suffix(".part")
    try:
        with opened.open(name) as packed, part.open("wb") as out:
            _through(packed, out)
        part.replace(path)
    except BaseException:
        part.unlink(missing_ok=True)
        raise


class InUse(Exception):
    """The application is running on what would be replaced."""


def in_use() -> int:
    """Tell others that this process uses what is kept, until it ends; gives the handle."""
    handle = os.open(settings.VAR / "in-use", os.O_RDWR | os.O_CREAT, 0o600)
    fcntl.flock(handle, fcntl.LOCK_SH)
    return handle


@contextmanager
def locked(name: str, how: int) -> Iterator[None]:
    """While a lock of this folder is held, as flock has it. Raises BlockingIOError where it is not
    waited for."""
    handle = os.open(settings.VAR / name, os.O_RDWR | os.O_CREAT, 0o600)
    try:
        fcntl.flock(handle, how)
        yield
    finally:
        os.close(handle)


def _files_stay() -> AbstractContextManager[None]:
    """While a copy is made, no file of what it names goes."""
    return locked("copying", fcntl.LOCK_SH)


@contextmanager
def files_may_go() -> Iterator[bool]:
    """Whether files may be removed now: not while a copy is made of them, and none is begun while
    they are."""
    try:
        with locked("copying", fcntl.LOCK_EX | fcntl.LOCK_NB):
            yield True
    except BlockingIOError:
        yield False


@contextmanager
def alone() -> Iterator[None]:
    """While nothing else uses what is kept. Raises InUse."""
    try:
        with locked("in-use", fcntl.LOCK_EX | fcntl.LOCK_NB):
            yield
    except BlockingIOError as error:
        raise InUse("Easy Tally is running on this data: stop it, then try again.") from error


def folder() -> Path:
    """Where automatic copies lie."""
    path: Path = settings.VAR / "copies"
    path.mkdir(parents=True, exist_ok=True)
    return path


def keep(kind: Kind) -> Path:
    """Make an automatic copy, without photos and readings (they never change, and stay where they
    are); the last seven of each kind are kept. Raises OSError, Damaged."""
    now = datetime.now(UTC).strftime("%Y-%m-%dT%H%M%S%f")
    path = folder() / f"{now}-{kind}.zip"
    write(path, with_files=False)
    for old in sorted(folder().glob(f"*-{kind}.zip"))[:-KEPT]:
        old.unlink(missing_ok=True)
    return path


def daily() -> Path | None:
    """Make the day's copy, if the last one is a day old and something was written since."""
    now = datetime.now(UTC).timestamp()
    # One that is dated ahead was made while the clock was wrong: it says nothing of today.
    dated = (f.stat().st_mtime for f in folder().glob("*-daily.zip"))
    last = max((at for at in dated if at <= now), default=0.0)
    if now - last < DAY.total_seconds() or not database().exists():
        return None
    written = [Path(f"{database()}{end}") for end in ("", "-wal")]
    if max(f.stat().st_mtime for f in written if f.exists()) < last:
        return None
    return keep("daily")
