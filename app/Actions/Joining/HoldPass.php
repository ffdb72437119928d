<?php

declare(strict_types=1);

namespace Nomada\App\Actions\Joining;

use Illuminate\Http\Request;
use Illuminate\Support\Facades\Cookie;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Nomada\App\Models\Joining\JoinLink;
use Nomada\App\Models\Term\Person;
use Nomada\App\Models\Timetable\Series;
use Nomada\App\Support\Browser;
use Nomada\App\Support\Clock;
use Nomada\App\Support\Secrets;
use Nomada\Core\Fault;

/**
 * A guest's pass is one person's: the first browser that comes in by it keeps it, by a word in its cookie. Another one
 * is told, may ask, and the teacher sees both and decides.
 */
final readonly class HoldPass
{
    /** Days for which a browser keeps its word. */
    private const DAYS = 200;

    public function __construct(private Clock $clock, private Audit $audit)
    {
    }

    public function isElsewhere(JoinLink $link, Request $request): bool
    {
        return $link->held_sum !== null && ! hash_equals($link->held_sum, $this->sum($link, $request));
    }

    /** Takes the pass for this browser. False where another one was faster. */
    public function take(JoinLink $link, Request $request): bool
    {
        $word = $this->word($link, $request) ?? Str::random(40);
        $taken = JoinLink::query()
            ->whereKey($link->id)
            ->where(fn ($q) => $q->whereNull('held_sum')->orWhere('held_sum', self::sumOf($word)))
            ->update([
                'held_sum' => self::sumOf($word),
                'held_at' => $this->clock->now(),
                'held_browser' => Browser::of($request),
            ]);
        if ($taken === 1) {
            $this->keep($link, $word);
        }

        return $taken === 1;
    }

    /** Asks the teacher for it. */
    public function ask(JoinLink $link, Request $request): void
    {
        $word = $this->word($link, $request) ?? Str::random(40);
        DB::table('pass_claims')->insertOrIgnore([
            'join_link_id' => $link->id,
            'sum' => self::sumOf($word),
            'browser' => Browser::of($request),
            'asked_at' => $this->clock->now(),
        ]);
        $this->keep($link, $word);
    }

    /** Whether this browser has asked already, and how that was decided: null, 'asked' or 'kept'. */
    public function asked(JoinLink $link, Request $request): ?string
    {
        $row = DB::table('pass_claims')
            ->where('join_link_id', $link->id)
            ->where('sum', $this->sum($link, $request))
            ->first(['decided_at']);

        return $row === null ? null : ($row->decided_at === null ? 'asked' : 'kept');
    }

    /**
     * The pass goes to the browser that asks, or stays where it is.
     *
     * @throws Fault where it is decided already
     */
    public function decide(Series $series, int $claim, bool $moves, Person $by): string
    {
        return DB::transaction(function () use ($series, $claim, $moves, $by): string {
            $row = DB::table('pass_claims')
                ->join('join_links', 'join_links.id', '=', 'join_link_id')
                ->where('pass_claims.id', $claim)
                ->where('series_id', $series->id)
                ->whereNull('decided_at')
                ->lock('for update of pass_claims')
                ->first(['join_link_id', 'sum', 'browser', 'guest_name']);
            if ($row === null) {
                throw new Fault('That was decided meanwhile.', 'form');
            }
            DB::table('pass_claims')
                ->where('id', $claim)
                ->update(['decided_at' => $this->clock->now(), 'moved' => $moves]);
            if ($moves) {
                JoinLink::query()
                    ->whereKey($row->join_link_id)
                    ->update([
                        'held_sum' => $row->sum,
                        'held_at' => $this->clock->now(),
                        'held_browser' => $row->browser,
                    ]);
            }
            ($this->audit)(
                'link',
                $series,
                $by,
                "the pass of $row->guest_name ".
                    ($moves ? 'was moved to a second browser' : 'stays in the first browser'),
            );

            return (string) $row->guest_name;
        });
    }

    private function keep(JoinLink $link, string $word): void
    {
        Cookie::queue(self::name($link), $word, self::DAYS * 1440);
    }

    private function word(JoinLink $link, Request $request): ?string
    {
        $word = $request->cookie(self::name($link));

        return is_string($word) && strlen($word) === 40 ? $word : null;
    }

    private function sum(JoinLink $link, Request $request): string
    {
        return self::sumOf($this->word($link, $request) ?? '');
    }

    private static function sumOf(string $word): string
    {
        return Secrets::sum($word, 'pass');
    }

    private static function name(JoinLink $link): string
    {
        return "pass_$link->id";
    }
}
