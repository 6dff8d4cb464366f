"""The usual cautions, each with the steps where it counts. They defer to manuals, local rules and qualified people."""

from __future__ import annotations

CAUTIONS: dict[str, str] = {
    "mains": "Water and mains: pull the mains plug before opening a wet loop, keep connections above the bench dry, and let a qualified person see to anything on the mains side.",
    "jumper": "Running the pump alone: use only a supply or a starting plug made for it, as its manual says, with the computer's own supply off and unplugged from the board.",
    "supply": "Never open a power supply: it holds a dangerous charge long after the plug is out.",
    "dry": "A pump must never run dry, not even for seconds: fill the reservoir first and watch it.",
    "pressure": "Pressure: never above the lowest pressure any part's maker allows; wear eye protection; let it off slowly. Air under pressure bursts harder than water.",
    "glycol": "Glycol is poisonous to people and animals, and tastes sweet: no open vessels, wash hands, store and dispose of it by the local rules.",
    "hot": "Hot parts: let them cool, and measure temperatures rather than touching.",
    "fins": "Fins and sheet edges cut: hold radiators and coolers by the frame; gloves help.",
    "paste": "A paste that conducts electricity: none of it may reach contacts or small parts beside the die; cover them as the part's manual says.",
    "liquid metal": "Liquid metal conducts and runs, and destroys aluminium: never on or near aluminium; cover what lies beside the die.",
    "biocide": "Biocides and concentrates are harmful: read the label, gloves and eye protection, never mix two of them.",
}

ABOUT = "Kuffin is no safety device. The parts' manuals, local rules and qualified people come first."
