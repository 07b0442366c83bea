"""The typed interface, version 1, and the one place where errors become problem+json."""

from typing import Any

from base.formats import FiniteRenderer, PlainParser
from base.problems import Busy, broke_down, described, of_status, problem
from bench.api import router as bench_router
from builds.actions import NoBuild, name_of
from builds.collisions import StaleEdit
from builds.routes import router
from builds.store import Unreadable
from catalogue.api import router as catalogue_router
from devices.api import router as devices_router
from django.core.exceptions import BadRequest, RequestDataTooBig, SuspiciousOperation
from django.http import HttpRequest, HttpResponse, UnreadablePostError
from django.http.multipartparser import MultiPartParserError
from drawer.api import router as drawer_router
from drawer.store import InUse
from easy_tally import BadInput, EasyTallyError, NotThere, Refused, WouldRelease
from easy_tally.base import NoJson
from jobs.api import router as jobs_router
from jobs.compare_api import router as compare_router
from jobs.question_api import router as question_router
from ninja import NinjaAPI
from ninja.errors import HttpError
from ninja.errors import ValidationError as RequestError
from ninja.security import APIKeyCookie
from owners.models import Owner, current_owner
from readings.api import router as readings_router
from readings.pages_api import router as pages_router
from readings.trainer_api import router as trainer_router


class LocalOwner(APIKeyCookie):
    """Resolves the owner and demands the CSRF token on every write."""

    param_name = "csrftoken"

    def authenticate(self, request: HttpRequest, key: str | None) -> Owner:
        """The owner that this request acts for."""
        return current_owner(request)


class _Described(NinjaAPI):
    def get_openapi_schema(self, **kwargs: Any) -> Any:
        """With every error that an operation may answer."""
        return described(super().get_openapi_schema(**kwargs))


api = _Described(
    title="Easy Tally",
    version="1",
    auth=LocalOwner(),
    docs_url=None,
    parser=PlainParser(),
    renderer=FiniteRenderer(),
    description="Builds, their edits and their computed results. Errors are problem+json.",
)
api.add_router("", router)
api.add_router("", catalogue_router)
api.add_router("", drawer_router)
api.add_router("", jobs_router)
api.add_router("", question_router)
api.add_router("", compare_router)
api.add_router("", bench_router)
api.add_router("", readings_router)
api.add_router("", pages_router)
api.add_router("", trainer_router)
api.add_router("", devices_router)


@api.exception_handler(EasyTallyError)
def _domain_error(request: HttpRequest, error: EasyTallyError) -> HttpResponse:
    match error:
        case BadInput():
            problems = [{"field": f, "required": r, "got": g} for f, r, g in error.problems]
            return problem(422, "bad-input", "That can't be taken", str(error), problems=problems)
        case WouldRelease():
            return problem(
                409,
                "would-release",
                "This would unplug something",
                str(error),
                released=error.released,
            )
        case Refused():
            return problem(422, "refused", "Refused", str(error))
        case NotThere():
            return problem(404, "not-there", "Not in this build", str(error))
        case _:
            return problem(400, "error", "That did not work", str(error))


@api.exception_handler(StaleEdit)
def _stale(request: HttpRequest, error: StaleEdit) -> HttpResponse:
    conflicts = [{"path": p, "yours": y, "theirs": t} for p, y, t in error.conflicts]
    return problem(
        409, "stale", "Changed meanwhile", str(error), version=error.version, conflicts=conflicts
    )


@api.exception_handler(InUse)
def _in_use(request: HttpRequest, error: InUse) -> HttpResponse:
    where = name_of(current_owner(request), error.build)
    have = f"all {error.have} of it are" if error.have > 1 else "it is"
    detail = f"{error.name}: {have} in {where}. Take it out there first."
    return problem(409, "in-use", "In another build", detail, build=error.build)


@api.exception_handler(NoBuild)
def _no_build(request: HttpRequest, error: NoBuild) -> HttpResponse:
    return problem(404, "no-build", "No such build", str(error))


@api.exception_handler(Unreadable)
def _unreadable(request: HttpRequest, error: Unreadable) -> HttpResponse:
    detail = (
        f"{error} Its rows are kept: save what is there, or throw it away, on the list of builds."
    )
    return problem(422, "unreadable", "This build can’t be read", detail)


@api.exception_handler(RequestDataTooBig)
def _too_large(request: HttpRequest, error: RequestDataTooBig) -> HttpResponse:
    return of_status(413)


@api.exception_handler(Busy)
def _busy(request: HttpRequest, error: Busy) -> HttpResponse:
    return problem(503, "busy", "Busy", str(error))


@api.exception_handler(BadRequest)
@api.exception_handler(MultiPartParserError)
@api.exception_handler(SuspiciousOperation)
@api.exception_handler(UnreadablePostError)
def _bad_form(request: HttpRequest, error: Exception) -> HttpResponse:
    return of_status(400)


@api.exception_handler(Exception)
def _broke_down(request: HttpRequest, error: Exception) -> HttpResponse:
    return broke_down(request, error)


@api.exception_handler(HttpError)
def _http_error(request: HttpRequest, error: HttpError) -> HttpResponse:
    """What ninja finds before a route is asked: a body that is no JSON, no token for writing."""
    if isinstance(error.__cause__, NoJson):
        return problem(400, "unreadable", "That can't be read", str(error.__cause__))
    if isinstance(error.__cause__, BadInput):
        return _domain_error(request, error.__cause__)
    if isinstance(error.__cause__, RequestDataTooBig):
        return of_status(413)
    return of_status(error.status_code)


@api.exception_handler(RequestError)
def _bad_request(request: HttpRequest, error: RequestError) -> HttpResponse:
    problems = [
        {
            "field": ".".join(str(x) for x in e["loc"][2:] or e["loc"]),
            "required": str(e.get("ctx", {}).get("error") or e["msg"]),
            "got": repr(e.get("input", ""))[:80],
        }
        for e in error.errors
    ]
    detail = "; ".join(f"{p['field']}: {p['required']}, got {p['got']}" for p in problems)
    return problem(422, "bad-input", "That can't be taken", detail, problems=problems)
