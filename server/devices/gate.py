"""Who may do what through the door: decided before anything is served, files too."""

from __future__ import annotations

from collections.abc import Callable
from functools import partial
from urllib.parse import urlsplit

from base.problems import API, problem
from builds import store
from django.core.exceptions import DisallowedHost
from django.http import HttpRequest, HttpResponse, HttpResponseRedirect
from django.shortcuts import render
from django.urls import Resolver404, resolve

from devices import letting
from devices.listening import MARK, is_private
from devices.models import Device, Door
from devices.rights import Operation, may, path_of

Handler = Callable[[HttpRequest], HttpResponse]
COOKIE = "easy-tally-device"
#: The page where a code is typed.
IN = "/in"
_MAY = {
    "look": "This device only looks on",
    "bench": "This device is let in for the bench",
    "everything": "This device may do everything but the door itself",
}


def at_the_door(request: HttpRequest) -> bool:
    """Whether a request came by the network's door."""
    return MARK in request.META


def device_asking(request: HttpRequest) -> Device | None:
    """The device that asks; None: the desk."""
    device: Device | None = getattr(request, "device", None)
    return device


def host_and_door(get_response: Handler) -> Handler:
    """Refuse a host that is not ours, and through the door whoever was not let in, or asks for what
    the device may not do."""

    def middleware(request: HttpRequest) -> HttpResponse:
        if not at_the_door(request):
            request.get_host()  # raises DisallowedHost, which is answered with 400
            return get_response(request)
        door = letting.current()
        if door is None:
            return problem(403, "door-closed", "The door is closed", "Open it again.")
        host = urlsplit(letting.origin(door)).netloc
        if request.META.get("HTTP_HOST", "").lower() != host.lower():
            raise DisallowedHost("The door answers to its own address alone.")
        request.get_host = partial(str, host)  # type: ignore[method-assign]
        if _is_foreign(request, letting.origin(door)):
            return problem(403, "forbidden", "Not allowed", "Another site's page asked for this.")
        return _of_device(request, door) or get_response(request)

    return middleware


def _is_foreign(request: HttpRequest, ours: str) -> bool:
    """Whether a page from elsewhere asks: by the head that browsers send of it."""
    origin = request.META.get("HTTP_ORIGIN")
    if origin is not None and origin != ours:
        return True
    site = request.META.get("HTTP_SEC_FETCH_SITE", "none")
    is_visit = request.META.get("HTTP_SEC_FETCH_MODE", "navigate") == "navigate"
    return site in ("cross-site", "same-site") and not (is_visit and request.method == "GET")


def _of_device(request: HttpRequest, door: Door) -> HttpResponse | None:
    """An answer instead of what was asked for; None: it may have that."""
    device = letting.device_of(door, request.COOKIES.get(COOKIE, ""))
    if device is None:
        return _stranger(request)
    request.device = device  # type: ignore[attr-defined]
    if request.path == IN:
        return HttpResponseRedirect(_home(door))
    try:
        match = resolve(request.path_info)
    except Resolver404:
        return None  # a file of the page, or nothing
    if not request.path.startswith(API):
        return _page(request, device, door)
    asked = Operation(request.method or "", path_of(match.route), str(match.kwargs.get("key", "")))
    if may(device.allows, asked, door.build.key):
        return None
    detail = f"{_MAY[device.allows]}. Let it do more on the page at the desk, if it should."
    return problem(403, "not-let", "Not from this device", detail)


def _page(request: HttpRequest, device: Device, door: Door) -> HttpResponse | None:
    """Pages of another build and lists of all are for a device that may do everything."""
    own = f"/b/{door.build.key}/"
    if device.allows == "everything" or request.path.startswith((own, "/sw.js")):
        return None
    return HttpResponseRedirect(_home(door))


def _home(door: Door) -> str:
    return f"/b/{door.build.key}/bench"


def _stranger(request: HttpRequest) -> HttpResponse | None:
    """What one that was not let in gets: the page for its code, and nothing else."""
    if request.path == IN:
        return None
    if request.path.startswith((API, "/static/")):
        return problem(
            401,
            "not-let-in",
            "Not let in",
            "This device was not let in, or was sent away. A code stands on the page at the desk.",
        )
    return HttpResponseRedirect(IN)


def enter(request: HttpRequest) -> HttpResponse:
    """The page for a code, and what it comes to. What a link brings is filled in and never sent by
    itself: what looks at links before people do would use it up."""
    door = letting.current()
    if door is None or not at_the_door(request):
        return HttpResponseRedirect("/")
    code = str((request.POST or request.GET).get("code", ""))[:12]
    name = str(request.POST.get("name", "") or _kind_of(request))[:60]
    said = ""
    if request.method == "POST":
        try:
            token = letting.let_in(door, code, name)
        except letting.Wrong as error:
            said = str(error)
        else:
            response = HttpResponseRedirect(_home(door))
            response.set_cookie(
                COOKIE,
                token,
                expires=door.closes_at,
                httponly=True,
                secure=is_private(),
                samesite="Strict",
            )
            return response
    page = {
        "build": store.name_of(door.build),
        "code": code,
        "name": name,
        "said": said,
        "nonce": request.csp_nonce,  # type: ignore[attr-defined]
    }
    return render(request, "in.html", page, status=403 if said else 200)


def _kind_of(request: HttpRequest) -> str:
    """What one would call it."""
    return "Phone" if "Mobi" in request.META.get("HTTP_USER_AGENT", "") else "Tablet"
