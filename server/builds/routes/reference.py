"""What does not change while the application runs."""

from __future__ import annotations

from django.http import HttpRequest
from ninja import Router

from builds import schemas
from builds.reference import reference

router = Router()


@router.get("/reference", response=schemas.ReferenceOut, operation_id="reference")
def get_reference(request: HttpRequest) -> schemas.ReferenceOut:
    """Connectors, words, templates, declared figures and assumptions."""
    return reference()
