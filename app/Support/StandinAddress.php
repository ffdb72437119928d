<?php

declare(strict_types=1);

namespace Nomada\App\Support;

use Nomada\App\Models\Term\Person;
use Nomada\App\Models\Term\Section;

/**
 * Addresses of the destinations' own pages, as a browser opens them: with a pass for exactly this page, and the moment
 * of our clock.
 */
final readonly class StandinAddress
{
    public function __construct(private Clock $clock)
    {
    }

    public function coursePage(Section $section, Person $for): string
    {
        return $this->page('/course/pages/'.rawurlencode($section->sourced_id), $section->name(), $for);
    }

    public function stream(Section $section, Person $for): string
    {
        return $this->page('/stream/sections/'.rawurlencode($section->sourced_id), $section->name(), $for);
    }

    public function calendar(Person $person): string
    {
        return $this->page('/calendar/people/'.rawurlencode($person->sourced_id), $person->name(), $person);
    }

    public function mailbox(Person $person): string
    {
        return $this->page(
            '/post/people/'.rawurlencode(mb_strtolower((string) $person->email)),
            'Post of '.$person->name(),
            $person,
        );
    }

    public function controls(): string
    {
        return config('nomada.standins.url').'/controls?pass='.self::pass('/controls');
    }

    private function page(string $path, string $title, Person $for): string
    {
        return config('nomada.standins.url').
            $path.
            '?'.
            http_build_query([
                'pass' => self::pass($path),
                'title' => $title,
                'zone' => $for->time_zone,
                'at' => $this->clock->seconds(),
            ]);
    }

    private static function pass(string $path): string
    {
        return substr(hash_hmac('sha256', $path, (string) config('nomada.standins.token')), 0, 32);
    }
}
