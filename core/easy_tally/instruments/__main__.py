"""`python -m easy_tally.instruments FILE`: simulated instruments of a build on a local socket, or
as CSV."""

from __future__ import annotations

import argparse
import sys
from pathlib import Path

from ..analysis import analyse
from ..base.errors import EasyTallyError
from ..base.units import TALLY_STATES, State
from ..files import build_file, readings_csv
from ..readings import channels_of, parse
from ..simulate import FAULT_KINDS, Fault, Running, Scene, places, plant
from .serving import serve


def _states(text: str) -> tuple[tuple[State, float], ...]:
    states: list[tuple[State, float]] = []
    for part in text.split(","):
        name, _, seconds = part.partition(":")
        state = next((s for s in TALLY_STATES if s == name), None)
        if state is None or state == "sleep":
            raise argparse.ArgumentTypeError(f"idle:30,everyday:60,full:120; got {text}")
        states.append((state, float(seconds or 60)))
    return tuple(states)


def _arguments() -> argparse.Namespace:
    p = argparse.ArgumentParser(prog="easy_tally.instruments", description=__doc__)
    p.add_argument("file", type=Path, help="a build file")
    p.add_argument("--port", type=int, help="serve on this port of this machine (0: any)")
    p.add_argument("--csv", type=Path, help="write CSV instead; - for standard output")
    p.add_argument("--channels", help="which, with commas between; all that there are otherwise")
    p.add_argument("--states", type=_states, default=Scene().states)
    p.add_argument("--rate", type=float, default=10.0, help="samples a second")
    p.add_argument("--seed", type=int, default=1)
    p.add_argument("--speed", type=float, default=1.0, help="times real time; 0: at once")
    p.add_argument("--fault", choices=FAULT_KINDS)
    p.add_argument("--at", help="the socket that the fault is at; the first that can have it")
    return p.parse_args()


def main() -> int:
    """Run it; 2 for what can't be read."""
    args = _arguments()
    try:
        a = analyse(build_file.read(args.file.read_text(encoding="utf-8")))
        scene = Scene(states=args.states, rate_hz=args.rate, seed=args.seed)
        running = Running(a, scene)
        if args.fault:
            at = args.at or next(iter(places(a, args.fault)), "")
            running = plant(a, Fault(kind=args.fault, at=at), scene).running
        chosen = map(parse, args.channels.split(",")) if args.channels else channels_of(a)
        readings = running.readings(chosen)
        if args.csv:
            out = sys.stdout if str(args.csv) == "-" else args.csv.open("w", encoding="utf-8")
            out.writelines(readings_csv.write(readings))
            out.flush()
        else:
            serve(readings, args.port or 0, args.speed, lambda p: print(f"port {p}", flush=True))
    except (EasyTallyError, OSError, ValueError) as error:
        print(error, file=sys.stderr)
        return 2
    return 0


if __name__ == "__main__":
    sys.exit(main())
