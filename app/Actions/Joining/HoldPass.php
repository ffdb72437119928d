<?php

declare(strict_types=1);

namespace Nomada\App\Actions\Joining;

use Illuminate\Http\Request;
use Illuminate\Support\Facades\Cookie;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Nomada\App\Models\Joining\DropInRoom;
use Nomada\App\Models\Joining\JoinLink;
use Nomada\App\Models\Term\Person;
use Nomada\App\Models\Timetable\Series;
use Nomada\App\Support\Browser;
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
    /** Days for which a browser keeps its word. */
    private const DAYS = 200;

    /** One word for all passes of a browser. */
    private const COOKIE = 'guest';

    public function __construct(private Clock $clock, private Audit $audit)
    {
    }

    /** How a link stands in this browser; nothing is to be said of one that is no guest's. */
    public function at(JoinLink|DropInRoom $link, Request $request): PassAt
    {
        if (! ($link instanceof JoinLink) || $link->kind !== LinkKind::Guest) {
            return new PassAt();
        }
        $word = $this->word($request);
        $isElsewhere = $link->holder_hash !== null && ! hash_equals($link->holder_hash, self::sumOf($word ?? ''));

        return new PassAt(
            $isElsewhere,
            $isElsewhere ? $this->asked($link, $request) : null,
            $word === null ? null : self::who($word),
        );
    }

    /** Takes the pass for this browser, and says whom the bridge knows it by. Null where another one was faster. */
    public function take(JoinLink $link, Request $request): ?string
    {
        $word = $this->word($request) ?? Str::random(40);
        $taken = JoinLink::query()
            ->whereKey($link->id)
            ->where(fn ($q) => $q->whereNull('holder_hash')->orWhere('holder_hash', self::sumOf($word)))
            ->update([
                'holder_hash' => self::sumOf($word),
                'held_at' => $this->clock->now(),
                'held_browser' => Browser::of($request),
            ]);
        if ($taken !== 1) {
            return null;
        }
        $this->keep($word);

        return self::who($word);
    }

    /** Asks the teacher for it. */
    public function ask(JoinLink $link, Request $request): void
    {
        $word = $this->word($request) ?? Str::random(40);
        DB::table('pass_claims')->insertOrIgnore([
            'join_link_id' => $link->id,
            'hash' => self::sumOf($word),
            'browser' => Browser::of($request),
            'asked_at' => $this->clock->now(),
        ]);
        $this->keep($word);
    }

    private function asked(JoinLink $link, Request $request): ?string
    {
        $row = DB::table('pass_claims')
            ->where('join_link_id', $link->id)
            ->where('hash', self::sumOf($this->word($request) ?? ''))
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

    private function keep(string $word): void
    {
        Cookie::queue(self::COOKIE, $word, self::DAYS * 1440);
    }

    private function word(Request $request): ?string
    {
        $word = $request->cookie(self::COOKIE);

        return is_string($word) && strlen($word) === 40 ? $word : null;
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
