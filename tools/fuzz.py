"""`make fuzz`: broken input for every reader of ours, 100,000 each; the same seed, the same inputs.

make fuzz                    all readers
make fuzz TIMES=5000 READER=photos SEED=3
"""

from __future__ import annotations

import argparse
import os
import sys
import tempfile
import time
import warnings
from concurrent.futures import ProcessPoolExecutor
from pathlib import Path

ROOT = Path(__file__).resolve().parent.parent
sys.path[:0] = [str(ROOT / "server"), str(ROOT / "core")]
#: Inputs that one process reads in a row.
_PIECE = 2500


def _piece(name: str, seed: int, count: int) -> list[tuple[str, str, str]]:
    with tempfile.TemporaryDirectory() as folder:
        os.environ |= {
            "EASY_TALLY_VAR": folder,
            "DJANGO_SETTINGS_MODULE": "config.settings",
            "EASY_TALLY_TESTING": "1",
        }
        import django

        django.setup()
        warnings.simplefilter("ignore")
        from keeping.tests import fuzzing

        return [tuple(f) for f in fuzzing.faults(name, seed, count)]


def _names() -> list[str]:
    with ProcessPoolExecutor(1) as pool:
        return pool.submit(_readers).result()


def _readers() -> list[str]:
    _piece("lines", 0, 0)
    from keeping.tests import fuzzing

    return list(fuzzing.READERS)


def main() -> int:
    """1 where a reader broke."""
    p = argparse.ArgumentParser(description=__doc__)
    p.add_argument("--times", type=int, default=100_000)
    p.add_argument("--reader", default="", help="one of them; all otherwise")
    p.add_argument("--seed", type=int, default=1)
    args = p.parse_args()
    broke = 0
    for name in [args.reader] if args.reader else _names():
        begun, kinds = time.perf_counter(), {}
        pieces = [min(_PIECE, args.times - i) for i in range(0, args.times, _PIECE)]
        with ProcessPoolExecutor() as pool:
            seeds = range(args.seed * 1_000_000, args.seed * 1_000_000 + len(pieces))
            for faults in pool.map(_piece, [name] * len(pieces), seeds, pieces):
                kinds |= {trace.splitlines()[-2]: (given, trace) for _, given, trace in faults}
        took = time.perf_counter() - begun
        print(f"{name:12} {args.times:,} read in {took:.0f} s: {len(kinds)} faults", flush=True)
        for given, trace in kinds.values():
            print(f"  {given}\n{trace}", flush=True)
        broke += bool(kinds)
    return 1 if broke else 0


if __name__ == "__main__":
    sys.exit(main())
