"""The manual page and the shell's completion, from the parser itself: nothing is written down twice."""

from __future__ import annotations

import argparse
from collections.abc import Iterator

from kuffin import __version__


def _commands(parser: argparse.ArgumentParser) -> dict[str, tuple[str, argparse.ArgumentParser]]:
    """The commands with their help and their own parsers."""
    for action in parser._actions:
        if isinstance(action, argparse._SubParsersAction):
            told = {c.dest: c.help or "" for c in action._choices_actions}
            return {name: (told.get(name, ""), one) for name, one in action.choices.items()}
    return {}


def _options(parser: argparse.ArgumentParser) -> Iterator[argparse.Action]:
    return (a for a in parser._actions if a.option_strings and a.help != argparse.SUPPRESS)


def bash_completion(parser: argparse.ArgumentParser) -> str:
    """Completion for bash: commands, options, their choices, and files."""
    commands = _commands(parser)
    cases = []
    for name, (_, one) in commands.items():
        options = [o for a in _options(one) for o in a.option_strings]
        for action in _options(one):
            if action.choices:
                flags = "|".join(f"{name}:{o}" for o in action.option_strings)
                words = " ".join(str(c) for c in action.choices)
                cases.append(f'        {flags}) COMPREPLY=($(compgen -W "{words}" -- "$word")); return ;;')
        cases.append(f'        {name}:*) options="{" ".join(options)}" ;;')
    return "\n".join(
        [
            "# completion for kuffin",
            "_kuffin() {",
            '    local word="${COMP_WORDS[COMP_CWORD]}" before="${COMP_WORDS[COMP_CWORD-1]}" options=""',
            "    COMPREPLY=()",
            "    if ((COMP_CWORD == 1)); then",
            f'        COMPREPLY=($(compgen -W "{" ".join(commands)} --help --version" -- "$word"))',
            '        COMPREPLY+=($(compgen -f -- "$word"))',
            "        return",
            "    fi",
            '    case "${COMP_WORDS[1]}:$before" in',
            *cases,
            "    esac",
            '    if [[ "$word" == -* ]]; then',
            '        COMPREPLY=($(compgen -W "$options" -- "$word"))',
            "    else",
            '        COMPREPLY=($(compgen -f -- "$word"))',
            "    fi",
            "}",
            "complete -o filenames -F _kuffin kuffin",
            "",
        ]
    )


def manual_page(parser: argparse.ArgumentParser) -> str:
    """The manual page, in the form that man reads."""
    out = [
        f'.TH KUFFIN 1 "" "kuffin {__version__}" "User commands"',
        ".SH NAME",
        f"kuffin \\- {_roff((parser.description or '').rstrip('.').lower())}",
        ".SH SYNOPSIS",
        ".B kuffin",
        "[\\fINOTEBOOK.kuffin\\fR] [\\fILOG\\fR \\&...]",
        ".br",
        ".B kuffin",
        "\\fICOMMAND\\fR [\\fIOPTION\\fR \\&...]",
        ".SH DESCRIPTION",
        _roff(parser.epilog or ""),
        ".SH COMMANDS",
    ]
    for name, (told, one) in _commands(parser).items():
        out += [f".SS {_roff(name)}", _roff(f"{told[:1].upper()}{told[1:]}." if told else "")]
        out += [".PP", f"\\fB{_roff(' '.join(one.format_usage().split()).removeprefix('usage: '))}\\fR"]
        for action in one._actions:
            if action.help == argparse.SUPPRESS or "--help" in action.option_strings:
                continue
            out += [".TP", f"\\fB{_roff(_called(action))}\\fR", _roff((action.help or "").replace("%%", "%")) or "\\&"]
    out += [
        ".SH CAUTION",
        "Kuffin is no safety device: the parts' own manuals and protection, local rules and qualified people come first.",
        ".SH EXIT STATUS",
        "0 where it was done; 2 where something is wrong with what was given, which is said in one line; 1 for a fault of its own.",
        "",
    ]
    return "\n".join(out)


def _called(action: argparse.Action) -> str:
    """An option with its value as one writes it, or a positional's name."""
    if not action.option_strings:
        return str(action.metavar or action.dest).upper()
    value = (
        ""
        if action.nargs == 0
        else str(action.metavar or "|".join(map(str, action.choices or ())) or action.dest.upper())
    )
    return f"{', '.join(action.option_strings)} {value}".strip()


def _roff(words: str) -> str:
    """Text for a manual page: its signs are signs."""
    kept = words.replace("\\", "\\e").replace("-", "\\-")
    kept = "".join(c if ord(c) < 128 else f"\\[u{ord(c):04X}]" for c in kept)
    return f"\\&{kept}" if kept.startswith((".", "'")) else kept
