<?php

declare(strict_types=1);

namespace Nomada\App\Post;

use Illuminate\Mail\Mailable;
use Illuminate\Mail\Mailables\Address;
use Illuminate\Mail\Mailables\Attachment;
use Illuminate\Mail\Mailables\Content;
use Illuminate\Mail\Mailables\Envelope;
use Illuminate\Mail\Mailables\Headers;
use Nomada\App\Models\Registration\Letter;
use Nomada\App\Queries\Templates;
use Nomada\Core\Belonging\Role;

/** One letter as a MIME message: HTML and text, the timetable attached, to one person only. */
final class LetterMail extends Mailable
{
    public function __construct(
        private readonly Letter $letter,
        private readonly string $line,
        private readonly string $text,
        private readonly string $school,
        private readonly ?string $calendar,
        private readonly string $method = 'REQUEST',
    ) {
    }

    public function envelope(): Envelope
    {
        return new Envelope(
            from: new Address((string) config('mail.from.address'), $this->school),
            to: [new Address($this->letter->to_address, $this->letter->to_name)],
            subject: $this->line,
        );
    }

    public function content(): Content
    {
        return new Content(
            html: 'post.letter',
            text: 'post.letter-text',
            with: [
                'line' => $this->line,
                'school' => $this->school,
                'words' => $this->text,
                'paragraphs' => preg_split('/\n{2,}/', $this->text) ?: [],
                'stop' => $this->stop(),
                'language' => Templates::languageOf($this->letter->person),
            ],
        );
    }

    /** The Message-ID: of the letter's key, so that a second sending is the same message. */
    public static function idOf(Letter $letter): string
    {
        $host = substr((string) strrchr((string) config('mail.from.address'), '@'), 1);

        return hash('sha256', $letter->key.config('app.key'))."@$host";
    }

    public function headers(): Headers
    {
        return new Headers(
            messageId: self::idOf($this->letter),
            text: ['Auto-Submitted' => 'auto-generated'] +
                ($this->stop() === null
                    ? []
                    : [
                        'List-Unsubscribe' => "<{$this->stop()}>",
                        'List-Unsubscribe-Post' => 'List-Unsubscribe=One-Click',
                    ]),
        );
    }

    /**
     * Where a guardian has no more such letters (RFC 8058: in one click, without signing in); null for anybody who
     * needs them.
     */
    private function stop(): ?string
    {
        return $this->letter->kind->mayBeStopped() && $this->letter->person?->role === Role::Guardian
            ? $this->letter->person->signed('letters.stop')
            : null;
    }

    /** @return list<Attachment> */
    public function attachments(): array
    {
        $calendar = $this->calendar;

        return $calendar === null
            ? []
            : [
                Attachment::fromData(fn (): string => $calendar, 'timetable.ics')->withMime(
                    "text/calendar; method=$this->method; charset=utf-8",
                ),
            ];
    }
}
