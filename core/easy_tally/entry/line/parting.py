"""The slots of a line by the thing that they are of."""

from __future__ import annotations

from .amounts import Line
from .heads import Misread, kind_of
from .patterns import Slot

#: Roles that say how many.
COUNTS = ("count", "kit", "kit of", "sized", "multiple")
#: Kinds of which what comes with them is a thing of its own.
_BY_THEMSELVES = ("disk", "drive", "ssd", "m2", "memory", "optical", "floppy")

#: Role of what holds of more of the same too → what it says, where nothing else says that.
_ALIKE = {"length": "size", "bare": "size", "figure": "figure", "each": "figure"}

#: One thing: the slots that name its kind, and all others.
Parted = tuple[list[Slot], list[Slot]]


def parted(slots: tuple[Slot, ...], line: Line) -> list[Parted]:
    """Slots by the thing that they are of: a kind behind `with` or `for` is no thing of its own,
    and two stand apart only where something parts them. Raises Misread."""
    parting = _Parting(line)
    for slot in slots:
        parting.take(slot)
    parting.share_what_is_not_said_again()
    return parting.groups


class _Parting:
    """Slots taken one by one."""

    def __init__(self, line: Line) -> None:
        self.line = line
        self.groups: list[Parted] = [([], [])]
        #: Groups that are more of what another is of, each with that one's slots.
        self.more: list[tuple[list[Slot], list[Slot]]] = []
        #: Whether something parts what comes from the last kind, and the word or mark.
        self.is_parted, self.joined = False, ""
        #: Whether what comes is said of the thing before: behind `with`, or behind `for`.
        self.is_under, self.is_with = False, False

    def take(self, slot: Slot) -> None:
        """Take the next slot."""
        kinds, own = self.groups[-1]
        if slot.role == "kind":
            self._take_kind(kinds, own, slot)
            return
        if slot.role == "more placed":
            self._take_more(kinds, own, slot)
            return
        if slot.role == "sized" and (behind := _behind_sized(own)):
            self.groups.append(([], [*own[behind:], slot]))
            del own[behind:]
            return
        if slot.role == "break" or self.line.text(slot.at) in ("and", "&", "or"):
            self.joined, self.is_parted = self.line.text(slot.at), True
            goes_on = not self.is_with or _is_of(kinds, "cooler", "card")  # `for fans and lights`
            self.is_under &= self.joined == "and" and goes_on
        elif slot.role in ("with", "for") and kinds:
            self.is_under, self.is_with = True, slot.role == "with"
        own.append(slot)

    def _take_more(self, kinds: list[Slot], own: list[Slot], slot: Slot) -> None:
        """`three fans in front, two on top`: more of the same; behind a number of all of them,
        `five fans, three in front and two on top`, how many are where. Raises Misread."""
        n, place, *size = slot.value
        is_apart = self.is_parted or self.line.text(slot.at - 1) == ":"
        if not (kinds and is_apart and _is_of(kinds, "fan")):
            raise Misread
        if any(s.role == "place" for s in own):
            at = slot.at + 1
            said = [slot._replace(role="count", value=n, to=at)]
            said.append(slot._replace(role="place", value=place, at=at))
            said += [slot._replace(role="length", value=mm, at=at) for mm in size]
            self.groups.append(([kinds[-1]], said))
            self.more.append((said, own))
            return
        if size:
            raise Misread
        shared = next((s for s in own if s.role == "shared out"), None)
        if shared is not None:
            own[own.index(shared)] = shared._replace(value=shared.value + n, to=slot.to)
        else:
            own.append(slot._replace(role="shared out", value=n))

    def share_what_is_not_said_again(self) -> None:
        """`three 140 mm fans in front, two on top`: all of a size, and all draw alike."""
        for own, others in self.more:
            said = {_ALIKE.get(s.role) for s in own}
            if "size" in said:
                continue  # others, of which nobody said what they draw
            own += [s for s in others if s.role in _ALIKE and _ALIKE[s.role] not in said]

    def _take_kind(self, kinds: list[Slot], own: list[Slot], slot: Slot) -> None:
        if not kinds:
            kinds.append(slot)
        elif self._is_bus(slot):
            own.append(slot._replace(role="told"))  # what it stands in
            return
        elif self._is_bus(kinds[0]) and not self.is_parted and not self._names_a_card(slot):
            own.append(kinds[0]._replace(role="told"))
            kinds[0] = slot
        elif self._is_fan_of(kinds, slot):
            own.append(self._fans_of(kinds, own, slot))
        elif _is_of(kinds, "cooler") and kind_of(slot) == "usb":
            own.append(slot._replace(role="under"))  # what its lead goes to
        elif _is_of(kinds, "cooler") and kind_of(slot) == "pump" and self._stands_apart():
            raise Misread  # its own
        elif self.is_under and not self._is_by_itself(kinds, own, slot):
            at = slot.at  # `for a 360 radiator`: the number is its own
            its_own = ("count", "bare", "length", *(() if self.is_with else ("figure", "each")))
            while own and own[-1].role in its_own and own[-1].to == at:
                at = own.pop().at
            own.append(slot._replace(role="under", at=at))
            return
        elif (self.is_parted or self.is_under) and _are_two(kinds, own, slot):
            self.groups.append(([slot], _right_before(own, slot)))
        else:
            kinds.append(slot)
        self.is_parted = False

    def _is_bus(self, slot: Slot) -> bool:
        return self.line.text(slot.at) in ("pcie", "pci") and slot.to == slot.at + 1

    def _names_a_card(self, slot: Slot) -> bool:
        words = {t.text for t in self.line.tokens}
        return kind_of(slot) == "card" or not words.isdisjoint({"card", "cards", "adapter"})

    def _fans_of(self, kinds: list[Slot], own: list[Slot], slot: Slot) -> Slot:
        is_counted = any(s.role == "count" and s.at >= kinds[-1].to for s in own)
        if _is_of(kinds, "hub") and self.is_under and not is_counted:
            return slot._replace(role="under")  # `hub for fans`
        return _fans(own, kinds, slot)

    def _is_by_itself(self, kinds: list[Slot], own: list[Slot], slot: Slot) -> bool:
        """Whether what comes with a thing, or is counted behind what it is for, is another."""
        if self.is_with:
            one, other = kind_of(kinds[0]), kind_of(slot)
            return one in _BY_THEMSELVES or (one == "processor" and other in _BY_THEMSELVES)
        return self.is_parted and bool(own) and own[-1].role == "count"

    def _stands_apart(self) -> bool:
        return self.is_parted and not self.is_under

    def _is_fan_of(self, kinds: list[Slot], slot: Slot) -> bool:
        """Whether it is the fans that something has."""
        if kind_of(slot) != "fan" or not (_is_of(kinds, "card", "hub") or _is_cooler(kinds)):
            return False
        # `card 300 W, 3 fans` is a list; of a cooler they are its own.
        is_listed = self.joined in ("and", "+", ";") or (
            self.joined == "," and str(slot.value) == "fans" and not _is_cooler(kinds)
        )
        return self.is_under or not is_listed


def _is_cooler(kinds: list[Slot]) -> bool:
    return _is_of(kinds, "cooler") or "Air" in str(kinds[0].value)


def _is_of(kinds: list[Slot], *names: str) -> bool:
    return any(kind_of(k) in names for k in kinds)


def _are_two(kinds: list[Slot], own: list[Slot], slot: Slot) -> bool:
    """Whether a name that stands apart is of another thing: not modules of memory, of which one
    count is said, nor things that hang on USB, uncounted; of the same name only with a count of its
    own."""
    names = {kind_of(kinds[0]), kind_of(slot)}
    counts = [i for i, s in enumerate(own) if s.role in COUNTS]
    if (names == {"memory"} and len(counts) < 2) or (names == {"usb"} and not counts):
        return False
    if slot.value not in {k.value for k in kinds}:
        return True
    breaks = [i for i, s in enumerate(own) if s.role == "break"]
    if not breaks:
        return False
    is_told = {s.role for s in own[: breaks[-1]]} & {"figure", "each", "sockets", "rail"}
    before_it = ("count", "figure", "loose", "filler", "described")
    is_next = all(s.role in before_it for s in own[breaks[-1] + 1 :])
    return (len(counts) > 1 and counts[-1] > breaks[-1]) or (bool(is_told) and is_next)


def _behind_sized(own: list[Slot]) -> int:
    """Where what follows other fans of a size begins, behind what parts them; 0 for nowhere."""
    sized = [i for i, s in enumerate(own) if s.role == "sized"]
    breaks = [i for i, s in enumerate(own) if s.role == "break"]
    return breaks[-1] + 1 if sized and breaks and breaks[-1] > sized[-1] else 0


def _right_before(own: list[Slot], kind: Slot) -> list[Slot]:
    """What stands right before a second kind is its own: taken out of what came before."""
    taken: list[Slot] = []
    while (
        own
        and own[-1].role not in ("break", "mark")
        and own[-1].to == (taken[0].at if taken else kind.at)
    ):
        taken.insert(0, own.pop())
    return taken


def _fans(own: list[Slot], kinds: list[Slot], slot: Slot) -> Slot:
    """The fans of something, with the count that stands last behind a place, taken out, and its
    figure named theirs: one where a fan is said without. Raises Misread where fans are."""
    behind = kinds[-1].to
    while (
        _is_of(kinds, "cooler")
        and own
        and own[-1].role in ("length", "bare")
        and own[-1].to == slot.at
    ):
        own.pop()  # their size, not the radiator's
    for i in range(len(own) - 1, -1, -1):
        other = own[i]
        is_figure = other.role in ("figure", "each") and other.value[0] == ""
        if is_figure and other.at >= behind and not _is_of(kinds, "fan"):
            own[i] = other._replace(value=("fan", other.value[1]))
        if other.role == "count" and other.at >= behind:
            return slot._replace(role="fans", value=int(own.pop(i).value), at=other.at)
    if str(slot.value) == "fans":
        raise Misread
    return slot._replace(role="fans", value=1)
