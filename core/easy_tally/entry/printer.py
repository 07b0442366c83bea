"""A part printed as a line that reads back to the same part."""

from __future__ import annotations

from ..base.declared import Figure
from ..things.parts import (
    Board,
    Card,
    Cooler,
    Drive,
    Fan,
    Hub,
    LightStrip,
    M2Drive,
    Memory,
    Other,
    Part,
    Processor,
    UsbLoad,
)
from .strict.layout import header_words, m2_words, slot_words, socket_words
from .strict.lexer import quoted
from .words import DRIVES, FIGURES, KIND_WORDS, MEASURES, NAMES, SIGNALS, drive_socket, main_figure


def say(part: Part) -> str:
    """The line of a part: kind and name first, then sockets, figures and the rest."""
    word, key, name = _usual(part)
    words = [word, *([quoted(part.name)] if part.name != name else [])]
    if part.count != 1:
        words.append(f"x{part.count}")
    words += sockets_said(part)
    words += _figures(part)
    words += more_said(part)
    if part.in_box:
        # The lines of boxes stand above this: they are made of what it prints.
        from .kits.boxed import say_in_line

        words.append("boxed:" + quoted(say_in_line(part.in_box)))
    if part.note:
        words.append("note:" + quoted(part.note))
    if part.key != key:
        words.append(f"key:{part.key}")
    if part.catalogue:
        words.append(f"from:{part.catalogue}")
    return " ".join(words)


def kind_word(part: Part) -> str:
    """The words that say what a part is."""
    return _usual(part)[0]


def _usual(part: Part) -> tuple[str, str, str]:
    """Kind word, key and name that the part's line has where nothing else is said."""
    match part:
        case Drive():
            word, key, name, _ = DRIVES[part.form]
            return (word if part.form != "2.5" else "drive 2.5in"), key, name
        case Fan():
            return "fan", "fan", f"Fan {part.size_mm} mm"
        case LightStrip():
            return "strip", "strip", f"Light strip {part.volts} V"
        case Memory():
            generation = part.generation.removesuffix("-registered").upper()
            return "memory", "memory", f"Memory {generation} module"
        case _:
            return KIND_WORDS[part.kind], part.kind, NAMES[part.kind]


def sockets_said(part: Part) -> list[str]:
    """The words of a part's sockets, where they are not the usual ones."""
    if "sockets" not in type(part).model_fields:
        return []
    usual = (drive_socket(part.form, part.data),) if isinstance(part, Drive) else ()
    return socket_words(part.kind, part.sockets, usual)


def _figures(part: Part) -> list[str]:
    figures = []
    for named in FIGURES[part.kind]:
        figure: Figure | None = getattr(part, named.field)
        if figure is not None:
            main = main_figure(part.kind, named.unit)
            label = "" if main is not None and main.field == named.field else f"{named.word}:"
            figures.append(label + figure_word(figure, named.unit))
    return figures


def figure_word(figure: Figure, unit: str) -> str:
    """`230w`, `220/230/245w`, `0.18a(measured,"by the label")`."""
    values = (figure.low, figure.likely, figure.high)
    text = number_word(figure.low)
    if not figure.low == figure.likely == figure.high:
        text = "/".join(number_word(v) for v in values)
    aside: list[str] = [figure.origin] if figure.origin != "maker" else []
    aside += [quoted(figure.note)] if figure.note else []
    return f"{text}{unit}" + (f"({','.join(aside)})" if aside else "")


def number_word(value: float) -> str:
    """A number that reads back to the same."""
    return str(int(value)) if float(value).is_integer() else repr(float(value))


def more_said(part: Part) -> list[str]:
    """What a kind has besides sockets and figures."""
    return [*_of_its_kind(part), *_signals(part), *measures_said(part), *_hung(part)]


def _of_its_kind(part: Part) -> list[str]:
    words: list[str] = []
    match part:
        case Board():
            words += slot_words(part.slots)
            words += m2_words(part.m2_slots)
            words += header_words("headers", "fan", part.headers, _amps)
            words += ["eps4-in-eps8"] if part.eps4_in_eps8 else []
        case Card():
            words += _card(part)
        case Processor():
            words += _own_spikes(part)
        case Memory():
            words += part.generation.split("-")
        case Drive():
            words += ["power-disable"] if part.power_disable else []
            words += [f"data:{part.data}"] if part.data is not None else []
        case M2Drive():
            words += [f"in:{part.slot}"] if part.slot is not None else []
        case UsbLoad():
            words += [f"port:{part.port}"] if part.port != "outside" else []
        case Fan():
            words.append(f"{part.size_mm}mm")
        case Cooler():
            words.append(f"fans:{part.fans}")
        case LightStrip():
            words.append(f"{part.volts}v")
        case Hub():
            words += header_words("outputs", "out", part.outputs, _amps)
        case Other():
            words += [f"idle-share:{number_word(part.idle_share)}"] * (part.idle_share != 0.5)
        case _:
            pass
    return words


def _signals(part: Part) -> list[str]:
    """Signal ports that it gives."""
    given = ((word, getattr(part, field, None)) for word, field in SIGNALS.items())
    return [f"{word}:{n}" for word, n in given if n is not None]


def _hung(part: Part) -> list[str]:
    """Its USB lead, and what it hangs on."""
    lead: bool | None = getattr(part, "usb_lead", None)
    words = [] if lead is None else ["usb-lead" if lead else "no-usb-lead"]
    on, at = getattr(part, "on", None), getattr(part, "headers", ())
    words += [f"on:{on}"] if on is not None else []
    words += [f"at:{','.join(at)}"] if at and not isinstance(part, Board) else []
    return words


def measures_said(part: Part) -> list[str]:
    """Measures and places of a part, where they are not the usual ones."""
    words = []
    for word, (field, choices) in MEASURES.get(part.kind, {}).items():
        value = getattr(part, field)
        if value == type(part).model_fields[field].default:
            continue
        said = {v: k for k, v in (choices or {}).items()}
        words.append(f"{word}:{said[value] if said else number_word(value)}")
    return words


def _amps(figure: Figure) -> str:
    return figure_word(figure, "a")


def _card(part: Card) -> list[str]:
    # `x8` of a card with plugs may be its lanes: where they are said, it is a count.
    may_be_lanes = part.count in (8, 16) and bool(part.sockets)
    words = [f"{part.lanes}lanes"] if part.lanes != 16 or may_be_lanes else []
    words += [f"in:{part.slot}"] if part.slot is not None else []
    words += [f"m2-slots:{part.m2_slots}"] if part.m2_slots is not None else []
    words += [f"limit:{number_word(part.power_limit)}"] if part.power_limit != 1 else []
    words += ["plain"] if part.use == "plain" else []
    words += ["spikes:worst"] if part.spikes != "usual" else []
    return words + _own_spikes(part)


def _own_spikes(part: Card | Processor) -> list[str]:
    if part.spike_factors is None:
        return []
    return ["spikes:" + "/".join(number_word(f) for f in part.spike_factors)]
