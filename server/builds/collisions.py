"""Two windows on one build: what a write touches, and whether an edit collides with what others
wrote since the version that it was made on."""

from __future__ import annotations

from collections.abc import Iterable
from typing import Any

from easy_tally import Build, SocketRef
from easy_tally.editing import Edit

from builds import models, store
from builds.store import Touched


class StaleEdit(Exception):
    """Somebody changed the same thing meanwhile: `conflicts` holds (path, yours, theirs)."""

    def __init__(self, version: int, conflicts: list[tuple[str, Any, Any]]) -> None:
        self.version = version
        self.conflicts = conflicts
        paths = ", ".join(p for p, _, _ in conflicts)
        super().__init__(f"This was changed meanwhile, in another window or by undo: {paths}.")


class Meanwhile:
    """What was written to a build since the versions that some edits were made on, read once for
    all of them; what they write themselves, one after another, is added."""

    def __init__(self, row: models.Build, base_versions: Iterable[int]) -> None:
        self.began = self.version = row.version
        oldest = min((b for b in base_versions if b >= 1), default=row.version)
        self._theirs: list[tuple[int, list[str]]] = []
        if oldest < row.version:
            later = row.changes.filter(version__gt=oldest)
            self._theirs += [(v, ps) for v, ps in later.values_list("version", "paths") if v]
        #: Each version that was added, with what it touched.
        self.added: list[tuple[int, list[str]]] = []

    def add(self, touched: list[Touched]) -> None:
        """One more version, which touched this."""
        self.version += 1
        self.added.append((self.version, sorted(p for t in touched for p in paths(t))))

    def check(
        self, base_version: int, touched: list[Touched], before: Build, edit: Edit | None
    ) -> None:
        """Raises StaleEdit where what is touched, or asked for, was written since `base_version`;
        `before`: the build as it is now."""
        if base_version == self.version:
            return
        if not 1 <= base_version < self.version:
            raise StaleEdit(self.version, [("version", base_version, self.version)])
        written = [*self._theirs, *self.added]
        theirs = {p for version, ps in written if version > base_version for p in ps}
        mine = {k: v for t in touched for k, v in paths(t).items()}
        if edit is not None:
            mine |= {p: mine.get(p) for p in edit.asks_for() if p not in mine}
        hit = {p for p in mine if any(_meet(p, other) for other in theirs)}
        if hit:
            now = _values(before, hit)
            raise StaleEdit(self.version, [(p, mine[p], now.get(p)) for p in sorted(hit)])


def paths(t: Touched) -> dict[str, Any]:
    """What an entity's change touches, as path → value after it: single fields where the thing
    was there before and after, else the whole of it; of a run the ports, plugs and sockets whose
    use differs."""
    name, before, after = t["entity"], t["before"], t["after"]
    old, new = uses(before), uses(after)
    used = {p: new.get(p) for p in {*old, *new} if old.get(p) != new.get(p)}
    if name.startswith("run:"):
        return used
    if before is None or after is None:
        return {name: after} | used
    paths = used
    for field in after:
        if before.get(field) == after[field] or (field == "connections" and used):
            continue
        if field == "individual" and str(after[field]).startswith("0-"):
            continue  # the one that it had by its name, written down as that changes
        if name == "build" and isinstance(after[field], dict) and before[field] is not None:
            inner = {k: v for k, v in after[field].items() if before[field].get(k) != v}
            paths |= {f"{name}/{field}/{k}": v for k, v in inner.items()}
        else:
            paths[f"{name}/{field}"] = after[field]
    return paths


def uses(image: store.Image | None) -> dict[str, Any]:
    """What a run, or what stands in between, uses: ports, plugs and sockets."""
    if image is None or "connections" not in image:
        return {}
    name = image.get("cable", image.get("key"))
    ports = image.get("ports", ()) if "cable" in image else ()
    uses: dict[str, Any] = {f"port:{p}": name for p in ports}
    if image.get("pinned"):
        uses[f"pin:{name}"] = True
    for c in image["connections"]:
        ref = str(SocketRef.model_construct(**c["socket"]))
        uses |= {f"socket:{ref}": f"{name} {c['plug']}", f"plug:{name}/{c['plug']}": ref}
    return uses


#: Kinds of entities that use plugs and sockets.
_USING = ("run:", "adapter:", "extension:", "backplane:")


def _meet(a: str, b: str) -> bool:
    return a == b or a.startswith(b + "/") or b.startswith(a + "/")


def _values(build: Build, wanted: set[str]) -> dict[str, Any]:
    """Some paths of a build with their values now."""
    names = {p.partition("/")[0] for p in wanted}
    if any(n.startswith(("port:", "socket:", "plug:", "pin:")) for n in names):
        names |= {n for n in store.names(build) if n.startswith(_USING)}
    values: dict[str, Any] = {}
    for name, image in store.entities(build, names).items():
        values |= uses(image)
        if name.startswith("run:"):
            continue
        values[name] = image
        for field, value in image.items():
            values[f"{name}/{field}"] = value
            if name == "build" and isinstance(value, dict):
                values |= {f"{name}/{field}/{k}": v for k, v in value.items()}
    return values


__all__ = ["Meanwhile", "StaleEdit", "paths"]
