"""Opening the door and closing it, codes, and the devices that they let in."""

from __future__ import annotations

import hashlib
import os
import secrets
from datetime import timedelta
from typing import Literal

from base.writing import writing
from builds.models import Build
from django.conf import settings
from django.utils import timezone
from easy_tally import BadInput, NotThere, Refused
from owners.models import Owner

from devices.addresses import addresses
from devices.listening import doorway, is_private, outside_url
from devices.models import Device, Door

#: What a device may do: look at the build; work on it at the bench too; everything that the page
#: does, but the door itself.
Allows = Literal["look", "bench", "everything"]
#: The port that is tried first, so that a firewall's rule for it lasts.
PORT = int(os.environ.get("EASY_TALLY_DOOR_PORT", "8470"))
MOST_HOURS = 12
CODE_LASTS = timedelta(minutes=10)
#: Wrong codes after which one is void; the longest wait between two tries [s]; devices at once.
MOST_WRONG, _LONGEST_WAIT_S, MOST_DEVICES = 8, 60, 8
#: How exactly it is kept when a device was last here.
_SEEN_EACH = timedelta(seconds=5)


class Wrong(Exception):
    """A code that lets nobody in; the message says what to do."""


def current() -> Door | None:
    """The door that is open."""
    doors = Door.objects.select_related("build").defer("build__document")
    door = doors.order_by("-pk").first()
    return door if door and door.is_open and door.build.thrown is None else None


def origin(door: Door) -> str:
    """Where devices find it: by the proxy that EASY_TALLY_DOOR_URL names, or right here."""
    scheme = "https" if is_private() else "http"
    return outside_url() or f"{scheme}://{door.address}:{door.port}"


def open_door(owner: Owner, build: Build, hours: float, address: str) -> Door:
    """Open for a build; one that was open before closes, its devices go. Raises BadInput,
    Refused."""
    if not 0 < hours <= MOST_HOURS:
        raise BadInput([("hours", f"more than 0, at most {MOST_HOURS} hours", f"{hours:g}")])
    if address not in addresses():
        raise BadInput([("address", "an address of this machine", address)])
    if not doorway.can_open:
        raise Refused("This way of starting serves this machine alone; start it with make demo.")
    if settings.CSRF_COOKIE_SECURE and not is_private():
        raise Refused(
            "This server sends its cookies over TLS only (EASY_TALLY_HOSTS is set): give the door "
            "a certificate, or the address of the proxy in front of it."
        )
    until = timezone.now() + timedelta(hours=hours)
    door = Door(owner=owner, build=build, address=address, port=PORT, closes_at=until)
    door.port = _listen(door)
    try:
        with writing():
            _close_all()
            door.save()
    except BaseException:
        doorway.close()
        raise
    return door


def _listen(door: Door) -> int:
    try:
        return doorway.open(door.address, door.port, door.closes_at.timestamp())
    except OSError as error:
        raise Refused(
            f"The door can't be opened at {door.address} ({error.strerror or error}): see to the "
            "network, and to the certificate where you gave one."
        ) from error


def reopen() -> None:
    """After a start: the door whose hours still last, where it stood. One that can't stand there
    again is closed."""
    door = current()
    if door is None:
        return
    try:
        port = _listen(door)
    except Refused:
        close_door()
        return
    if port != door.port:
        Door.objects.filter(pk=door.pk).update(port=port)


def close_door() -> None:
    """Listen no more; every device goes, and what lets in with it."""
    doorway.close()
    with writing():
        _close_all()


def _close_all() -> None:
    now = timezone.now()
    Device.objects.filter(sent_away_at=None).update(sent_away_at=now)
    Door.objects.filter(closes_at__gt=now).update(closes_at=now, code="")


def new_code(door: Door, allows: Allows) -> Door:
    """Six figures that let one device in; a code that was out before is void."""
    with writing():
        door.code = f"{secrets.randbelow(1_000_000):06d}"
        door.code_until = timezone.now() + CODE_LASTS
        door.code_allows = allows
        door.wrong, door.wrong_at = 0, None
        door.save(update_fields=("code", "code_until", "code_allows", "wrong", "wrong_at"))
    return door


def let_in(door: Door, code: str, name: str) -> str:
    """Let a device in; its token. Raises Wrong."""
    with writing():
        door = Door.objects.get(pk=door.pk)  # as it is now that the turn is ours
        said = _see(door, "".join(code.split()))
        if not said:
            return _enter(door, name)
    raise Wrong(said)


def _see(door: Door, code: str) -> str:
    """Why a code lets nobody in, counted; "": it is the right one."""
    now = timezone.now()
    if not door.is_open:
        return "The door is closed."
    if not door.code or door.code_until is None or door.code_until < now:
        return "No code is out, or it has run out: make one at the desk."
    if door.wrong_at is not None:
        wait_s = min(_LONGEST_WAIT_S, 2 ** (door.wrong - 1))
        left_s = wait_s - (now - door.wrong_at).total_seconds()
        if left_s > 0:
            return f"Wait {left_s:.0f} s: the last code was wrong." if left_s >= 1 else "Wait 1 s."
    if secrets.compare_digest(code.encode(), door.code.encode()):
        if door.devices.filter(sent_away_at=None).count() >= MOST_DEVICES:
            return f"{MOST_DEVICES} devices are in already: send one away at the desk."
        return ""
    door.wrong, door.wrong_at, door.wrong_ever = door.wrong + 1, now, door.wrong_ever + 1
    if door.wrong >= MOST_WRONG:
        door.code = ""
    door.save(update_fields=("wrong", "wrong_at", "wrong_ever", "code"))
    if not door.code:
        return f"That was the {MOST_WRONG}th wrong code: it is void now. Make one at the desk."
    return "That is not the code. It stands on the page at the desk."


def _enter(door: Door, name: str) -> str:
    token = secrets.token_urlsafe(32)
    Device.objects.create(
        door=door,
        name=" ".join(name.split())[:60] or "A device",
        token_hash=_hash(token),
        allows=door.code_allows,
    )
    door.code = ""
    door.save(update_fields=("code",))
    return token


def _hash(token: str) -> str:
    return hashlib.sha256(token.encode()).hexdigest()


def device_of(door: Door, token: str) -> Device | None:
    """The device that a token shows, unless it was sent away; it was seen now."""
    device = door.devices.filter(token_hash=_hash(token), sent_away_at=None).first()
    now = timezone.now()
    if device and now - device.seen_at > _SEEN_EACH:
        with writing():
            door.devices.filter(pk=device.pk).update(seen_at=now)
    return device


def device_by(door: Door, number: int) -> Device:
    """A device of the door by its number. Raises NotThere."""
    device = door.devices.filter(pk=number, sent_away_at=None).first()
    if device is None:
        raise NotThere("That device is not in, or was sent away.")
    return device


def send_away(device: Device) -> None:
    """From now on it is a stranger."""
    with writing():
        device.sent_away_at = timezone.now()
        device.save(update_fields=("sent_away_at",))


def allow(device: Device, allows: Allows) -> None:
    """What it may do from now on."""
    with writing():
        device.allows = allows
        device.save(update_fields=("allows",))
