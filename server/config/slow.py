"""Answers held back at random, to find what only works on a quick machine.

`EASY_TALLY_SLOW_MS=800 make test T=builds.tests.test_browser_work` runs the browser tests so.
"""

import os
import random
import time
from collections.abc import Callable

from django.http import HttpRequest, HttpResponse

LONGEST_MS = float(os.environ.get("EASY_TALLY_SLOW_MS", "0"))


def slow(get_response: Callable[[HttpRequest], HttpResponse]) -> Callable[..., HttpResponse]:
    """Holds each answer back before and after the work, up to LONGEST_MS in all [ms]."""

    def respond(request: HttpRequest) -> HttpResponse:
        time.sleep(random.uniform(0, LONGEST_MS / 2000))
        response = get_response(request)
        time.sleep(random.uniform(0, LONGEST_MS / 2000))
        return response

    return respond
