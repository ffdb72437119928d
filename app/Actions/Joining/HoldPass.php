<?php

declare(strict_types=1);

namespace Nomada\App\Actions\Joining;

use Illuminate\Support\Facades\DB;
use Nomada\App\Models\Joining\DropInRoom;
use Nomada\App\Models\Joining\JoinLink;
use Nomada\App\Models\Term\Person;
use Nomada\App\Models\Timetable\Series;
use Nomada\App\Support\Clock;
use Nomada\App\Support\Secrets;
use Nomada\Core\Fault;
use Nomada\Core\Joining\LinkKind;
use Nomada\Core\Language\Said;

/**
 * A guest's pass is one person's: the first browser that comes in by it keeps it, by a word in its cookie. Another one
 * is told, may ask, and the teacher sees both and decides.
 */
final readonly class HoldPass
{
    public function __construct(private Clock $clock, private Audit $audit)
    {
    }

    /**
     * Where a pass is held, seen from one browser; nothing to say of a link that is no pass.
     *
     * @param  string|null  $word  the browser's; null where it has never come in by a pass
     */
    public function at(JoinLink|DropInRoom $link, ?string $word): PassAt
    {
        if (! ($link instanceof JoinLink) || $link->kind !== LinkKind::Guest) {
            return new PassAt();
        }
        $isElsewhere = $link->holder_hash !== null && ! hash_equals($link->holder_hash, self::sumOf($word ?? ''));

        return new PassAt(
            $isElsewhere,
            $isElsewhere ? $this->asked($link, $word) : null,
            $word === null ? null : self::who($word),
        );
    }

    /** Takes the pass for this browser, and says whom the bridge knows it by. Null where another one was faster. */
    public function take(JoinLink $link, string $word, string $browser): ?string
    {
        $taken = JoinLink::query()
            ->whereKey($link->id)
            ->where(fn ($q) => $q->whereNull('holder_hash')->orWhere('holder_hash', self::sumOf($word)))
            ->update([
                'holder_hash' => self::sumOf($word),
                'held_at' => $this->clock->now(),
                'held_browser' => $browser,
            ]);

        return $taken === 1 ? self::who($word) : null;
    }

    /** Asks the teacher for it. */
    public function ask(JoinLink $link, string $word, string $browser): void
    {
        DB::table('pass_claims')->insertOrIgnore([
            'join_link_id' => $link->id,
            'hash' => self::sumOf($word),
            'browser' => $browser,
            'asked_at' => $this->clock->now(),
        ]);
    }

    private function asked(JoinLink $link, ?string $word): ?string
    {
        $row = DB::table('pass_claims')
            ->where('join_link_id', $link->id)
            ->where('hash', self::sumOf($word ?? ''))
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
                ->first(['join_link_id', 'hash', 'browser', 'guest_name']);
            if ($row === null) {
                throw new Fault('pass.meanwhile', 'form');
            }
            DB::table('pass_claims')
                ->where('id', $claim)
                ->update(['decided_at' => $this->clock->now(), 'moved' => $moves]);
            if ($moves) {
                JoinLink::query()
                    ->whereKey($row->join_link_id)
                    ->update([
                        'holder_hash' => $row->hash,
                        'held_at' => $this->clock->now(),
                        'held_browser' => $row->browser,
                    ]);
            }
            ($this->audit)(
                'link',
                $series,
                $by,
                new Said($moves ? 'audit.pass_moved' : 'audit.pass_stays', ['guest' => $row->guest_name]),
            );

            return (string) $row->guest_name;
        });
    }

    private static function who(string $word): string
    {
        return 'guest-'.substr(self::sumOf($word), 0, 20);
    }

    private static function sumOf(string $word): string
    {
        return Secrets::sum($word, 'pass');
    }
}
