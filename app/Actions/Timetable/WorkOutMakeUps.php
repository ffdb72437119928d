<?php

declare(strict_types=1);

namespace Nomada\App\Actions\Timetable;

use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Queue\Queueable;
use Illuminate\Support\Facades\Cache;
use Nomada\App\Models\Term\Term;
use Nomada\App\Queries\MakeUpProposals;
use Nomada\Core\Timetable\FreeTime;

/** Works out when lost sessions could be made up: at once for a few, on the queue where a page would have to wait. */
final class WorkOutMakeUps implements ShouldQueue
{
    use Queueable;

    /** A proposal takes some 35 ms, and a page has 150. */
    private const WITHIN_PAGE = 3;

    public int $tries = 3;

    public int $timeout = 300;

    /** @param  list<int>  $sessions */
    public function __construct(public readonly int $term, public readonly array $sessions)
    {
    }

    /**
     * @param  list<int>  $sessions
     * @return array<int, list<FreeTime>>|null by id of the lost session; null while it is being worked out
     */
    public static function ask(MakeUpProposals $proposals, Term $term, array $sessions): ?array
    {
        if ($sessions === []) {
            return [];
        }
        if (count($sessions) <= self::WITHIN_PAGE) {
            return $proposals->kept($term, $sessions) ?? $proposals->workOut($term, $sessions);
        }
        $found = $proposals->kept($term, $sessions);
        if ($found === null && Cache::add($proposals->key($term, $sessions).' asked', true, 60)) {
            self::dispatch($term->id, $sessions);
        }

        return $found ?? $proposals->kept($term, $sessions);
    }

    public function handle(MakeUpProposals $proposals): void
    {
        $proposals->workOut(
            Term::query()
                ->with(['school', 'closures'])
                ->findOrFail($this->term),
            $this->sessions,
        );
    }
}
