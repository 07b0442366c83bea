"""Photos: pixels alone are kept. Each is read one at a time, turned upright, made smaller and
written anew, so that nothing else that a file holds (place, device, comments, what is hidden behind
the picture) is there; kept as files outside the database."""

from __future__ import annotations

import io
import secrets
from collections.abc import Iterator
from contextlib import contextmanager, suppress
from pathlib import Path
from threading import BoundedSemaphore, Lock
from typing import IO

from base.problems import Busy
from django.conf import settings
from easy_tally import BadInput
from PIL import Image, ImageFile

#: Bytes of a photo at the most; the longer side that is kept.
MOST_BYTES, LONGEST = 12_000_000, 2000
#: Width times height at the most, by how much of it a decoder must hold at once: an ordinary JPEG
#: is made smaller while it is decoded; the others stand in memory whole, some several times.
MOST_PIXELS = {
    "JPEG": 60_000_000,
    "progressive JPEG": 16_000_000,
    "PNG": 16_000_000,
    "PNG with transparency": 9_000_000,
    "WebP": 8_000_000,
}
_FORMATS = ("JPEG", "PNG", "WEBP")
#: Turn of the pixels by the camera's note of how it was held. Source: Exif 2.32, tag 0x0112.
_TURNED = {
    2: Image.Transpose.FLIP_LEFT_RIGHT,
    3: Image.Transpose.ROTATE_180,
    4: Image.Transpose.FLIP_TOP_BOTTOM,
    5: Image.Transpose.TRANSPOSE,
    6: Image.Transpose.ROTATE_270,
    7: Image.Transpose.TRANSVERSE,
    8: Image.Transpose.ROTATE_90,
}
_ORIENTATION = 0x0112
#: What a decoder raises for what is no picture of its kind: whatever it comes upon.
_BROKEN = (
    OSError,
    ValueError,
    SyntaxError,
    TypeError,
    KeyError,
    IndexError,
    EOFError,
    OverflowError,
    MemoryError,
    ZeroDivisionError,
    Image.DecompressionBombError,
)
#: One photo is decoded at a time; so many wait for that.
_TURN, _WAITING = Lock(), BoundedSemaphore(12)


def folder() -> Path:
    """Where photos lie."""
    path: Path = settings.VAR / "photos"
    path.mkdir(parents=True, exist_ok=True)
    return path


def path_of(key: str) -> Path:
    """The file of a photo."""
    return folder() / f"{key}.jpg"


@contextmanager
def _one_at_a_time() -> Iterator[None]:
    if not _WAITING.acquire(blocking=False):
        raise Busy("Several photos are being taken in; send this one again in a moment.")
    try:
        with _TURN:
            yield
    finally:
        _WAITING.release()


def keep(file: IO[bytes]) -> tuple[str, int, int]:
    """(key, width, height) of a photo that is kept. Raises BadInput, Busy, OSError where there is
    no room; then nothing is."""
    with _one_at_a_time():
        try:
            with Image.open(file, formats=_FORMATS) as opened:
                _bounded(opened)
                bare = _bare(opened)
        except BadInput:
            raise
        except _BROKEN as error:
            need = "a picture that can be read: JPEG, PNG or WebP"
            raise BadInput([("photo", need, "something else")]) from error
        key, out = secrets.token_hex(16), io.BytesIO()
        bare.save(out, "JPEG", quality=85)
        part = path_of(key).with_suffix(".part")
        try:
            part.write_bytes(out.getvalue())
            part.replace(path_of(key))
        except OSError:
            part.unlink(missing_ok=True)
            raise
        return key, bare.width, bare.height


def _bounded(opened: ImageFile.ImageFile) -> None:
    # Some phones put a second picture behind the first: the first is a JPEG like any other.
    kind = {"WEBP": "WebP", "MPO": "JPEG"}.get(opened.format or "", opened.format or "")
    if kind == "JPEG" and opened.info.get("progressive"):
        kind = "progressive JPEG"
    if kind == "PNG" and opened.mode not in ("RGB", "L", "P", "1"):
        kind = "PNG with transparency"
    most = MOST_PIXELS[kind]
    if opened.width * opened.height > most:
        need = f"at most {most // 1_000_000} megapixels of a {kind}"
        raise BadInput([("photo", need, f"{opened.width} × {opened.height}")])


def _bare(opened: ImageFile.ImageFile) -> Image.Image:
    """The pixels alone, upright and small."""
    turn = None
    with suppress(*_BROKEN):  # what the camera noted may be broken; the picture need not be
        turn = _TURNED.get(opened.getexif().get(_ORIENTATION, 1))
    opened.draft("RGB", (LONGEST, LONGEST))
    small = opened.convert("RGB") if opened.mode in ("P", "1", "CMYK") else opened
    small.thumbnail((LONGEST, LONGEST))
    upright = small if turn is None else small.transpose(turn)
    bare = Image.new("RGB", upright.size)
    bare.paste(upright.convert("RGB"))
    return bare


def make_bare(key: str) -> None:
    """Write a photo anew that an earlier version kept with what stood beside its pixels. Raises
    OSError."""
    path = path_of(key)
    try:
        with Image.open(path, formats=("JPEG",)) as opened:
            if not {"comment", "exif", "xmp", "photoshop", "icc_profile"} & set(opened.info):
                return
            opened.load()
            opened.info.clear()
            out = io.BytesIO()
            opened.save(out, "JPEG", quality="keep", exif=b"", comment=b"")
    except _BROKEN:
        return  # it is not there, or can't be read: `integrity` says so
    part = path.with_suffix(".part")
    part.write_bytes(out.getvalue())
    part.replace(path)
