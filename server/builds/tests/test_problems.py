"""Every error is problem+json, whoever found it; faults leave a trace; files carry the headers."""

from __future__ import annotations

import errno
import json
from typing import Any
from unittest.mock import patch

from base.formats import PlainParser
from django.conf import settings
from django.db import DatabaseError, IntegrityError, OperationalError
from django.http import HttpRequest, QueryDict
from django.test import Client, TestCase, override_settings

from builds import actions
from builds.tests.support import ApiCase

TYPE = "application/problem+json"


class Problems(ApiCase):
    def shape(self, response: Any, status: int, kind: str) -> dict[str, Any]:
        """The problem that an answer is."""
        self.assertEqual((response.status_code, response["Content-Type"]), (status, TYPE))
        self.assertEqual(response["Cache-Control"], "no-store")
        found: dict[str, Any] = json.loads(response.content)
        self.assertEqual((found["type"], found["status"]), (f"urn:easy-tally:{kind}", status))
        self.assertTrue(found["title"] and found["detail"])
        return found

    def post(self, path: str, body: Any) -> Any:
        """Post something as JSON, whatever it is."""
        return self.client.post(f"/api/v1{path}", body, content_type="application/json")

    def test_what_django_and_ninja_find_by_themselves(self) -> None:
        self.shape(self.post("/builds", "{not json"), 400, "unreadable")
        self.shape(self.post("/builds", b"\xff\xfe"), 400, "unreadable")
        self.shape(self.client.get("/api/v1/nowhere"), 404, "not-there")
        self.shape(self.client.get("/api/nowhere"), 404, "not-there")
        method = self.client.put("/api/v1/builds", "{}", content_type="application/json")
        self.shape(method, 405, "method")
        self.assertIn("GET", method["Allow"])
        strict = Client(enforce_csrf_checks=True)
        refused = strict.post("/api/v1/builds", "{}", content_type="application/json")
        self.shape(refused, 403, "forbidden")
        self.shape(self.client.get("/api/v1/builds", HTTP_HOST="evil.example"), 400, "unreadable")

    def test_a_body_beyond_what_is_read(self) -> None:
        body = json.dumps({"name": "x" * (settings.DATA_UPLOAD_MAX_MEMORY_SIZE + 1)})
        self.shape(self.post("/builds", body), 413, "too-large")

    def test_faults_are_logged_with_the_id_that_is_told(self) -> None:
        with (
            patch.object(actions, "create", side_effect=ZeroDivisionError("oh")),
            self.assertLogs("easy_tally", "ERROR") as logged,
        ):
            response = self.post("/builds", json.dumps({"name": "x"}))
        found = self.shape(response, 500, "fault")
        self.assertEqual(response["X-Request-ID"], found["request"])
        self.assertIn(found["request"], logged.output[0])
        self.assertIn("ZeroDivisionError: oh", logged.output[0])

    def test_a_disk_that_is_full_or_can_not_be_written(self) -> None:
        for error, status, kind in (
            (OperationalError("database or disk is full"), 507, "disk-full"),
            (OSError(errno.ENOSPC, "No space left on device"), 507, "disk-full"),
            (OperationalError("attempt to write a readonly database"), 503, "read-only"),
            (OSError(errno.EROFS, "Read-only file system"), 503, "read-only"),
            (OperationalError("database is locked"), 503, "busy"),
            (OperationalError("disk I/O error"), 503, "disk-failed"),
            (OperationalError("unable to open database file"), 503, "disk-failed"),
            (OSError(errno.EIO, "Input/output error"), 503, "disk-failed"),
            (DatabaseError("database disk image is malformed"), 503, "damaged"),
            (DatabaseError("file is not a database"), 503, "damaged"),
        ):
            with patch.object(actions, "create", side_effect=error), self.assertLogs("easy_tally"):
                response = self.post("/builds", json.dumps({"name": "x"}))
            found = self.shape(response, status, kind)
            self.assertIn("nothing was changed", found["detail"])

    def test_a_disk_that_the_system_made_read_only(self) -> None:
        """SQLite calls that an error of the disk; that it can't be written any more tells which."""
        error = OperationalError("disk I/O error")
        with (
            patch.object(actions, "create", side_effect=error),
            patch("os.access", return_value=False),
            self.assertLogs("easy_tally"),
        ):
            response = self.post("/builds", json.dumps({"name": "x"}))
        self.shape(response, 503, "read-only")

    def test_an_error_of_the_database_that_is_none_of_the_disk_is_a_fault(self) -> None:
        error = IntegrityError("UNIQUE constraint failed")
        with patch.object(actions, "create", side_effect=error), self.assertLogs("easy_tally"):
            self.shape(self.post("/builds", json.dumps({"name": "x"})), 500, "fault")

    def test_the_description_has_them_all(self) -> None:
        text = (settings.ROOT / "docs/openapi.json").read_text(encoding="utf-8")
        described = json.loads(text)
        for path, methods in described["paths"].items():
            for method, operation in methods.items():
                for status in (
                    "400",
                    "403",
                    "404",
                    "405",
                    "409",
                    "413",
                    "422",
                    "500",
                    "503",
                    "507",
                ):
                    self.assertIn(status, operation["responses"], f"{method} {path}")
        fields = described["components"]["schemas"]["Problem"]["properties"]
        self.assertLessEqual({"problems", "conflicts", "released", "version", "build"}, set(fields))


class Bounds(ApiCase):
    """What is sent within the limits is answered at once; beyond them it is refused."""

    def test_lines_lists_and_files(self) -> None:
        for path, text, said in (
            ("/entry", '"' * 501, "500"),
            ("/entries", "fan\n" * 401, "400 lines"),
            ("/entries", "x" * 501, "500 characters"),
        ):
            status, found = self.call("post", path, {"text": text})
            self.assertEqual(status, 422, path)
            self.assertIn(said, found["detail"])

    def test_numbers_and_brackets_without_end_name_their_place(self) -> None:
        for text, said in (
            ('{"version": ' + "9" * 4301 + "}", "line 1, column 13"),
            ("[" * 100_000, "line 1, column 201"),
            ('{"name": "\\ud800"}', "name"),
        ):
            status, found = self.call("post", "/builds/open", {"text": text})
            self.assertEqual((status, found["problems"][0]["field"]), (422, said))


class Headers(ApiCase):
    """Whoever makes an answer, it carries what keeps others from it."""

    def test_every_answer_carries_the_policies(self) -> None:
        key = self.open()["key"]
        form = {"CONTENT_TYPE": "multipart/form-data"}
        answers = {
            "a page": self.client.get("/"),
            "an answer": self.client.get(f"/api/v1/builds/{key}"),
            "no build": self.client.get("/api/v1/builds/none"),
            "no address": self.client.get("/api/v1/nowhere"),
            "no such file": self.client.get("/static/nothing.js"),
            "another host": self.client.get("/api/v1/builds", HTTP_HOST="evil.example"),
            "no token": Client(enforce_csrf_checks=True).post("/api/v1/builds"),
            "no boundary": self.client.generic(
                "POST", f"/api/v1/builds/{key}/photos", b"x", **form
            ),
            "a method": self.client.delete("/api/v1/builds"),
            "no JSON": self.client.post("/api/v1/builds", b"{", content_type="application/json"),
            "CSV": self.client.get(f"/api/v1/builds/{key}/bench.csv"),
        }
        with patch("builds.actions.find", side_effect=RuntimeError), self.assertLogs("easy_tally"):
            self.client.raise_request_exception = False
            answers["a fault"] = self.client.get(f"/api/v1/builds/{key}")
        for what, answer in answers.items():
            with self.subTest(what):
                self.assertIn("default-src 'none'", answer["Content-Security-Policy"])
                self.assertEqual(answer["X-Content-Type-Options"], "nosniff")
                self.assertEqual(answer["Cross-Origin-Resource-Policy"], "same-origin")
                self.assertEqual(answer["X-Frame-Options"], "DENY")
        self.assertEqual(answers["no boundary"].status_code, 400)
        self.assertEqual(answers["another host"].status_code, 400)

    def test_every_csv_says_its_characters(self) -> None:
        key = self.open()["key"]
        for path in ("bench.csv", "map.csv", "candidates.csv", "parts.csv"):
            answer = self.client.get(f"/api/v1/builds/{key}/{path}")
            if answer.status_code == 200:
                self.assertEqual(answer["Content-Type"], "text/csv; charset=utf-8", path)


class Odd(ApiCase):
    """What is no text and no number is refused with its place, at every door."""

    def test_text_that_is_none(self) -> None:
        built = self.open()
        key = built["key"]
        for odd in ("\\ud800", "\\u0000", "\\u001b", "a\\r=1+1", "\\u2028", "\\uffff"):
            for path, body in (
                (
                    f"/builds/{key}/actions",
                    '{"base_version": 1, "action": {"type": "change build", '
                    '"changes": {"note": "%s"}}}',
                ),
                (
                    f"/builds/{key}/preview",
                    '{"action": {"type": "change build", "changes": {"note": "%s"}}}',
                ),
                ("/builds", '{"name": "%s"}'),
                ("/entry", '{"text": "%s"}'),
                ("/entries", '{"text": "%s"}'),
                ("/drawer", '{"kind": "cable", "name": "%s"}'),
                (f"/builds/{key}/bench", '{"entries": [{"uid": "1", "step": "%s"}]}'),
                ("/builds/open", '{"text": "%s"}'),
            ):
                answer = self.client.post(
                    f"/api/v1{path}", body % odd, content_type="application/json"
                )
                self.assertEqual(answer.status_code, 422, (path, odd, answer.content))
                self.assertIn("U+", answer.content.decode(), path)
        self.assertEqual(self.call("get", f"/builds/{key}")[1]["version"], built["version"])

    def test_ends_of_lines_are_line_feeds(self) -> None:
        key = self.open()["key"]
        self.act(key, 1, type="change build", changes={"note": "a\r\nb"})
        self.assertEqual(self.call("get", f"/builds/{key}")[1]["doc"]["note"], "a\nb")

    def test_fields_of_a_form_too(self) -> None:
        fields = QueryDict("a=1%0D%0A2&b=3%0D%0A4&b=5")
        found = PlainParser().parse_querydict(fields, ["b"], HttpRequest())
        self.assertEqual(found, {"a": "1\n2", "b": ["3\n4", "5"]})

    def test_numbers_that_do_not_end(self) -> None:
        key = self.open()["key"]
        for number in ("1e999", "NaN", "-Infinity"):
            body = '{"base_version": 1, "action": {"type": "change build", "changes": {"x": %s}}}'
            answer = self.client.post(
                f"/api/v1/builds/{key}/actions", body % number, content_type="application/json"
            )
            self.assertEqual(answer.status_code, 422, number)
        for number in ("nan", "inf", "1e999"):
            answer = self.client.get(f"/api/v1/builds/{key}/flags.pdf?width_mm={number}")
            self.assertEqual(answer.status_code, 422, number)


class Files(TestCase):
    @override_settings(ALLOWED_HOSTS=["testserver"])
    def test_static_files_carry_the_headers_and_the_host_check(self) -> None:
        script = next((settings.WEB_DIST / "assets").glob("*.js")).name
        response = self.client.get(f"/static/assets/{script}")
        self.assertEqual(response.status_code, 200)
        for header in ("Content-Security-Policy", "X-Frame-Options", "X-Content-Type-Options"):
            self.assertIn(header, response, header)
        self.assertIn("immutable", response["Cache-Control"])
        other = self.client.get(f"/static/assets/{script}", HTTP_HOST="evil.example")
        self.assertEqual(other.status_code, 400)

    def test_the_manifest_is_not_served(self) -> None:
        self.assertEqual(self.client.get("/static/.vite/manifest.json").status_code, 404)
