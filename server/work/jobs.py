"""The jobs that a worker does: their format, which is all that is trusted, and the doing."""

from __future__ import annotations

import logging
import time
from collections.abc import Callable
from datetime import datetime
from hashlib import sha256
from typing import Annotated, Any, Literal

from easy_tally import Build, EasyTallyError, analyse
from easy_tally.advice import fed, map_it, supplies_that_do
from easy_tally.bench import Act, Noted, Pace
from easy_tally.editing import ChangeBuild, TakeSupply
from easy_tally.files import build_file
from easy_tally.mapping import InStock, Mapping, Progress, Stopped, Wished, wish
from easy_tally.publishing import MapAnswer, fed_words, map_answer
from easy_tally.question import Around, Change, Patience, QuestionAnswer, ask
from easy_tally.supplies import Kit, Source, ranked
from easy_tally.things import Adapter, Cable, Case, Extension, School, Supply, kept, read_kept
from pydantic import BaseModel, ConfigDict, Field, TypeAdapter, ValidationError

_log = logging.getLogger(__name__)
ANSWER: TypeAdapter[MapAnswer] = TypeAdapter(MapAnswer)
#: Of each supply or position: (sockets left unfed, sockets to be fed, what a map comes to).
Unfed = dict[str, tuple[int, int, str]]
UNFED: TypeAdapter[Unfed] = TypeAdapter(Unfed)


#: Seconds in which ways to make a change go are looked for, once it is known whether it goes:
#: somebody waits for the answer.
ANSWERS_S = 1.0


class _Format(BaseModel):
    model_config = ConfigDict(extra="forbid", frozen=True)


class Stock(_Format):
    """A thing that could be had: from the drawer, so many, or bought."""

    cable: Cable | None = None
    adapter: Adapter | None = None
    extension: Extension | None = None
    owned: bool
    price: Annotated[float | None, Field(ge=0)] = None
    free: Annotated[int, Field(ge=0, le=10_000)]

    @classmethod
    def of(cls, in_stock: InStock) -> Stock:
        """As it is sent."""
        kind = type(in_stock.thing).__name__.lower()
        fields = {"owned": in_stock.owned, "free": in_stock.free, "price": in_stock.price}
        return cls.model_validate({kind: in_stock.thing, **fields})

    def came(self) -> InStock | None:
        """As it is worked with."""
        thing = self.cable or self.adapter or self.extension
        if thing is None:
            return None
        return InStock(thing=thing, owned=self.owned, free=self.free, price=self.price)


class KitSent(_Format):
    """A supply with its cables; `elsewhere`: it is in another build."""

    slug: Annotated[str, Field(max_length=200)]
    source: Source
    supply: Supply
    cables: Annotated[tuple[Cable, ...], Field(max_length=1000)]
    elsewhere: bool = False
    price: Annotated[float | None, Field(ge=0)] = None

    @classmethod
    def of(cls, kit: Kit) -> KitSent:
        """As it is sent."""
        return cls(
            slug=kit.slug,
            source=kit.source,
            supply=kit.supply,
            cables=kit.cables,
            elsewhere=kit.source == "owned" and bool(kit.builds),
            price=kit.price,
        )

    def came(self) -> Kit:
        """As it is worked with."""
        return Kit(self.slug, self.source, self.supply, self.cables, price=self.price)


class _Job(_Format):
    #: What it is called where somebody waits behind it.
    called: Annotated[str, Field(max_length=200)]
    #: The build, as its file.
    document: Annotated[str, Field(max_length=8_000_000)]
    year: Annotated[int, Field(ge=2000, le=9999)]


class PaceSent(_Format):
    """Usual seconds of a step by its family, and of any step."""

    of: Annotated[dict[str, float], Field(max_length=200)] = {}
    usual: float | None = None

    @classmethod
    def of_pace(cls, pace: Pace) -> PaceSent:
        """As it is sent."""
        return cls(of=dict(pace.of), usual=pace.usual)

    def came(self) -> Pace:
        """As it is worked with."""
        return Pace(of=self.of, usual=self.usual)


class MapAsked(_Job):
    """A map: what is wished, what could be had, supplies that could be taken."""

    kind: Literal["map"] = "map"
    what: Wished
    part: Annotated[str, Field(max_length=100)] = ""
    stock: Annotated[list[Stock], Field(max_length=2000)] = []
    kits: Annotated[list[KitSent], Field(max_length=2000)] = []
    pace: PaceSent = PaceSent()


class FeedsAsked(_Job):
    """How many sockets each of some supplies leaves unfed, by its slug; the best `most` of them."""

    kind: Literal["feeds"] = "feeds"
    kits: Annotated[list[KitSent], Field(max_length=2000)]
    most: Annotated[int, Field(ge=0, le=2000)] = 2000


class RulesAsked(_Job):
    """What a map comes to by each of some positions of house rules: (rule, position)."""

    kind: Literal["rules"] = "rules"
    positions: Annotated[list[tuple[str, str]], Field(max_length=60)]


class NotedSent(_Format):
    """An entry of a machine's record, as far as its standing follows from it."""

    step: Annotated[str, Field(max_length=300)]
    kind: Annotated[str, Field(max_length=20)]
    at: datetime
    acts: Annotated[list[tuple[str, str, str]], Field(max_length=6_000)] = []

    @classmethod
    def of(cls, entry: Noted) -> NotedSent:
        """As it is sent."""
        return cls(
            step=entry.step,
            kind=entry.kind,
            at=entry.at,
            acts=[(a.act, a.thing, a.place) for a in entry.acts],
        )

    def came(self) -> Noted:
        """As it is worked with."""
        return Noted(self.step, self.kind, self.at, acts=tuple(Act(*a) for a in self.acts))  # type: ignore[arg-type]


class AroundSent(_Format):
    """What a question is answered by, beside the build."""

    stock: Annotated[list[Stock], Field(max_length=2000)] = []
    kits: Annotated[list[KitSent], Field(max_length=2000)] = []
    cases: Annotated[list[Case], Field(max_length=500)] = []
    record: Annotated[list[NotedSent], Field(max_length=100_000)] = []
    known: Annotated[dict[str, dict[str, Any]], Field(max_length=20_000)] = {}
    pace: PaceSent = PaceSent()

    @classmethod
    def of(cls, around: Around) -> AroundSent:
        """As it is sent."""
        return cls(
            stock=[Stock.of(s) for s in around.stock],
            kits=[KitSent.of(k) for k in around.kits],
            cases=list(around.cases),
            record=[NotedSent.of(n) for n in around.record],
            known={id: kept(one) for id, one in (around.known or {}).items()},
            pace=PaceSent.of_pace(around.pace),
        )

    def mark(self) -> str:
        """Tells it from any other."""
        return sha256(self.model_dump_json().encode()).hexdigest()

    def came(self, year: int) -> Around:
        """As it is worked with."""
        return Around(
            year=year,
            stock=tuple(s for s in (x.came() for x in self.stock) if s),
            kits=tuple(k.came() for k in self.kits if not k.elsewhere),
            cases=tuple(self.cases),
            record=tuple(n.came() for n in self.record),
            known={id: read_kept(id, told) for id, told in self.known.items()},
            pace=self.pace.came(),
        )


class QuestionAsked(_Job):
    """A question: a change, and what it is answered by."""

    kind: Literal["question"] = "question"
    change: Change
    around: AroundSent


class QuestionCame(_Format):
    """An answer, and the builds that it tells of: as asked, then by each of its ways."""

    answer: QuestionAnswer
    documents: Annotated[list[Annotated[str, Field(max_length=8_000_000)]], Field(max_length=20)]


class SchoolsAsked(_Job):
    """What becomes of a build under each of some schools."""

    kind: Literal["schools"] = "schools"
    schools: Annotated[list[School], Field(max_length=30)]
    around: AroundSent


class SchoolCame(_Format):
    """The build under one school, by its id: the answer, and the build as that school maps it."""

    id: str
    answer: QuestionAnswer
    document: Annotated[str, Field(max_length=8_000_000)]


SCHOOLS_CAME: TypeAdapter[list[SchoolCame]] = TypeAdapter(list[SchoolCame])
Asked = MapAsked | FeedsAsked | RulesAsked | QuestionAsked | SchoolsAsked
_ASKED: TypeAdapter[Asked] = TypeAdapter(Annotated[Asked, Field(discriminator="kind")])


class Answered(_Format):
    """What came of a job. `stopped`: it was asked to end before it had anything."""

    state: Literal["done", "stopped", "failed"]
    error: Annotated[str, Field(max_length=300)] = ""
    answer: Any = None


class Aside(Exception):
    """A job goes back into the queue: somebody waits for another."""


class Desk:
    """One job as who works on it sees it: says how far it is, and hears when to end."""

    #: Seconds between two looks, so that looking costs nothing.
    LOOK_S = 0.2

    def __init__(
        self,
        tell: Callable[[dict[str, Any]], None],
        wanted: Callable[[], bool],
        others_wait: Callable[[], bool] = lambda: False,
        unfed: Unfed | None = None,
    ) -> None:
        self._tell, self._wanted, self._others_wait = tell, wanted, others_wait
        self._looked, self.off = 0.0, False
        self.said: dict[str, Any] = {"done": 0, "of": 0}
        #: What was found before it was put aside.
        self.unfed: Unfed = unfed or {}

    def tell(self, **what: Any) -> None:
        """Say how far it is."""
        self.said = self.said | what
        self._tell(self.said)

    def stop(self) -> bool:
        """Whether to end."""
        now = time.monotonic()
        if not self.off and now - self._looked > self.LOOK_S:
            self._looked, self.off = now, not self._wanted()
        return self.off

    def make_way(self) -> None:
        """Let others go first, who wait. Raises Aside."""
        if self._others_wait():
            raise Aside


def read(text: str) -> Asked | None:
    """A job that came; None where it is not of the format."""
    try:
        return _ASKED.validate_json(text)
    except ValidationError:
        return None


def do(asked: Asked, desk: Desk) -> Answered:
    """Do a job; whatever breaks, the answer says so."""
    try:
        build = build_file.read(asked.document)
        match asked:
            case MapAsked():
                answer = _map(build, asked, desk)
                state = "stopped" if desk.off and answer.status == "impossible" else "done"
                return Answered.model_validate(
                    {"state": state, "answer": ANSWER.dump_python(answer, mode="json")}
                )
            case QuestionAsked():
                return Answered(state="done", answer=_question(build, asked, desk))
            case SchoolsAsked():
                return Answered(state="done", answer=_schools(build, asked, desk))
            case FeedsAsked():
                _feeds(build, asked, desk)
            case RulesAsked():
                _rules(build, asked, desk)
        return Answered(state="stopped" if desk.off else "done", answer=desk.unfed)
    except Stopped:
        return Answered(state="stopped")
    except Aside:
        raise
    except Exception as error:  # noqa: BLE001 - whatever broke, who asked is told
        known = isinstance(error, EasyTallyError)
        if not known:
            _log.exception("a job broke down")
        said = str(error) if known else type(error).__name__
        return Answered(state="failed", error=said[:300])


def _map(build: Build, asked: MapAsked, desk: Desk) -> MapAnswer:
    def tell(done: int, out_of: int, best: Mapping | None) -> None:
        desk.tell(done=done, of=out_of)

    stock = [s for s in (x.came() for x in asked.stock) if s]
    progress = Progress(tell=tell, stop=desk.stop)
    free = (k.came() for k in asked.kits if not k.elsewhere)
    others = supplies_that_do(build, free, asked.year)
    mapped = map_it(build, wish(build, asked.what, asked.part), stock, progress, others)
    return map_answer(mapped, asked.pace.came().to_move)


def patience(stop: Callable[[], bool] = lambda: False) -> Patience:
    """As long as whoever asks a question waits for ways to make it go, or until it is to `stop`."""
    began: float | None = None

    def used() -> float:
        # From when it is first asked: what decides the verdicts takes what it takes.
        nonlocal began
        began = began or time.monotonic()
        return 2.0 if stop() else (time.monotonic() - began) / ANSWERS_S

    return Patience(used)


def _question(build: Build, asked: QuestionAsked, desk: Desk) -> dict[str, Any]:
    came = ask(build, asked.change, asked.around.came(asked.year), patience(desk.stop))
    # What is new in them is marked as such: whoever takes one gives it an identity.
    documents = [b.model_dump_json() for b in came.builds]
    return QuestionCame(answer=came.answer, documents=documents).model_dump(mode="json")


def _schools(build: Build, asked: SchoolsAsked, desk: Desk) -> list[dict[str, Any]]:
    around = asked.around.came(asked.year)
    several: list[SchoolCame] = []
    for n, school in enumerate(asked.schools):
        desk.tell(done=n, of=len(asked.schools))
        if desk.stop():
            break
        change = Change(words=school.name, edits=(ChangeBuild(house_rules=school.positions),))
        came = ask(build, change, around, patience(desk.stop))
        document = came.builds[0].model_dump_json()
        several.append(SchoolCame(id=school.id, answer=came.answer, document=document))
    return SCHOOLS_CAME.dump_python(several, mode="json")  # type: ignore[no-any-return]


def _feeds(build: Build, asked: FeedsAsked, desk: Desk) -> None:
    kits = ranked([k.came() for k in asked.kits], analyse(build, asked.year).asked)
    bare = build.model_copy(update={"runs": (), "cables": (), "supply": None})
    _each(
        desk,
        {
            c.of.slug: TakeSupply(supply=c.supply, cables=c.of.cables, release=True)
            for c in kits[: asked.most]
        },
        bare,
        asked.year,
    )


def _rules(build: Build, asked: RulesAsked, desk: Desk) -> None:
    edits = {
        f"{rule}:{position}": ChangeBuild(house_rules={rule: position})
        for rule, position in asked.positions
    }
    _each(desk, edits, build, asked.year, said=True)


def _each(
    desk: Desk,
    edits: dict[str, TakeSupply] | dict[str, ChangeBuild],
    build: Build,
    year: int,
    said: bool = False,
) -> None:
    """Tell of each edit what a map leaves unfed after it, as soon as it is known; `said`: in words
    too. Raises Aside."""
    same: dict[str, str] = {}
    for i, (name, edit) in enumerate(edits.items(), 1):
        if name in desk.unfed:
            continue
        if desk.stop():
            return
        desk.make_way()
        try:
            then = edit.apply(build)
            # Several positions are the build as it is.
            like = same.setdefault(then.model_dump_json(), name)
            left = desk.unfed.get(like) or _left(then, year, said)
        except EasyTallyError:
            left = None
        if left is not None:
            desk.unfed = {**desk.unfed, name: left}
        desk.tell(done=i, of=len(edits), unfed=desk.unfed)


def _left(build: Build, year: int, said: bool) -> tuple[int, int, str] | None:
    left = fed(build, year)
    if left is None:
        return None
    return left.unfed, left.needed, fed_words(build, left, year) if said else ""
