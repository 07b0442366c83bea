"""The network's door: what it lets in, what each device may do, that nothing listens when it is
shut. A second loopback address stands for the network."""

from __future__ import annotations

import http.client
import json
import os
import socket
import ssl
import subprocess
import tempfile
import time
from datetime import timedelta
from typing import Any
from unittest import mock

from builds import actions
from builds.tests.support import HERON, ROOT, ApiCase
from config.bounds import BoundedChannel
from config.wsgi import application
from django.test import TestCase, TransactionTestCase
from django.utils import timezone
from owners.models import current_owner

from devices import letting
from devices.gate import COOKIE
from devices.listening import MARK, Doorway, doorway
from devices.models import Device, Door

#: The address that stands for the network's, and a stranger's page.
ADDRESS, FOREIGN = "127.0.0.2", "http://elsewhere.example"
DESCRIPTION = json.loads((ROOT / "docs/openapi.json").read_text(encoding="utf-8"))
#: Writes that a device at the bench may do, by their ids, written here once more by hand.
BENCH_WRITES = {"benchDone", "addPhoto", "removePhoto", "bringPhotoBack", "typeReadings"}
DESK = {
    "networkDoor",
    "openNetworkDoor",
    "closeNetworkDoor",
    "newDoorCode",
    "doorCodePicture",
    "allowDevice",
    "sendDeviceAway",
}
#: What one who looks on sees beside the build's own.
LOOKS_AT = {"whoAsks", "reference", "loose", "buildNews"}


def operations() -> list[tuple[str, str, str]]:
    """(method, path, id) of every operation of the interface."""
    return [
        (method.upper(), path.removeprefix("/api/v1"), one["operationId"])
        for path, methods in DESCRIPTION["paths"].items()
        for method, one in methods.items()
    ]


class DoorCase(ApiCase):
    """A door that is open as far as the database knows; requests come marked as through it."""

    def setUp(self) -> None:
        super().setUp()
        self.key = self.open()["key"]
        self.other = self.open(HERON.replace('"Heron"', '"Avocet"'))["key"]
        row = actions.find(current_owner(), self.key)
        until = timezone.now() + timedelta(hours=1)
        self.door = Door.objects.create(
            owner=current_owner(), build=row, address=ADDRESS, port=8470, closes_at=until
        )

    def let_in(self, allows: letting.Allows, name: str = "Phone") -> str:
        """A device; its token."""
        door = letting.new_code(self.door, allows)
        return letting.let_in(door, door.code, name)

    def ask(self, method: str, path: str, token: str = "", body: Any = None, **more: Any) -> Any:
        """The answer to a request that comes through the door."""
        self.client.cookies.clear()
        if token:
            self.client.cookies[COOKIE] = token
        extra = {MARK: True, "HTTP_HOST": f"{ADDRESS}:8470"} | more
        sent = {} if method == "GET" else {"content_type": "application/json"}
        return self.client.generic(
            method, path, json.dumps(body) if body is not None else "", **sent, **extra
        )

    def api(self, method: str, path: str, token: str, body: Any = None) -> tuple[int, str]:
        """(status, kind of problem) of an operation."""
        answer = self.ask(method, f"/api/v1{path}", token, body)
        is_problem = answer.headers.get("Content-Type", "") == "application/problem+json"
        kind = json.loads(answer.content)["type"] if is_problem else ""
        return answer.status_code, kind.removeprefix("urn:easy-tally:")


class RightsTest(DoorCase):
    """Each operation of the interface with each kind of device: what is not chosen is refused."""

    def refused(self, token: str, key: str) -> set[str]:
        """Ids of the operations that are refused to a device, asked for a build."""
        found = set()
        # The build goes last: the door goes with it.
        for method, path, name in sorted(operations(), key=lambda o: o[2] == "removeBuild"):
            filled = path.replace("{key}", key).replace("{number}", "1")
            for part in ("{cable}", "{photo}", "{taken}", "{id}", "{slug}", "{word}", "{job}"):
                filled = filled.replace(part, "none")
            # A body that is none: it never gets so far as to change anything.
            status, kind = self.api(method, filled.replace("{kind}", "pdf"), token, 0)
            if (status, kind) == (403, "not-let"):
                found.add(name)
            else:
                self.assertNotIn(status, (401, 403), (name, filled, kind))
        return found

    def test_strangers_get_nothing(self) -> None:
        for method, path, name in operations():
            self.assertEqual(self.api(method, path, ""), (401, "not-let-in"), name)
            self.assertEqual(self.api(method, path, "x" * 43), (401, "not-let-in"), name)
        self.assertEqual(self.ask("GET", "/static/mark.svg").status_code, 401)
        for page in ("/", f"/b/{self.key}/bench", "/sw.js", "/compare"):
            answer = self.ask("GET", page)
            self.assertEqual((answer.status_code, answer.headers["Location"]), (302, "/in"), page)

    def test_looking_on_changes_nothing(self) -> None:
        token, every = self.let_in("look"), operations()
        refused = self.refused(token, self.key)
        allowed = {name for *_, name in every} - refused
        for method, path, name in every:
            if method != "GET":
                self.assertIn(name, refused)
            elif not path.startswith("/builds/{key}"):
                self.assertEqual(name in allowed, name in LOOKS_AT, name)
        self.assertTrue({"getBuild", "benchPlan", "machineRecord", "getPhoto"} <= allowed)
        for path in ("history.json", "file", "questions", "shelf", "past", "record.zip"):
            self.assertEqual(self.api("GET", f"/builds/{self.key}/{path}", token)[0], 403, path)

    def test_the_bench_is_the_bench(self) -> None:
        looks = self.refused(self.let_in("look"), self.key)
        refused = self.refused(self.let_in("bench"), self.key)
        writes = {n for m, _, n in operations() if m != "GET"} - refused
        self.assertEqual(writes, BENCH_WRITES)
        self.assertEqual(looks - refused, BENCH_WRITES | {"photosInBin"})

    def test_everything_but_the_door(self) -> None:
        self.assertEqual(self.refused(self.let_in("everything"), self.key), DESK)

    def test_another_build_is_nobodys(self) -> None:
        for allows in ("look", "bench"):
            refused = self.refused(self.let_in(allows), self.other)  # type: ignore[arg-type]
            allowed = {name for *_, name in operations()} - refused
            self.assertEqual(allowed, LOOKS_AT - {"buildNews"}, allows)

    def test_pages_of_another_build_lead_home(self) -> None:
        token = self.let_in("bench")
        for page in ("/", f"/b/{self.other}/parts", "/compare"):
            answer = self.ask("GET", page, token)
            self.assertEqual(answer.headers.get("Location"), f"/b/{self.key}/bench", page)
        self.assertEqual(self.ask("GET", f"/b/{self.key}/loom", token).status_code, 200)
        self.assertEqual(self.ask("GET", "/", self.let_in("everything")).status_code, 200)

    def test_what_it_may_is_changed_at_the_desk(self) -> None:
        token = self.let_in("look")
        path = f"/builds/{self.key}/bench"
        self.assertEqual(self.api("POST", path, token, {"entries": []})[0], 403)
        letting.allow(Device.objects.get(), "bench")
        self.assertEqual(self.api("POST", path, token, {"entries": []})[0], 200)
        letting.send_away(Device.objects.get())
        self.assertEqual(self.api("POST", path, token, {"entries": []})[0], 401)

    def test_the_desk_is_no_device(self) -> None:
        status, answer = self.call("get", "/here")
        self.assertEqual((status, answer["is_device"]), (200, False))
        # A header that looks like the mark is none.
        answer = self.client.get("/api/v1/here", headers={"easy-tally.door": "1"})
        self.assertFalse(json.loads(answer.content)["is_device"])


class HostsTest(DoorCase):
    """Hosts and origins at the door."""

    def test_only_its_own_address(self) -> None:
        token = self.let_in("everything")
        for host in ("127.0.0.1:8470", "localhost", ADDRESS, f"{ADDRESS}:80", "elsewhere.example"):
            answer = self.ask("GET", "/api/v1/here", token, HTTP_HOST=host)
            self.assertEqual(answer.status_code, 400, host)
        self.assertEqual(self.ask("GET", "/api/v1/here", token).status_code, 200)
        # And the desk's own address does not answer to the door's name.
        self.assertEqual(
            self.client.get("/api/v1/here", headers={"host": f"{ADDRESS}:8470"}).status_code, 400
        )

    def test_other_sites_ask_for_nothing(self) -> None:
        token = self.let_in("everything")
        path = f"/api/v1/builds/{self.key}"
        for head in (
            {"HTTP_ORIGIN": FOREIGN},
            {"HTTP_ORIGIN": "null"},
            {"HTTP_ORIGIN": f"https://{ADDRESS}:8470"},
            {"HTTP_SEC_FETCH_SITE": "cross-site", "HTTP_SEC_FETCH_MODE": "no-cors"},
            {"HTTP_SEC_FETCH_SITE": "same-site", "HTTP_SEC_FETCH_MODE": "cors"},
        ):
            self.assertEqual(self.ask("GET", path, token, **head).status_code, 403, head)
        own = {"HTTP_ORIGIN": f"http://{ADDRESS}:8470", "HTTP_SEC_FETCH_SITE": "same-origin"}
        self.assertEqual(self.ask("GET", path, token, **own).status_code, 200)

    def test_a_proxy_in_front_has_its_own_name(self) -> None:
        token = self.let_in("everything")
        with mock.patch.dict(os.environ, EASY_TALLY_DOOR_URL="https://bench.saltmarsh.example"):
            known = {"HTTP_HOST": "bench.saltmarsh.example"}
            self.assertEqual(self.ask("GET", "/api/v1/here", token, **known).status_code, 200)
            self.assertEqual(self.ask("GET", "/api/v1/here", token).status_code, 400)


class CodesTest(DoorCase):
    """Six figures, ten minutes, one device; wrong ones are slowed and counted."""

    def test_a_code_lets_one_in(self) -> None:
        code = letting.new_code(self.door, "bench").code
        self.assertRegex(code, r"^\d{6}$")
        letting.let_in(self.door, f"{code[:3]} {code[3:]}", "  Phone  on the shelf ")
        self.assertEqual(Device.objects.get().name, "Phone on the shelf")
        with self.assertRaisesMessage(letting.Wrong, "No code is out"):
            letting.let_in(self.door, code, "Another")

    def test_it_runs_out(self) -> None:
        code = letting.new_code(self.door, "bench").code
        late = timezone.now() + timedelta(minutes=10, seconds=1)
        with (
            mock.patch("devices.letting.timezone.now", return_value=late),
            self.assertRaisesMessage(letting.Wrong, "run out"),
        ):
            letting.let_in(self.door, code, "Phone")

    def wrong(self, at: Any) -> str:
        """What is said to a wrong code at a time."""
        with mock.patch("devices.letting.timezone.now", return_value=at):
            try:
                letting.let_in(self.door, "nothing", "Phone")
            except letting.Wrong as error:
                return str(error)
        return "in"

    def test_wrong_ones_are_slowed_and_then_void(self) -> None:
        code, now = letting.new_code(self.door, "bench").code, timezone.now()
        # After the nth wrong one 2^(n-1) s pass before another is heard.
        for n, wait_s in enumerate((1, 2, 4, 8, 16, 32, 60), 1):
            self.assertIn("not the code", self.wrong(now), n)
            self.assertIn("Wait", self.wrong(now + timedelta(seconds=wait_s * 0.9)), n)
            now += timedelta(seconds=wait_s)
        self.assertIn("8th wrong", self.wrong(now))
        self.door.refresh_from_db()
        self.assertEqual((self.door.code, self.door.wrong_ever), ("", 8))
        with self.assertRaisesMessage(letting.Wrong, "No code is out"):
            letting.let_in(self.door, code, "Phone")
        # A new one is heard at once.
        letting.let_in(self.door, letting.new_code(self.door, "look").code, "Phone")
        self.assertEqual(Device.objects.get().allows, "look")

    def test_while_one_waits_the_right_one_waits_too(self) -> None:
        code = letting.new_code(self.door, "bench").code
        self.wrong(timezone.now())
        with self.assertRaisesMessage(letting.Wrong, "Wait"):
            letting.let_in(self.door, code, "Phone")

    def test_so_many_and_no_more(self) -> None:
        for _ in range(letting.MOST_DEVICES):
            self.let_in("look")
        with self.assertRaisesMessage(letting.Wrong, "send one away"):
            self.let_in("look")

    def test_by_the_page(self) -> None:
        code = letting.new_code(self.door, "bench").code
        page = self.ask("GET", f"/in?code={code}")
        self.assertContains(page, f'value="{code}"')
        self.assertEqual(Device.objects.count(), 0)  # a look at a link uses nothing up
        more = {MARK: True, "HTTP_HOST": f"{ADDRESS}:8470"}
        wrong = self.client.post("/in", {"code": "12", "name": "<b>"}, **more)
        self.assertContains(wrong, "not the code", status_code=403)
        self.assertContains(wrong, "&lt;b&gt;", status_code=403)
        Door.objects.update(wrong_at=None)
        came = self.client.post("/in", {"code": code, "name": "Phone"}, **more)
        self.assertEqual(came.headers["Location"], f"/b/{self.key}/bench")
        cookie = came.cookies[COOKIE]
        self.assertTrue(cookie["httponly"])
        self.assertEqual(cookie["samesite"], "Strict")
        # The token itself is kept nowhere.
        self.assertNotIn(cookie.value, Device.objects.get().token_hash)
        self.assertEqual(
            json.loads(self.client.get("/api/v1/here", **more).content)["name"], "Phone"
        )

    def test_a_form_of_another_page_is_refused(self) -> None:
        client = self.client_class(enforce_csrf_checks=True)
        code = letting.new_code(self.door, "bench").code
        more = {MARK: True, "HTTP_HOST": f"{ADDRESS}:8470"}
        self.assertEqual(client.post("/in", {"code": code}, **more).status_code, 403)
        self.assertEqual(Device.objects.count(), 0)


class OpenTest(TestCase):
    """What can't be opened is said before anything listens."""

    def test_refusals(self) -> None:
        owner = current_owner()
        row = actions.open_file(owner, HERON)
        with self.assertRaisesMessage(Exception, "at most 12 hours"):
            letting.open_door(owner, row, 13, ADDRESS)
        with self.assertRaisesMessage(Exception, "an address of this machine"):
            letting.open_door(owner, row, 2, "192.0.2.1")
        with (
            mock.patch.dict(os.environ, EASY_TALLY_DOOR_ADDRESSES=ADDRESS),
            self.assertRaisesMessage(Exception, "serves this machine alone"),
        ):
            letting.open_door(owner, row, 2, ADDRESS)


class ListeningTest(TransactionTestCase):
    """The listener itself, at a second loopback address."""

    def setUp(self) -> None:
        named = mock.patch.dict(os.environ, EASY_TALLY_DOOR_ADDRESSES=ADDRESS)
        named.start()
        self.addCleanup(named.stop)
        self.owner = current_owner()
        self.row = actions.open_file(self.owner, HERON)
        doorway.serve(application, BoundedChannel, lambda: letting.current() is not None)
        self.addCleanup(self.shut)

    def shut(self) -> None:
        """As a process is that does not serve."""
        doorway.close()
        doorway.__dict__.update(Doorway().__dict__)

    def listens(self, port: int) -> bool:
        """Whether something listens there."""
        with socket.socket() as tried:
            return tried.connect_ex((ADDRESS, port)) == 0

    def get(self, door: Door, path: str, token: str = "", context: Any = None) -> Any:
        """(status, body) over the network."""
        kind = http.client.HTTPSConnection if context else http.client.HTTPConnection
        call = kind(ADDRESS, door.port, timeout=20, **({"context": context} if context else {}))
        call.request("GET", path, headers={"Cookie": f"{COOKIE}={token}"} if token else {})
        answer = call.getresponse()
        body = answer.read()
        call.close()
        return answer.status, body

    def test_it_listens_while_it_is_open(self) -> None:
        door = letting.open_door(self.owner, self.row, 1, ADDRESS)
        self.assertTrue(self.listens(door.port))
        status, body = self.get(door, "/api/v1/here")
        self.assertEqual((status, json.loads(body)["type"]), (401, "urn:easy-tally:not-let-in"))
        token = letting.let_in(door, letting.new_code(door, "bench").code, "Phone")
        status, body = self.get(door, "/api/v1/here", token)
        self.assertEqual((status, json.loads(body)["build"]), (200, self.row.key))
        self.assertEqual(self.get(door, f"/api/v1/builds/{self.row.key}/bench", token)[0], 200)
        letting.close_door()
        self.assertFalse(self.listens(door.port))
        self.assertIsNone(letting.current())

    def test_it_closes_by_itself(self) -> None:
        door = letting.open_door(self.owner, self.row, 1.5 / 3600, ADDRESS)
        self.assertTrue(self.listens(door.port))
        until = time.monotonic() + 30
        while self.listens(door.port) and time.monotonic() < until:
            time.sleep(0.1)
        self.assertFalse(self.listens(door.port))
        self.assertFalse(doorway.is_open)

    def test_it_closes_with_its_build(self) -> None:
        door = letting.open_door(self.owner, self.row, 1, ADDRESS)
        actions.remove(self.owner, self.row.key)
        self.assertEqual(self.get(door, "/in")[0], 403)
        until = time.monotonic() + 30
        while self.listens(door.port) and time.monotonic() < until:
            time.sleep(0.1)
        self.assertFalse(self.listens(door.port))

    def test_after_a_start_it_stands_where_it_stood(self) -> None:
        door = letting.open_door(self.owner, self.row, 1, ADDRESS)
        token = letting.let_in(door, letting.new_code(door, "bench").code, "Phone")
        doorway.close()  # as by a start
        letting.reopen()
        self.assertEqual(self.get(door, "/api/v1/here", token)[0], 200)
        # One for another build sends the devices of this one away.
        again = letting.open_door(self.owner, actions.open_file(self.owner, HERON), 1, ADDRESS)
        self.assertEqual(self.get(again, "/api/v1/here", token)[0], 401)

    def test_where_the_usual_port_is_taken(self) -> None:
        with socket.socket() as taken:
            taken.bind((ADDRESS, 0))
            taken.listen()
            with mock.patch("devices.letting.PORT", taken.getsockname()[1]):
                door = letting.open_door(self.owner, self.row, 1, ADDRESS)
            self.assertNotEqual(door.port, taken.getsockname()[1])
            self.assertEqual(self.get(door, "/in")[0], 200)

    def test_with_a_certificate_it_speaks_tls(self) -> None:
        with tempfile.TemporaryDirectory() as folder:
            cert, key = f"{folder}/cert.pem", f"{folder}/key.pem"
            subprocess.run(
                [
                    *("openssl", "req", "-x509", "-newkey", "rsa:2048", "-nodes", "-days", "2"),
                    *("-subj", "/CN=bench", "-addext", f"subjectAltName=IP:{ADDRESS}"),
                    *("-keyout", key, "-out", cert),
                ],
                check=True,
                capture_output=True,
            )
            own = {"EASY_TALLY_DOOR_CERT": cert, "EASY_TALLY_DOOR_KEY": key}
            with mock.patch.dict(os.environ, own):
                door = letting.open_door(self.owner, self.row, 1, ADDRESS)
                self.assertEqual(letting.origin(door), f"https://{ADDRESS}:{door.port}")
                context = ssl.create_default_context(cafile=cert)
                token = letting.let_in(door, letting.new_code(door, "bench").code, "Phone")
                status, body = self.get(door, "/api/v1/here", token, context)
                self.assertEqual((status, json.loads(body)["name"]), (200, "Phone"))
                with self.assertRaises((OSError, http.client.HTTPException)):
                    self.get(door, "/api/v1/here", token)
                letting.close_door()
                self.assertFalse(self.listens(door.port))
