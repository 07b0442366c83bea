"""Photos: read, turned upright, made smaller, written anew without what the camera wrote beside the
picture (place, device); kept as files outside the database."""

from __future__ import annotations

import io
import secrets
from pathlib import Path

from django.conf import settings
from easy_tally import BadInput
from PIL import Image, ImageOps, UnidentifiedImageError

#: Bytes of a photo at the most, and its width times its height.
MOST_BYTES, MOST_PIXELS = 12_000_000, 60_000_000
#: The longer side that is kept.
LONGEST = 2000
_FORMATS = ("JPEG", "PNG", "WEBP")


def folder() -> Path:
    """Where photos lie."""
    path: Path = settings.VAR / "photos"
    path.mkdir(parents=True, exist_ok=True)
    return path


def path_of(key: str) -> Path:
    """The file of a photo."""
    return folder() / f"{key}.jpg"


def keep(content: bytes) -> tuple[str, int, int]:
    """(key, width, height) of a photo that is kept. Raises BadInput; then nothing is."""
    if len(content) > MOST_BYTES:
        got = f"{len(content) / 1e6:.1f} MB"
        raise BadInput([("photo", f"a photo of at most {MOST_BYTES / 1e6:.0f} MB", got)])
    try:
        with Image.open(io.BytesIO(content), formats=_FORMATS) as opened:
            if opened.width * opened.height > MOST_PIXELS:
                got = f"{opened.width} × {opened.height}"
                raise BadInput([("photo", "a photo of at most 60 megapixels", got)])
            upright = ImageOps.exif_transpose(opened).convert("RGB")
    except (UnidentifiedImageError, OSError, ValueError, Image.DecompressionBombError) as error:
        raise BadInput([("photo", "a picture: JPEG, PNG or WebP", "something else")]) from error
    upright.thumbnail((LONGEST, LONGEST))
    key = secrets.token_hex(16)
    upright.save(path_of(key), "JPEG", quality=85)
    return key, upright.width, upright.height
