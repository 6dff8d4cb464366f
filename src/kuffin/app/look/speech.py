"""The languages of the window: Qt's translations of Kuffin's messages, and of Qt's own."""

from __future__ import annotations

from pathlib import Path

from PySide6.QtCore import QCoreApplication, QLibraryInfo, QLocale, QTranslator
from PySide6.QtWidgets import QApplication

from kuffin.core.base.language import mark, speak

_FILES = Path(__file__).parents[1] / "speech"
CONTEXT = "kuffin"
LANGUAGES = {"desktop": mark("Follow the desktop"), "en": "English", "de": "Deutsch"}


def _translated(message: str) -> str:
    return QCoreApplication.translate(CONTEXT, message)


def chosen_language(setting: str) -> str:
    """The language of a setting: the first of the desktop's that Kuffin speaks, else English."""
    if setting != "desktop":
        return setting
    wanted = [name.split("-")[0] for name in QLocale.system().uiLanguages()]
    return next((name for name in wanted if name in LANGUAGES), "en")


def speak_language(app: QApplication, language: str) -> None:
    """Let all that is said from now on be said in a language; what is shown already stays as it is."""
    for old in app.findChildren(QTranslator):
        app.removeTranslator(old)
        old.deleteLater()
    qt_files = QLibraryInfo.path(QLibraryInfo.LibraryPath.TranslationsPath)
    for name, folder in ((f"qtbase_{language}", qt_files), (f"kuffin_{language}", str(_FILES))):
        translator = QTranslator(app)
        if translator.load(name, folder):
            app.installTranslator(translator)
        else:
            translator.deleteLater()
    if language == "en":
        speak(None)
    else:
        speak(_translated, QLocale(language).decimalPoint())
