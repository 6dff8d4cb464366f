"""Parts as CSV and JSON: out for others, and in from others."""

from __future__ import annotations

import csv
import io
import json
from collections.abc import Mapping, Sequence
from dataclasses import dataclass, field
from pathlib import Path
from typing import Any

from kuffin.core.base.csvtext import cell
from kuffin.core.base.csvtext import plain as plain_cell
from kuffin.core.base.errors import BenchError, NotebookError
from kuffin.core.base.numbers import typed_number
from kuffin.core.base.saying import say
from kuffin.core.bench.parts import KINDS, kind_of, read_field, show_field
from kuffin.notebook.entities import Part, Sample
from kuffin.notebook.store import Notebook

_PLAIN = ("kind", "name", "maker", "price", "currency", "claim", "claim_where", "note", "samples")


_MOST_BYTES = 20_000_000


@dataclass(frozen=True, kw_only=True)
class ReadPart:
    """A part as a file has it."""

    kind: str
    name: str
    values: dict[str, Any]
    fields: dict[str, Any]
    samples: tuple[tuple[str, str], ...] = field(default=(("1", ""),))


def to_csv(parts: Sequence[Part]) -> str:
    """Parts as CSV: the usual columns, then every field that any of their kinds has."""
    keys = list(dict.fromkeys(f.key for k in KINDS.values() for f in k.kept if any(p.kind == k.key for p in parts)))
    out = io.StringIO()
    writer = csv.writer(out, lineterminator="\n")
    writer.writerow([*_PLAIN, *keys])
    for part in parts:
        fields = {f.key: show_field(f, part.fields.get(f.key)) for f in kind_of(part.kind).kept}
        samples = "; ".join(s.label + (f" ({s.came})" if s.came else "") for s in part.live_samples)
        price = "" if part.price is None else f"{part.price:g}"
        plain = [
            part.kind,
            part.name,
            part.maker,
            price,
            part.currency,
            part.claim,
            part.claim_where,
            part.note,
            samples,
        ]
        writer.writerow([cell(c) for c in (*plain, *(fields.get(k, "") for k in keys))])
    return out.getvalue()


def to_json(parts: Sequence[Part]) -> str:
    """Parts as JSON: a list of objects."""
    listed = [
        {
            "kind": p.kind,
            "name": p.name,
            "maker": p.maker,
            "price": p.price,
            "currency": p.currency,
            "claim": p.claim,
            "claim_where": p.claim_where,
            "note": p.note,
            "samples": [{"label": s.label, "came": s.came} for s in p.live_samples],
            "fields": p.fields,
        }
        for p in parts
    ]
    return json.dumps({"parts": listed}, indent=1, ensure_ascii=False) + "\n"


def read_parts(path: Path | str) -> list[ReadPart]:
    """Parts from a CSV or JSON file.

    Raises
    ------
    NotebookError
        Where it is neither, or a part in it makes no sense; the sentence names the line or the part.
    """
    path = Path(path)
    try:
        if not path.is_file() or path.stat().st_size > _MOST_BYTES:
            raise NotebookError("{name}: this is no list of parts: no ordinary file, or far too large", name=path.name)
        text = path.read_text(encoding="utf-8-sig")
    except (OSError, UnicodeDecodeError) as error:
        raise NotebookError("{name}: cannot be read as text ({error})", name=path.name, error=error) from None
    if path.suffix.lower() == ".json" or text.lstrip().startswith(("{", "[")):
        return _from_json(text, path.name)
    return _from_csv(text, path.name)


def _from_csv(text: str, name: str) -> list[ReadPart]:
    sample = text.splitlines()[0] if text.strip() else ""
    delimiter = max(",;\t", key=sample.count)
    rows = list(csv.reader(io.StringIO(text), delimiter=delimiter))
    if not rows or not {"kind", "name"} <= {c.strip().lower() for c in rows[0]}:
        raise NotebookError(
            "{name}: the first line must name the columns, with “kind” and “name” among them", name=name
        )
    header = [c.strip().lower() for c in rows[0]]
    out = []
    for line, row in enumerate(rows[1:], 2):
        if not any(c.strip() for c in row):
            continue
        written = dict(zip(header, map(plain_cell, row), strict=False))
        try:
            out.append(
                _part(written, {k: v for k, v in written.items() if k not in _PLAIN}, written.get("samples", ""))
            )
        except (BenchError, NotebookError) as error:
            raise NotebookError(
                "{name}, line {line}: {error}; nothing was added", name=name, line=line, error=error
            ) from None
    return out


def _from_json(text: str, name: str) -> list[ReadPart]:
    try:
        found = json.loads(text)
    except json.JSONDecodeError as error:
        raise NotebookError(
            "{name}, line {lineno}: this is no JSON ({msg})", name=name, lineno=error.lineno, msg=error.msg
        ) from None
    listed = found.get("parts") if isinstance(found, dict) else found
    if not isinstance(listed, list) or not all(isinstance(p, dict) for p in listed):
        raise NotebookError("{name}: a list of parts is wanted, or an object with “parts”", name=name)
    out = []
    for i, one in enumerate(listed, 1):
        fields = one.get("fields") or {}
        try:
            if not isinstance(fields, dict):
                raise NotebookError("its fields are no object")
            shown = {
                k: ", ".join(map(str, v)) if isinstance(v, list) else str(v) for k, v in fields.items() if v is not None
            }
            samples = one.get("samples") or []
            labels = "; ".join(
                f"{s.get('label', '')} ({s.get('came', '')})" if isinstance(s, dict) else str(s) for s in samples
            )
            out.append(_part({k: "" if v is None else str(v) for k, v in one.items()}, shown, labels))
        except (BenchError, NotebookError) as error:
            raise NotebookError("{name}, part {i}: {error}; nothing was added", name=name, i=i, error=error) from None
    return out


def _part(written: Mapping[str, str], fields: Mapping[str, str], samples: str) -> ReadPart:
    kind = kind_of(str(written.get("kind", "")).strip().lower())
    name = str(written.get("name", "")).strip()
    if not name:
        raise NotebookError("a part needs a name")
    price = str(written.get("price") or "").strip()
    try:
        amount = typed_number(price) if price else None
    except ValueError:
        raise NotebookError("the price “{price}” is no number", price=price) from None
    values: dict[str, Any] = {
        k: str(written.get(k) or "").strip() for k in ("maker", "currency", "claim", "claim_where", "note")
    }
    read: dict[str, Any] = {}
    for one in kind.kept:
        value = read_field(one, str(fields.get(one.key) or ""))
        if value is not None:
            read[one.key] = value
    labels = []
    for label in samples.split(";"):
        bare, _, came = label.strip().partition("(")
        if bare.strip():
            labels.append((bare.strip(), came.rstrip(") ").strip()))
    return ReadPart(
        kind=kind.key, name=name, values={**values, "price": amount}, fields=read, samples=tuple(labels) or (("1", ""),)
    )


def add_parts(notebook: Notebook, read: Sequence[ReadPart]) -> tuple[int, int]:
    """Put parts on the shelf, or bring those of the same kind and name up to date; returns how many of either."""
    from sqlalchemy import select
    from sqlalchemy.orm import selectinload

    added = changed = 0
    with notebook.edit(say("read {n} parts", n=len(read))) as session:
        there = {
            (p.kind, p.name.lower()): p
            for p in session.scalars(select(Part).where(Part.binned_at.is_(None)).options(selectinload(Part.samples)))
        }
        for one in read:
            part = there.get((one.kind, one.name.lower()))
            if part is None:
                part = Part(kind=one.kind, name=one.name, samples=[])
                session.add(part)
                there[one.kind, one.name.lower()] = part
                added += 1
            else:
                changed += 1
            part.fields = {**(part.fields or {}), **one.fields}
            for key, value in one.values.items():
                if value not in (None, ""):
                    setattr(part, key, value)
            known = {s.label.lower() for s in part.samples}
            for label, came in one.samples:
                if label.lower() not in known:
                    part.samples.append(Sample(label=label, came=came))
    return added, changed
