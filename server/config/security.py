"""The content security policy: nothing from outside, no inline script; a nonce for styles."""

import secrets
from collections.abc import Callable

from django.http import HttpRequest, HttpResponse, HttpResponseNotFound

Handler = Callable[[HttpRequest], HttpResponse]


def content_security_policy(get_response: Handler) -> Handler:
    """Put the policies on every response."""

    def middleware(request: HttpRequest) -> HttpResponse:
        request.csp_nonce = secrets.token_urlsafe(16)  # type: ignore[attr-defined]
        response = get_response(request)
        nonce = request.csp_nonce  # type: ignore[attr-defined]
        response["Content-Security-Policy"] = (
            "default-src 'none'; script-src 'self'; connect-src 'self'; font-src 'self'; "
            "img-src 'self' data: blob:; manifest-src 'self'; "
            f"style-src 'self' 'nonce-{nonce}'; "
            "base-uri 'none'; form-action 'self'; frame-ancestors 'none'"
        )
        # No other page shows a photo or reads a file whose address it knows.
        response["Cross-Origin-Resource-Policy"] = "same-origin"
        return response

    return middleware


def no_hidden_files(get_response: Handler) -> Handler:
    """Serve nothing whose name begins with a dot."""

    def middleware(request: HttpRequest) -> HttpResponse:
        if "/." in request.path:
            return HttpResponseNotFound("There is nothing here.", content_type="text/plain")
        return get_response(request)

    return middleware
