<?php

declare(strict_types=1);

namespace Nomada\Core\Publishing;

/** One series as students have been told of it: its sessions, and how they come in. */
final readonly class ToldSeries
{
    /**
     * @param  string  $link  a sum of the link that is at the destinations; empty for none
     * @param  int  $opensBefore  minutes
     * @param  array<string, ToldSession>  $sessions  by their keys
     */
    public function __construct(
        public string $uid,
        public string $title,
        public string $link,
        public int $opensBefore,
        public array $sessions,
    ) {
    }

    /** @return array<string, ToldSeries> by uid, as the facts are now */
    public static function all(SectionFacts $section): array
    {
        $out = [];
        foreach ($section->series as $series) {
            $sessions = [];
            foreach ($series->forAll(true) as $session) {
                $told = ToldSession::of($session);
                $sessions[$told->key] = $told;
            }
            $out[$series->uid] = new self(
                $series->uid,
                $series->title,
                $series->link === '' ? '' : hash('sha256', $series->link),
                $section->door->opensBefore,
                $sessions,
            );
        }

        return $out;
    }

    /** The same with one session more, or another in its place. */
    public function with(ToldSession $session): self
    {
        return new self(
            $this->uid,
            $this->title,
            $this->link,
            $this->opensBefore,
            [$session->key => $session] + $this->sessions,
        );
    }

    /** @return array<string, mixed> what `from` reads back */
    public function toArray(): array
    {
        return [
            'uid' => $this->uid,
            'title' => $this->title,
            'link' => $this->link,
            'opensBefore' => $this->opensBefore,
            'sessions' => array_map(fn (ToldSession $s): array => $s->toArray(), array_values($this->sessions)),
        ];
    }

    /** @param  array<string, mixed>  $plain */
    public static function from(array $plain): self
    {
        $text = fn (string $key): string => is_scalar($plain[$key] ?? null) ? (string) $plain[$key] : '';
        $sessions = [];
        foreach ((array) ($plain['sessions'] ?? []) as $one) {
            $told = ToldSession::from((array) $one);
            $sessions[$told->key] = $told;
        }

        return new self($text('uid'), $text('title'), $text('link'), (int) $text('opensBefore'), $sessions);
    }
}
