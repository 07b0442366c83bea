# Two commands on a fresh machine: `make demo` and `make test`. Each installs what it needs.
PY := .venv/bin/python
MANAGE := $(PY) server/manage.py
PORT ?= 8000
STAMPS := .stamps
WEB_SOURCES := $(shell find web/src web/public -type f 2>/dev/null) web/package.json web/package-lock.json web/vite.config.ts

.PHONY: demo dev test quick lint hooks measures wheel try-wheel screenshots bench soak fuzz worker prove web schemas clean
.DEFAULT_GOAL := demo

# What the machine lacks is said before anything is installed.
$(STAMPS)/tools: tools/check-tools
	@tools/check-tools
	@mkdir -p $(STAMPS)
	@touch $@

$(STAMPS)/python: requirements.txt $(STAMPS)/tools
	@mkdir -p $(STAMPS)
	python3 -m venv .venv
	.venv/bin/pip install --quiet --disable-pip-version-check -r requirements.txt
	@touch $@

$(STAMPS)/python-dev: requirements.txt requirements-dev.txt $(STAMPS)/python
	.venv/bin/pip install --quiet --disable-pip-version-check -r requirements-dev.txt
	@touch $@

$(STAMPS)/node: web/package.json web/package-lock.json $(STAMPS)/tools
	@mkdir -p $(STAMPS)
	cd web && npm ci --no-fund --no-audit --loglevel=error
	@touch $@

$(STAMPS)/web: $(STAMPS)/node $(WEB_SOURCES)
	cd web && npm run --silent build -- --logLevel warn
	@touch $@

web: $(STAMPS)/web

# Debian's Chromium, for the browser tests and the pictures.
$(STAMPS)/chromium:
	@mkdir -p $(STAMPS)
	@command -v chromium >/dev/null || tools/install-chromium
	@touch $@

demo: $(STAMPS)/python $(STAMPS)/web
	@$(MANAGE) load_demo --migrate --port $(PORT)
	@echo "Easy Tally is at http://127.0.0.1:$(PORT)/   (Ctrl-C stops it; builds are kept in var/)"
	@exec tools/serve $(PORT)

dev: $(STAMPS)/python $(STAMPS)/node
	@$(MANAGE) load_demo --migrate
	@echo "Open http://127.0.0.1:5173/ ; the server reloads, the page too."
	@EASY_TALLY_DEBUG=1 EASY_TALLY_TASKS="at once" $(MANAGE) runserver 127.0.0.1:8000 & trap 'kill %1' EXIT; cd web && npm run --silent dev

# Core first, then server and browser; the last line counts them all.
test: $(STAMPS)/python-dev $(STAMPS)/web $(STAMPS)/chromium
	@$(MANAGE) test --noinput --parallel 2 $(if $(T),$(T),core server)

# What a change touches, in under a minute: while one works.
quick: $(STAMPS)/python-dev
	@$(PY) tools/quick.py

lint: $(STAMPS)/python-dev $(STAMPS)/node
	.venv/bin/ruff check core server tools
	.venv/bin/ruff format --check core server tools
	PYTHONPATH=core:server .venv/bin/lint-imports --no-cache
	$(PY) tools/vague.py
	cd server && ../.venv/bin/mypy --config-file ../pyproject.toml ../core/easy_tally base config owners catalogue drawer builds bench jobs readings devices keeping work
	cd web && npm run --silent types && npm run --silent lint

screenshots: $(STAMPS)/python-dev $(STAMPS)/web $(STAMPS)/chromium
	$(PY) tools/screenshots.py

bench: $(STAMPS)/python-dev $(STAMPS)/web $(STAMPS)/chromium
	$(PY) tools/bench.py

# What the code is like inside, row by row, beside what it is to reach.
measures: $(STAMPS)/python-dev $(STAMPS)/node
	$(PY) tools/measures.py

# The quick half of `make lint` before each commit.
hooks:
	git config core.hooksPath tools/hooks

# Kills, floods, idle connections, full disks: a few minutes on loopback; no part of `make test`.
soak: $(STAMPS)/python-dev $(STAMPS)/web
	$(PY) tools/soak.py

# Broken input for every reader, TIMES each, from SEED; READER: one of them.
fuzz: $(STAMPS)/python-dev
	$(PY) tools/fuzz.py --times $(or $(TIMES),100000) --seed $(or $(SEED),1) --reader "$(READER)"

# A worker on this or another machine: EASY_TALLY_BROKER has the address of the server's broker.
worker: $(STAMPS)/python
	@exec tools/worker

# The second computation, every map of small builds, every fact taken away, what is kept between
# edits: TIMES as many seeds as
# `make test` takes, on two processors. 30 times is a few thousand builds and some hours.
prove: $(STAMPS)/python-dev
	@cd core && for part in 1/2 2/2; do \
	  EASY_TALLY_TIMES=$(or $(TIMES),5) EASY_TALLY_PART=$$part ../$(PY) -m unittest -q \
	    tests.test_oracle tests.test_exhaustive tests.test_less_known tests.test_reuse & pids="$$pids $$!"; \
	done; for pid in $$pids; do wait $$pid || exit 1; done

# The snapshots in docs/, and the front end's types from them.
schemas: $(STAMPS)/python $(STAMPS)/node
	cd server && ../$(PY) -m config.snapshots
	cd web && npm run --silent api

# One file that installs without Node and without the repository; and a try of it as a user has it.
wheel: $(STAMPS)/python $(STAMPS)/web
	$(PY) tools/wheel/build.py

try-wheel: wheel
	tools/wheel/try.sh

clean:
	rm -rf $(STAMPS) .venv web/node_modules web/dist build dist
