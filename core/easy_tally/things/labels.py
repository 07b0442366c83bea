"""What contradicts itself on a supply's label."""

from __future__ import annotations

from .supply import Supply

#: How far a label's rounding may go. Source: assumption.
ROUNDING = 0.05


def label_problems(s: Supply) -> list[tuple[str, str, str]]:
    """Rails that contradict the rated watts, each as (field, required, got): one rail alone over
    the rating, or all rails together not reaching half of it."""
    if not s.rated_w:
        return []
    label_problems = []
    for field, volts in (("v12_a", 12.0), ("v5_a", 5.0), ("v3v3_a", 3.3)):
        amps = getattr(s, field)
        if amps is not None and amps * volts > s.rated_w * (1 + ROUNDING):
            most = f"at most {s.rated_w:g} W ÷ {volts:g} V = {s.rated_w / volts:.1f} A"
            label_problems.append((field, most, f"{amps:g} A"))
    if s.combined_w is not None and s.combined_w > s.rated_w:
        label_problems.append(("combined_w", f"at most its {s.rated_w:g} W", f"{s.combined_w:g} W"))
    if s.v12_a is not None and s.combined_w is not None:
        most_w = s.v12_a * 12 + s.combined_w + 5 * (s.v5sb_a or 0) + 12 * (s.vneg12_a or 0)
        if most_w < s.rated_w * (1 - ROUNDING):
            got = f"{s.rated_w:g} W"
            label_problems.append(
                ("rated_w", f"at most what its rails give together, {most_w:.0f} W", got)
            )
    return label_problems
