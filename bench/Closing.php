<?php

declare(strict_types=1);

namespace Nomada\Bench;

use Illuminate\Support\Facades\DB;
use Nomada\App\Actions\Publishing\RefreshPlacements;
use Nomada\App\Actions\Term\CloseDays;
use Nomada\App\Models\Joining\JoinLink;
use Nomada\App\Models\Term\ClosedRange;
use Nomada\App\Models\Term\Section;
use Nomada\App\Models\Term\Term;
use Nomada\App\Models\Timetable\Series;
use Nomada\App\Support\Secrets;
use Nomada\Core\Joining\JoinCode;
use Nomada\Core\Joining\LinkKind;
use Nomada\Core\Term\Closure;
use Nomada\Core\Term\LocalDate;

/**
 * A day of the large school is looked at, closed, and opened again, each within 2 seconds; the peer is one UPDATE that
 * only marks that day's sessions, and knows nothing of exceptions, clashes, histories and what should be.
 */
final class Closing
{
    private const MOST = 2.0;

    public function run(): bool
    {
        $served = new ServedSchool(0);
        try {
            $term = Term::query()
                ->with(['school', 'closures'])
                ->orderBy('starts_on')
                ->firstOrFail();
            $this->link();
            $open = $term->calendar()->openDays();
            $day = new LocalDate($open[count($open) - 6]);
            $closure = new Closure($day, $day, 'Storm');
            $times = [];
            $time = function (string $what, callable $do) use (&$times): void {
                $at = microtime(true);
                $do();
                $times[$what] = microtime(true) - $at;
            };
            $close = app(CloseDays::class);
            $time('looked at', fn () => $close->effect($term, $closure));
            $time('closed', fn () => $close($term, $closure));
            $lost = DB::table('sessions')->where('state', 'lost')->where('reason', 'Storm')->count();
            $range = ClosedRange::query()->where('reason', 'Storm')->firstOrFail();
            $time('opened', fn () => $close->open($range, $term->fresh(['school', 'closures']) ?? $term));
            $time('peer', function () use ($day): void {
                DB::beginTransaction();
                DB::update("update sessions set state = 'lost', reason = 'Storm' where day = ?", [$day->iso()]);
                DB::rollBack();
            });
            $good = max($times['looked at'], $times['closed'], $times['opened']) <= self::MOST;
            printf(
                "closing: %s, %d sessions of %d sections\n  looked at %.2f s, closed %.2f s, opened %.2f s (%.1f s at ".
                    "most); one bare UPDATE %.3f s: closing is %.0f times that\n%s",
                $day->iso(),
                $lost,
                Section::query()->count(),
                $times['looked at'],
                $times['closed'],
                $times['opened'],
                self::MOST,
                $times['peer'],
                $times['closed'] / max(0.001, $times['peer']),
                $good ? '' : "  TOO SLOW\n",
            );

            return $good;
        } finally {
            $served->end();
        }
    }

    /** Every series has a link, so that everything should be somewhere. */
    private function link(): void
    {
        foreach (Series::query()->orderBy('id')->pluck('id') as $id) {
            $secret = bin2hex(random_bytes(14));
            $rows[] = [
                'series_id' => $id,
                'kind' => LinkKind::Series->value,
                'secret' => encrypt($secret, false),
                'secret_hash' => Secrets::sum($secret),
                'join_code' => encrypt(JoinCode::make(Secrets::random()), false),
                'room' => "room-$id",
                'dial_in' => '+34 910 555 010',
                'pin' => encrypt('204118', false),
                'created_at' => now(),
                'updated_at' => now(),
            ];
        }
        foreach (array_chunk($rows ?? [], 300) as $chunk) {
            JoinLink::query()->insert($chunk);
        }
        app(RefreshPlacements::class)(array_values(array_map(intval(...), Section::query()->pluck('id')->all())));
    }
}
