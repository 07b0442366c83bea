"""The map: what a picked end can be connected with."""

from __future__ import annotations

from base.downloads import as_file
from django.http import HttpRequest, HttpResponse
from easy_tally import BadInput, SocketRef
from easy_tally.advice import judged
from easy_tally.files import loom_pdf, loom_svg, map_csv
from easy_tally.wiring import Offers, offers_for_plug, offers_for_socket
from ninja import Router
from owners.models import owner_of

from builds import actions, results, schemas
from builds.routes.answering import answer, dump

router = Router()


@router.get("/builds/{key}/map.csv", operation_id="mapCsv")
def map_file(request: HttpRequest, key: str) -> HttpResponse:
    """The connection list as CSV."""
    analysis = results.analysis(actions.find(owner_of(request), key))
    name = f"{analysis.build.name} connections"
    return as_file(map_csv.write(analysis), "text/csv; charset=utf-8", name, "csv")


@router.get("/builds/{key}/loom.svg", operation_id="loomSvg")
def loom_picture(request: HttpRequest, key: str) -> HttpResponse:
    """The Loom as SVG."""
    worked = results.worked(actions.find(owner_of(request), key))
    name = f"{worked.result.name} loom"
    return as_file(loom_svg.write(worked.result), "image/svg+xml", name, "svg")


@router.get("/builds/{key}/loom.pdf", operation_id="loomPdf")
def loom_page(request: HttpRequest, key: str) -> HttpResponse:
    """The Loom as PDF."""
    worked = results.worked(actions.find(owner_of(request), key))
    name = f"{worked.result.name} loom"
    return as_file(loom_pdf.write(worked.result), "application/pdf", name, "pdf")


@router.get("/builds/{key}/offers", response=schemas.OffersOut, operation_id="offers")
def offers(
    request: HttpRequest,
    key: str,
    socket: str | None = None,
    cable: str | None = None,
    plug: str | None = None,
) -> HttpResponse:
    """What a picked socket, or a picked plug, can be connected with."""
    row = actions.find(owner_of(request), key)
    found_of = results.analysis(row)
    wired = found_of.wired
    if socket is not None:
        try:
            ref = SocketRef.read(socket)
        except ValueError as error:
            raise BadInput([("socket", "part#instance/socket", repr(socket)[:80])]) from error
        offers_found = offers_for_socket(wired, ref)
    elif cable is not None and plug is not None:
        offers_found = offers_for_plug(wired, cable, plug)
    else:
        raise BadInput([("socket", "a socket, or a cable and its plug", "neither")])
    return answer(
        ("version", dump(int, row.version)),
        ("offers", dump(Offers, judged(found_of, offers_found))),
    )
