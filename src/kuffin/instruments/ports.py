"""Lines of text over a cable or the network: serial ports and TCP. Both connect again by themselves."""

from __future__ import annotations

import contextlib
import socket
import time

import serial

from kuffin.core.base.errors import BenchError
from kuffin.core.base.language import tr
from kuffin.instruments.meterlines import LONGEST_WAIT, LineBuffer, ToldValue

_ANSWER_S = 0.6


class SerialSource:
    """A meter or microcontroller on a serial or USB port.

    Parameters
    ----------
    port : str
        Such as ``/dev/ttyUSB0``, or better its lasting name under ``/dev/serial/by-id``.
    question : str
        Sent before each reading where the device must be asked; ``\\n`` and ``\\r`` may be written out.
    """

    def __init__(self, port: str, baud: int = 9600, question: str = "", separator: str | None = None) -> None:
        self._port, self._baud = port, baud
        self._question = question.replace("\\n", "\n").replace("\\r", "\r").encode()
        self.lines = LineBuffer(separator=separator)
        self._open: serial.Serial | None = None

    def _connect(self) -> serial.Serial:
        if self._open is None:
            try:
                self._open = serial.Serial(self._port, self._baud, timeout=0, write_timeout=0.5)
            except (OSError, ValueError) as error:
                if isinstance(error, serial.SerialException) and error.errno == 13:
                    raise BenchError(
                        "{port} may not be opened: your user needs the right to serial ports (on most systems the group “dialout”)",
                        port=self._port,
                    ) from None
                raise BenchError(
                    "{port} is not there or in use by another program; is it plugged in?", port=self._port
                ) from None
        return self._open

    def read(self) -> dict[str, ToldValue]:
        port = self._connect()
        try:
            if self._question:
                port.write(self._question)
                end = time.monotonic() + _ANSWER_S
                data = b""
                while b"\n" not in data and b"\r" not in data and time.monotonic() < end and len(data) < LONGEST_WAIT:
                    data += port.read(max(1, min(port.in_waiting, LONGEST_WAIT)))
                    if not data:
                        time.sleep(0.005)
                if not data:
                    raise BenchError(
                        "{port} does not answer the question “{question}”",
                        port=self._port,
                        question=self._question.decode().strip(),
                    )
            else:
                data = port.read(min(port.in_waiting, 4 * LONGEST_WAIT))
        except (OSError, TypeError) as error:  # pyserial's own errors are OSErrors; TypeError: closed under its hands
            self.close()
            raise BenchError(
                "{port} was unplugged ({error}); it is taken up again when it is back", port=self._port, error=error
            ) from None
        return self.lines.take(data)

    def complaint(self) -> str:
        return self.lines.complaint()

    def close(self) -> None:
        port, self._open = self._open, None
        if port is not None:
            with contextlib.suppress(OSError):
                port.close()


class NetworkSource:
    """Lines over TCP, text or JSON, from a device or a small program on the network."""

    def __init__(self, host: str, port: int, question: str = "", separator: str | None = None) -> None:
        self._host, self._port = host, port
        self._question = question.replace("\\n", "\n").replace("\\r", "\r").encode()
        self.lines = LineBuffer(separator=separator)
        self._open: socket.socket | None = None

    @property
    def _where(self) -> str:
        return f"{self._host}, port {self._port}"

    def _connect(self) -> socket.socket:
        if self._open is None:
            try:
                self._open = socket.create_connection((self._host, self._port), timeout=2.0)
                self._open.setblocking(False)
            except OSError as error:
                raise BenchError(
                    "{where}: no connection ({what}); is it switched on?",
                    where=self._where,
                    what=error.strerror or error,
                ) from None
        return self._open

    def read(self) -> dict[str, ToldValue]:
        connection = self._connect()
        data = b""
        try:
            if self._question:
                connection.sendall(self._question)
            end = time.monotonic() + (_ANSWER_S if self._question else 0.0)
            while len(data) < 4 * LONGEST_WAIT:
                try:
                    piece = connection.recv(65_536)
                except BlockingIOError:
                    if time.monotonic() < end and b"\n" not in data:
                        time.sleep(0.005)
                        continue
                    break
                if not piece:
                    raise ConnectionError(tr("it hung up"))
                data += piece
        except OSError as error:
            self.close()
            if not data:
                raise BenchError(
                    "{where}: the connection is lost ({error}); it is taken up again", where=self._where, error=error
                ) from None
        return self.lines.take(data)

    def complaint(self) -> str:
        return self.lines.complaint()

    def close(self) -> None:
        connection, self._open = self._open, None
        if connection is not None:
            connection.close()
