"""Studies by their name, as one writes it on a command line."""

from __future__ import annotations

from kuffin.core.base.errors import KuffinError
from kuffin.notebook.entities import Study
from kuffin.notebook.store import Notebook


def study_named(notebook: Notebook, name: str) -> Study:
    """The study of a name or a question, whatever its capitals.

    Raises
    ------
    KuffinError
        Where there is none such; it says which there are.
    """
    there = notebook.studies()
    for one in there:
        if name.strip().lower() in {one.name.lower(), one.question.lower()}:
            return notebook.study(one.id)
    listed = ", ".join(f"“{s.name}”" for s in there) or "none"
    raise KuffinError(
        "{name} has no study “{entry}”; there is {listed}", name=notebook.path.name, entry=name, listed=listed
    )
