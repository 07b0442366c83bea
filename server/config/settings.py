"""Settings. Everything that a start makes (database, secret key) lies in `var/`."""

import os
import secrets
import sys
from pathlib import Path

ROOT = Path(__file__).resolve().parent.parent.parent
VAR = Path(os.environ.get("EASY_TALLY_VAR", ROOT / "var"))
try:
    VAR.mkdir(parents=True, exist_ok=True)
except OSError as error:
    sys.exit(f"Easy Tally: {VAR} can't be made ({error.strerror}): point EASY_TALLY_VAR elsewhere.")
TESTING = "test" in sys.argv[1:2] or os.environ.get("EASY_TALLY_TESTING") == "1"
#: A key shorter than this was not written to its end.
_KEY_CHARACTERS = 50


def _secret_key() -> str:
    """The key made at the first start; readable by its owner alone, never in the repository. It is
    written beside its place and then put there, so that it is there whole or not at all; of two
    starts at once both take the one that was put there first."""
    path = VAR / "secret-key"
    if not (path.exists() and len(path.read_text()) >= _KEY_CHARACTERS):
        part = VAR / f"secret-key.{os.getpid()}"
        handle = os.open(part, os.O_WRONLY | os.O_CREAT | os.O_TRUNC, 0o600)
        with os.fdopen(handle, "w") as file:
            file.write(secrets.token_urlsafe(50))
            file.flush()
            os.fsync(file.fileno())
        try:
            os.link(part, path)
        except FileExistsError:
            if len(path.read_text()) < _KEY_CHARACTERS:
                os.replace(part, path)
        part.unlink(missing_ok=True)
    return path.read_text()


def _see_that_it_can_be_written() -> None:
    """Raises OSError where nothing can be written, or no room is left for a database."""
    probe = VAR / f"probe.{os.getpid()}"
    try:
        with probe.open("wb") as file:
            file.write(bytes(1_000_000))
            file.flush()
            os.fsync(file.fileno())
    finally:
        probe.unlink(missing_ok=True)


try:
    if "manage.py" in sys.argv[0]:
        _see_that_it_can_be_written()
    SECRET_KEY = _secret_key()
except OSError as error:
    sys.exit(
        f"Easy Tally: {VAR} can't be used ({error.strerror}): give yourself the right to write "
        "there, make room, or point EASY_TALLY_VAR at another folder."
    )
DEBUG = os.environ.get("EASY_TALLY_DEBUG") == "1"
HOSTS = os.environ.get("EASY_TALLY_HOSTS", "")
ALLOWED_HOSTS = ["127.0.0.1", "localhost", "[::1]", *(h for h in HOSTS.split(",") if h)]
#: Served beyond loopback, cookies travel over TLS only.
SESSION_COOKIE_SECURE = CSRF_COOKIE_SECURE = bool(HOSTS)
CSRF_COOKIE_SAMESITE = "Strict"

INSTALLED_APPS = [
    "django.contrib.contenttypes",
    "ninja",
    "owners",
    "catalogue",
    "drawer",
    "builds",
    "bench",
    "jobs",
    "readings",
    "devices",
    "keeping",
]
MIDDLEWARE = [
    # What every answer carries, whoever makes it.
    "django.middleware.security.SecurityMiddleware",
    "config.security.content_security_policy",
    "django.middleware.clickjacking.XFrameOptionsMiddleware",
    "base.problems.as_problems",
    "devices.gate.host_and_door",
    "config.security.no_hidden_files",
    # Files after what every answer carries.
    "whitenoise.middleware.WhiteNoiseMiddleware",
    "django.middleware.common.CommonMiddleware",
    "django.middleware.csrf.CsrfViewMiddleware",
    "base.problems.caught",
]
LOGGING = {
    "version": 1,
    "disable_existing_loggers": False,
    "formatters": {"line": {"format": "{asctime} {levelname} {name}: {message}", "style": "{"}},
    "handlers": {"console": {"class": "logging.StreamHandler", "formatter": "line"}},
    # What a request has wrong is told in its answer; faults are logged with their id.
    "loggers": {
        "django.request": {"level": "ERROR"},
        # Requests wait for a thread whenever a page asks for several things: no news.
        "waitress": {"level": "WARNING"},
        "waitress.queue": {"level": "ERROR"},
        "django.security.DisallowedHost": {"level": "CRITICAL"},
    },
    "root": {"handlers": ["console"], "level": "ERROR" if TESTING else "WARNING"},
}
if "EASY_TALLY_SLOW_MS" in os.environ:
    MIDDLEWARE.insert(0, "config.slow.slow")
X_FRAME_OPTIONS = "DENY"
ROOT_URLCONF = "config.urls"
WSGI_APPLICATION = "config.wsgi.application"
TEMPLATES = [
    {
        "BACKEND": "django.template.backends.django.DjangoTemplates",
        "DIRS": [ROOT / "server" / "config" / "templates"],
    }
]

_PRAGMAS = "PRAGMA foreign_keys=ON;"
DATABASES = {
    "default": {
        "ENGINE": "django.db.backends.sqlite3",
        "NAME": os.environ.get("EASY_TALLY_DB", str(VAR / "easy-tally.sqlite3")),
        "OPTIONS": {
            "transaction_mode": "IMMEDIATE",
            "timeout": 20,
            # No WAL in tests: their database file is copied for parallel processes.
            "init_command": _PRAGMAS
            if TESTING
            else f"PRAGMA journal_mode=WAL; PRAGMA synchronous=FULL; {_PRAGMAS}",
        },
        "CONN_MAX_AGE": None,
        "TEST": {"NAME": str(VAR / "test.sqlite3")},
    }
}
#: Tasks run where they are asked for: in tests, and where no worker is started.
TASKS_AT_ONCE = TESTING or os.environ.get("EASY_TALLY_TASKS") == "at once"
#: The queue of files to be read, beside the database; that of maps lies there too, or at a broker:
#: then workers may stand on several machines.
QUEUE = VAR / "queue.sqlite3"
BROKER = os.environ.get("EASY_TALLY_BROKER", "")
WORKERS_AT = "" if TASKS_AT_ONCE else BROKER or str(QUEUE)
DEFAULT_AUTO_FIELD = "django.db.models.BigAutoField"
USE_TZ = True
TIME_ZONE = "UTC"
USE_I18N = False
#: Largest request body: a build file of the largest size that the core reads, as UTF-8 JSON.
DATA_UPLOAD_MAX_MEMORY_SIZE = 8_000_000

#: What Vite builds is served as it lies there; its file names carry their hashes.
WEB_DIST = ROOT / "web" / "dist"
STATIC_URL = "/static/"
STATIC_ROOT = WEB_DIST
DEMO = ROOT / "demo"
#: What ships as catalogue: parts, supplies with what is in their box, cases.
CATALOGUE = ROOT / "catalogue"

WHITENOISE_INDEX_FILE = False


def WHITENOISE_IMMUTABLE_FILE_TEST(path: str, url: str) -> bool:  # a setting of WhiteNoise
    """Vite puts every hashed file under assets/."""
    return url.startswith("/static/assets/")


TEST_RUNNER = "config.runner.CountingRunner"
