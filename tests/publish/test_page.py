"""The page: valid, complete, readable by all; own words kept apart and held against the evidence; nothing private unasked."""

from __future__ import annotations

import re
from collections.abc import Callable, Iterator
from contextlib import closing
from pathlib import Path

import html5lib
import pypdfium2
import pytest
from PIL import Image

from kuffin.cli import main
from kuffin.core.base.errors import KuffinError, NotebookError
from kuffin.notebook import edits, publishedits
from kuffin.notebook import shelf as shelfedits
from kuffin.notebook.photos import add_photo, open_photo
from kuffin.notebook.store import Notebook
from kuffin.publish.page.critic import concerns
from kuffin.publish.page.layout import PageLayout
from kuffin.publish.page.material import Material, gather
from kuffin.publish.page.ownwords import doubts_of, fields_of, filled, pair_states
from kuffin.publish.page.sections import SECTIONS
from kuffin.publish.page.writing import doubts_in, page_html, page_pdf
from kuffin.said.line import verdict_line
from kuffin.verdict.study import judge
from tests.verdict.test_outcomes import made

STUDIES = ("Radiators, spring", "Pastes, winter", "Blocks, late winter", "Card blocks, spring", "Pads, spring")


@pytest.fixture
def book(tmp_path: Path) -> Iterator[Notebook]:
    with closing(made(tmp_path, names=("Tern", "Plover"))) as made_one:
        yield made_one


def material(book: Notebook) -> Material:
    return gather(book, judge(book, book.study(1)))


def page(book: Notebook, theme: str = "light") -> str:
    return page_html(material(book), PageLayout.of(book.study(1).published), theme)


def bare(html: str) -> str:
    """What a reader reads: without styles, pictures and tags."""
    body = re.sub(r"<style>.*?</style>|<svg.*?</svg>", "", html, flags=re.DOTALL)
    return re.sub(r"\s+", " ", re.sub(r"<[^>]*>", " ", body))  # no-break spaces too


@pytest.mark.parametrize("name", STUDIES)
def test_the_page_of_each_study_is_valid_and_fetches_nothing(published: Callable[[str], Material], name: str) -> None:
    m = published(name)
    html = page_html(m, PageLayout())
    tree = html5lib.HTMLParser(strict=True, tree=html5lib.getTreeBuilder("etree"), namespaceHTMLElements=False).parse(
        html
    )
    ids = [e.get("id") for e in tree.iter() if e.get("id")]
    assert len(ids) == len(set(ids))
    assert tree.get("lang") == "en" and tree.find(".//title").text == m.verdict.question
    for used in re.findall(r'(?:href|src)="([^"]*)"|url\(([^)]*)\)', html):
        target = used[0] or used[1]
        assert target.startswith(("#", "data:")), target
        if target.startswith("#"):
            assert target[1:] in ids, target
    assert not list(tree.iter("script"))
    for table in tree.iter("table"):
        heads = table.findall("thead/tr/th")
        assert table.find("caption").text and all(h.get("scope") == "col" for h in heads)
        assert all(len(r.findall("td")) == len(heads) for r in table.findall("tbody/tr"))
    said = bare(html)
    assert verdict_line(m.verdict).sentence.split(". ")[0] in said.replace("&#39;", "'")


def test_what_there_is_nothing_to_say_of_is_said_or_left_out(book: Notebook) -> None:
    said = bare(page(book))
    for sentence in (
        "No claim was tested.",
        "No prices were compared.",
        "No baseline was mounted",
        "Nothing was left out.",
    ):
        assert sentence in said
    assert "Contact prints" not in said and "Photos" not in said


def test_places_are_joint_where_candidates_are_not_told_apart(published: Callable[[str], Material]) -> None:
    html = page_html(published("Blocks, late winter"), PageLayout())
    tree = html5lib.parse(html, namespaceHTMLElements=False)
    rows = next(t for t in tree.iter("table") if "Places" in t.find("caption").text).findall("tbody/tr")
    places = {r.findall("td")[1].text: r.findall("td")[0].text for r in rows}
    assert places == {"Plover": "1", "Dunlin": "2 to 4", "Knot": "2 to 4", "Tern": "2 to 4", "Ruff": "5"}


def test_the_paper_is_tagged_and_its_text_can_be_selected(published: Callable[[str], Material]) -> None:
    m = published("Radiators, spring")
    html = page_html(m, PageLayout())
    data = page_pdf(html)
    assert data == page_pdf(html)
    pdf = pypdfium2.PdfDocument(data)
    assert pypdfium2.raw.FPDFCatalog_IsTagged(pdf)
    text = " ".join(p.get_textpage().get_text_range() for p in pdf).replace("\r\n", " ").replace("\u00a0", " ")
    assert m.verdict.question in text and "Sedge is ahead so far" in text and "11.0 ± 2.1 K" in text
    kinds = {o.type for p in pdf for o in p.get_objects(max_depth=8)}
    assert pypdfium2.raw.FPDF_PAGEOBJ_PATH in kinds and pypdfium2.raw.FPDF_PAGEOBJ_IMAGE not in kinds


def test_a_torn_photo_is_refused_after_a_page_was_set_on_paper(tmp_path: Path) -> None:
    """The library that sets text switched a check of pictures off for the whole program."""
    torn = tmp_path / "torn.png"
    Image.effect_noise((200, 200), 50).save(torn)
    page_pdf("<p>words</p>")
    with pytest.raises(NotebookError, match="this is no photo"):
        open_photo(torn.read_bytes()[:4000], torn.name)


def test_sections_are_switched_reordered_and_given_own_words(book: Notebook) -> None:
    publishedits.switch_section(book, 1, "claims", "What is claimed", on=False)
    publishedits.order_sections(book, 1, ["method", "answer"])
    publishedits.entitle_section(book, 1, "method", "How we did it")
    publishedits.write_words(book, 1, "method", "We took {mounts} mounts.\n\nPlover is {Plover, Tern}.", {})
    html = page(book)
    titles = re.findall(r"<h2[^>]*>([^<]*)</h2>", html)
    assert titles[:2] == ["How we did it", "The short answer"] and "What is claimed" not in titles
    said = bare(html)
    assert "We took 6 mounts." in said
    assert fields_of(material(book).verdict)["Plover, Tern"] in said
    for _ in range(4):
        book.undo()
    assert book.study(1).published == {}


def test_own_words_stay_and_numbers_go_on_with_the_study(book: Notebook) -> None:
    publishedits.write_words(book, 1, "answer", "In the end {mounts} mounts counted.", {})
    edits.leave_out(book, judge(book, book.study(1)).main.readings[0].mount_id, "Tern, round 1", "trapped air")
    assert "In the end 5 mounts counted." in bare(page(book))


class TestOwnWords:
    @pytest.mark.parametrize(
        ("name", "sentence", "why"),
        [
            ("Pastes, winter", "Chalk is cooler than Loam.", ""),
            ("Pastes, winter", "Loam is warmer than Chalk.", ""),
            ("Pastes, winter", "Loam is cooler than Chalk.", "Chalk is cooler than Loam"),
            ("Radiators, spring", "Sedge beats Reed.", "Sedge and Reed are not told apart"),
            ("Radiators, spring", "Sedge is not cooler than Reed.", "was not shown"),
            ("Blocks, late winter", "Knot is not cooler than Tern.", ""),
            ("Radiators, spring", "Whether Reed is cooler than Rush we cannot say.", ""),
            ("Radiators, spring", "Sedge and Reed are the same.", "not the same as alike"),
            ("Radiators, spring", "Sedge is the best.", "are not told apart"),
            ("Pastes, winter", "Chalk is 3 K cooler than Loam.", ""),
            ("Pastes, winter", "Chalk is 6.5 K cooler than Loam.", "not 6.5 K"),
            ("Radiators, spring", "Reed is a handsome radiator.", ""),
            ("Radiators, spring", "Sedge is {Sedge, Rush}.", ""),
            ("Radiators, spring", "Sedge is {Sedge, Nobody}.", "no live field {Sedge, Nobody}"),
            ("Blocks, late winter", "Plover wins.", ""),
            ("Blocks, late winter", "Dunlin is the winner.", "Plover is cooler than Dunlin"),
            ("Blocks, late winter", "Dunlin and Knot are the same for us.", ""),
            ("Blocks, late winter", "Dunlin is cooler than Knot.", "the same within 1 K"),
            ("Blocks, late winter", "Ruff is the worst of them.", ""),
            ("Blocks, late winter", "Ruff is slower than Plover.", ""),
        ],
    )  # fmt: skip
    def test_a_sentence_is_held_against_the_evidence(
        self, published: Callable[[str], Material], name: str, sentence: str, why: str
    ) -> None:
        found = doubts_of(published(name).verdict, "answer", sentence, {})
        assert len(found) == bool(why), found
        assert not why or why in found[0].why

    @pytest.mark.parametrize("name", STUDIES)
    def test_what_the_verdict_says_of_each_pair_is_never_doubted_and_its_reverse_always(
        self, published: Callable[[str], Material], name: str
    ) -> None:
        v = published(name).verdict
        for p in v.main.comparison.pairs:
            better, worse = (p.a, p.b) if (p.difference < 0) == (v.main.comparison.better == "lower") else (p.b, p.a)
            told = f"{better} is {v.outcome.wording.better} than {worse}."
            reverse = f"{worse} is {v.outcome.wording.better} than {better}."
            won = p.verdict in {"a_lower", "b_lower"}
            assert bool(doubts_of(v, "x", told, {})) == (not won), (told, p.verdict)
            assert doubts_of(v, "x", reverse, {})

    def test_a_sentence_that_the_evidence_no_longer_bears_out_is_marked(self, book: Notebook) -> None:
        v = judge(book, book.study(1))
        words = "We found Plover to stand apart from Tern."
        since = pair_states(v, words)
        assert since == {"Tern | Plover": "b_lower"} and not doubts_of(v, "answer", words, since)
        publishedits.write_words(book, 1, "answer", words, since)
        # most mounts turn out to be spoilt
        for r in [r for r in v.main.readings if r.round > 1]:
            edits.leave_out(book, r.mount_id, r.label, "a loose probe")
        later = judge(book, book.study(1))
        assert "there" in doubts_of(later, "answer", "Plover is cooler than Tern.", since)[0].why
        for r in [r for r in later.main.readings if r.round == 2]:
            edits.take_back_in(book, r.mount_id, r.label)
        changed = {"Tern | Plover": "same"}
        doubt = doubts_of(judge(book, book.study(1)), "answer", words, changed)[0]
        assert doubt.why.startswith("when it was written, Tern and Plover are the same within")

    def test_fields_are_filled_and_others_stay_as_they_were_typed(self) -> None:
        assert filled("a {x} and {y}\n\n\nb", {"x": "1 {y}"}) == ["a 1 {y} and {y}", "b"]


NASTY = ("<script>alert(1)</script>", "{{ 7 * 7 }}", "سدج ‮evil", "😀 & <b>", '"><img src=x onerror=alert(1)>')


def test_names_and_words_are_text_wherever_they_stand(book: Notebook) -> None:
    first, second = book.study(1).live_candidates
    edits.change_candidates(book, 1, [(first.id, NASTY[0]), (second.id, " ".join(NASTY[1:]))])
    name = " ".join(NASTY)
    edits.change_study(book, 1, "ask", question=name)
    publishedits.write_words(book, 1, "answer", f"{name} and {{answer}}", {})
    publishedits.entitle_section(book, 1, "answer", name)
    html = page(book)
    tree = html5lib.HTMLParser(strict=True, tree=html5lib.getTreeBuilder("etree"), namespaceHTMLElements=False).parse(
        html
    )
    assert not list(tree.iter("script")) and not list(tree.iter("img")) and not list(tree.iter("b"))
    assert tree.find(".//h1").text == name and "49" not in tree.find(".//h1").text
    assert page_pdf(html)[:5] == b"%PDF-"


def test_photos_are_asked_for_and_go_out_without_what_a_camera_wrote(book: Notebook, tmp_path: Path) -> None:
    photo = tmp_path / "print.jpg"
    exif = Image.Exif()
    exif[0x010E] = "taken at home"
    Image.new("RGB", (3000, 2000), "#884422").save(photo, exif=exif)
    mount = book.study(1).live_candidates[0].live_mounts[0]
    add_photo(book, photo, mount_id=mount.id, kind="print block")
    assert "<img" not in page(book)
    publishedits.switch_section(book, 1, "photos", "Photos", on=True)
    html = page(book)
    data = re.search(r'src="data:image/jpeg;base64,([^"]+)" alt="([^"]+)"', html)
    import base64
    import io

    shown = Image.open(io.BytesIO(base64.b64decode(data.group(1))))
    assert shown.size == (1000, 667) and not shown.getexif() and data.group(2) == "Tern, round 1: print block"
    assert b"taken at home" not in base64.b64decode(data.group(1)) and "print.jpg" not in html


def test_notes_labels_and_paths_do_not_stand_in_it(demo_notebook: Notebook) -> None:
    book = demo_notebook
    study = book.study(next(s.id for s in book.studies() if s.name == "Blocks, late winter"))
    sample = study.live_candidates[0].part.live_samples[0]
    shelfedits.change_sample(book, sample.id, label="SN-90210", note="from my cousin")
    found = judge(book, book.study(study.id))
    html = page_html(gather(book, found), PageLayout())
    assert "SN-90210" not in html and "cousin" not in html and ".csv" not in bare(html)


class TestCritic:
    def test_the_usual_questions_are_asked_where_they_stand_open(self, book: Notebook) -> None:
        keys = {c.key for c in concerns(material(book))}
        assert {"no baseline", "one sample", "samples"} <= keys and not {"one mount", "as read", "claims"} & keys
        edits.leave_out(book, 1, "Tern, round 1", "askew")
        edits.leave_out(book, 2, "Tern, round 2", "askew")
        part = book.study(1).live_candidates[0].part
        shelfedits.change_part(book, part.id, "claim", claim="5 K cooler than anything")
        shelfedits.change_sample(book, part.live_samples[0].id, came="lent by its maker")
        edits.change_study(book, 1, "as read", school="die_as_read")
        asked = {c.key: c for c in concerns(material(book))}
        assert {"one mount", "left out", "claims", "as read"} <= set(asked)
        assert asked["samples"].said.startswith("Tern: see how it came")
        assert "Tern has one mount" in asked["one mount"].said

    def test_a_doubtful_sentence_is_asked_about_and_an_answer_is_printed(self, book: Notebook) -> None:
        publishedits.write_words(book, 1, "answer", "Tern is cooler than Plover.", {})
        m = material(book)
        layout = PageLayout.of(m.study.published)
        asked = concerns(m, doubts_in(m, layout))
        assert asked[-1].asked == "You write “Tern is cooler than Plover.” Is that so?"
        assert "The evidence does not support “Tern is cooler than Plover.”" in bare(page_html(m, layout))
        publishedits.answer_question(book, 1, "no baseline", "We trust the bench.")
        assert "We trust the bench. No baseline was mounted" in bare(page(book))


class TestReport:
    def test_a_folder_with_page_figures_and_tables_the_same_every_time(
        self, tmp_path: Path, capsys: pytest.CaptureFixture[str]
    ) -> None:
        made(tmp_path, names=("Tern", "Plover")).close()
        study = "Which block?"
        for folder, more, said in (("a", (), "begin with"), ("b", ("--json",), '"page.html"')):
            out = ("--out", str(tmp_path / folder))
            assert main(["report", str(tmp_path / "n.kuffin"), "--study", study, *out, *more]) == 0
            assert said in capsys.readouterr().out
        first, second = (
            sorted(p.relative_to(tmp_path / f) for p in (tmp_path / f).rglob("*") if p.is_file()) for f in "ab"
        )
        assert first == second and len(first) > 25
        for name in first:
            assert (tmp_path / "a" / name).read_bytes() == (tmp_path / "b" / name).read_bytes(), name
        assert {"page.html", "page.pdf", "tables/study.xlsx", "figures/verdict.svg", "figures/card.png"} <= set(
            map(str, first)
        )

    @pytest.mark.parametrize("what", ["no study", "a file in the way", "nothing measured"])
    def test_bad_input_is_said_in_a_sentence(
        self, tmp_path: Path, capsys: pytest.CaptureFixture[str], what: str
    ) -> None:
        with closing(made(tmp_path, names=("Tern", "Plover"))) as book:
            edits.add_study(book, "Empty?", "block", ["Tern", "Plover"], 1.0)
        (tmp_path / "taken").write_text("a file")
        study = {"no study": "Nobody", "a file in the way": "Which block?", "nothing measured": "Empty?"}[what]
        args = ["report", str(tmp_path / "n.kuffin"), "--study", study, "--out", str(tmp_path / "taken")]
        assert main(args) == 2
        said = capsys.readouterr().err
        wanted = {
            "no study": "has no study",
            "a file in the way": "choose another folder",
            "nothing measured": "nothing to publish",
        }[what]
        assert wanted in said and "Traceback" not in said and said.count("\n") == 1


def test_every_section_is_known_once_and_a_theme_is_dark_or_refused(book: Notebook) -> None:
    assert "#1b1a18" in page(book, "dark")
    keys = [s.key for s in SECTIONS]
    assert len(keys) == len(set(keys))
    with pytest.raises(KuffinError, match="no theme"):
        page(book, "neon")
