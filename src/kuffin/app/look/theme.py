"""Colours, fonts and the style sheet: paper by day, a true dark by night."""

from __future__ import annotations

from dataclasses import asdict, dataclass
from pathlib import Path

from PySide6.QtCore import Qt
from PySide6.QtGui import QColor, QFont, QFontDatabase, QGuiApplication, QPalette
from PySide6.QtWidgets import QApplication

from kuffin.core.base.language import mark
from kuffin.look import colours
from kuffin.look.colours import FONTS, TEXT, Colours

ICONS = Path(__file__).with_name("icons")


@dataclass(frozen=True, kw_only=True)
class Theme(Colours):
    """A theme's colours as Qt takes them."""

    def color(self, role: str) -> QColor:
        return QColor(getattr(self, role))


LIGHT, DARK = (Theme(**asdict(c)) for c in (colours.LIGHT, colours.DARK))


def load_fonts() -> None:
    """Make the shipped fonts known to Qt."""
    for path in sorted(FONTS.glob("*.otf")):
        QFontDatabase.addApplicationFont(str(path))


def figures_font(size: float, bold: bool = False) -> QFont:
    """B612 for figures: its digits are all of one width."""
    font = QFont(TEXT)
    font.setPointSizeF(size)
    font.setBold(bold)
    return font


def text_points() -> float:
    """The size of the application's text: what is not seen may not have been told of it yet."""
    return QApplication.font().pointSizeF()


USUAL_POINTS = 10.5  # of text that is not enlarged
SCALES = (0.7, 2.0)  # of the text size
MODES = {"desktop": mark("Follow the desktop"), "light": mark("Paper"), "dark": mark("Dark, for the bench at night")}


def chosen(mode: str) -> Theme:
    """The theme for a mode: ``light``, ``dark``, or ``desktop`` to follow it."""
    if mode == "desktop":
        dark = QGuiApplication.styleHints().colorScheme() == Qt.ColorScheme.Dark
        return DARK if dark else LIGHT
    return DARK if mode == "dark" else LIGHT


def apply(app: QApplication, theme: Theme, scale: float = 1.0) -> None:
    """Give the application its style, font and colours; a window takes its `sheet` itself.

    A sheet on the application would be laid on every widget there is, several at a time: seconds instead of tenths.
    """
    if app.style().name() != "fusion":
        app.setStyle("Fusion")
    font = QFont(TEXT)
    font.setPointSizeF(USUAL_POINTS * scale)
    app.setFont(font)
    palette = QPalette()
    for role, name in (
        (QPalette.ColorRole.Window, "ground"),
        (QPalette.ColorRole.Base, "raised"),
        (QPalette.ColorRole.AlternateBase, "ground"),
        (QPalette.ColorRole.Button, "ground"),
        (QPalette.ColorRole.WindowText, "ink"),
        (QPalette.ColorRole.Text, "ink"),
        (QPalette.ColorRole.ButtonText, "ink"),
        (QPalette.ColorRole.ToolTipBase, "raised"),
        (QPalette.ColorRole.ToolTipText, "ink"),
        (QPalette.ColorRole.Highlight, "accent"),
        (QPalette.ColorRole.HighlightedText, "ground"),
        (QPalette.ColorRole.Link, "accent"),
        (QPalette.ColorRole.PlaceholderText, "muted"),
        (QPalette.ColorRole.Mid, "hairline"),
        (QPalette.ColorRole.Dark, "hairline"),
        (QPalette.ColorRole.Light, "raised"),
    ):
        palette.setColor(role, theme.color(name))
    for role in (QPalette.ColorRole.WindowText, QPalette.ColorRole.Text, QPalette.ColorRole.ButtonText):
        palette.setColor(QPalette.ColorGroup.Disabled, role, theme.color("muted"))
    app.setPalette(palette)


def sheet(t: Theme, scale: float = 1.0) -> str:
    """The style sheet of a window and of the dialogs that belong to it."""
    icons = ICONS.as_posix()

    def pt(x: float) -> str:
        return f"{x * scale:.1f}pt"

    return f"""
    QMainWindow, QDialog {{ background: {t.ground}; }}
    QMenuBar {{ background: {t.ground}; color: {t.muted}; border: none; padding: 1px 14px; }}
    QMenuBar::item {{ padding: 3px 9px; background: transparent; }}
    QMenuBar::item:selected, QMenu::item:selected {{ background: {t.accent_ground}; color: {t.ink}; }}
    QMenu {{ background: {t.raised}; color: {t.ink}; border: 1px solid {t.hairline}; padding: 4px 0; }}
    QMenu::item {{ padding: 5px 26px 5px 18px; }}
    QMenu::item:disabled {{ color: {t.muted}; }}
    QMenu::separator {{ height: 1px; background: {t.hairline}; margin: 4px 0; }}
    QLabel#question {{ font-size: {pt(17)}; font-weight: bold; }}
    QLabel#verdict {{ font-size: {pt(12)}; border: 1px solid transparent; }}
    QLabel[link="true"] {{ color: {t.accent}; }}
    QLabel#verdict:focus {{ border: 1px dotted {t.accent}; }}
    QLabel#muted, QLabel[muted="true"] {{ color: {t.muted}; }}
    QLabel[small="true"] {{ font-size: {pt(9)}; color: {t.muted}; }}
    QLabel[heading="true"] {{ font-weight: bold; font-size: {pt(11.5)}; }}
    QLabel[big="true"] {{ font-size: {pt(21)}; font-weight: bold; }}
    QLabel[warn="true"] {{ color: {t.warn}; }}
    QFrame#card {{ border: none; border-left: 2px solid {t.hairline}; background: transparent; }}
    QFrame#tour {{ background: {t.accent_ground}; border: none; }}
    QFrame#rule {{ background: {t.hairline}; border: none; }}
    QPushButton {{ background: transparent; color: {t.ink}; border: 1px solid {t.hairline}; border-radius: 3px; padding: 5px 13px; }}
    QPushButton:hover {{ background: {t.accent_ground}; }}
    QPushButton:focus {{ border: 2px solid {t.accent}; padding: 4px 12px; }}
    QPushButton:disabled {{ color: {t.muted}; }}
    QPushButton#next {{ background: {t.accent_ground}; color: {t.accent}; border: 1px solid {t.accent}; border-radius: 4px;
        font-weight: bold; font-size: {pt(11)}; padding: 4px 14px; text-align: left; }}
    QPushButton#next:focus {{ border: 2px solid {t.accent}; padding: 3px 13px; }}
    QPushButton#big {{ background: {t.accent_ground}; color: {t.accent}; border: 2px solid {t.accent}; border-radius: 5px; padding: 6px 16px; }}
    QPushButton#big:focus {{ border: 3px solid {t.accent}; padding: 5px 15px; }}
    QPushButton#big[quiet="true"], QPushButton#big:disabled {{ background: transparent; color: {t.muted}; border: 1px solid {t.hairline}; padding: 7px 17px; }}
    QPushButton#desk {{ border: none; border-bottom: 2px solid transparent; border-radius: 0; padding: 3px 2px; margin-right: 14px;
        color: {t.muted}; font-size: {pt(12)}; background: transparent; }}
    QPushButton#desk:checked {{ color: {t.ink}; border-bottom: 2px solid {t.accent}; }}
    QPushButton#desk:focus {{ border-bottom: 2px dotted {t.accent}; }}
    QPushButton#page {{ border: none; border-radius: 3px; padding: 3px 7px; color: {t.muted}; background: transparent; }}
    QPushButton#page[several="true"] {{ padding-right: 20px; }}
    QPushButton#page[several="true"]::menu-indicator {{ right: 5px; }}
    QPushButton#page[several="true"]:focus {{ padding-right: 19px; }}
    QPushButton#page:hover {{ color: {t.ink}; }}
    QPushButton#page:checked {{ color: {t.ink}; background: {t.accent_ground}; }}
    QPushButton#page:focus {{ border: 1px dotted {t.accent}; padding: 2px 6px; }}
    QPushButton#link {{ border: none; color: {t.accent}; text-align: left; padding: 2px 0; }}
    QPushButton#link[working="true"] {{ padding: 0; }}
    QPushButton#link:focus {{ border: none; text-decoration: underline; padding: 2px 0; }}
    QToolButton {{ border: none; color: {t.muted}; padding: 3px 6px; background: transparent; }}
    QToolButton:hover, QToolButton:focus {{ color: {t.ink}; background: {t.accent_ground}; border-radius: 3px; }}
    QToolButton#several {{ border: 1px solid {t.hairline}; border-radius: 3px; padding: 3px 9px; background: {t.raised}; color: {t.ink}; }}
    QPushButton::menu-indicator {{ image: url({icons}/chevron.svg); width: 12px; height: 12px; subcontrol-position: right center; right: 6px; }}
    QTreeWidget::item {{ padding: 3px 2px; }}
    QTreeWidget::item:selected {{ background: {t.accent_ground}; color: {t.ink}; }}
    QToolButton::menu-indicator {{ image: none; }}
    QComboBox, QLineEdit, QSpinBox, QDoubleSpinBox, QDateTimeEdit, QPlainTextEdit {{ background: {t.raised}; border: 1px solid {t.hairline};
        border-radius: 3px; padding: 3px 7px; color: {t.ink}; selection-background-color: {t.accent}; selection-color: {t.ground}; }}
    QComboBox:focus, QLineEdit:focus, QSpinBox:focus, QDoubleSpinBox:focus, QDateTimeEdit:focus, QPlainTextEdit:focus {{ border: 1px solid {t.accent}; }}
    QLineEdit[wrong="true"], QLineEdit[wrong="true"]:focus {{ border: 1px solid {t.warn}; }}
    QAbstractSpinBox QLineEdit, QAbstractSpinBox QLineEdit:focus {{ border: none; padding: 0 4px; background: transparent; }}
    QDateTimeEdit::drop-down {{ border: none; width: 20px; }}
    QDateTimeEdit::down-arrow {{ image: url({icons}/chevron.svg); width: 12px; height: 12px; }}
    QSpinBox::up-button, QSpinBox::down-button, QDoubleSpinBox::up-button, QDoubleSpinBox::down-button {{ width: 0; border: none; }}
    QComboBox::drop-down {{ border: none; width: 20px; }}
    QComboBox::down-arrow {{ image: url({icons}/chevron.svg); width: 12px; height: 12px; }}
    QCheckBox::indicator, QListWidget::indicator {{ width: 13px; height: 13px; border: 1px solid {t.muted}; border-radius: 2px; background: {t.raised}; }}
    QCheckBox::indicator:checked, QListWidget::indicator:checked {{ image: url({icons}/tick.svg); }}
    QCheckBox:focus {{ text-decoration: underline; }}
    QSizeGrip {{ image: none; }}
    QComboBox QAbstractItemView {{ background: {t.raised}; color: {t.ink}; selection-background-color: {t.accent_ground};
        selection-color: {t.ink}; border: 1px solid {t.hairline}; }}
    QTableWidget, QListWidget, QTreeWidget, QTextBrowser {{ background: transparent; border: none; gridline-color: {t.hairline};
        alternate-background-color: {t.raised}; selection-background-color: {t.accent_ground}; selection-color: {t.ink}; }}
    QHeaderView::section {{ background: transparent; color: {t.muted}; border: none; border-bottom: 1px solid {t.hairline}; padding: 4px 8px 4px 4px;
        font-weight: normal; }}
    QTableWidget::item {{ padding: 1px 8px 1px 4px; border-bottom: 1px solid {t.hairline}; }}
    QTableWidget::item:focus {{ border: 1px solid {t.accent}; }}
    QScrollArea {{ border: none; background: transparent; }}
    QScrollArea > QWidget > QWidget {{ background: transparent; }}
    QAbstractScrollArea::corner {{ background: transparent; border: none; }}
    QScrollBar:vertical {{ width: 10px; background: transparent; }}
    QScrollBar::handle:vertical {{ background: {t.hairline}; border-radius: 4px; min-height: 24px; }}
    QScrollBar::add-line, QScrollBar::sub-line {{ height: 0; width: 0; }}
    QScrollBar:horizontal {{ height: 10px; background: transparent; }}
    QScrollBar::handle:horizontal {{ background: {t.hairline}; border-radius: 4px; min-width: 24px; }}
    QProgressBar {{ border: 1px solid {t.hairline}; border-radius: 3px; height: 9px; text-align: center; background: transparent; }}
    QProgressBar::chunk {{ background: {t.accent}; }}
    QFrame#working {{ background: {t.raised}; border-left: 1px solid {t.hairline}; }}
    QToolTip {{ background: {t.raised}; color: {t.ink}; border: 1px solid {t.hairline}; padding: 3px; }}
    """
