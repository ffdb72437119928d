"""A mail server that takes SECONDS to answer the end of a message, and refuses nobody@ for good."""

import asyncio
import os

from aiosmtpd.handlers import Mailbox


class Slow(Mailbox):
    @classmethod
    def from_cli(cls, parser, *args):
        return cls(args[0])

    async def handle_RCPT(self, server, session, envelope, address, options):
        if address.startswith("nobody@"):
            return "550 There is nobody of that name"
        envelope.rcpt_tos.append(address)
        return "250 OK"

    async def handle_DATA(self, server, session, envelope):
        await asyncio.sleep(float(os.environ["SECONDS"]))
        return await super().handle_DATA(server, session, envelope)
