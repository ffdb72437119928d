<?php

declare(strict_types=1);

namespace Nomada\App\Post;

use Nomada\App\Destinations\Places;
use Nomada\Core\Publishing\ExternalService;
use Nomada\Core\Publishing\PlaceKind;
use Nomada\Core\Publishing\PlaceSettings;
use Symfony\Component\Mailer\Envelope;
use Symfony\Component\Mailer\SentMessage;
use Symfony\Component\Mailer\Transport\Smtp\EsmtpTransport;
use Symfony\Component\Mailer\Transport\TransportInterface;
use Symfony\Component\Mime\RawMessage;

/** Sends mail to where the post office is at this moment: workers live longer than a setting. */
final class PlaceTransport implements TransportInterface
{
    /** Seconds in which a mail server answers the end of a message (RFC 5321, 4.5.3.2.6). */
    private const PATIENCE = 600.0;

    private const LOOPBACK = ['127.0.0.1', 'localhost', '::1'];

    private ?PlaceSettings $of = null;

    private ?EsmtpTransport $server = null;

    public function send(RawMessage $message, ?Envelope $envelope = null): ?SentMessage
    {
        // Asked again each time: the mailer is made once a process.
        $place = app(Places::class)->of(ExternalService::Post);

        return $place->kind === PlaceKind::Smtp
            ? $this->server($place)->send($message, $envelope)
            : (new PostOfficeTransport())->send($message, $envelope);
    }

    public function __toString(): string
    {
        return 'place://post';
    }

    /**
     * A mail server as the place says: `smtps` is encrypted from the start, `smtp` as soon as it offers to be.
     *
     * @param  float|null  $timeout  seconds for each answer; null for as long as mail takes
     */
    public static function smtp(PlaceSettings $place, ?float $timeout = null): EsmtpTransport
    {
        $parts = (array) parse_url($place->url);
        $isEncrypted = ($parts['scheme'] ?? '') === 'smtps';
        $server = new EsmtpTransport(
            (string) ($parts['host'] ?? ''),
            (int) ($parts['port'] ?? ($isEncrypted ? 465 : 587)),
            $isEncrypted ?: null,
        );
        $stream = $server->getStream();
        if ($stream instanceof \Symfony\Component\Mailer\Transport\Smtp\Stream\SocketStream) {
            $stream->setTimeout($timeout ?? max(self::PATIENCE, $place->timeout));
        }
        if ($place->user !== '') {
            // A password is never sent in clear, even if somebody has removed the offer to encrypt from the answer.
            $server->setRequireTls(! in_array((string) ($parts['host'] ?? ''), self::LOOPBACK, true));
            $server->setUsername($place->user)->setPassword($place->password);
        }

        return $server;
    }

    private function server(PlaceSettings $place): EsmtpTransport
    {
        if ($this->server === null || $this->of != $place) {
            $this->of = $place;
            $this->server = self::smtp($place);
        }

        return $this->server;
    }
}
