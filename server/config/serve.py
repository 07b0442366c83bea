"""The server of the application: `python -m config.serve PORT`, on loopback."""

import sys

import waitress
from django.db import DatabaseError
from work.worker import end_with_parent

from config.bounds import MOST_READINGS, BoundedChannel
from config.wsgi import application


def main(port: str) -> None:
    """Serve until the process ends. Requests are read whole before a thread is given to them: one
    that idles or drips holds none. Threads: edits of one build that wait there go in together, so
    that many at once are answered sooner than one after another. Each has a millisecond at a time
    where several are busy, not Python's five: who asks for little waits a third as long."""
    from devices import letting
    from devices.listening import doorway
    from keeping import copies, starting  # the applications are set up by config.wsgi

    end_with_parent()
    try:
        starting.refuse_later()
    except (copies.Damaged, OSError, DatabaseError) as error:
        sys.exit(f"Easy Tally: {starting.words(error)}")
    sys.setswitchinterval(0.001)
    server = waitress.create_server(
        application,
        listen=f"127.0.0.1:{port}",
        threads=16,
        connection_limit=1000,
        channel_timeout=60,
        max_request_body_size=MOST_READINGS,
        asyncore_use_poll=True,
    )
    server.channel_class = BoundedChannel
    doorway.serve(application, BoundedChannel, lambda: letting.current() is not None)
    letting.reopen()
    server.run()


if __name__ == "__main__":
    main(sys.argv[1])
