"""Edits: made, previewed, undone, brought back."""

from __future__ import annotations

from django.http import HttpRequest, HttpResponse
from easy_tally.publishing import Compact
from ninja import Router
from owners.models import owner_of

from builds import actions, results, schemas
from builds.routes.answering import answer, dump, written

router = Router()


@router.post("/builds/{key}/actions", response=schemas.WrittenOut, operation_id="act")
def act(request: HttpRequest, key: str, body: schemas.ActIn) -> HttpResponse:
    """Make one edit."""
    return written(actions.act(owner_of(request), key, body.base_version, body.action))


@router.post("/builds/{key}/preview", response=schemas.PreviewOut, operation_id="preview")
def preview(request: HttpRequest, key: str, body: schemas.ActIn) -> HttpResponse:
    """The result that an edit would have. Writes nothing."""
    owner = owner_of(request)
    build = actions.preview(owner, key, body.action)
    return answer(
        ("version", dump(int, body.base_version)),
        ("result", dump(Compact, results.work_out(owner.pk, build).result)),
    )


@router.post("/builds/{key}/undo", response=schemas.WrittenOut, operation_id="undo")
def undo(request: HttpRequest, key: str, body: schemas.BaseIn) -> HttpResponse:
    """Take the last change back."""
    return written(actions.undo(owner_of(request), key, body.base_version))


@router.post("/builds/{key}/redo", response=schemas.WrittenOut, operation_id="redo")
def redo(request: HttpRequest, key: str, body: schemas.BaseIn) -> HttpResponse:
    """Bring the last undone change back."""
    return written(actions.redo(owner_of(request), key, body.base_version))
