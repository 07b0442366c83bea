"""Signal ports: demand against supply, counted by hand; what nobody states is never enough."""

from __future__ import annotations

import unittest
from typing import Any

from easy_tally.analysis import Analysis, Finding, analyse
from easy_tally.editing import ChangePart, RemovePart
from easy_tally.publishing import compact
from easy_tally.standards.signals import BOARD_GIVES, M2_SWITCHES_OFF, SIGNAL_FIELDS, SignalKind
from easy_tally.tally.signals import SignalCount
from easy_tally.things.build import Build
from easy_tally.things.case import Case
from easy_tally.things.parts import (
    Card,
    Cooler,
    Fan,
    Header,
    Hub,
    M2Drive,
    M2Slot,
    Part,
    Pump,
    Socket,
    UsbLoad,
)
from hypothesis import given
from hypothesis import strategies as st

from .helpers import board, build, disk, exact, supply, told

NO_PORTS: dict[str, Any] = dict.fromkeys(SIGNAL_FIELDS.values(), 0)


def _board(**more: Any) -> Any:
    """A board that has none of these ports but those named."""
    return board(**(NO_PORTS | {"m2_slots": ()} | more))


def _slots(*off: tuple[int, ...]) -> tuple[M2Slot, ...]:
    return tuple(M2Slot(key=f"m2-{n + 1}", off=ports) for n, ports in enumerate(off))


def _m2(count: int = 1, **more: Any) -> M2Drive:
    return M2Drive(key=more.pop("key", "m2"), name="M.2", count=count, full_w=exact(6), **more)


def _plain(**more: Any) -> Card:
    fields = {"key": "card", "name": "Plain", "use": "plain", "board_power_w": exact(5)}
    return Card(**(fields | more))


def _count(b: Build, kind: SignalKind) -> SignalCount:
    return next(c for c in analyse(b).signals.counts if c.kind == kind)


def _found(b: Build, id: str) -> Finding | None:
    return next((f for f in analyse(b).findings if f.id == id), None)


def _text(b: Build, id: str) -> str:
    found = compact(analyse(b))
    return next((m.text for m in (*told(found), *found.notes) if m.id == id), "")


class SataPorts(unittest.TestCase):
    def test_ten_disks_on_six_ports_are_four_short(self) -> None:
        b = build(_board(sata_ports=6), disk(10))
        self.assertEqual(_count(b, "sata").short, 4)
        self.assertEqual(_text(b, "signal.sata"), "10 needed: 10 × Disk. There are 6. 4 short.")
        self.assertEqual(_count(build(_board(sata_ports=10), disk(10)), "sata").verdict, "enough")

    def test_a_storage_card_adds_its_own(self) -> None:
        card = _plain(sata_ports=8)
        self.assertEqual(
            _count(build(_board(sata_ports=2), disk(10), card), "sata").there, (10, 10)
        )
        unsaid = build(_board(sata_ports=2), disk(10), _plain())
        self.assertEqual(_count(unsaid, "sata").verdict, "unknown")
        graphics = build(_board(sata_ports=2), disk(10), Card(key="card", name="Graphics"))
        self.assertEqual(_count(graphics, "sata").verdict, "short")

    def test_a_ribbon_takes_none_and_an_old_plug_does_not_tell(self) -> None:
        old = (Socket(key="power", kind="per4"),)
        for data, needed in (
            ("ribbon", (0, 0)),
            ("expander", (0, 0)),
            ("sata", (1, 1)),
            (None, (0, 1)),
        ):
            b = build(_board(), disk(sockets=old, data=data))
            self.assertEqual(_count(b, "sata").needed, needed)

    def test_a_used_slot_switches_ports_off(self) -> None:
        """Of six ports two are dead with a drive in m2-1, in either slot where m2-2 has its own."""
        one = build(_board(sata_ports=6, m2_slots=_slots((5, 6))), disk(5), _m2())
        self.assertEqual(_count(one, "sata").there, (4, 4))
        self.assertIn("switch off 2 of the board’s. 1 short.", _text(one, "signal.sata"))
        free = build(_board(sata_ports=6, m2_slots=_slots((5, 6), ())), disk(6), _m2())
        self.assertEqual(_count(free, "sata").verdict, "enough")
        self.assertEqual(
            _text(free, "signal.keep-free"),
            "Leave free: m2-1 would switch off SATA data ports 5 and 6.",
        )
        both = build(_board(sata_ports=6, m2_slots=_slots((5, 6), (6,))), disk(4), _m2(2))
        self.assertEqual(_count(both, "sata").there, (4, 4))
        placed = build(_board(sata_ports=6, m2_slots=_slots((5, 6), ())), disk(6), _m2(slot="m2-1"))
        self.assertEqual(_count(placed, "sata").short, 2)

    def test_slots_that_nobody_states_may_switch_off_two(self) -> None:
        b = build(_board(sata_ports=6, m2_slots=None), disk(5), _m2())
        self.assertEqual(_count(b, "sata").there, (4, 6))
        self.assertEqual(_count(b, "sata").verdict, "unknown")
        self.assertEqual(
            _count(build(_board(sata_ports=6, m2_slots=None), disk(7), _m2()), "sata").verdict,
            "short",
        )

    def test_a_slot_switches_off_ports_of_its_board_only(self) -> None:
        with self.assertRaisesRegex(ValueError, "m2-1 to switch off .* it has 4, no 5"):
            _board(sata_ports=4, m2_slots=_slots((5,)))


class Slots(unittest.TestCase):
    def test_drives_against_slots_of_board_and_adapter(self) -> None:
        b = build(_board(m2_slots=_slots((), ())), _m2(3))
        self.assertEqual(_count(b, "m2").short, 1)
        more = build(_board(m2_slots=_slots((), ())), _m2(3), _plain(m2_slots=1))
        self.assertEqual(_count(more, "m2").verdict, "enough")

    def test_a_named_slot_is_one_of_the_board_and_free(self) -> None:
        for drives, why in (
            ([_m2(slot="m2-9")], "an M.2 slot that the board has; no m2-9, it has m2-1"),
            ([_m2(slot="m2-1"), _m2(key="b", slot="m2-1")], "a free M.2 slot; M.2 is in m2-1"),
        ):
            with self.assertRaisesRegex(ValueError, why):
                build(_board(m2_slots=_slots(())), *drives)

    def test_taking_a_slot_away_names_the_drive(self) -> None:
        b = build(_board(m2_slots=_slots(())), _m2(slot="m2-1"))
        edit = ChangePart(part="board", changes={"m2_slots": []}, release=True)
        after = edit.apply(b).part("m2")
        self.assertIsNone(after and after.slot)  # type: ignore[union-attr]
        with self.assertRaisesRegex(Exception, "M.2 from m2-1"):
            edit.model_copy(update={"release": False}).apply(b)


class Usb(unittest.TestCase):
    def test_controllers_the_supply_and_the_front(self) -> None:
        """Hub, cooler and supply: one each; the case's front one more."""
        case = Case(name="Case", front_usb2=1, front_usb3=0, front_usbc=0, front_audio=0)
        parts = (
            Hub(key="hub", name="Hub", usb_lead=True),
            Cooler(key="cooler", name="Cooler", usb_lead=True),
        )
        b = build(_board(usb2_headers=2), *parts, case=case, supply=supply(telemetry_lead=True))
        self.assertEqual(_count(b, "usb2").needed, (4, 4))
        self.assertEqual(_count(b, "usb2").short, 2)

    def test_a_hub_inside_takes_one_and_gives_its_own(self) -> None:
        inside = UsbLoad(key="usb", name="Hub", draw_w=exact(2), port="usb2", usb2_headers=3)
        b = build(_board(usb2_headers=1), inside, Hub(key="hub", name="Fans", usb_lead=True))
        self.assertEqual((_count(b, "usb2").needed, _count(b, "usb2").there), ((2, 2), (4, 4)))

    def test_a_lead_that_nobody_states_is_perhaps_one(self) -> None:
        hub = Hub(key="hub", name="Fans")
        self.assertEqual(_count(build(_board(), hub), "usb2").verdict, "unknown")
        self.assertEqual(_count(build(_board(usb2_headers=1), hub), "usb2").verdict, "enough")
        self.assertIn(
            "0 to 1 needed (perhaps Fans), 0 there", _text(build(_board(), hub), "signal.unknown")
        )

    def test_what_the_board_does_not_state_is_unknown_once(self) -> None:
        """Four SATA data ports are usual, two of which an M.2 slot may switch off; one M.2 slot."""
        self.assertIsNone(_found(build(board(), disk(2), _m2()), "signal.unknown"))
        b = build(board(), disk(3), _m2(2))
        found = _found(b, "signal.unknown")
        self.assertEqual(found and found.severity, "unknown")
        self.assertEqual(
            {r.find.field for r in found.remedies if r.find} if found else (),
            {"sata_ports", "m2_slots"},
        )
        self.assertEqual(len([f for f in analyse(b).findings if f.id.startswith("signal")]), 1)

    def test_without_a_board_there_is_nothing_to_count_against(self) -> None:
        found = analyse(build(disk(2), _m2())).findings
        self.assertEqual([f.id for f in found if f.id.startswith("signal")], [])
        self.assertIn("No board", [m.title for m in told(compact(analyse(build(_m2()))))])


class Speeds(unittest.TestCase):
    """Fans against headers whose speed is seen."""

    def _fans(self, count: int, **more: Any) -> Fan:
        return Fan(key="fan", name="Fan", count=count, rated_a=exact(0.1), **more)

    def test_five_fans_on_four_headers(self) -> None:
        headers = tuple(Header(key=f"fan-{n}", limit_a=exact(1)) for n in (1, 2, 3, 4))
        b = build(_board(headers=headers), self._fans(5))
        self.assertEqual(
            _text(b, "signal.speeds"),
            "Of 5 fans and pumps on headers, 1 show no speed: 2 share fan-1 of Board.",
        )
        self.assertEqual(
            _found(build(_board(headers=headers), self._fans(4)), "signal.speeds"), None
        )

    def test_a_header_that_reads_none_and_a_hub_that_passes_one_on(self) -> None:
        dumb = (Header(key="fan-1", limit_a=exact(1), speed=False),)
        self.assertIn(
            "1 show no speed", _text(build(_board(headers=dumb), self._fans(1)), "signal.speeds")
        )
        hub = Hub(
            key="hub",
            name="Hub",
            sockets=(Socket(key="power", kind="sata"),),
            outputs=tuple(Header(key=f"out-{n}") for n in (1, 2, 3)),
        )
        b = build(_board(), hub, self._fans(3, on="hub"))
        self.assertEqual(analyse(b).signals.speeds.unseen, 2)
        told = hub.model_copy(
            update={"outputs": tuple(h.model_copy(update={"speed": True}) for h in hub.outputs)}
        )
        self.assertEqual(
            analyse(build(_board(), told, self._fans(3, on="hub"))).signals.speeds.unseen, 0
        )

    def test_a_hub_with_outputs_to_spare_takes_them(self) -> None:
        headers = (Header(key="fan-1", limit_a=exact(1)),)
        outputs = tuple(Header(key=f"out-{n}", speed=True, limit_a=exact(1)) for n in (1, 2))
        hub = Hub(
            key="hub", name="Hub", sockets=(Socket(key="power", kind="sata"),), outputs=outputs
        )
        b = build(_board(headers=headers), hub, self._fans(2))
        found = _found(b, "signal.speeds")
        edit = found.remedies[0].edit if found else None
        assert edit is not None
        self.assertEqual(_found(edit.apply(b), "signal.speeds"), None)


@st.composite
def _machines(draw: Any) -> Build:
    """Boards with any signal figures, known or not, and things that need and give them."""
    some = st.none() | st.integers(0, 3)
    slots = draw(
        st.none()
        | st.lists(st.sampled_from([(), (1,), (2, 3), (3,)]), max_size=3).map(lambda x: _slots(*x))
    )
    own = _board(
        **{f: draw(some) for f in SIGNAL_FIELDS.values() if f not in ("m2_slots", "sata_ports")},
        sata_ports=draw(st.none() | st.integers(3, 5)),
        m2_slots=slots,
    )
    parts: list[Part] = [own, disk(draw(st.integers(1, 6)))]
    leads = st.sampled_from([None, True, False])
    if draw(st.booleans()):
        parts.append(_m2(draw(st.integers(1, 4))))
    if draw(st.booleans()):
        parts.append(_plain(sata_ports=draw(some), m2_slots=draw(some), usb2_headers=draw(some)))
    if draw(st.booleans()):
        parts.append(Hub(key="hub", name="Hub", usb_lead=draw(leads)))
    if draw(st.booleans()):
        parts.append(
            UsbLoad(key="usb", name="Usb", draw_w=exact(1), port="usb2", usb2_headers=draw(some))
        )
    fronts = {f: draw(some) for f in ("front_usb2", "front_usb3", "front_usbc", "front_audio")}
    case = draw(st.none() | st.just(Case(name="Case", **fronts)))
    return build(*parts, case=case)


_ORDER = ("enough", "unknown", "short")


def _verdicts(a: Analysis) -> list[int]:
    return [_ORDER.index(c.verdict) for c in a.signals.counts]


class Properties(unittest.TestCase):
    @given(_machines())
    def test_one_more_to_feed_never_improves(self, b: Build) -> None:
        before = _verdicts(analyse(b))
        pump = Pump(key="pump", name="Pump")
        for more in (
            disk(1, key="more"),
            _m2(key="more-m2"),
            Hub(key="more-hub", name="H", usb_lead=True),
            pump,
        ):
            after = _verdicts(analyse(b.model_copy(update={"parts": (*b.parts, more)})))
            self.assertTrue(all(x >= y for x, y in zip(after, before, strict=True)))

    @given(_machines())
    def test_less_knowledge_of_the_board_is_never_enough(self, b: Build) -> None:
        """Of a board that has what boards usually have at the least."""
        for kind, field in SIGNAL_FIELDS.items():
            said = getattr(b.board(), field)
            if said is None or (said if isinstance(said, int) else len(said)) < BOARD_GIVES[kind]:
                continue
            if kind == "m2" and sum(len(slot.off) for slot in said) > M2_SWITCHES_OFF:
                continue
            less = ChangePart(part="board", changes={field: None}).apply(b)
            for old, new in zip(_verdicts(analyse(b)), _verdicts(analyse(less)), strict=True):
                self.assertFalse(new == 0 and old > 0, field)

    @given(_machines())
    def test_what_is_added_mends_what_was_short(self, b: Build) -> None:
        for found in analyse(b).findings:
            if not found.id.startswith("signal.") or found.severity != "failed":
                continue
            self.assertTrue(found.remedies)
            for remedy in found.remedies:
                assert remedy.edit is not None
                self.assertIsNone(_found(remedy.edit.apply(b), found.id), remedy.id)

    @given(_machines())
    def test_taking_something_out_never_makes_it_short(self, b: Build) -> None:
        for key in ("disk", "m2", "hub"):
            if b.part(key):
                after = _verdicts(analyse(RemovePart(part=key, release=True).apply(b)))
                self.assertTrue(
                    all(x <= y for x, y in zip(after, _verdicts(analyse(b)), strict=True))
                )
