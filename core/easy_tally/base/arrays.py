"""NumPy, loaded when it is first used: whoever looks at no readings does without its 16 MB."""

from __future__ import annotations

from typing import TYPE_CHECKING, Any

if TYPE_CHECKING:
    import numpy as np
else:

    class _Numpy:
        def __getattr__(self, name: str) -> Any:
            import numpy

            value = self.__dict__[name] = getattr(numpy, name)
            return value

    np = _Numpy()

__all__ = ["np"]
