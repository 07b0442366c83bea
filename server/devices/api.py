"""The door, for the desk: open, code, devices. And what every window asks: who am I, what is
new."""

from __future__ import annotations

import io
from typing import Any

import segno
from builds import actions, store
from django.http import HttpRequest, HttpResponse
from django.utils import timezone
from easy_tally import NotThere
from ninja import Router, Schema
from owners.models import owner_of

from devices import letting, news
from devices.addresses import addresses
from devices.gate import device_asking
from devices.letting import Allows
from devices.listening import doorway, is_private
from devices.models import Door

router = Router()


class DeviceOut(Schema):
    """A device that is in; times with their zone."""

    id: int
    name: str
    allows: Allows
    let_in_at: str
    seen_at: str


class DoorOut(Schema):
    """The door as it is. Closed: where it could stand, and why it can't be opened, if so. Open: for
    which build, until when, its address, its code (void: ""), the devices that are in.
    `is_private`: what goes to and fro is hidden from others on the network; `is_gone`: the machine
    no longer has that address."""

    is_open: bool
    can_open: bool
    addresses: list[str]
    most_hours: int
    is_private: bool
    build: str = ""
    build_name: str = ""
    url: str = ""
    closes_at: str = ""
    is_gone: bool = False
    code: str = ""
    code_until: str = ""
    code_allows: Allows = "bench"
    wrong: int = 0
    devices: list[DeviceOut] = []


class OpenDoorIn(Schema):
    """For which build, how many hours, at which address of this machine."""

    build: str
    hours: float
    address: str


class AllowsIn(Schema):
    """What a device may do."""

    allows: Allows


class HereOut(Schema):
    """Who asks: the desk, or a device with what it may do, at the door of which build."""

    is_device: bool
    name: str = ""
    allows: Allows = "everything"
    build: str = ""
    closes_at: str = ""


class NewsOut(Schema):
    """The version of a build, and stamps of its record and its readings: another one, something is
    new. `allows`: what the one who asks may do; `door`: until when the network's door is open,
    empty: it is shut."""

    version: int
    bench: str
    readings: str
    allows: Allows
    door: str


@router.get("/here", response=HereOut, operation_id="whoAsks")
def here(request: HttpRequest) -> dict[str, Any]:
    """Who asks, and what it may do."""
    device = device_asking(request)
    if device is None:
        return {"is_device": False}
    return {
        "is_device": True,
        "name": device.name,
        "allows": device.allows,
        "build": device.door.build.key,
        "closes_at": device.door.closes_at.isoformat(),
    }


@router.get("/news/{key}", response=NewsOut, operation_id="buildNews")
def build_news(request: HttpRequest, key: str) -> dict[str, Any]:
    """Whether something is new of a build; little enough to be asked by the second."""
    device, door = device_asking(request), letting.current()
    return news.of_build(actions.find(owner_of(request), key)) | {
        "allows": device.allows if device else "everything",
        "door": door.closes_at.isoformat() if door and doorway.is_open else "",
    }


@router.get("/door", response=DoorOut, operation_id="networkDoor")
def get_door(request: HttpRequest) -> dict[str, Any]:
    """The door as it is."""
    return _answer()


@router.post("/door", response=DoorOut, operation_id="openNetworkDoor")
def open_door(request: HttpRequest, body: OpenDoorIn) -> dict[str, Any]:
    """Listen on the network for some hours, for one build, with a code for the first device."""
    owner = owner_of(request)
    door = letting.open_door(owner, actions.find(owner, body.build), body.hours, body.address)
    letting.new_code(door, "bench")
    return _answer()


@router.delete("/door", response=DoorOut, operation_id="closeNetworkDoor")
def close_door(request: HttpRequest) -> dict[str, Any]:
    """Listen no more; every device goes."""
    letting.close_door()
    return _answer()


@router.post("/door/code", response=DoorOut, operation_id="newDoorCode")
def new_code(request: HttpRequest, body: AllowsIn) -> dict[str, Any]:
    """A code for one more device; one that was out is void."""
    letting.new_code(_open(), body.allows)
    return _answer()


@router.get("/door/code.svg", operation_id="doorCodePicture")
def code_picture(request: HttpRequest) -> HttpResponse:
    """The way in with its code, as a picture that a phone reads."""
    door = _open()
    if not _code_of(door):
        raise NotThere("No code is out, or it has run out: make one.")
    out = io.BytesIO()
    code = segno.make(f"{letting.origin(door)}/in?code={door.code}", error="m", micro=False)
    code.save(out, kind="svg", scale=8, border=4, dark="#000", light="#fff", xmldecl=False)
    return HttpResponse(out.getvalue(), content_type="image/svg+xml")


@router.patch("/door/devices/{number}", response=DoorOut, operation_id="allowDevice")
def allow_device(request: HttpRequest, number: int, body: AllowsIn) -> dict[str, Any]:
    """What a device may do from now on."""
    letting.allow(letting.device_by(_open(), number), body.allows)
    return _answer()


@router.delete("/door/devices/{number}", response=DoorOut, operation_id="sendDeviceAway")
def send_device_away(request: HttpRequest, number: int) -> dict[str, Any]:
    """From now on it is a stranger."""
    letting.send_away(letting.device_by(_open(), number))
    return _answer()


def _open() -> Door:
    door = letting.current()
    if door is None:
        raise NotThere("The door is closed.")
    return door


def _code_of(door: Door) -> str:
    is_out = door.code_until is not None and door.code_until > timezone.now()
    return door.code if is_out else ""


def _answer() -> dict[str, Any]:
    door, own = letting.current(), addresses()
    shut = {
        "is_open": False,
        "can_open": doorway.can_open and bool(own),
        "addresses": own,
        "most_hours": letting.MOST_HOURS,
        "is_private": is_private(),
    }
    if door is None or not doorway.is_open:
        return shut
    return shut | {
        "is_open": True,
        "build": door.build.key,
        "build_name": store.name_of(door.build),
        "url": letting.origin(door),
        "closes_at": door.closes_at.isoformat(),
        "is_gone": door.address not in own,
        "code": _code_of(door),
        "code_until": door.code_until.isoformat() if door.code_until else "",
        "code_allows": door.code_allows,
        "wrong": door.wrong_ever,
        "devices": [
            {
                "id": d.pk,
                "name": d.name,
                "allows": d.allows,
                "let_in_at": d.let_in_at.isoformat(),
                "seen_at": d.seen_at.isoformat(),
            }
            for d in door.devices.filter(sent_away_at=None)
        ],
    }
