"""The second listener: there while a door is open, and not a moment longer. It serves the same
application, which is told by its environment, never by a header, that a request came this way."""

from __future__ import annotations

import asyncio
import contextlib
import os
import socket
import ssl
import tempfile
import threading
import time
from collections.abc import Callable, Iterable
from pathlib import Path
from typing import Any

import waitress
from waitress import wasyncore

#: What the environment of a request has that came through the door.
MARK = "easy_tally.door"
#: Seconds between two looks at the clock; between two whether it is still wanted (its build may be
#: gone); until a listener must have ended.
_LOOKS_S, _ASKS_S, _ENDS_S = 0.25, 2.0, 5.0
#: Connections at once, threads for them: some devices at a bench, not a crowd.
_CONNECTIONS, _THREADS = 60, 6

Application = Callable[[dict[str, Any], Any], Iterable[bytes]]


def certificate() -> tuple[Path, Path] | None:
    """The owner's certificate and key, where EASY_TALLY_DOOR_CERT and _KEY name them."""
    paths = [os.environ.get(f"EASY_TALLY_DOOR_{end}", "") for end in ("CERT", "KEY")]
    return (Path(paths[0]), Path(paths[1])) if all(paths) else None


def outside_url() -> str:
    """Where a proxy in front of the door answers, as EASY_TALLY_DOOR_URL names it; "": none."""
    return os.environ.get("EASY_TALLY_DOOR_URL", "").rstrip("/")


def is_private() -> bool:
    """Whether what goes to and fro is hidden from others on the network."""
    return outside_url().startswith("https:") or certificate() is not None


class Listener:
    """One open listener, which ends by itself at its hour."""

    def __init__(
        self,
        application: Application,
        channel: Any,
        is_wanted: Callable[[], bool],
        at: tuple[str, int],
        until: float,
    ) -> None:
        """Bind and begin. Raises OSError (the address is taken or not this machine's; the
        certificate can't be read)."""
        self.until, self._is_wanted = until, is_wanted
        tls = certificate()
        outside = socket.socket(socket.AF_INET, socket.SOCK_STREAM)
        self._folder: tempfile.TemporaryDirectory[str] | None = None
        try:
            context = _tls(tls) if tls else None
            outside.setsockopt(socket.SOL_SOCKET, socket.SO_REUSEADDR, 1)
            outside.bind(at)
            outside.listen(64)
            inside = self._behind_tls() if context else outside
        except BaseException:
            outside.close()
            raise
        self.port: int = outside.getsockname()[1]
        self._ends = threading.Event()
        self._map: dict[int, Any] = {}
        self._server = waitress.create_server(
            _marked(application),
            map=self._map,
            sockets=[inside],
            threads=_THREADS,
            connection_limit=_CONNECTIONS,
            channel_timeout=60,
            asyncore_use_poll=True,
        )
        self._server.channel_class = channel
        self._threads = [threading.Thread(target=self._serve, daemon=True)]
        if context:
            relay = threading.Thread(
                target=self._relay, args=(outside, context, inside.getsockname()), daemon=True
            )
            self._threads.append(relay)
        for thread in self._threads:
            thread.start()

    @property
    def is_open(self) -> bool:
        """Whether it listens."""
        return not self._ends.is_set() and time.time() < self.until

    def close(self) -> None:
        """End it, with every connection that it has."""
        self._ends.set()
        for thread in self._threads:
            if thread is not threading.current_thread():
                thread.join(_ENDS_S)

    def _behind_tls(self) -> socket.socket:
        """What the relay hands on to: a socket in a folder that is this user's alone."""
        self._folder = tempfile.TemporaryDirectory(prefix="easy-tally-door-")
        inside = socket.socket(socket.AF_UNIX, socket.SOCK_STREAM)
        inside.bind(f"{self._folder.name}/s")
        return inside

    def _serve(self) -> None:
        """Answer until it is asked to end, or its time is over."""
        looked = time.monotonic()
        try:
            while self.is_open:
                wasyncore.loop(timeout=_LOOKS_S, use_poll=True, map=self._map, count=1)
                if time.monotonic() - looked > _ASKS_S:
                    looked = time.monotonic()
                    if not self._is_wanted():
                        break
        finally:
            # Whatever ended it, a database that can't be asked too: nothing listens any more.
            self._ends.set()
            self._server.task_dispatcher.shutdown(timeout=1)
            wasyncore.close_all(self._map, ignore_all=True)
            if self._folder:
                self._folder.cleanup()

    def _relay(self, outside: socket.socket, context: ssl.SSLContext, inside: str) -> None:
        """Take TLS off what comes and hand it on."""

        async def one(reader: asyncio.StreamReader, writer: asyncio.StreamWriter) -> None:
            with contextlib.suppress(OSError, asyncio.IncompleteReadError):
                far_reader, far_writer = await asyncio.open_unix_connection(inside)
                await asyncio.gather(_pipe(reader, far_writer), _pipe(far_reader, writer))

        async def run() -> None:
            server = await asyncio.start_server(one, sock=outside, ssl=context)
            while self.is_open:
                await asyncio.sleep(_LOOKS_S)
            server.close()

        asyncio.run(run())


async def _pipe(reader: asyncio.StreamReader, writer: asyncio.StreamWriter) -> None:
    """Hand on until one side ends."""
    with contextlib.suppress(OSError):
        while some := await reader.read(65_536):
            writer.write(some)
            await writer.drain()
    with contextlib.suppress(OSError, RuntimeError):
        writer.close()


def _tls(paths: tuple[Path, Path]) -> ssl.SSLContext:
    """Raises OSError (a file can't be read, or is no certificate with its key)."""
    context = ssl.SSLContext(ssl.PROTOCOL_TLS_SERVER)
    context.minimum_version = ssl.TLSVersion.TLSv1_2
    context.load_cert_chain(*paths)
    return context


def _marked(application: Application) -> Application:
    def serve(environ: dict[str, Any], start_response: Any) -> Iterable[bytes]:
        environ[MARK] = True
        if is_private():
            environ["wsgi.url_scheme"] = "https"
        return application(environ, start_response)

    return serve


class Doorway:
    """Where the door of this process stands, if one is open. Only a server that serves has one."""

    def __init__(self) -> None:
        self._make: Callable[[str, int, float], Listener] | None = None
        self._listener: Listener | None = None
        self._turn = threading.Lock()

    def serve(self, application: Application, channel: Any, is_wanted: Callable[[], bool]) -> None:
        """Be able to open from now on; one that is not wanted any more closes by itself."""
        self._make = lambda address, port, until: Listener(
            application, channel, is_wanted, (address, port), until
        )

    @property
    def can_open(self) -> bool:
        """Whether this process serves."""
        return self._make is not None

    @property
    def is_open(self) -> bool:
        """Whether something listens."""
        return self._listener is not None and self._listener.is_open

    def open(self, address: str, port: int, until: float) -> int:
        """Listen there until then [s since 1970] and nowhere else; the port. Raises OSError."""
        with self._turn:
            self._close()
            if self._make is None:
                raise OSError("this process does not serve")
            try:
                self._listener = self._make(address, port, until)
            except OSError as error:
                if isinstance(error, ssl.SSLError | FileNotFoundError) or not port:
                    raise
                self._listener = self._make(address, 0, until)  # the usual port is taken
            return self._listener.port

    def close(self) -> None:
        """Listen no more."""
        with self._turn:
            self._close()

    def _close(self) -> None:
        if self._listener:
            self._listener.close()
            self._listener = None


doorway = Doorway()
