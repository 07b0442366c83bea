"""The one page: every address that is not the interface's or a file's is a page of the app."""

import json
from functools import lru_cache

from django.conf import settings
from django.http import HttpRequest, HttpResponse
from django.middleware.csrf import get_token
from django.shortcuts import render


@lru_cache(maxsize=1)
def _entry(stamp: float) -> tuple[str, tuple[str, ...]]:
    manifest = json.loads((settings.WEB_DIST / ".vite" / "manifest.json").read_text())
    entry = manifest["src/main.tsx"]
    return (
        settings.STATIC_URL + entry["file"],
        tuple(settings.STATIC_URL + css for css in entry.get("css", [])),
    )


def app(request: HttpRequest) -> HttpResponse:
    """The page, with the scripts and styles that the build's manifest names."""
    manifest = settings.WEB_DIST / ".vite" / "manifest.json"
    if not manifest.exists():
        return HttpResponse(
            "The front end is not built yet: run `make demo`, or `make web`.",
            status=503,
            content_type="text/plain",
        )
    script, styles = _entry(manifest.stat().st_mtime)
    get_token(request)
    context = {"script": script, "styles": styles, "nonce": request.csp_nonce}  # type: ignore[attr-defined]
    return render(request, "app.html", context)
