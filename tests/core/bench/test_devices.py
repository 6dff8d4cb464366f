"""Whose channels speak where a bench has several devices."""

from __future__ import annotations

import pytest

from kuffin.core.bench.devices import ChannelRole, Cooled, Whose, whose

CPU_DIE, GPU_DIE = ChannelRole("CPU", "die", "processor"), ChannelRole("GPU", "die", "card")
CPU_W, GPU_W = ChannelRole("CPU power", "power", "processor"), ChannelRole("GPU power", "power", "card")
BENCH = (ChannelRole("Coolant", "coolant"), ChannelRole("Air", "air_in"), ChannelRole("Flow", "flow"))
BOTH = (CPU_DIE, CPU_W, GPU_DIE, GPU_W, *BENCH)


def told(found: Whose) -> dict[str, str]:
    return {c.name: c.role for c in found.channels if c.role}


def test_one_device_needs_no_word() -> None:
    for channels in ((CPU_DIE, CPU_W, *BENCH), (ChannelRole("Die", "die"), ChannelRole("Power", "power"), *BENCH)):
        found = whose(channels, Cooled())
        assert told(found) == {c.name: c.role for c in channels}
        assert not found.problems and not found.heating


def test_of_two_dies_that_of_the_device_asked_about_speaks() -> None:
    found = whose(BOTH, Cooled("card", ("processor", "card")))
    assert found.device == "card" and found.others == ("processor",)
    assert told(found) == {"GPU": "die", "GPU power": "power", "Coolant": "coolant", "Air": "air_in", "Flow": "flow"}
    assert found.heating == ("CPU power", "GPU power") and found.upstream == ("CPU power",)


def test_where_it_is_not_told_which_is_meant_no_die_speaks_and_it_is_asked() -> None:
    found = whose(BOTH, Cooled())
    assert "die" not in told(found).values() and "power" not in told(found).values()
    assert "processor and card each have a die" in found.problems["die"]
    assert "nothing says which of them the loop cools" in found.problems["heat"] and not found.heating
    assert found.others == ("processor", "card")


@pytest.mark.parametrize(
    ("channels", "cooled", "about", "says"),
    [
        ((CPU_DIE, CPU_W, *BENCH), Cooled("card"), "die", "this log has the processor’s channels only"),
        ((CPU_DIE, GPU_DIE, CPU_W, *BENCH), Cooled("card"), "power", "the card has no power channel"),
        ((CPU_DIE, GPU_DIE, ChannelRole("Power", "power"), *BENCH), Cooled("card"), "power", "“Power” does not say whose"),
        ((CPU_DIE, GPU_DIE, CPU_W, *BENCH), Cooled("card", ("processor", "card")), "heat", "the card is in the loop and has no"),
        ((GPU_DIE, ChannelRole("Package", "die"), GPU_W, *BENCH), Cooled(), "die", "“Package” does not say whose die"),
        ((CPU_DIE, CPU_W, GPU_W, *BENCH), Cooled("card"), "die", "a die of the processor only"),
        (
            (ChannelRole("a", "die", "card 1"), ChannelRole("b", "die", "card 2"), *BENCH),
            Cooled("card"),
            "die",
            "“card” may be card 1 or card 2",
        ),
    ],
)  # fmt: skip
def test_what_is_open_is_said(channels: tuple[ChannelRole, ...], cooled: Cooled, about: str, says: str) -> None:
    found = whose(channels, cooled)
    assert says in found.problems[about]
    assert about == "heat" or about not in told(found).values()


def test_ten_devices_are_told_apart() -> None:
    cards = [
        (ChannelRole(f"d{i}", "die", f"card {i}"), ChannelRole(f"p{i}", "power", f"card {i}")) for i in range(1, 11)
    ]
    loop = tuple(f"card {i}" for i in range(1, 11))
    found = whose((*[c for pair in cards for c in pair], *BENCH), Cooled("card 7", loop))
    assert told(found)["d7"] == "die" and [n for n, r in told(found).items() if r == "die"] == ["d7"]
    assert len(found.heating) == 10 and found.upstream == tuple(f"p{i}" for i in range(1, 7))


def test_the_boards_parts_stay_beside_the_processor() -> None:
    board = (ChannelRole("VRM", "regulator", "board"), ChannelRole("Chipset", "chipset", "board"))
    assert {"VRM", "Chipset"} <= set(told(whose((CPU_DIE, CPU_W, GPU_DIE, GPU_W, *board, *BENCH), Cooled("processor"))))
