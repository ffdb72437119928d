<?php

declare(strict_types=1);

namespace Nomada\App\Post;

use Nomada\App\Destinations\DestinationFailure;
use Nomada\App\Destinations\Service;
use Nomada\Core\Publishing\ExternalService;
use Symfony\Component\Mailer\Exception\TransportException;
use Symfony\Component\Mailer\SentMessage;
use Symfony\Component\Mailer\Transport\AbstractTransport;

/**
 * Brings mail to the post-office stand-in, as it would go over SMTP: the message as it is, and the envelope's
 * recipients.
 */
final class PostOfficeTransport extends AbstractTransport
{
    protected function doSend(SentMessage $message): void
    {
        try {
            foreach ($message->getEnvelope()->getRecipients() as $recipient) {
                Service::of(ExternalService::Post)->send(
                    'POST',
                    '/letters',
                    $message->toString(),
                    ['Envelope-To' => $recipient->getAddress()],
                    [],
                    'message/rfc822',
                );
            }
        } catch (DestinationFailure $e) {
            throw new TransportException($e->getMessage(), 0, $e);
        }
    }

    public function __toString(): string
    {
        return 'post-office://standins';
    }
}
