<?php

declare(strict_types=1);

namespace Nomada\App\Actions\Publishing;

use Illuminate\Support\Facades\DB;
use Nomada\App\Support\Clock;

/** Keeps what the truth came to, for the board and the page of publishing. */
final readonly class KeepTruth
{
    public function __construct(private Clock $clock)
    {
    }

    /** Of all sections. */
    public function __invoke(TruthResult $result): void
    {
        $sections = [];
        foreach ($result->lines as $line) {
            $sections[$line->section] = ($sections[$line->section] ?? 0) + max(1, count($line->people));
        }
        DB::table('check_results')->upsert(
            [
                'what' => 'truth',
                'at' => gmdate('Y-m-d H:i:sP', $this->clock->seconds()),
                'result' => json_encode([
                    'people' => $result->people,
                    'sessions' => $result->sessions,
                    'differing' => $result->differing(),
                    'sections' => (object) $sections,
                ]),
            ],
            ['what'],
        );
    }
}
