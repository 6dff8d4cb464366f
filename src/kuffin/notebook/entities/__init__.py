"""What a notebook holds. The schema is described for others in docs/notebook-format.md."""

from kuffin.notebook.entities.base import APPLICATION_ID, SCHEMA_VERSION, Base, Binnable, now_text
from kuffin.notebook.entities.evidence import (
    Answer,
    Channel,
    Chunk,
    Edit,
    Exclusion,
    Mapping,
    Mark,
    Mount,
    Reading,
    Run,
    Window,
    in_bench_order,
)
from kuffin.notebook.entities.preparing import Attachment, Blob, Sheet, Tick
from kuffin.notebook.entities.shelf import Bench, Curve, Instrument, Part, Place, Probe, Sample
from kuffin.notebook.entities.study import Candidate, Claim, Protocol, Study

__all__ = [
    "APPLICATION_ID",
    "SCHEMA_VERSION",
    "Answer",
    "Attachment",
    "Base",
    "Bench",
    "Binnable",
    "Blob",
    "Candidate",
    "Channel",
    "Chunk",
    "Claim",
    "Curve",
    "Edit",
    "Exclusion",
    "Instrument",
    "Mapping",
    "Mark",
    "Mount",
    "Part",
    "Place",
    "Probe",
    "Protocol",
    "Reading",
    "Run",
    "Sample",
    "Sheet",
    "Study",
    "Tick",
    "Window",
    "in_bench_order",
    "now_text",
]
