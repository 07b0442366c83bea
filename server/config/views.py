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


def service_worker(request: HttpRequest) -> HttpResponse:
    """The script that keeps the page for times without a connection, told which files the page is
    made of. At the root: it is heard for addresses below its own alone."""
    path = settings.WEB_DIST / "sw.js"
    if not path.exists():
        return HttpResponse(
            "The front end is not built yet.", status=503, content_type="text/plain"
        )
    files = _files((settings.WEB_DIST / ".vite" / "manifest.json").stat().st_mtime)
    listed = json.dumps([{"url": settings.STATIC_URL + f, "revision": None} for f in files])
    response = HttpResponse(
        f"self.FILES={listed};\n{path.read_text(encoding='utf-8')}", content_type="text/javascript"
    )
    response["Cache-Control"] = "no-cache"
    return response


@lru_cache(maxsize=1)
def _files(stamp: float) -> list[str]:
    """What the page is made of; names carry their hashes."""
    manifest = json.loads((settings.WEB_DIST / ".vite" / "manifest.json").read_text())
    named = {e["file"] for e in manifest.values()}
    named |= {f for e in manifest.values() for kind in ("css", "assets") for f in e.get(kind, [])}
    return sorted(f for f in named if f.startswith("assets/"))


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
