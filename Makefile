VENV := .venv
PY := $(VENV)/bin/python
STAMP := $(VENV)/.installed
LINTED := $(VENV)/lint.txt

.PHONY: install demo test lint shots bench clean install-desktop uninstall-desktop deb

install: $(STAMP)

$(STAMP): pyproject.toml requirements.lock tools/system-libraries.sh
	bash tools/system-libraries.sh
	python3 -m venv $(VENV)
	$(PY) -m pip install --quiet --disable-pip-version-check -r requirements.lock
	$(PY) -m pip install --quiet --disable-pip-version-check --no-deps --no-build-isolation -e .
	touch $(STAMP)

demo: install
	$(VENV)/bin/kuffin demo

install-desktop: install
	QT_QPA_PLATFORM=offscreen $(VENV)/bin/kuffin desktop

# a Debian package with all its libraries, out of what is installed here
deb: install
	QT_QPA_PLATFORM=offscreen $(PY) tools/debian_package.py dist

uninstall-desktop: install
	$(VENV)/bin/kuffin desktop --remove

lint: install
	$(VENV)/bin/ruff check src tests benchmarks tools
	$(VENV)/bin/ruff format --check --quiet src tests benchmarks tools
	$(VENV)/bin/mypy
	$(VENV)/bin/lint-imports

# most of the time the tests wait for a window or a clock, so three run side by side on two cores, and lint beside them
test: install
	@$(MAKE) --no-print-directory lint > $(LINTED) 2>&1 & lint=$$!; \
	QT_QPA_PLATFORM=offscreen $(PY) -m pytest -n 3 --dist worksteal; tested=$$?; \
	wait $$lint; linted=$$?; cat $(LINTED); test $$tested -eq 0 -a $$linted -eq 0

shots: install
	QT_QPA_PLATFORM=offscreen $(PY) tools/shots.py docs/screenshots

bench: install
	QT_QPA_PLATFORM=offscreen $(PY) -m benchmarks

clean:
	rm -rf $(VENV) build dist
