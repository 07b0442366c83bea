"""A fuzz of every reader of ours: what comes from outside is taken or refused with a sentence, and
never a fault. The same seed gives the same inputs."""

from __future__ import annotations

import io
import json
import random
import re
import tempfile
import traceback
from collections.abc import Callable, Iterator
from contextlib import closing
from functools import lru_cache
from itertools import islice
from pathlib import Path
from typing import Any, NamedTuple
from unittest.mock import patch
from zipfile import ZipFile

from bench import photos
from builds import history
from builds.tests import flooding
from easy_tally import BadInput, Build, EasyTallyError
from easy_tally.base import np
from easy_tally.catalogue import read_drawer
from easy_tally.entry import parse, parse_list, read_case_line
from easy_tally.files import build_file, kits_csv, parts_csv, readings_csv, readings_heads
from easy_tally.files.page import holding
from easy_tally.mapping import InStock
from easy_tally.question import Shelf, heard
from easy_tally.readings import Channel, Readings
from easy_tally.simulate import lines, read_first, read_line
from easy_tally.things import Cable
from PIL import Image
from work import jobs

from keeping import copies

ROOT = Path(__file__).resolve().parent.parent.parent.parent
_WORDS = (
    "fan",
    "card",
    "2x8pin",
    "16pin",
    "450w",
    "disk",
    "x5",
    "1:4",
    "0",
    "0w",
    "limit:1w",
    "-1",
    "8w",
    "slot:75w",
    "short",
    "ddr5",
    "nan",
    "inf",
    "1e999",
    "1e-9",
    "½",
    "×",
    "°",
    "²",
    "٣",
    "\u202e",
    "peripheral",
    "sata",
    "eps",
    "=",
    ":",
    "::",
    "x",
    "(",
    ")",
    '"',
    "''",
    "…",
    ",",
    ";",
    "|",
    "\t",
    "99999999999999999999",
    "0x10",
    "1_000",
    "mm",
    "awg",
    "\ud800",
    "\x00",
    "a" * 300,
    "a:b:c",
    "@",
    "key:",
    "name:",
    "#",
    "%",
    "\\",
    "{}",
    "{0}",
    "%s",
    "port",
    "ports",
    "rail",
    "v12",
    "rail:",
)
_BYTES = (
    b"\x00",
    b"\xff",
    b"\r",
    b"\n",
    b",",
    b";",
    b'"',
    b"nan",
    b"inf",
    b"1e999",
    b"-",
    b"\t",
    b"\xc3",
    b"=1+1",
    b"99999999999999999999",
    b"12:99",
    b"#",
    b"2026-13-45 25:61",
)


class Reader(NamedTuple):
    """A reader: inputs for it, and the reading, which raises nothing but what is foreseen."""

    inputs: Callable[[random.Random], Iterator[Any]]
    read: Callable[[Any], object]


class Fault(NamedTuple):
    """An input that broke a reader, and where."""

    reader: str
    given: str
    trace: str


def faults(name: str, seed: int, count: int) -> list[Fault]:
    """Read so many inputs; the faults, each place of the code once."""
    reader, found = READERS[name], {}
    for given in islice(reader.inputs(random.Random(f"{name} {seed}")), count):
        try:
            reader.read(given)
        except (EasyTallyError, copies.Damaged):
            continue
        except Exception as error:  # noqa: BLE001 - whatever it is, it is a fault
            last = traceback.extract_tb(error.__traceback__)[-1]
            at = f"{last.filename}:{last.lineno} {type(error).__name__}"
            trace = "".join(traceback.format_exception(error)[-6:])
            found.setdefault(at, Fault(name, repr(given)[:600], trace))
    return list(found.values())


# -- inputs ------------------------------------------------------------------------------


def _phrases() -> list[str]:
    """Lines that people write, and those of the catalogue."""
    text = (ROOT / "core/tests/data/phrases.txt").read_text(encoding="utf-8")
    return [line.split("=>")[0].strip() for line in text.splitlines() if line.strip()]


def _lines(rng: random.Random) -> Iterator[str]:
    known = _phrases()
    pool = sorted({w for line in known for w in line.split()})
    while True:
        words = rng.choice(known).split() if rng.random() < 0.7 else []
        for _ in range(rng.randint(0, 5)):
            word = rng.choice(_WORDS if rng.random() < 0.5 else pool)
            if rng.random() < 0.3:
                word = _bent(word, rng)
            words.insert(rng.randint(0, len(words)), word)
        if words and rng.random() < 0.4:
            words.pop(rng.randrange(len(words)))
        yield rng.choice((" ", " ", " ", ", ", "\t", "")).join(words)


_ASKING = (
    "will a",
    "what if",
    "instead of the",
    "without",
    "and",
    "hold the",
    "to 200 W",
    "supply",
    "a case",
    "adapter",
    "Kittiwake L",
    "99 x 16-pin cable, 900 mm",
    "0 x Knot R",
    "?",
)


def _questions(rng: random.Random) -> Iterator[str]:
    lines = _lines(rng)
    while True:
        words = [*rng.choices(_ASKING, k=rng.randint(1, 4)), next(lines)]
        rng.shuffle(words)
        yield " ".join(words)


@lru_cache(maxsize=1)
def _asked_of() -> Build:
    return build_file.read(_file("demo/builds/heron.tally.json"))


@lru_cache(maxsize=1)
def _shelf() -> Shelf:
    loose = (e.thing for e in kits_csv.LOOSE.read(_file("catalogue/loose.csv")))
    cables = tuple(InStock(thing=t, owned=False) for t in loose if isinstance(t, Cable))
    return Shelf(parts=_asked_of().parts, loose=cables)


@lru_cache(maxsize=1)
def _page() -> str:
    return f"<!doctype html><p>A machine</p>{holding(_file('demo/builds/dunlin.tally.json'))}"


def _lists(rng: random.Random) -> Iterator[str]:
    of = _lines(rng)
    while True:
        yield rng.choice("\n\n\n;\r").join(next(of) for _ in range(rng.randint(1, 6)))


def _bent(text: str, rng: random.Random) -> str:
    at = rng.randint(0, len(text))
    bit = rng.choice((rng.choice(_WORDS)[:6], chr(rng.randrange(1, 0x2FFF)), ""))
    return text[:at] + bit + text[at + rng.randint(0, 2) :]


def _bent_bytes(content: bytes, rng: random.Random) -> bytes:
    for _ in range(rng.randint(1, 4)):
        at = rng.randint(0, len(content))
        to = min(len(content), at + rng.randint(0, 60))
        content = rng.choice(
            (
                content[:at] + rng.choice(_BYTES) + content[at:],
                content[:at] + content[to:],
                content[:to] + content[at:to] + content[to:],
                content[:at],
                content[:at] + bytes([rng.randrange(256)]) + content[at + 1 :],
            )
        )
    return content


def _bent_files(*texts: str | bytes) -> Callable[[random.Random], Iterator[bytes]]:
    def inputs(rng: random.Random) -> Iterator[bytes]:
        known = [t.encode() if isinstance(t, str) else t for t in texts]
        while True:
            yield _bent_bytes(rng.choice(known), rng)

    return inputs


def _text(read: Callable[[str], object]) -> Callable[[bytes], object]:
    return lambda content: read(content.decode("utf-8", errors="surrogateescape"))


def _file(path: str) -> str:
    return (ROOT / path).read_text(encoding="utf-8")


def _rows_of(path: str, most: int = 6) -> str:
    """The first rows of a shipped file: what is bent is hit sooner."""
    return "\n".join(_file(path).splitlines()[:most])


def _builds(rng: random.Random) -> Iterator[str]:
    seed = rng.randrange(10**9)
    texts = [_file(f"demo/builds/{n}.tally.json") for n in ("heron", "curlew", "godwit")]
    floods = [flooding.broken_files(t, seed, 10**9) for t in texts]
    while True:
        yield next(rng.choice(floods))


@lru_cache(maxsize=1)
def _history() -> str:
    """A history of some steps, as a file."""
    build = build_file.read(_file("demo/builds/dunlin.tally.json"))
    now, changes = build.model_dump(mode="json"), []
    for i in range(3):
        part = now["parts"][0]
        then = part | {"name": f"Other {i}"}
        images = [{"entity": f"part:{part['key']}", "at": 0, "before": part, "after": then}]
        changes.append(
            {
                "title": f"change {i}",
                "at": "2026-11-30T20:15:00+00:00",
                "format_version": 1,
                "images": images,
            }
        )
        now["parts"][0] = then
    return json.dumps(
        {
            "format": history.FORMAT,
            "version": 1,
            "head": 3,
            "build": now,
            "places": {},
            "changes": changes,
        }
    )


def _histories(rng: random.Random) -> Iterator[str]:
    return flooding.broken_files(_history(), rng.randrange(10**9), 10**9)


def _readings() -> Readings:
    columns = {
        Channel("wall", "", "w"): np.array([100.0, 101, 99]),
        Channel("card-1#1/power", "v12", "a"): np.array([1.0, np.nan, 3]),
    }
    return Readings(times=np.array([0.0, 1, 2]), columns=columns, began="2026-11-30T20:15:00")


_CSV = (
    "t,wall (W)\n0,100\n1,101\n2,99\n",
    "Zeit (s);wall.w\n0,0;100,5\n1,0;101\n",
    "time,state,wall.w\n2026-11-30 20:15:00,idle,100\n2026-11-30 20:15:01,full,200\n",
    "time,wall (kW),12 V (V)\n20:15:00,0.1,12.01\n20:15:01,0.2,12.02\n",
    "elapsed (ms)\tpin 1 (A)\n0\t1\n100\t1.1\n",
    "date,wall\n26/11/2026 8:15:00 pm,100 W\n",
)


def _streams(rng: random.Random) -> Iterator[tuple[str, str]]:
    known = list(lines(_readings()))
    began = '{"easy-tally readings": 1, "channels": ["wall.w"]'
    known += ['{"t": 3, "wall.w": 5}', f"{began}}}", f'{began}, "began": "yesterday"}}']
    while True:
        yield _bent(rng.choice(known), rng), _bent(rng.choice(known), rng)


def _read_stream(given: tuple[str, str]) -> None:
    first, line = given
    try:
        channels = read_first(first).channels
    except BadInput:
        channels = (Channel("wall", "", "w"),)
    read_line(line, channels)


def _archive() -> bytes:
    """A copy with a small database, one photo and one set in it."""
    out = io.BytesIO()
    with tempfile.TemporaryDirectory() as folder:
        path = Path(folder, "db")
        import sqlite3

        with closing(sqlite3.connect(path)) as at:
            at.execute("CREATE TABLE django_migrations (app, name)")
            at.execute("CREATE TABLE builds_build (id)")
            at.commit()
        members = {copies.DATABASE: path.read_bytes(), "photos/a1.jpg": b"x" * 40}
    files = {n: copies._through(io.BytesIO(c), None).model_dump() for n, c in members.items()}
    with ZipFile(out, "w") as packed:
        for name, content in members.items():
            packed.writestr(name, content)
        about = {"format": 1, "made": "2026-11-30T20:15:00", "files": files, "missing": []}
        packed.writestr(copies.LIST, json.dumps(about))
    return out.getvalue()


def _read_archive(content: bytes) -> None:
    with tempfile.NamedTemporaryFile(suffix=".zip") as file:
        file.write(content)
        file.flush()
        copies.check(Path(file.name))


def _pictures() -> list[bytes]:
    found = []
    exif = Image.Exif()
    exif[0x0112] = 6
    for kind in ("JPEG", "PNG", "WEBP"):
        out = io.BytesIO()
        Image.radial_gradient("L").resize((24, 18)).save(out, kind, exif=exif)
        found.append(out.getvalue())
    return found


def _read_photo(content: bytes) -> None:
    key, _, _ = photos.keep(io.BytesIO(content))
    photos.path_of(key).unlink()


def _read_csv(content: bytes) -> None:
    made = readings_csv.read(io.BytesIO(content), {})
    made.readings.look_over()


def _drawer(rng: random.Random) -> Iterator[tuple[str, str]]:
    of = _lists(rng)
    kinds = ("supply", "cable", "adapter", "extension", "bracket")
    files = [_rows_of(f"catalogue/{name}.csv") for name in ("supplies", "loose")]
    texts = [cell for text in files for cell in re.split(r"[,\n]", text)]
    while True:
        text = next(of) if rng.random() < 0.5 else _bent(rng.choice(texts), rng)
        yield rng.choice(kinds), text


def _take_history(text: str) -> None:
    """All of a history's reading, without the writing."""
    with patch.object(history.actions, "prepare"), patch.object(history, "incoming", _Stop):
        try:
            history.take(None, text)  # type: ignore[arg-type]
        except _Stopped:
            return


class _Stopped(Exception):
    """The reading is over: what follows is writing."""


class _Stop:
    def __enter__(self) -> None:
        raise _Stopped

    def __exit__(self, *of: object) -> None:
        return None


def _job_texts() -> list[str]:
    job = jobs.MapAsked(
        called="a map", document=_file("demo/builds/dunlin.tally.json"), year=2026, what="all"
    )
    answer = '{"state":"done","answer":null,"error":""}'
    return [job.model_dump_json(), answer]


def _read_job(content: bytes) -> None:
    text = content.decode("utf-8", errors="replace")
    asked = jobs.read(text)
    if asked is not None:
        build_file.read(asked.document)


READERS: dict[str, Reader] = {
    "builds": Reader(_builds, build_file.read),
    "histories": Reader(_histories, _take_history),
    "lines": Reader(_lines, parse),
    "lists": Reader(_lists, parse_list),
    "cases": Reader(_lines, read_case_line),
    "drawer": Reader(_drawer, lambda given: read_drawer(given[0], given[1])),
    "kits": Reader(
        _bent_files(_rows_of("catalogue/supplies.csv", 3)), _text(kits_csv.SUPPLIES.read)
    ),
    "loose": Reader(_bent_files(_rows_of("catalogue/loose.csv")), _text(kits_csv.LOOSE.read)),
    "case files": Reader(_bent_files(_rows_of("catalogue/cases.csv")), _text(kits_csv.CASES.read)),
    "parts": Reader(_bent_files(_rows_of("catalogue/parts.csv")), _text(parts_csv.read)),
    "readings": Reader(_bent_files(*_CSV), _read_csv),
    "heads": Reader(_bent_files(*_CSV), lambda content: readings_heads.heads(content[:400], {})),
    "streams": Reader(_streams, _read_stream),
    "archives": Reader(lambda rng: _bent_files(_archive())(rng), _read_archive),
    "photos": Reader(lambda rng: _bent_files(*_pictures())(rng), _read_photo),
    "pages": Reader(lambda rng: _bent_files(_page().encode())(rng), _text(build_file.read)),
    "questions": Reader(_questions, lambda line: heard(line, _asked_of(), _shelf())),
    "jobs": Reader(lambda rng: _bent_files(*_job_texts())(rng), _read_job),
}
